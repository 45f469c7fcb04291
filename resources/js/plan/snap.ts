/**
 * Where a window comes to rest while the pointer moves: looked up in the lines
 * that the core sent ahead. core/Layout/Snap/Snap.php computes the same; at
 * the drop its answer counts.
 */
import type { Rect } from './types';

export interface Target {
  at: number;
  takes: ('start' | 'centre' | 'end')[];
  why: string;
  from: number;
  to: number;
}

export interface Targets {
  x: Target[];
  y: Target[];
}

export interface Guide {
  axis: 'x' | 'y';
  at: number;
  why: string;
  from: number;
  to: number;
}

export interface Snapped {
  rect: Rect;
  guides: Guide[];
}

export type Hold = 'middle' | 'left' | 'right' | 'top' | 'bottom' | 'top left' | 'top right' | 'bottom left' | 'bottom right';

type Found = { target: Target; way: number } | null;

function nearest(targets: Target[], lines: Partial<Record<'start' | 'centre' | 'end', number>>, reach: number): Found {
  let found: Found = null;
  for (const target of targets) {
    for (const take of target.takes) {
      const line = lines[take];
      if (line === undefined) continue;
      const way = target.at - line;
      if (Math.abs(way) <= reach && (found === null || Math.abs(way) < Math.abs(found.way))) found = { target, way };
    }
  }
  return found;
}

/** Rounds halves away from zero, as PHP does. */
function round(value: number, digits = 0): number {
  const scale = 10 ** digits;
  return (Math.sign(value) * Math.round(Math.abs(value) * scale)) / scale;
}

export function snapped(start: Rect, hold: Hold, dx: number, dy: number, ratio: number | null, least: number, targets: Targets, reach: number): Snapped {
  return hold === 'middle' ? moved(start, dx, dy, targets, reach) : resized(start, hold, dx, dy, ratio, least, targets, reach);
}

function moved(start: Rect, dx: number, dy: number, targets: Targets, reach: number): Snapped {
  const [x, y] = [start.x + dx, start.y + dy];
  const across = nearest(targets.x, { start: x, centre: x + start.width / 2, end: x + start.width }, reach);
  const down = nearest(targets.y, { start: y, centre: y + start.height / 2, end: y + start.height }, reach);
  const rect = { ...start, x: across ? x + across.way : round(x), y: down ? y + down.way : round(y) };
  return { rect, guides: guidesOf(rect, across, down) };
}

function resized(start: Rect, hold: Hold, dx: number, dy: number, ratio: number | null, least: number, targets: Targets, reach: number): Snapped {
  const h = hold.includes('left') ? -1 : hold.includes('right') ? 1 : 0;
  const v = hold.includes('top') ? -1 : hold.includes('bottom') ? 1 : 0;
  let width = Math.max(least, start.width + h * dx);
  let height = Math.max(least, start.height + v * dy);
  if (ratio !== null) {
    if (h === 0 || (v !== 0 && height * ratio > width)) width = height * ratio;
    height = width / ratio;
  }
  let rect = held(start, h, v, width, height);
  let across = h === 0 ? null : nearest(targets.x, h < 0 ? { start: rect.x } : { end: rect.x + rect.width }, reach);
  let down = v === 0 ? null : nearest(targets.y, v < 0 ? { start: rect.y } : { end: rect.y + rect.height }, reach);
  if (ratio !== null && across && down) {
    if (Math.abs(across.way) <= Math.abs(down.way)) down = null;
    else across = null;
  }
  width = Math.max(least, across ? width + h * across.way : round(width));
  height = Math.max(least, down ? height + v * down.way : round(height));
  if (ratio !== null) {
    if (down || (!across && h === 0)) width = round(height * ratio, 2);
    if (!down) height = round(width / ratio, 2);
  }
  rect = held(start, h, v, width, height);
  return { rect, guides: guidesOf(rect, across, down) };
}

function held(start: Rect, h: number, v: number, width: number, height: number): Rect {
  return {
    x: h < 0 ? start.x + start.width - width : h > 0 ? start.x : start.x + (start.width - width) / 2,
    y: v < 0 ? start.y + start.height - height : v > 0 ? start.y : start.y + (start.height - height) / 2,
    width,
    height,
  };
}

function guidesOf(rect: Rect, across: Found, down: Found): Guide[] {
  const guides: Guide[] = [];
  if (across) guides.push({ axis: 'x', at: across.target.at, why: across.target.why, from: Math.min(across.target.from, rect.y), to: Math.max(across.target.to, rect.y + rect.height) });
  if (down) guides.push({ axis: 'y', at: down.target.at, why: down.target.why, from: Math.min(down.target.from, rect.x), to: Math.max(down.target.to, rect.x + rect.width) });
  return guides;
}
