/** Paints one moment of a transition between two pictures, as core/Switching/Transition says. */
import { glideAt } from '../plan/glide';
import { blendAt } from '../plan/tracks';
import type { FramePlan, TransitionPlan } from '../plan/types';
import { isOneSheet, paintPlan, type Context, type ImageOf } from './frame';
import { paintWipe, within } from './wipe';

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
  const reveal = shows && edge !== null && edge < 1 ? plan.reveal : null;
  const paint = {
    leaving: (to: Context): void => paintPlan(to, leaving, width, height, imageOf, outX, outY),
    coming: (to: Context): void => paintPlan(to, coming, width, height, imageOf),
  };
  if (reveal) paintWipe(context, flat, reveal, edge ?? 0, paint);
  else {
    if (!shows || opacity < 1 || x !== 0 || y !== 0) paint.leaving(context);
    if (shows && (opacity >= 1 || isOneSheet(coming, imageOf))) {
      within(context, { x, y, width, height }, () => paintPlan(context, coming, width, height, imageOf, x, y, opacity));
    } else if (shows) {
      paint.coming(flat.context);
      context.globalAlpha = opacity;
      context.drawImage(flat.canvas, x, y);
      context.globalAlpha = 1;
    }
  }
  if (blend['colour.opacity'] > 0 && plan.colour !== null) {
    context.globalAlpha = blend['colour.opacity'];
    context.fillStyle = plan.colour;
    context.fillRect(0, 0, width, height);
    context.globalAlpha = 1;
  }
}
