/** A picture on the Pictures page: renamed, given a key, copied, deleted, and whether its writing can be read. */
import { postJson } from '../link/http';
import type { ShowSession } from '../session';
import { measure, type Reading } from './adjust/reading';
import { say } from './say';

export function pictureCard(session: ShowSession, picture: string) {
  return {
    busy: false,
    found: null as Reading | null,
    async read(farEnd: string): Promise<void> {
      const plan = session.painter.planOf(picture);
      if (!plan) return;
      this.busy = true;
      try {
        this.found = await measure(session, plan, farEnd);
      } catch (failure) {
        if (failure instanceof Error) say(failure.message);
      }
      this.busy = false;
    },
    async edit(type: string, more: Record<string, unknown>): Promise<void> {
      try {
        await session.link.edit(type, { picture, ...more, expect: session.store.revision });
      } catch (failure) {
        if (failure instanceof Error) say(failure.message);
      }
    },
    /** @param place in the row of transitions; empty: as chosen on the desk */
    async comes(place: string): Promise<void> {
      if (place === 'same') return;
      const favourite = session.store.favourites[Number(place)];
      await this.edit('picture.place', { comes: place === '' || !favourite ? null : { kind: favourite.kind, duration_ms: favourite.duration_ms } });
    },
    remove(): Promise<void> {
      return this.edit('picture.remove', {});
    },
    async copyTo(show: string, name: string): Promise<void> {
      if (show === '') return;
      try {
        await postJson(`/shows/${session.show}/pictures/${picture}/copy`, { to: show });
        say(`It is in “${name}” too.`);
      } catch (failure) {
        if (failure instanceof Error) say(failure.message);
      }
    },
  };
}
