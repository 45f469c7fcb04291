/** The presses for the inset on the desk and the panel. */
import { insetInto, placeNow, setInset, showInInset, sizeInset } from '../desk/inset';
import type { ShowSession } from '../session';

export function insetDesk(session: ShowSession) {
  return {
    looks: 0,
    books: 0,
    init(): void {
      session.store.addEventListener('change', () => void this.looks++);
      session.store.addEventListener('book', () => void this.books++);
    },
    get mode(): string {
      void this.looks;
      return String(session.store.registers(performance.now()).inset);
    },
    get source(): string {
      void this.looks;
      return String(session.store.registers(performance.now()).inset_source ?? session.store.book.inset.first ?? '');
    },
    /** Whom it can show: everything with a picture, as the show is now. */
    get choices(): { id: string; name: string }[] {
      void this.books;
      const { inset, sources } = session.store.book;
      return Object.keys(inset.shows).map((id) => ({ id, name: sources[id]?.name ?? '' }));
    },
    get corner(): string {
      void this.looks;
      const { corner, exact } = placeNow(session);
      return exact ? corner : '';
    },
    set(mode: 'off' | 'over' | 'full'): void {
      setInset(session, mode);
    },
    show(source: string): void {
      showInInset(session, source);
    },
    into(corner: string): void {
      insetInto(session, corner);
    },
    size(by: 1 | -1): void {
      sizeInset(session, by);
    },
  };
}
