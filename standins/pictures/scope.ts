/** A thin section under crossed polarisers: the stage turns, and each grain goes through its interference colours and goes dark four times a turn. */
import { backdrop, greyCard, lamp, type Brush, type Paint } from './brush';

interface Grain {
  outline: [number, number][];
  /** angle at which it is dark, in radians */
  axis: number;
  colour: [number, number, number];
  /** lines of cleavage across it */
  lines: boolean;
}

const TURN_SECONDS = 48;
const COLUMNS = 11;
const ROWS = 11;
const RADIUS = 620;

/** First to third order of the usual chart, from memory: grey, white, yellow, red, violet, blue, green, pink. */
const COLOURS: [number, number, number][] = [
  [150, 155, 165], [236, 234, 222], [244, 216, 120], [226, 122, 70], [196, 58, 92], [124, 70, 168],
  [62, 96, 190], [66, 164, 176], [96, 184, 104], [220, 208, 92], [232, 132, 150], [150, 205, 190],
];

/** A number between 0 and 1 that is always the same for the same place. */
function chance(i: number, j: number, k: number): number {
  const x = Math.sin(i * 127.1 + j * 311.7 + k * 74.7) * 43758.5453;
  return x - Math.floor(x);
}

function corner(i: number, j: number): [number, number] {
  const step = (2 * RADIUS) / COLUMNS;
  return [(i + 0.8 * (chance(i, j, 1) - 0.5)) * step - RADIUS, (j + 0.8 * (chance(i, j, 2) - 0.5)) * step - RADIUS];
}

function makeGrains(): Grain[] {
  const grains: Grain[] = [];
  for (let i = 0; i < COLUMNS; i++) {
    for (let j = 0; j < ROWS; j++) {
      // Some neighbours are one grain.
      const wide = chance(i, j, 3) > 0.72 && i + 1 < COLUMNS ? 2 : 1;
      grains.push({
        outline: [corner(i, j), corner(i + wide, j), corner(i + wide, j + 1), corner(i, j + 1)],
        axis: chance(i, j, 4) * Math.PI,
        colour: COLOURS[Math.floor(chance(i, j, 5) * COLOURS.length)] ?? [200, 200, 200],
        lines: chance(i, j, 6) > 0.6,
      });
    }
  }
  return grains;
}

const GRAINS = makeGrains();

/** How bright a grain is between crossed polarisers: sin² of twice the angle. */
function colourAt(grain: Grain, turn: number): string {
  const bright = 0.06 + 0.94 * Math.sin(2 * (turn - grain.axis)) ** 2;
  const [r, g, b] = grain.colour;
  return `rgb(${Math.round(r * bright)},${Math.round(g * bright)},${Math.round(b * bright)})`;
}

function trace(brush: Brush, points: [number, number][]): void {
  points.forEach(([x, y], i) => (i === 0 ? brush.moveTo(x, y) : brush.lineTo(x, y)));
  brush.closePath();
}

/** All edges in one stroke, all lines of cleavage in another. */
function paintLines(brush: Brush): void {
  brush.strokeStyle = '#0b0d10aa';
  brush.lineWidth = 3;
  brush.beginPath();
  for (const grain of GRAINS) trace(brush, grain.outline);
  brush.stroke();
  brush.strokeStyle = '#00000055';
  brush.lineWidth = 2;
  brush.beginPath();
  for (const { lines, outline: [a, , c] } of GRAINS) {
    if (!lines || !a || !c) continue;
    for (let k = 1; k < 5; k++) {
      const x = a[0] + ((c[0] - a[0]) * k) / 5;
      brush.moveTo(x, a[1] + 8);
      brush.lineTo(x - 16, c[1] - 8);
    }
  }
  brush.stroke();
}

/** The dark around the round field of view: cutting a circle out of every frame would be slow. */
function paintRing(brush: Brush, width: number, height: number): void {
  brush.fillStyle = '#07080a';
  brush.fillRect(0, 0, width, height);
  brush.globalCompositeOperation = 'destination-out';
  brush.beginPath();
  brush.arc(width / 2, height / 2, height * 0.485, 0, 2 * Math.PI);
  brush.fill();
}

export const paintScope: Paint = (brush, seconds, width, height) => {
  brush.fillStyle = '#07080a';
  brush.fillRect(0, 0, width, height);
  const turn = (2 * Math.PI * seconds) / TURN_SECONDS;
  brush.save();
  brush.translate(width / 2, height / 2);
  brush.scale(height / 960, height / 960);
  brush.rotate(turn);
  for (const grain of GRAINS) {
    brush.fillStyle = colourAt(grain, turn);
    brush.beginPath();
    trace(brush, grain.outline);
    brush.fill();
  }
  paintLines(brush);
  brush.restore();
  backdrop(brush, 'scope ring', width, height, (ring) => paintRing(ring, width, height));
  // the cross hairs stand still
  brush.strokeStyle = '#f4f1e6aa';
  brush.lineWidth = 2;
  brush.beginPath();
  brush.moveTo(width / 2, height * 0.03);
  brush.lineTo(width / 2, height * 0.97);
  brush.moveTo(width / 2 - height * 0.47, height / 2);
  brush.lineTo(width / 2 + height * 0.47, height / 2);
  brush.stroke();
  greyCard(brush, 24, height - 92, 64);
  // the lamp of a microscope is yellow
  lamp(brush, '#ffe2b0', width, height);
};
