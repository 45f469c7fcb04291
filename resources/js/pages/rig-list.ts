/** The list of sources on the rig page: how each one is, and what can be done with it. */
import { sentenceOf } from '../capture/problems';
import { CameraFeed } from '../capture/camera';
import { ScreenFeed } from '../capture/screen';
import type { ShowSession } from '../session';
import { say } from './say';

interface Health {
  /** of the device: opening, live, lost, not here yet, held elsewhere */
  state: string;
  /** how the signal is, which may be live and not well */
  word: string;
  /** what was measured, and since when */
  measured: string;
  sentence: string;
  /** the word of the button that helps, or nothing */
  help: string;
}

/** Sizes in common use. */
const SIZES = [[3840, 2160], [1920, 1080], [1280, 720], [960, 540], [640, 480], [640, 360]] as const;

/** "for 12 s", by this computer's clock. */
function since(session: ShowSession, server: number): string {
  const seconds = Math.max(0, Math.round((performance.now() - session.store.localTime(server)) / 1000));
  return seconds < 120 ? `for ${seconds} s` : `for ${Math.floor(seconds / 60)} min`;
}

export function rigList(session: ShowSession) {
  const counts = new Map<string, { frames: number; at: number; rate: number | null }>();
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
      for (const event of ['change', 'signals']) session.store.addEventListener(event, look);
      follow();
    },
    health(source: string): Health {
      void this.looks;
      const feed = session.rig?.feeds.get(source);
      const found = session.store.signals[source];
      if (session.isHost && feed?.state === 'opening') return { state: 'opening', word: 'opening', measured: '', sentence: '', help: '' };
      if (feed?.state === 'lost') {
        const problem = feed.problem ?? 'other';
        const waits = problem === 'not-yet';
        const word = waits ? 'not here yet' : 'lost';
        return {
          state: word,
          word,
          measured: waits || !found ? '' : since(session, found.since),
          sentence: sentenceOf(session.store.book, problem),
          help: waits ? '' : feed instanceof ScreenFeed ? 'Share again' : 'Try again',
        };
      }
      if (found && found.signal !== 'live') return { state: 'live', word: found.label, measured: `${found.measured ?? ''} ${since(session, found.since)}`.trim(), sentence: found.todo, help: '' };
      if (!session.isHost) return { state: 'held elsewhere', word: found ? 'live' : 'held elsewhere', measured: found ? since(session, found.since) : '', sentence: '', help: '' };
      return { state: feed ? 'live' : 'opening', word: feed ? 'live' : 'opening', measured: found ? since(session, found.since) : '', sentence: '', help: '' };
    },
    /** Frames that really arrive in a second, counted over a second or more. */
    rate(source: string): number | null {
      const feed = session.rig?.feeds.get(source);
      if (feed?.state !== 'live') return null;
      const now = performance.now();
      const last = counts.get(source);
      if (!last || now - last.at > 1500) counts.set(source, { frames: feed.frames, at: now, rate: last ? Math.round(((feed.frames - last.frames) * 1000) / (now - last.at)) : null });
      return counts.get(source)?.rate ?? null;
    },
    size(source: string): string {
      void this.looks;
      const entry = session.store.book.sources[source];
      const size = entry?.width && entry.height ? `${entry.width} × ${entry.height}` : '';
      const rate = entry?.moving ? this.rate(source) : null;
      return [size, entry?.portrait ? 'upright' : '', rate === null ? '' : `${rate} a second`].filter((word) => word !== '').join(', ');
    },
    /** Sizes and rates that a camera of this computer can do, as far as it tells. */
    sizes(source: string): { label: string; width: number; height: number; rate: number }[] {
      void this.looks;
      const feed = session.rig?.feeds.get(source);
      const can = feed instanceof CameraFeed ? feed.capabilities : null;
      const [most, high, fast] = [can?.width?.max ?? 1280, can?.height?.max ?? 720, can?.frameRate?.max ?? 30];
      return SIZES.filter(([width, height]) => width <= most && height <= high).flatMap(([width, height]) =>
        [60, 30, 15].filter((rate) => rate <= Math.ceil(fast)).map((rate) => ({ label: `${width} × ${height}, ${rate} a second`, width, height, rate })),
      );
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
