/** The list of sources on the rig page: how each one is, and what can be done with it. */
import { sentenceOf } from '../capture/problems';
import { ScreenFeed } from '../capture/screen';
import type { ShowSession } from '../session';
import { say } from './say';

interface Health {
  word: string;
  sentence: string;
  /** the word of the button that helps, or nothing */
  help: string;
}

export function rigList(session: ShowSession) {
  return {
    /** counts up when a feed changes, so that Alpine asks again */
    looks: 0,
    init(): void {
      const look = (): void => void this.looks++;
      const follow = (): void => {
        session.rig?.addEventListener('change', look);
        look();
      };
      session.addEventListener('host', follow);
      session.store.addEventListener('change', look);
      follow();
    },
    health(source: string): Health {
      void this.looks;
      if (!session.isHost) return { word: 'held elsewhere', sentence: '', help: '' };
      const feed = session.rig?.feeds.get(source);
      if (!feed || feed.state === 'opening') return { word: 'opening', sentence: '', help: '' };
      if (feed.state === 'live') return { word: 'live', sentence: '', help: '' };
      const problem = feed.problem ?? 'other';
      return {
        word: 'lost',
        sentence: sentenceOf(session.store.book, problem),
        help: feed instanceof ScreenFeed ? 'Share again' : 'Try again',
      };
    },
    size(source: string): string {
      void this.looks;
      const entry = session.store.book.sources[source];
      return entry?.width && entry.height ? `${entry.width} × ${entry.height}` : '';
    },
    async help(source: string): Promise<void> {
      const feed = session.rig?.feeds.get(source);
      await (feed instanceof ScreenFeed ? feed.choose() : feed?.open());
    },
    muted(source: string): boolean {
      void this.looks;
      return session.store.strips[source]?.muted ?? false;
    },
    mute(source: string): void {
      session.link.press('sound', { source, muted: !this.muted(source) });
    },
    async edit(type: string, more: Record<string, unknown>): Promise<void> {
      try {
        await session.link.edit(type, { ...more, expect: session.store.revision });
      } catch (failure) {
        if (failure instanceof Error) say(failure.message);
      }
    },
  };
}
