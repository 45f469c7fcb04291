/** Paints a frame plan of the core on a canvas. */
import type { Card, FramePlan, Layer } from '../plan/types';

export type Context = CanvasRenderingContext2D | OffscreenCanvasRenderingContext2D;

export interface Image {
  image: CanvasImageSource;
  /** pixels of the image as it is now, whatever the source's own size */
  width: number;
  height: number;
}

/** The image of a source at this moment; null where its placeholder has to stand in. */
export type ImageOf = (source: string) => Image | null;

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

function paintLayer(context: Context, layer: Layer, imageOf: ImageOf): void {
  const { dest, crop } = layer;
  if (layer.card) {
    context.save();
    context.translate(dest.x, dest.y);
    paintCard(context, layer.card, dest.width, dest.height);
    context.restore();
    return;
  }
  const image = layer.source === null ? null : imageOf(layer.source);
  if (!image) return;
  context.drawImage(
    image.image,
    crop.x * image.width,
    crop.y * image.height,
    crop.width * image.width,
    crop.height * image.height,
    dest.x,
    dest.y,
    dest.width,
    dest.height,
  );
}

/** Whether the lowest layer already fills the canvas, so that nothing need be cleared. */
function fillsCanvas(plan: FramePlan): boolean {
  const first = plan.layers[0];
  return (
    first !== undefined && first.opacity >= 1 && first.dest.x <= 0 && first.dest.y <= 0 && first.dest.width >= plan.canvas.width && first.dest.height >= plan.canvas.height
  );
}

/** Paints the plan into the whole of a canvas of any size, flat, with this opacity over what is there. */
export function paintPlan(context: Context, plan: FramePlan, width: number, height: number, imageOf: ImageOf): void {
  context.save();
  context.setTransform(width / plan.canvas.width, 0, 0, height / plan.canvas.height, 0, 0);
  if (!fillsCanvas(plan)) {
    context.fillStyle = plan.background;
    context.fillRect(0, 0, plan.canvas.width, plan.canvas.height);
  }
  for (const layer of plan.layers) {
    context.globalAlpha = layer.opacity;
    paintLayer(context, layer, imageOf);
  }
  context.restore();
}
