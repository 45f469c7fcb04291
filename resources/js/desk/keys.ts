/** The keyboard as a desk: a card's place is its key. Silent while somebody types. */
import type { ShowSession } from '../session';
import { cut, take, toggleCover } from './actions';

function isTyping(target: EventTarget | null): boolean {
  if (!(target instanceof HTMLElement)) return false;
  if (target.isContentEditable || target instanceof HTMLTextAreaElement || target instanceof HTMLSelectElement) return true;
  return target instanceof HTMLInputElement && !['checkbox', 'radio', 'button', 'submit'].includes(target.type);
}

/** The place of a key on the keyboard, whatever letter a layout puts there. */
function placeOf(code: string): string | null {
  return /^(?:Key([A-Z])|Digit(\d))$/.exec(code)?.slice(1).find(Boolean) ?? null;
}

export function listenToKeys(session: ShowSession): void {
  addEventListener('keydown', (event) => {
    if (event.ctrlKey || event.metaKey || event.altKey || event.repeat || isTyping(event.target) || !session.mayOperate) return;
    if (document.querySelector('[data-desk]') === null) return;
    if (event.code === 'KeyK') cut(session);
    else if (event.code === 'KeyL') take(session);
    else if (event.code === 'Semicolon') toggleCover(session);
    else {
      const key = placeOf(event.code);
      const picture = Object.entries(session.store.book.pictures).find(([, page]) => page.key === key && key !== null)?.[0];
      if (picture === undefined) return;
      session.link.press(event.shiftKey ? 'direct' : 'arm', { picture });
    }
    event.preventDefault();
  });
}
