/** Follows one or two fingers, or a mouse, from a press until it is let go. */

export interface Pull {
  /** fractions of the stage */
  dx: number;
  dy: number;
}

export function follow(event: PointerEvent, stage: HTMLElement, move: (pull: Pull) => void, done: (pull: Pull | null) => void): void {
  const box = stage.getBoundingClientRect();
  const { pointerId, clientX, clientY } = event;
  let pull: Pull | null = null;
  const moved = (at: PointerEvent): void => {
    if (at.pointerId !== pointerId) return;
    pull = { dx: (at.clientX - clientX) / box.width, dy: (at.clientY - clientY) / box.height };
    move(pull);
  };
  const end = (at: PointerEvent): void => {
    if (at.pointerId !== pointerId) return;
    for (const [name, listener] of [['pointermove', moved], ['pointerup', end], ['pointercancel', end]] as const) removeEventListener(name, listener);
    done(at.type === 'pointercancel' ? null : pull); // the browser took the finger away: nothing was meant
  };
  addEventListener('pointermove', moved);
  addEventListener('pointerup', end);
  addEventListener('pointercancel', end);
}
