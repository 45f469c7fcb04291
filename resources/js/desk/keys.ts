/** The keyboard as a desk: a card's place is its key, unless the person says otherwise. Silent while somebody types. */
import { controls } from '../control/controls';
import type { ShowSession } from '../session';
import { perform } from './actions';

const REPEATS = ['fader-up', 'fader-down'];

export function isTyping(target: EventTarget | null): boolean {
  if (!(target instanceof HTMLElement)) return false;
  if (target.isContentEditable || target instanceof HTMLTextAreaElement || target instanceof HTMLSelectElement) return true;
  return target instanceof HTMLInputElement && !['checkbox', 'radio', 'button', 'submit'].includes(target.type);
}

export function listenToKeys(session: ShowSession): void {
  addEventListener('keydown', (event) => {
    if (event.ctrlKey || event.metaKey || event.altKey || isTyping(event.target) || !session.mayOperate) return;
    if (document.querySelector('[data-desk]') === null) return;
    const action = controls.actionOfKey(event.code, event.shiftKey);
    if (action === undefined || (event.repeat && !REPEATS.includes(action))) return;
    if (perform(session, action)) event.preventDefault();
  });
}
