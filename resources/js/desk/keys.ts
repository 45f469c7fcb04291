/** The keyboard as a desk: a card's place is its key. Silent while somebody types. */
import type { ShowSession } from '../session';
import { toggleScreens, turnPage } from '../pages/handling';
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

/** A presentation clicker turns the deck that the audience sees, else the one that is next, else the first. */
function clicker(session: ShowSession, by: number): void {
  const decks = Object.keys(session.store.book.sources).filter((id) => session.store.book.sources[id]?.deck);
  const tally = session.store.tally(performance.now()).sources;
  const deck = decks.find((id) => tally[id] === 'program') ?? decks.find((id) => tally[id] === 'preview') ?? decks[0];
  if (deck !== undefined) turnPage(session, deck, by);
}

export function listenToKeys(session: ShowSession): void {
  addEventListener('keydown', (event) => {
    if (event.ctrlKey || event.metaKey || event.altKey || event.repeat || isTyping(event.target) || !session.mayOperate) return;
    if (document.querySelector('[data-desk]') === null) return;
    if (event.code === 'KeyK') cut(session);
    else if (event.code === 'KeyL') take(session);
    else if (event.code === 'Semicolon') toggleCover(session);
    else if (event.code === 'Period') toggleScreens(session);
    else if (event.code === 'PageDown' || event.code === 'PageUp') clicker(session, event.code === 'PageDown' ? 1 : -1);
    else {
      const key = placeOf(event.code);
      const picture = Object.entries(session.store.book.pictures).find(([, page]) => page.key === key && key !== null)?.[0];
      if (picture === undefined) return;
      session.link.press(event.shiftKey ? 'direct' : 'arm', { picture });
    }
    event.preventDefault();
  });
}
