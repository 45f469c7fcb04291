/**
 * The plan while a window is held: its layers go along with the pointer until
 * the core's own plan arrives, a few hundredths of a second later.
 */
import type { FramePlan, Layer, Rect } from '../../plan/types';

export function withWindowAt(plan: FramePlan, slot: string, from: Rect, to: Rect): FramePlan {
  const across = to.width / from.width;
  const down = to.height / from.height;
  const moved = (rect: Rect): Rect => ({ x: to.x + (rect.x - from.x) * across, y: to.y + (rect.y - from.y) * down, width: rect.width * across, height: rect.height * down });
  const layers = plan.layers.map((layer): Layer => {
    if (layer.key !== slot && layer.key !== `${slot} behind`) return layer;
    const { frame } = layer;
    return { ...layer, dest: moved(layer.dest), frame: frame && { ...frame, outline: { ...moved(frame.outline), radius: frame.outline.radius * Math.min(across, down) } } };
  });
  return { ...plan, layers };
}
