/** Devices that are plugged in and wait, and sources whose device may have come back under another identity. */
import type { Plugged } from '../capture/plugs';
import { sentenceOf } from '../capture/problems';
import type { ShowSession } from '../session';
import { say } from './say';

export function plugList(session: ShowSession) {
  return {
    waiting: [] as Plugged[],
    offers: {} as Record<string, Plugged[]>,
    init(): void {
      const look = (): void => {
        this.waiting = session.plugs?.matching.waiting ?? [];
        this.offers = session.plugs?.matching.offers ?? {};
      };
      const follow = (): void => {
        session.plugs?.addEventListener('change', look);
        look();
      };
      session.addEventListener('host', follow);
      follow();
    },
    /** What it calls itself; browsers tell that only after a device was allowed. */
    nameOf({ kind, label }: Plugged): string {
      return label === '' ? `a ${kind}` : label;
    },
    async rematch(source: string, { device, label }: Plugged): Promise<void> {
      try {
        await session.link.edit('source.rematch', { source, device, label, expect: session.store.revision });
      } catch (failure) {
        say(failure instanceof Error ? failure.message : sentenceOf(session.store.book, 'other'));
      }
    },
  };
}
