/** The outline of a window, its border and its shadow, as core/Picture/Frame.php says. */
import type { Frame } from '../plan/types';
import type { Context } from './frame';

type Outline = Frame['outline'];

export function cutTo(context: Context, { x, y, width, height, radius }: Outline): void {
  context.beginPath();
  context.roundRect(x, y, width, height, radius);
  context.clip();
}

/** Inside the outline, so that a window is as large as it says. */
export function drawBorder(context: Context, { outline: { x, y, width, height, radius }, border, border_colour }: Frame): void {
  if (border <= 0) return;
  const thick = Math.min(border, width / 2, height / 2);
  context.beginPath();
  context.roundRect(x, y, width, height, radius);
  context.roundRect(x + thick, y + thick, width - 2 * thick, height - 2 * thick, Math.max(0, radius - thick));
  context.fillStyle = border_colour;
  context.fill('evenodd');
}

/** Stops of the fall-off (1 - t)², close enough that straight lines between them cannot be seen. */
const STOPS = [0, 0.1, 0.2, 0.35, 0.5, 0.7, 0.85, 1];

function fading(gradient: CanvasGradient, from: number): CanvasGradient {
  for (const t of STOPS) gradient.addColorStop(from + (1 - from) * t, `rgb(0 0 0 / ${(1 - t) ** 2})`);
  return gradient;
}

/**
 * Black, a quarter of its size lower than the window, and nothing where the
 * window itself is. Made of gradients: they cost little however the window
 * travels, where blurring would cost more than all else.
 */
export function drawShadow(context: Context, { outline, shadow: size, shade }: Frame): void {
  if (size <= 0 || shade <= 0) return;
  const scale = context.getTransform().a;
  const whole = (value: number): number => Math.round(value * scale) / scale; // parts that meet at a pixel leave no seam
  const [left, top] = [whole(outline.x), whole(outline.y + size / 4)];
  const [right, bottom] = [whole(outline.x + outline.width), whole(outline.y + outline.height + size / 4)];
  const radius = Math.min(whole(outline.radius), (right - left) / 2, (bottom - top) / 2);
  const [inLeft, inTop, inRight, inBottom] = [left + radius, top + radius, right - radius, bottom - radius];
  context.save();
  context.beginPath();
  context.rect(left - size, Math.min(top - size, outline.y), right - left + 2 * size, bottom - top + 2 * size);
  context.roundRect(outline.x, outline.y, outline.width, outline.height, outline.radius);
  context.clip('evenodd');
  context.globalAlpha *= shade;
  context.fillStyle = '#000';
  context.fillRect(inLeft, top, inRight - inLeft, bottom - top);
  context.fillRect(left, inTop, radius, inBottom - inTop);
  context.fillRect(inRight, inTop, radius, inBottom - inTop);
  const part = (gradient: CanvasGradient, from: number, x: number, y: number, width: number, height: number): void => {
    context.fillStyle = fading(gradient, from);
    context.fillRect(x, y, width, height);
  };
  part(context.createLinearGradient(0, top, 0, top - size), 0, inLeft, top - size, inRight - inLeft, size);
  part(context.createLinearGradient(0, bottom, 0, bottom + size), 0, inLeft, bottom, inRight - inLeft, size);
  part(context.createLinearGradient(left, 0, left - size, 0), 0, left - size, inTop, size, inBottom - inTop);
  part(context.createLinearGradient(right, 0, right + size, 0), 0, right, inTop, size, inBottom - inTop);
  const reach = radius + size;
  for (const [x, y, atLeft, atTop] of [[inLeft, inTop, left - size, top - size], [inRight, inTop, inRight, top - size], [inLeft, inBottom, left - size, inBottom], [inRight, inBottom, inRight, inBottom]] as const) {
    part(context.createRadialGradient(x, y, 0, x, y, reach), radius / reach, atLeft, atTop, reach, reach);
  }
  context.restore();
}
