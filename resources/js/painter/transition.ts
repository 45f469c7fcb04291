/** Paints one moment of a transition between two pictures, as core/Switching/Transition says. */
import { glideAt } from '../plan/glide';
import { blendAt } from '../plan/tracks';
import type { FramePlan, Reveal, TransitionPlan } from '../plan/types';
import { isOneSheet, paintPlan, type Context, type ImageOf } from './frame';

/** Where the incoming picture is made flat: two half-transparent windows over each other are not one half-transparent picture. */
export class Flat {
  readonly canvas: OffscreenCanvas;
  readonly context: OffscreenCanvasRenderingContext2D;

  constructor(width: number, height: number) {
    this.canvas = new OffscreenCanvas(width, height);
    const context = this.canvas.getContext('2d');
    if (!context) throw new Error('This browser cannot paint off the screen.');
    this.context = context;
  }
}

export function paintTransition(context: Context, flat: Flat, [outgoing, incoming]: [FramePlan, FramePlan], plan: TransitionPlan, progress: number, imageOf: ImageOf): void {
  const { width, height } = flat.canvas;
  const blend = blendAt(plan, progress);
  const way = blend['windows.way'];
  const [leaving, coming] = way === null ? [outgoing, incoming] : glideAt(outgoing, incoming, way);
  const edge = blend['incoming.edge'];
  const shows = blend['incoming.opacity'] > 0 && (edge === null || edge > 0);
  // Whole pixels: between them, the browser would work out every one anew.
  const [x, y, outX, outY] = [blend['incoming.x'] * width, blend['incoming.y'] * height, blend['outgoing.x'] * width, blend['outgoing.y'] * height].map(Math.round) as [number, number, number, number];
  const opacity = blend['incoming.opacity'];
  if (!shows || opacity < 1 || edge !== null || x !== 0 || y !== 0) paintPlan(context, leaving, width, height, imageOf, outX, outY);
  if (shows && edge === null && (opacity >= 1 || isOneSheet(coming, imageOf))) {
    context.save();
    context.beginPath();
    context.rect(x, y, width, height);
    context.clip();
    paintPlan(context, coming, width, height, imageOf, x, y, opacity);
    context.restore();
  } else if (shows) {
    paintPlan(flat.context, coming, width, height, imageOf);
    if (plan.reveal && edge !== null && edge < 1) cutByReveal(flat.context, plan.reveal, edge, width, height);
    context.globalAlpha = opacity;
    context.drawImage(flat.canvas, x, y);
    context.globalAlpha = 1;
  }
  if (blend['colour.opacity'] > 0 && plan.colour !== null) {
    context.globalAlpha = blend['colour.opacity'];
    context.fillStyle = plan.colour;
    context.fillRect(0, 0, width, height);
    context.globalAlpha = 1;
  }
}

/** Keeps of what is painted only what lies behind the edge of a wipe. */
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
