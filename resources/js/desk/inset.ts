/** The presses for the inset over program. Places come from the core. */
import { say } from '../pages/say';
import type { Rect } from '../plan/types';
import type { ShowSession } from '../session';

type Mode = 'off' | 'over' | 'full';

/** Whom it shows: who was chosen last, else whom the core proposes. */
function sourceOf({ store }: ShowSession): string | null {
  const { inset_source } = store.registers(performance.now());
  return typeof inset_source === 'string' && store.book.inset.shows[inset_source] ? inset_source : store.book.inset.first;
}

export function setInset(session: ShowSession, mode: Mode): void {
  const source = sourceOf(session);
  if (mode !== 'off' && source === null) return say('Nothing can be shown in the inset yet. Connect a camera on the rig first.');
  session.link.press('inset', { mode, ...(source === null ? {} : { source }) });
}

export function showInInset(session: ShowSession, source: string): void {
  session.link.press('inset.source', { source });
}

/** The place that the core offers and that is nearest to where the inset is. */
export function placeNow(session: ShowSession): { corner: string; size: number; exact: boolean } {
  const { inset_x, inset_y, inset_width } = session.store.registers(performance.now());
  const away = ({ x, y, width }: Rect): number => Math.hypot(x - Number(inset_x), y - Number(inset_y)) + Math.abs(width - Number(inset_width));
  const all = Object.entries(session.store.book.inset.places).flatMap(([corner, sizes]) => sizes.map((rect, size) => ({ corner, size, off: away(rect) })));
  const nearest = all.sort((a, b) => a.off - b.off)[0];
  return { corner: nearest?.corner ?? 'bottom-right', size: nearest?.size ?? 1, exact: (nearest?.off ?? 1) < 1 };
}

export function placeInset(session: ShowSession, { x, y, width }: Rect | { x: number; y: number; width: number }, dragged = false): void {
  session.link.press('inset.place', { x: Math.round(x), y: Math.round(y), width: Math.round(width), ...(dragged ? { dragged } : {}) });
}

export function insetInto(session: ShowSession, corner: string): void {
  const rect = session.store.book.inset.places[corner]?.[placeNow(session).size];
  if (rect) placeInset(session, rect);
}

export function insetNextCorner(session: ShowSession): void {
  const corners = Object.keys(session.store.book.inset.places);
  insetInto(session, corners[(corners.indexOf(placeNow(session).corner) + 1) % corners.length] ?? 'bottom-right');
}

export function sizeInset(session: ShowSession, by: 1 | -1): void {
  const { corner, size } = placeNow(session);
  const rect = session.store.book.inset.places[corner]?.[size + by];
  if (rect) placeInset(session, rect);
}
