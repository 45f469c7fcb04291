/** Every action of the desk by its name; core/Control/DeskActions.php lists them. Each press says what it wants, as this screen shows it. */
import { toggleScreens, turnPage } from '../pages/handling';
import { say } from '../pages/say';
import type { ShowSession } from '../session';
import { stepFader, travelFader } from './fader';
import { insetNextCorner, setInset, sizeInset } from './inset';

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

export function take(session: ShowSession, { kind, duration_ms } = session.store.takes): void {
  const picture = next(session);
  if (picture !== null) session.link.press('take', { picture, transition: { kind, duration_ms } });
}

export function takeFavourite(session: ShowSession, place: number): void {
  const favourite = session.store.favourites[place - 1];
  if (favourite) take(session, favourite);
  else say(`There is no transition ${place} in the row yet.`);
}

export function toggleCover(session: ShowSession): void {
  session.link.press(session.store.registers(performance.now()).covered === true ? 'uncover' : 'cover');
}

/** The last program that is still in the show is next again. */
function lastProgram(session: ShowSession): void {
  const picture = session.store.past.find((id) => session.store.book.pictures[id]);
  if (picture === undefined) say('There was no other program yet.');
  else session.link.press('arm', { picture });
}

/** A presentation clicker turns the deck that the audience sees, else the one that is next, else the first. */
function clicker(session: ShowSession, by: number): void {
  const decks = Object.keys(session.store.book.sources).filter((id) => session.store.book.sources[id]?.deck);
  const tally = session.store.tally(performance.now()).sources;
  const deck = decks.find((id) => tally[id] === 'program') ?? decks.find((id) => tally[id] === 'preview') ?? decks[0];
  if (deck !== undefined) turnPage(session, deck, by);
}

function card(session: ShowSession, place: string, type: 'arm' | 'direct'): void {
  const picture = Object.entries(session.store.book.pictures).find(([, page]) => page.key === place)?.[0];
  if (picture !== undefined) session.link.press(type, { picture });
}

const ACTIONS: Record<string, (session: ShowSession, to: number) => void> = {
  take: (session) => take(session),
  cut,
  back: (session) => session.link.press('back'),
  fader: travelFader,
  'fader-up': (session) => stepFader(session, 1),
  'fader-down': (session) => stepFader(session, -1),
  cover: toggleCover,
  unarm: (session) => session.link.press('unarm'),
  'last-program': lastProgram,
  'inset-full': (session) => setInset(session, 'full'),
  'inset-over': (session) => setInset(session, 'over'),
  'inset-off': (session) => setInset(session, 'off'),
  'inset-larger': (session) => sizeInset(session, 1),
  'inset-smaller': (session) => sizeInset(session, -1),
  'inset-corner': insetNextCorner,
  'page-next': (session) => clicker(session, 1),
  'page-back': (session) => clicker(session, -1),
  'blank-screens': toggleScreens,
};

/** Does what an action is called. @param to of something that travels, 0 to 1; 1 for a press. False for a name that is not known. */
export function perform(session: ShowSession, name: string, to = 1): boolean {
  const [, kind, place] = /^(arm|direct|favourite)-(\w)$/.exec(name) ?? [];
  if (kind === 'favourite') takeFavourite(session, Number(place));
  else if (kind === 'arm' || kind === 'direct') card(session, place ?? '', kind);
  else if (ACTIONS[name]) ACTIONS[name](session, to);
  else return false;
  return true;
}
