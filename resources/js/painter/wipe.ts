/** The edge of a wipe, as core/Switching/Transition/Reveal.php says: what lies behind it shows the incoming picture. */
import type { Reveal } from '../plan/types';
import type { Context } from './frame';
import type { Flat } from './transition';

interface Box {
  x: number;
  y: number;
  width: number;
  height: number;
}

/** Keeps of what is painted on a sheet only what lies behind the edge. */
function cutByReveal(context: OffscreenCanvasRenderingContext2D, reveal: Reveal, edge: number, width: number, height: number): void {
  const { soft } = reveal;
  const to = edge * (1 + soft);
  const at = (t: number): string => `rgb(0 0 0 / ${Math.max(0, Math.min(1, (to - t) / soft))})`;
  const gradient = gradientOf(context, reveal, width, height);
  for (const t of [0, to - soft, to, 1]) if (t >= 0 && t <= 1) gradient.addColorStop(t, at(t));
  context.globalCompositeOperation = 'destination-in';
  context.fillStyle = gradient;
  context.fillRect(0, 0, width, height);
  context.globalCompositeOperation = 'source-over';
}

function gradientOf(context: OffscreenCanvasRenderingContext2D, { by, line }: Reveal, width: number, height: number): CanvasGradient {
  if (by === 'circle') return context.createRadialGradient(width / 2, height / 2, 0, width / 2, height / 2, Math.hypot(width / 2, height / 2));
  if (by === 'clock') return context.createConicGradient(-Math.PI / 2, width / 2, height / 2);
  return context.createLinearGradient(line[0] * width, line[1] * height, line[2] * width, line[3] * height);
}

/**
 * For an edge that stands upright or level, the canvas has parts: what is wholly
 * new, the soft edge, and what is old. Each is painted alone, which costs about
 * one picture instead of three. Null for edges of other shapes.
 */
function partsOf(reveal: Reveal, edge: number, width: number, height: number): { fresh: Box; band: Box; old: Box } | null {
  const [x0, y0, x1, y1] = reveal.line;
  if (reveal.by !== 'line' || (x0 !== x1 && y0 !== y1)) return null;
  const level = y0 === y1;
  const length = level ? width : height;
  const to = edge * (1 + reveal.soft);
  const along = (t: number, round: (value: number) => number): number => Math.max(0, Math.min(length, round(t * length)));
  const [begin, end] = [along(to - reveal.soft, Math.floor), along(to, Math.ceil)];
  const backwards = level ? x1 < x0 : y1 < y0;
  const box = (from: number, until: number): Box => {
    const [a, b] = backwards ? [length - until, length - from] : [from, until];
    return level ? { x: a, y: 0, width: b - a, height } : { x: 0, y: a, width, height: b - a };
  };
  // What is old shows under the soft edge too.
  return { fresh: box(0, begin), band: box(begin, end), old: box(begin, length) };
}

/** The box around all that is not wholly old. */
function reachOf({ by, soft }: Reveal, edge: number, width: number, height: number): Box {
  const to = edge * (1 + soft);
  const whole = { x: 0, y: 0, width, height };
  if (by === 'circle') {
    const radius = to * Math.hypot(width / 2, height / 2) + 1;
    const [x, y] = [Math.max(0, Math.floor(width / 2 - radius)), Math.max(0, Math.floor(height / 2 - radius))];
    return { x, y, width: width - 2 * x, height: height - 2 * y };
  }
  // From twelve o'clock, clockwise: the first quarter is at the top right.
  if (by === 'clock') return to >= 0.5 ? whole : { x: Math.floor(width / 2) - 1, y: 0, width: Math.ceil(width / 2) + 1, height: to < 0.25 ? Math.ceil(height / 2) + 1 : height };
  return whole;
}

export function within(context: Context, { x, y, width, height }: Box, paint: () => void): void {
  if (width <= 0 || height <= 0) return;
  context.save();
  context.beginPath();
  context.rect(x, y, width, height);
  context.clip();
  paint();
  context.restore();
}

/** Paints both pictures with the edge between them. */
export function paintWipe(context: Context, flat: Flat, reveal: Reveal, edge: number, paint: { leaving(context: Context): void; coming(context: Context): void }): void {
  const { width, height } = flat.canvas;
  const { fresh, band, old } = partsOf(reveal, edge, width, height) ?? { fresh: null, band: reachOf(reveal, edge, width, height), old: { x: 0, y: 0, width, height } };
  within(context, old, () => paint.leaving(context));
  if (fresh) within(context, fresh, () => paint.coming(context));
  within(flat.context, band, () => {
    paint.coming(flat.context);
    cutByReveal(flat.context, reveal, edge, width, height);
  });
  if (band.width > 0 && band.height > 0) context.drawImage(flat.canvas, band.x, band.y, band.width, band.height, band.x, band.y, band.width, band.height);
}
