/**
 * The fader: by hand, by key, by anything that travels between two ends. It
 * stands where the flight is; "way" of the desk says where it goes next. A
 * hand that takes hold of it moves it from where it is.
 */
import type { ShowSession } from '../session';

const WHOLE = 1000;
/** A press of a key moves it so far, of 1. */
const STEP = 0.05;
/** After the last press of a key the hand is off. */
const KEY_RESTS_MS = 500;

/** Where it stands: 0 at the bottom, 1 at the top. */
export function faderAt(session: ShowSession, now = performance.now()): number {
  const progress = session.store.progress(now) ?? 0;
  return session.store.registers(now).way === 'down' ? 1 - progress : progress;
}

/** Puts it somewhere, 0 at the bottom and 1 at the top. */
export function moveFader(session: ShowSession, to: number): void {
  const now = performance.now();
  const registers = session.store.registers(now);
  const picture = registers.flight === null ? registers.preview : registers.to;
  if (typeof picture !== 'string') return;
  const height = Math.max(0, Math.min(1, to));
  const position = Math.round(WHOLE * (registers.way === 'down' ? 1 - height : height));
  if (registers.flight === null && position === 0) return;
  const { kind, duration_ms } = session.store.takes;
  session.link.press('fade', { picture, position, holder: session.lease.id, transition: { kind, duration_ms } });
}

export function letGo(session: ShowSession): void {
  if (session.store.registers(performance.now()).holder === session.lease.id) session.link.press('let-go', { holder: session.lease.id });
}

/** Whether somebody else has it now. */
export function heldByAnother(session: ShowSession): string | null {
  const { holder, holder_until } = session.store.registers(performance.now());
  return typeof holder === 'string' && holder !== session.lease.id && performance.now() < Number(holder_until) ? holder : null;
}

let rests: ReturnType<typeof setTimeout> | undefined;

export function stepFader(session: ShowSession, way: 1 | -1): void {
  moveFader(session, faderAt(session) + way * STEP);
  clearTimeout(rests);
  rests = setTimeout(() => letGo(session), KEY_RESTS_MS);
}

let caught = false;
let last: number | null = null;

/** From a control surface, 0 to 1. It does nothing until it has met the fader, so that nothing jumps. */
export function travelFader(session: ShowSession, to: number): void {
  const at = faderAt(session);
  caught ||= WHOLE * Math.abs(to - at) < session.store.book.near || (last !== null && (last - at) * (to - at) < 0);
  last = to;
  if (caught) moveFader(session, to);
  clearTimeout(rests);
  rests = setTimeout(() => {
    caught = false;
    letGo(session);
  }, 4 * KEY_RESTS_MS);
}

/** The fader on the page: dragged from where it stands. */
export function bindFader(session: ShowSession, rail: HTMLElement): void {
  let hand: { pointer: number; y: number; from: number } | null = null;
  const length = (): number => rail.clientHeight - (rail.querySelector<HTMLElement>('[data-fader-knob]')?.offsetHeight ?? 0);
  rail.addEventListener('pointerdown', (event) => {
    if (!session.mayOperate) return;
    rail.setPointerCapture(event.pointerId);
    hand = { pointer: event.pointerId, y: event.clientY, from: faderAt(session) };
    rail.focus({ preventScroll: true });
    event.preventDefault();
  });
  rail.addEventListener('pointermove', (event) => {
    if (hand?.pointer === event.pointerId && length() > 0) moveFader(session, hand.from + (hand.y - event.clientY) / length());
  });
  for (const end of ['pointerup', 'pointercancel'] as const) {
    rail.addEventListener(end, () => {
      if (hand) letGo(session);
      hand = null;
    });
  }
  rail.addEventListener('keydown', (event) => {
    const to = { Home: 0, End: 1 }[event.key];
    if (to === undefined || !session.mayOperate) return;
    moveFader(session, to);
    letGo(session);
    event.preventDefault();
  });
}
