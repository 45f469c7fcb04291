/** The inset is dragged on program itself, with the mouse or a finger; two fingers or the wheel change its size. */
import type { ShowSession } from '../session';
import { placeInset } from './inset';

interface Hand {
  x: number;
  y: number;
}

export function bindInsetDrag(session: ShowSession, root: HTMLElement): void {
  const slot = root.querySelector<HTMLElement>('[data-program-slot]');
  if (!slot) return;
  const hands = new Map<number, Hand>();
  let moved = false;
  const { width, height } = session.store.book.canvas;
  const canvasOf = ({ clientX, clientY }: PointerEvent | WheelEvent): Hand => {
    const box = slot.getBoundingClientRect();
    // Program stands in the middle of its box.
    const scale = Math.min(box.width / width, box.height / height);
    return { x: (clientX - box.left - box.width / 2) / scale + width / 2, y: (clientY - box.top - box.height / 2) / scale + height / 2 };
  };
  const place = (): { x: number; y: number; width: number; height: number } => {
    // Where it is seen: a hand may take hold of it while it travels.
    const seen = session.store.inset(performance.now());
    if (seen) return seen.rect;
    const { inset_x, inset_y, inset_width } = session.store.registers(performance.now());
    return { x: Number(inset_x), y: Number(inset_y), width: Number(inset_width), height: (Number(inset_width) * height) / width };
  };
  const isOver = (): boolean => session.mayOperate && session.store.registers(performance.now()).inset === 'over';
  const hits = ({ x, y }: Hand): boolean => {
    const rect = place();
    return x >= rect.x && y >= rect.y && x <= rect.x + rect.width && y <= rect.y + rect.height;
  };
  const move = (x: number, y: number, wide: number): void => {
    const { narrowest } = session.store.book.inset;
    moved = true;
    const w = Math.max(narrowest, Math.min(width, wide));
    placeInset(session, { x: Math.max(0, Math.min(width - w, x)), y: Math.max(0, Math.min(height - (w * height) / width, y)), width: w }, true);
  };
  const spread = (): number => {
    const [a, b] = [...hands.values()];
    return a && b ? Math.hypot(a.x - b.x, a.y - b.y) : 0;
  };

  slot.style.touchAction = 'none';
  slot.addEventListener('pointerdown', (event) => {
    const at = canvasOf(event);
    if (!isOver() || (hands.size === 0 && !hits(at))) return;
    slot.setPointerCapture(event.pointerId);
    hands.set(event.pointerId, at);
    event.preventDefault();
  });
  slot.addEventListener('pointermove', (event) => {
    const before = hands.get(event.pointerId);
    const at = canvasOf(event);
    slot.style.cursor = isOver() && hits(at) ? 'move' : '';
    if (!before || !isOver()) return;
    const rect = place();
    const apart = spread();
    hands.set(event.pointerId, at);
    if (hands.size === 1) {
      move(rect.x + at.x - before.x, rect.y + at.y - before.y, rect.width);
      return;
    }
    const wide = apart > 0 ? (rect.width * spread()) / apart : rect.width;
    move(rect.x + (rect.width - wide) / 2, rect.y + ((rect.width - wide) * height) / width / 2, wide);
  });
  for (const end of ['pointerup', 'pointercancel'] as const) {
    slot.addEventListener(end, (event) => {
      if (!hands.delete(event.pointerId) || hands.size > 0 || !moved) return;
      moved = false;
      // The last place is a line of the as-run list.
      const { x, y, width: wide } = place();
      session.link.press('inset.place', { x, y, width: wide, ended: true });
    });
  }
  slot.addEventListener('wheel', (event) => {
    if (!isOver() || !hits(canvasOf(event))) return;
    event.preventDefault();
    const rect = place();
    const wide = rect.width * (event.deltaY < 0 ? 1.06 : 1 / 1.06);
    move(rect.x + (rect.width - wide) / 2, rect.y + ((rect.width - wide) * height) / width / 2, wide);
  }, { passive: false });
}
