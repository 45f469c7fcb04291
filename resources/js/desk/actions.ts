/** The live presses of the desk. Each says what it wants, as this screen shows it. */
import { say } from '../pages/say';
import type { ShowSession } from '../session';

function next(session: ShowSession): string | null {
  const { preview } = session.store.registers(performance.now());
  if (typeof preview === 'string') return preview;
  say('Nothing is next. Press a picture first.');
  return null;
}

export function cut(session: ShowSession): void {
  const picture = next(session);
  if (picture !== null) session.link.press('cut', { picture });
}

export function take(session: ShowSession): void {
  const picture = next(session);
  const { kind, duration_ms } = session.store.chosen;
  if (picture !== null) session.link.press('take', { picture, transition: { kind, duration_ms } });
}

export function toggleCover(session: ShowSession): void {
  session.link.press(session.store.registers(performance.now()).covered === true ? 'uncover' : 'cover');
}
