/** A phone that somebody carries upright along a table of stones: it walks, sways, and stops at one now and then. */
import { during, ellipse, limb, polygon, type Brush, type Paint } from './brush';

const STONES = [
  ['#b79ac9', '#7d5b95'], ['#e8e2d5', '#a9a294'], ['#d9835a', '#8c4a26'], ['#8b97a8', '#4a5563'],
  ['#9fd0d8', '#4f8f9b'], ['#e7c873', '#a5822c'], ['#a8c99a', '#5e8450'], ['#d98a8a', '#8f4545'],
] as const;
const APART = 430;

function stone(brush: Brush, x: number, y: number, size: number, light: string, dark: string, turn: number): void {
  const points = (share: number): [number, number][] =>
    Array.from({ length: 7 }, (_, i) => {
      const angle = (i / 7) * 2 * Math.PI + turn;
      const reach = size * share * (1 + 0.16 * Math.sin(i * 2.7 + turn));
      return [x + reach * Math.cos(angle), y + reach * 0.78 * Math.sin(angle)];
    });
  ellipse(brush, x, y + size * 0.66, size * 1.1, size * 0.3, '#00000044');
  polygon(brush, points(1), dark);
  polygon(brush, points(0.72), light);
}

function hand(brush: Brush, x: number, y: number): void {
  limb(brush, [[x + 250, y + 560], [x + 110, y + 190]], 150, '#3e6b73');
  ellipse(brush, x + 70, y + 120, 92, 104, '#b98563', -0.5);
  limb(brush, [[x + 40, y + 90], [x - 6, y - 10]], 38, '#c59373');
}

export const paintRoving: Paint = (brush, seconds, width, height) => {
  const stop = during(seconds % 14, 8, 13, 1.4);
  const walk = seconds * 62 - 30 * stop;
  const bob = 14 * Math.sin(seconds * 3.4) * (1 - stop) + 3 * Math.sin(seconds * 1.1);
  const lean = 0.022 * Math.sin(seconds * 1.7) * (1 - 0.6 * stop);
  const near = 1 + 0.28 * stop;
  brush.translate(width / 2, height / 2);
  brush.rotate(lean);
  brush.scale(near, near);
  brush.translate(-width / 2, -height / 2 + bob);
  brush.fillStyle = '#dcd2bd';
  brush.fillRect(-80, -120, width + 160, 720);
  for (let i = -1; i < 4; i++) {
    const x = i * 520 - ((walk * 0.45) % 520);
    brush.fillStyle = '#f3eee0';
    brush.fillRect(x, 40, 220, 380);
    brush.fillStyle = '#afc9d6';
    brush.fillRect(x + 14, 54, 192, 352);
    brush.fillStyle = '#f3eee0';
    brush.fillRect(x + 102, 54, 14, 352);
  }
  brush.fillStyle = '#a8865c';
  brush.fillRect(-80, 600, width + 160, height);
  brush.fillStyle = '#8d6d47';
  brush.fillRect(-80, 590, width + 160, 16);
  for (let i = -2; i < 8; i++) {
    const x = i * 210 - ((walk * 0.9) % 210);
    limb(brush, [[x, 620], [x - 160, height + 80]], 3, '#8d6d4788');
  }
  const first = Math.floor(walk / APART) - 1;
  for (let i = first; i < first + 5; i++) {
    const [light, dark] = STONES[((i % STONES.length) + STONES.length) % STONES.length] ?? STONES[0];
    const x = i * APART - walk + width / 2;
    stone(brush, x, 820 + 26 * Math.sin(i * 1.9), 118 + 22 * Math.sin(i * 2.3), light, dark, i);
    brush.fillStyle = '#fbf8f1';
    brush.fillRect(x - 78, 980, 156, 52);
    brush.fillStyle = '#26364d';
    brush.fillRect(x - 58, 1000, 70 + 34 * Math.sin(i * 3.1), 10);
  }
  if (stop > 0.05) hand(brush, width / 2 + 40 + 300 * (1 - stop), 880 + 260 * (1 - stop) + 8 * Math.sin(seconds * 4));
};
