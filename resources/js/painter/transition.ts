/** Paints one moment of a transition between two pictures, as core/Switching/Transition says. */
import { glideAt } from '../plan/glide';
import { blendAt } from '../plan/tracks';
import type { FramePlan, Reveal, TransitionPlan } from '../plan/types';
import { paintPlan, type Context, type ImageOf } from './frame';

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
  if (!shows || blend['incoming.opacity'] < 1 || edge !== null || blend['incoming.x'] !== 0 || blend['incoming.y'] !== 0) {
    paintPlan(context, leaving, width, height, imageOf, blend['outgoing.x'] * width, blend['outgoing.y'] * height);
  }
  if (shows) {
    paintPlan(flat.context, coming, width, height, imageOf);
    if (plan.reveal && edge !== null && edge < 1) cutByReveal(flat.context, plan.reveal, edge, width, height);
    context.globalAlpha = blend['incoming.opacity'];
    context.drawImage(flat.canvas, blend['incoming.x'] * width, blend['incoming.y'] * height);
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
