/** Puts colours right and takes backings out, beside the painter, so that a slow frame of one source never holds up program. */
import type { LookPlan } from '../plan/types';
import { applyLook, measureMatte, type Matte, type Pixels } from './look';

export interface Wanted {
  slot: string;
  bitmap: ImageBitmap;
  /** given when it has changed */
  look?: LookPlan;
  /** whether the matte shall be measured in this frame */
  measure: boolean;
}

export interface Treated {
  slot: string;
  bitmap: ImageBitmap;
  matte: Matte | null;
  /** milliseconds that this frame took here */
  took: number;
}

interface Place {
  canvas: OffscreenCanvas;
  context: OffscreenCanvasRenderingContext2D;
  look: LookPlan | null;
}

const places = new Map<string, Place>();

function placeOf(slot: string): Place {
  const known = places.get(slot);
  if (known) return known;
  const canvas = new OffscreenCanvas(1, 1);
  const context = canvas.getContext('2d', { willReadFrequently: true });
  if (!context) throw new Error('No canvas to work on a frame.');
  const place = { canvas, context, look: null };
  places.set(slot, place);
  return place;
}

onmessage = (event: MessageEvent<Wanted | { forget: string }>) => {
  if ('forget' in event.data) {
    places.delete(event.data.forget);
    return;
  }
  const began = performance.now();
  const { slot, bitmap, look, measure } = event.data;
  const place = placeOf(slot);
  if (look) place.look = look;
  const { canvas, context } = place;
  const { width, height } = bitmap;
  if (canvas.width !== width || canvas.height !== height) {
    canvas.width = width;
    canvas.height = height;
  }
  context.globalCompositeOperation = 'copy';
  context.drawImage(bitmap, 0, 0);
  bitmap.close();
  let matte: Matte | null = null;
  if (place.look) {
    const data = context.getImageData(0, 0, width, height);
    const pixels: Pixels = new Uint32Array(data.data.buffer);
    applyLook(pixels, width, height, place.look);
    if (measure && place.look.key) matte = measureMatte(pixels, width, height, place.look.key.inside);
    context.putImageData(data, 0, 0);
  }
  const treated: Treated = { slot, bitmap: canvas.transferToImageBitmap(), matte, took: performance.now() - began };
  postMessage(treated, { transfer: [treated.bitmap] });
};
