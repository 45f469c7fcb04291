/** Paints a frame plan of the core on a canvas. */
import type { Card, FramePlan, Layer, Patch, Rect, SourceEntry } from '../plan/types';
import { cutTo, drawBorder, drawShadow } from './outline';

export type Context = CanvasRenderingContext2D | OffscreenCanvasRenderingContext2D;

export interface Image {
  image: CanvasImageSource;
  /** pixels of the image as it is now, whatever the source's own size */
  width: number;
  height: number;
  /** a card that stands in for the source: shown whole and upright, on this ground, however the source is framed */
  ground?: string;
}

/** The image of a source at this moment; null where its placeholder has to stand in. */
export type ImageOf = (source: string) => Image | null;

/** Whether what lies behind a source may be seen through it. */
export function letsThrough(source: SourceEntry | undefined): boolean {
  return source?.kind === 'still' || (source?.look?.key ?? null) !== null;
}

const FONT = '"Source Sans 3 Variable", "Source Sans 3", sans-serif';

export function paintCard(context: Context, card: Card, width: number, height: number): void {
  context.save();
  context.scale(width / card.width, height / card.height);
  context.fillStyle = card.ground;
  context.fillRect(0, 0, card.width, card.height);
  context.fillStyle = card.ink;
  context.textAlign = 'center';
  context.textBaseline = 'middle';
  for (const line of card.lines) {
    context.font = `${line.weight} ${line.size}px ${FONT}`;
    context.fillText(line.text, line.x, line.y, line.width);
  }
  context.restore();
}

/** Colours and test pictures. */
export function paintPatches(context: Context, patches: Patch[]): void {
  for (const { x, y, width, height, colour, to } of patches) {
    if (to === null) context.fillStyle = colour;
    else {
      const ramp = context.createLinearGradient(x, 0, x + width, 0);
      ramp.addColorStop(0, colour);
      ramp.addColorStop(1, to);
      context.fillStyle = ramp;
    }
    context.fillRect(x, y, width, height);
  }
}

export function paintLayer(context: Context, layer: Layer, imageOf: ImageOf): void {
  const { frame } = layer;
  if (!frame) {
    paintInside(context, layer, imageOf);
    return;
  }
  drawShadow(context, frame);
  context.save();
  cutTo(context, frame.outline);
  paintInside(context, layer, imageOf);
  context.restore();
  drawBorder(context, frame);
}

function paintInside(context: Context, layer: Layer, imageOf: ImageOf): void {
  const { dest, crop } = layer;
  if (layer.card) {
    context.save();
    context.translate(dest.x, dest.y);
    paintCard(context, layer.card, dest.width, dest.height);
    context.restore();
    return;
  }
  if (layer.fill !== null) {
    context.fillStyle = layer.fill;
    context.fillRect(dest.x, dest.y, dest.width, dest.height);
    return;
  }
  const image = layer.source === null ? null : imageOf(layer.source);
  if (!image) return;
  if (image.ground !== undefined) return paintUpright(context, image, image.ground, dest);
  const part = [crop.x * image.width, crop.y * image.height, crop.width * image.width, crop.height * image.height] as const;
  if (layer.turn === 0 && !layer.mirror) {
    context.drawImage(image.image, ...part, dest.x, dest.y, dest.width, dest.height);
    return;
  }
  context.save();
  context.translate(dest.x + dest.width / 2, dest.y + dest.height / 2);
  if (layer.mirror) context.scale(-1, 1);
  context.rotate((layer.turn * Math.PI) / 2);
  const [width, height] = layer.turn % 2 === 0 ? [dest.width, dest.height] : [dest.height, dest.width];
  context.drawImage(image.image, ...part, -width / 2, -height / 2, width, height);
  context.restore();
}

function paintUpright(context: Context, { image, width, height }: Image, ground: string, dest: Rect): void {
  context.fillStyle = ground;
  context.fillRect(dest.x, dest.y, dest.width, dest.height);
  const scale = Math.min(dest.width / width, dest.height / height);
  context.drawImage(image, dest.x + (dest.width - width * scale) / 2, dest.y + (dest.height - height * scale) / 2, width * scale, height * scale);
}

/** Whether the lowest layer already fills the canvas, so that nothing need be cleared. */
function fillsCanvas(plan: FramePlan): boolean {
  const first = plan.layers[0];
  return (
    first !== undefined && !first.frame && first.opacity >= 1 && !first.lets_through && first.dest.x <= 0 && first.dest.y <= 0 && first.dest.width >= plan.canvas.width && first.dest.height >= plan.canvas.height
  );
}

/** Paints the plan into the middle of a canvas of another shape. */
export function paintFitted(context: Context, plan: FramePlan, width: number, height: number, imageOf: ImageOf): void {
  const scale = Math.min(width / plan.canvas.width, height / plan.canvas.height);
  const [w, h] = [Math.round(plan.canvas.width * scale), Math.round(plan.canvas.height * scale)];
  const [x, y] = [Math.round((width - w) / 2), Math.round((height - h) / 2)];
  context.clearRect(0, 0, width, height);
  context.save();
  context.beginPath();
  context.rect(x, y, w, h);
  context.clip();
  paintPlan(context, plan, w, h, imageOf, x, y);
  context.restore();
}

/** Whether a plan is one picture all over, which can be painted half transparent as it is. */
export function isOneSheet(plan: FramePlan, imageOf: ImageOf): boolean {
  const [layer, ...more] = plan.layers;
  if (!layer || more.length > 0 || layer.card !== null || !fillsCanvas(plan)) return false;
  const image = layer.source === null ? null : imageOf(layer.source);
  return layer.fill !== null || (image !== null && image.ground === undefined);
}

/** Paints the plan into the whole of a canvas of any size, or so many of its pixels aside; alpha is for one sheet. */
export function paintPlan(context: Context, plan: FramePlan, width: number, height: number, imageOf: ImageOf, x = 0, y = 0, alpha = 1): void {
  context.save();
  context.setTransform(width / plan.canvas.width, 0, 0, height / plan.canvas.height, x, y);
  if (!fillsCanvas(plan)) {
    context.fillStyle = plan.background;
    context.fillRect(0, 0, plan.canvas.width, plan.canvas.height);
  }
  for (const layer of plan.layers) {
    context.globalAlpha = alpha * layer.opacity;
    paintLayer(context, layer, imageOf);
  }
  context.restore();
}
