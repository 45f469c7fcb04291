/** What is seen of the inset over program at a moment. The numbers are those of core/Switching/Inset/Inset.php. */
import { trackAt } from './tracks';
import type { InsetTool, Rect, Registers } from './types';

export interface InsetLook {
  source: string;
  rect: Rect;
  /** 0 to 1 */
  opacity: number;
  /** of its corners and border: 1 in its place, 0 when it fills the canvas */
  trim: number;
}

type State = [x: number, y: number, width: number, opacity: number, trim: number];

const WHOLE = 1000;

function seen(registers: Registers, tool: InsetTool, canvas: number, now: number): State {
  const passed = registers.inset_since === null ? 1 : Math.max(0, Math.min(1, (now - Number(registers.inset_since)) / tool.travel_ms));
  const way = trackAt({ target: 'windows', property: 'way', keyframes: tool.curve }, passed);
  const part = (name: string): number => Number(registers[`inset_${name}`]);
  const was = [part('was_x'), part('was_y'), part('was_width'), part('was_opacity') / WHOLE, part('was_trim') / WHOLE];
  const is = registers.inset === 'full' ? [0, 0, canvas, 1, 0] : [part('x'), part('y'), part('width'), registers.inset === 'over' ? 1 : 0, 1];
  return was.map((from, i) => from + ((is[i] ?? from) - from) * way) as State;
}

/** How it is seen at a press, in whole pixels and thousandths, as the rules of the core name it. */
export function insetStanding(registers: Registers, tool: InsetTool, canvas: number, now: number): Record<string, number> {
  const [x, y, width, opacity, trim] = seen(registers, tool, canvas, now);
  return { seen_x: Math.round(x), seen_y: Math.round(y), seen_width: Math.round(width), seen_opacity: Math.round(opacity * WHOLE), seen_trim: Math.round(trim * WHOLE) };
}

export function insetAt(registers: Registers, tool: InsetTool, canvas: { width: number; height: number }, now: number): InsetLook | null {
  if (typeof registers.inset_source !== 'string') return null;
  const [x, y, width, opacity, trim] = seen(registers, tool, canvas.width, now);
  return opacity > 0 ? { source: registers.inset_source, rect: { x, y, width, height: (width * canvas.height) / canvas.width }, opacity, trim } : null;
}

/** Whether nothing beneath it is seen. */
export function insetFills(look: InsetLook | null, canvas: { width: number; height: number }): boolean {
  return look !== null && look.opacity >= 1 && look.rect.width >= canvas.width && look.rect.height >= canvas.height;
}
