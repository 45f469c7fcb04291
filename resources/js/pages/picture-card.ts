/** A picture on the Pictures page: deleted, changed, and whether its writing can be read. */
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
    async remove(): Promise<void> {
      try {
        await session.link.edit('picture.remove', { picture, expect: session.store.revision });
      } catch (failure) {
        if (failure instanceof Error) say(failure.message);
      }
    },
  };
}
