/** A box over a picture, held by its edges, its corners or its middle. All in fractions of the picture. */
import type { Edges } from './scene';

export interface Cut {
  left: number;
  top: number;
  right: number;
  bottom: number;
}

/** "left", "top right", "middle": which edges go with the pointer. */
export type Hold = string;

const LEAST = 0.02;

function limited(value: number, least: number, most: number): number {
  return Math.max(least, Math.min(most, value));
}

/** The box after its hold was moved by so much. */
export function moved(cut: Cut, hold: Hold, dx: number, dy: number): Cut {
  if (hold === 'middle') {
    const x = limited(dx, -cut.left, cut.right);
    const y = limited(dy, -cut.top, cut.bottom);
    return { left: cut.left + x, right: cut.right - x, top: cut.top + y, bottom: cut.bottom - y };
  }
  return {
    left: hold.includes('left') ? limited(cut.left + dx, 0, 1 - cut.right - LEAST) : cut.left,
    right: hold.includes('right') ? limited(cut.right - dx, 0, 1 - cut.left - LEAST) : cut.right,
    top: hold.includes('top') ? limited(cut.top + dy, 0, 1 - cut.bottom - LEAST) : cut.top,
    bottom: hold.includes('bottom') ? limited(cut.bottom - dy, 0, 1 - cut.top - LEAST) : cut.bottom,
  };
}

/** Follows the pointer until it is let go. */
export function drag(event: PointerEvent, width: number, height: number, follow: (dx: number, dy: number) => void, done: () => void): void {
  const { currentTarget: handle, clientX, clientY, pointerId } = event;
  if (!(handle instanceof HTMLElement)) return;
  event.preventDefault();
  event.stopPropagation();
  handle.focus({ preventScroll: true });
  handle.setPointerCapture(pointerId);
  const move = (at: PointerEvent): void => follow((at.clientX - clientX) / width, (at.clientY - clientY) / height);
  const end = (): void => {
    handle.removeEventListener('pointermove', move);
    done();
  };
  handle.addEventListener('pointermove', move);
  handle.addEventListener('pointerup', end, { once: true });
  handle.addEventListener('pointercancel', end, { once: true });
}

const ARROWS: Record<string, [number, number]> = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] };

/** A pixel by an arrow key, ten with Shift. */
export function nudge(event: KeyboardEvent): [number, number] | null {
  const step = ARROWS[event.key];
  if (!step) return null;
  event.preventDefault();
  event.stopPropagation();
  const far = event.shiftKey ? 10 : 1;
  return [step[0] * far, step[1] * far];
}

export function cutOf({ left, top, right, bottom, width, height }: Edges): Cut {
  return { left: left / width, right: right / width, top: top / height, bottom: bottom / height };
}

export function edgesOf(cut: Cut, { width, height }: Edges): Omit<Edges, 'width' | 'height'> {
  return { left: Math.round(cut.left * width), right: Math.round(cut.right * width), top: Math.round(cut.top * height), bottom: Math.round(cut.bottom * height) };
}
