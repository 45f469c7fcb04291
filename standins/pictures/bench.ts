/** Looking straight down on a bench: stones, a streak plate, a lens, and a hand that moves a stone. */
import { backdrop, ellipse, greyCard, lamp, limb, polygon, sway, type Brush, type Paint } from './brush';

type Point = [number, number];

interface Stone {
  at: Point;
  size: number;
  sides: number;
  turn: number;
  light: string;
  dark: string;
}

const STONES: Stone[] = [
  { at: [250, 200], size: 88, sides: 7, turn: 0.3, light: '#c9b8c7', dark: '#8b6f92' },
  { at: [480, 150], size: 62, sides: 6, turn: 1.1, light: '#e6e0d2', dark: '#b4ab95' },
  { at: [240, 450], size: 74, sides: 8, turn: 2.1, light: '#7d8a94', dark: '#454f59' },
  { at: [1040, 190], size: 80, sides: 6, turn: 0.7, light: '#c98f5a', dark: '#8c5527' },
  { at: [1080, 440], size: 66, sides: 5, turn: 1.7, light: '#8fb7c0', dark: '#527f8b' },
];

const PLACES: Point[] = [[560, 460], [760, 330], [640, 250], [860, 500]];

function outline(stone: Stone, scale: number): Point[] {
  return Array.from({ length: stone.sides }, (_, i): Point => {
    const angle = stone.turn + (2 * Math.PI * i) / stone.sides;
    const radius = stone.size * scale * (0.86 + 0.18 * Math.sin(i * 2.7 + stone.turn));
    return [stone.at[0] + radius * Math.cos(angle), stone.at[1] + radius * 0.9 * Math.sin(angle)];
  });
}

function paintStone(brush: Brush, stone: Stone): void {
  ellipse(brush, stone.at[0] + 10, stone.at[1] + 12, stone.size, stone.size * 0.92, '#00000033');
  const edge = outline(stone, 1);
  polygon(brush, edge, stone.dark);
  polygon(brush, outline({ ...stone, at: [stone.at[0] - 5, stone.at[1] - 7] }, 0.74), stone.light);
  brush.strokeStyle = '#ffffff55';
  brush.lineWidth = 2;
  for (const [x, y] of edge) {
    brush.beginPath();
    brush.moveTo(stone.at[0] - 5, stone.at[1] - 7);
    brush.lineTo(x, y);
    brush.stroke();
  }
}

function hand(brush: Brush, [x, y]: Point, closed: number): void {
  limb(brush, [[x + 230, y + 420], [x + 90, y + 170]], 120, '#7a5a86');
  ellipse(brush, x + 60, y + 110, 74, 84, '#c08d6c', -0.5);
  for (const [i, reach] of [0.92, 1, 0.95, 0.82].entries()) {
    const spread = (i - 1.5) * (34 - 10 * closed);
    limb(brush, [[x + 42 + spread, y + 74], [x + spread * 0.7, y + 6 + (1 - reach) * 60 - 18 * (1 - closed)]], 28, i % 2 ? '#c59373' : '#c08d6c');
  }
  limb(brush, [[x - 6, y + 120], [x - 52 + 30 * closed, y + 44]], 30, '#ba8766');
}

function table(brush: Brush, width: number, height: number): void {
  const wood = brush.createLinearGradient(0, 0, 0, height);
  wood.addColorStop(0, '#d9c19a');
  wood.addColorStop(1, '#c9ad82');
  brush.fillStyle = wood;
  brush.fillRect(0, 0, width, height);
  brush.strokeStyle = '#b89a6c66';
  brush.lineWidth = 3;
  for (let y = 30; y < height; y += 46) {
    brush.beginPath();
    brush.moveTo(0, y);
    brush.bezierCurveTo(400, y + 14, 800, y - 16, width, y + 6);
    brush.stroke();
  }
  brush.fillStyle = '#f5f3ee';
  brush.fillRect(420, 560, 300, 110);
  greyCard(brush, 40, 600, 64);
  STONES.forEach((stone) => paintStone(brush, stone));
}

export const paintBench: Paint = (brush, seconds, width, height) => {
  backdrop(brush, 'table', width, height, (still) => table(still, width, height));
  // streak plate with the streaks drawn so far
  for (let i = 0; i < 4; i++) {
    const drawn = Math.min(1, Math.max(0, (seconds % 40) / 8 - i));
    if (drawn > 0) limb(brush, [[450 + i * 66, 585], [450 + i * 66 + 34 * drawn, 585 + 60 * drawn]], 7, ['#8c3b2e', '#5d6b57', '#9a8a3a', '#4a4a52'][i] ?? '#444');
  }
  // one stone goes from place to place with the hand
  const step = Math.floor(seconds / 5);
  const from = PLACES[step % PLACES.length] ?? [0, 0];
  const to = PLACES[(step + 1) % PLACES.length] ?? [0, 0];
  const within = seconds % 5;
  const moved = within < 1.4 ? 0 : within > 3.4 ? 1 : sway(within - 1.4, 4);
  const at: Point = [from[0] + (to[0] - from[0]) * moved, from[1] + (to[1] - from[1]) * moved];
  paintStone(brush, { at, size: 56, sides: 6, turn: moved * 0.8, light: '#e3c46a', dark: '#a5822c' });
  const near = within < 1.4 ? sway(within, 2.8) : within > 3.4 ? 1 - sway(within - 3.4, 3.2) : 1;
  hand(brush, [at[0] + 20 + 420 * (1 - near), at[1] + 30 + 380 * (1 - near)], near);
  brush.strokeStyle = '#3a4048';
  brush.lineWidth = 12;
  brush.beginPath();
  brush.arc(900, 610, 62, 0, 2 * Math.PI);
  brush.stroke();
  ellipse(brush, 900, 610, 56, 56, '#dfeaf055');
  limb(brush, [[945, 655], [1010, 712]], 18, '#3a4048');
  // daylight from a window: bluer than the lamp of the microscope
  lamp(brush, '#dbe9ff', width, height);
};
