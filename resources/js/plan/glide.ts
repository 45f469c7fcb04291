/**
 * Windows on their way from one picture to another: straight lines between the
 * places of layers that have the same glide key. core/Switching/Transition/Glide.php
 * computes the same numbers, and says why both pictures are mixed.
 */
import type { Frame, FramePlan, Layer, Rect } from './types';

export function glideAt(outgoing: FramePlan, incoming: FramePlan, way: number): [FramePlan, FramePlan] {
  return [travelled(outgoing, incoming, way), travelled(incoming, outgoing, 1 - way)];
}

function travelled(plan: FramePlan, other: FramePlan, way: number): FramePlan {
  const there = new Map(other.layers.map((layer) => [layer.glide, layer]));
  const layers = plan.layers.map((layer) => {
    const to = there.get(layer.glide);
    return to ? between(layer, to, way) : layer;
  });
  return { ...plan, layers };
}

function between(layer: Layer, other: Layer, way: number): Layer {
  const sameWay = layer.turn === other.turn && layer.mirror === other.mirror;
  return {
    ...layer,
    dest: middle(layer.dest, other.dest, way),
    crop: sameWay ? middle(layer.crop, other.crop, way) : layer.crop,
    frame: frameBetween(layer, other, way),
  };
}

function frameBetween(layer: Layer, other: Layer, way: number): Frame | null {
  if (!layer.frame && !other.frame) return null;
  const own: Frame = layer.frame ?? { outline: { ...layer.dest, radius: 0 }, border: 0, border_colour: '#000000', shadow: 0, shade: 0 };
  const outline = other.frame?.outline ?? { ...other.dest, radius: 0 };
  const rect = middle(own.outline, outline, way);
  const radius = Math.max(0, Math.min(own.outline.radius + (outline.radius - own.outline.radius) * way, rect.width / 2, rect.height / 2));
  return { ...own, outline: { ...rect, radius } };
}

function middle(from: Rect, to: Rect, way: number): Rect {
  const at = (side: keyof Rect): number => from[side] + (to[side] - from[side]) * way;
  return { x: at('x'), y: at('y'), width: at('width'), height: at('height') };
}
