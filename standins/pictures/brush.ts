/** What the stand-ins paint with. */
export type Brush = OffscreenCanvasRenderingContext2D;
export type Paint = (brush: Brush, seconds: number, width: number, height: number) => void;

export const FRAME_MARK = { bits: 12, square: 8, right: 12, bottom: 12 };

/** Smooth to and fro between 0 and 1. */
export function sway(seconds: number, period: number, phase = 0): number {
  return 0.5 - 0.5 * Math.cos((2 * Math.PI * seconds) / period + phase);
}

/** 0 outside, 1 inside [from, to], with soft ends. */
export function during(t: number, from: number, to: number, soft = 1): number {
  const rise = Math.min(1, Math.max(0, (t - from) / soft));
  const fall = Math.min(1, Math.max(0, (to - t) / soft));
  const x = Math.min(rise, fall);
  return x * x * (3 - 2 * x);
}

export function ellipse(brush: Brush, x: number, y: number, rx: number, ry: number, fill: string, turn = 0): void {
  brush.fillStyle = fill;
  brush.beginPath();
  brush.ellipse(x, y, rx, ry, turn, 0, 2 * Math.PI);
  brush.fill();
}

/** A limb: a thick line with round ends. */
export function limb(brush: Brush, points: [number, number][], thick: number, colour: string): void {
  brush.strokeStyle = colour;
  brush.lineWidth = thick;
  brush.lineCap = 'round';
  brush.lineJoin = 'round';
  brush.beginPath();
  points.forEach(([x, y], i) => (i === 0 ? brush.moveTo(x, y) : brush.lineTo(x, y)));
  brush.stroke();
}

export function polygon(brush: Brush, points: [number, number][], fill: string): void {
  brush.fillStyle = fill;
  brush.beginPath();
  points.forEach(([x, y], i) => (i === 0 ? brush.moveTo(x, y) : brush.lineTo(x, y)));
  brush.closePath();
  brush.fill();
}

/** Name and running number, small in the lower right corner: readable by eye and by program. */
export function paintFrameMark(brush: Brush, name: string, frame: number, width: number, height: number): void {
  const { bits, square, right, bottom } = FRAME_MARK;
  const [left, top] = [width - right - bits * square, height - bottom - square];
  brush.fillStyle = '#10151c';
  brush.fillRect(left - 120, top - 10, bits * square + 132, square + 22);
  brush.fillStyle = '#e9e4d8';
  brush.font = '13px sans-serif';
  brush.textAlign = 'left';
  brush.textBaseline = 'middle';
  brush.fillText(`${name} ${frame % 10_000}`, left - 112, top + square / 2, 104);
  for (let bit = 0; bit < bits; bit++) {
    brush.fillStyle = (frame >> bit) & 1 ? '#ffffff' : '#000000';
    brush.fillRect(left + bit * square, top, square, square);
  }
}

const backdrops = new Map<string, OffscreenCanvas>();

/** Paints what does not move in a picture: once, at the scale of this brush, and copied from then on. */
export function backdrop(brush: Brush, name: string, width: number, height: number, paint: (still: Brush) => void): void {
  let canvas = backdrops.get(name);
  if (!canvas) {
    const scale = brush.getTransform().a;
    canvas = new OffscreenCanvas(Math.round(width * scale), Math.round(height * scale));
    backdrops.set(name, canvas);
    const still = canvas.getContext('2d');
    still?.scale(scale, scale);
    if (still) paint(still);
  }
  brush.drawImage(canvas, 0, 0, width, height);
}

/** A strip of greys from white to black and three plain colours, as photographers lay beside things: it looks different under each lamp. */
export function greyCard(brush: Brush, x: number, y: number, side: number): void {
  ['#f2f2f2', '#c0c0c0', '#808080', '#404040', '#b04a3c', '#4a8f58', '#3f5fa8'].forEach((colour, i) => {
    brush.fillStyle = colour;
    brush.fillRect(x + i * side, y, side, side);
  });
}

/** The light of a lamp on all that was painted so far. */
export function lamp(brush: Brush, colour: string, width: number, height: number): void {
  brush.globalCompositeOperation = 'multiply';
  brush.fillStyle = colour;
  brush.fillRect(0, 0, width, height);
  brush.globalCompositeOperation = 'source-over';
}
