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

type State = [x: number, y: number, width: number, height: number, opacity: number, trim: number];

function stateOf(registers: Registers, name: string, { width, height }: { width: number; height: number }): State {
  if (registers[name] === 'full') return [0, 0, width, height, 1, 0];
  const [x, y, w] = ['x', 'y', 'width'].map((part) => Number(registers[`${name}_${part}`])) as [number, number, number];
  return [x, y, w, (w * height) / width, registers[name] === 'over' ? 1 : 0, 1];
}

export function insetAt(registers: Registers, tool: InsetTool, canvas: { width: number; height: number }, now: number): InsetLook | null {
  if (typeof registers.inset_source !== 'string' || (registers.inset === 'off' && registers.inset_was === 'off')) return null;
  const passed = registers.inset_since === null ? 1 : Math.max(0, Math.min(1, (now - Number(registers.inset_since)) / tool.travel_ms));
  const way = trackAt({ target: 'windows', property: 'way', keyframes: tool.curve }, passed);
  const [was, is] = [stateOf(registers, 'inset_was', canvas), stateOf(registers, 'inset', canvas)];
  const [x, y, width, height, opacity, trim] = was.map((from, i) => from + ((is[i] ?? from) - from) * way) as State;
  return opacity > 0 ? { source: registers.inset_source, rect: { x, y, width, height }, opacity, trim } : null;
}

/** Whether nothing beneath it is seen. */
export function insetFills(look: InsetLook | null, canvas: { width: number; height: number }): boolean {
  return look !== null && look.opacity >= 1 && look.rect.width >= canvas.width && look.rect.height >= canvas.height;
}
