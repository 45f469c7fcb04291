/** Which transitions are to hand, and what was on program before. */
import type { ChosenTransition } from '../plan/types';
import type { ShowSession } from '../session';
import { say } from './say';

export function transitions(session: ShowSession) {
  const tell = (favourites: ChosenTransition[]): void => {
    void session.link.edit('favourites', { transitions: favourites.map(({ kind, duration_ms }) => ({ kind, duration_ms })) }).catch((failure: unknown) => failure instanceof Error && say(failure.message));
  };
  return {
    open: false,
    past: false,
    looks: 0,
    init(): void {
      session.store.addEventListener('change', () => void this.looks++);
    },
    get kept(): ChosenTransition[] {
      void this.looks;
      return session.store.favourites;
    },
    get earlier(): { id: string; name: string }[] {
      void this.looks;
      return session.store.past.flatMap((id) => (session.store.book.pictures[id] ? [{ id, name: session.store.book.pictures[id].name }] : []));
    },
    get soft(): boolean {
      void this.looks;
      return session.store.chosen.shape.startsWith('wipe');
    },
    get clip(): boolean {
      void this.looks;
      return session.store.chosen.shape === 'clip';
    },
    get clips(): { id: string; name: string }[] {
      void this.looks;
      return Object.entries(session.store.book.sources).flatMap(([id, { clip, name }]) => (clip && !clip.sound_only ? [{ id, name }] : []));
    },
    get colour(): boolean {
      void this.looks;
      return session.store.chosen.shape === 'dip';
    },
    keep(): void {
      tell([...session.store.favourites, session.store.chosen]);
    },
    drop(place: number): void {
      tell(session.store.favourites.filter((_, i) => i !== place));
    },
  };
}
