/** Handling a source while it is in use: freeze, blank, turn, magnify, pages, playing. The same on the rig and on the desk. */
import { positionAt } from '../capture/clip';
import { PhoneFeed, type PhoneAbout } from '../capture/phone';
import { postJson } from '../link/http';
import type { Rect, SourceEntry, Turn } from '../plan/types';
import type { ShowSession } from '../session';
import { cellsOf, readUpright } from './adjust/scene';
import { say } from './say';

const PROFILE_WIDTH = 320;
const WHOLE: Rect = { x: 0, y: 0, width: 1, height: 1 };

/** Minutes and seconds: 1:05. */
export function clock(ms: number): string {
  const seconds = Math.max(0, Math.round(ms / 1000));
  return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;
}

function framing(session: ShowSession, source: string, framing: Record<string, unknown>): void {
  session.link.press('handle', { source, framing });
}

/** Turns a deck, and those that are linked with it, by some pages. */
export function turnPage(session: ShowSession, source: string, by: number): void {
  const deck = session.store.book.sources[source]?.deck;
  if (deck) goToPosition(session, source, session.store.handlings.position(deck.group) + by);
}

export function goToPosition(session: ShowSession, source: string, wanted: number): void {
  const deck = session.store.book.sources[source]?.deck;
  if (!deck) return;
  const position = Math.max(1, Math.min(deck.shows.length, wanted));
  if (position !== session.store.handlings.position(deck.group)) session.link.press('page', { group: deck.group, position });
}

/** One press hides every shared screen, and shows them again. */
export function toggleScreens(session: ShowSession): void {
  const screens = Object.entries(session.store.book.sources).filter(([, { kind }]) => kind === 'screen');
  if (screens.length === 0) return say('No screen is shared in this show.');
  const blank = !screens.every(([id]) => session.store.handlings.of(id).blank);
  for (const [source] of screens) session.link.press('handle', { source, blank });
}

export function togglePlay(session: ShowSession, source: string): void {
  const clip = session.store.book.sources[source]?.clip;
  if (!clip) return;
  const { playback } = session.store.handlings.of(source);
  const position = positionAt(playback, clip, performance.now());
  const ended = clip.end !== 'loop' && position >= clip.length_ms;
  const playing = !(playback?.playing ?? false) || ended;
  session.link.press('handle', { source, playback: { playing, position: Math.round(ended ? clip.cue_ms : position) } });
}

export function handling(session: ShowSession, source: string) {
  return {
    /** counts up when something changes, so that Alpine asks again */
    looks: 0,
    bars: undefined as Rect | null | undefined,
    stop: (): void => undefined,
    init(): void {
      const look = (): void => void this.looks++;
      const timer = setInterval(look, 500);
      for (const event of ['change', 'signals']) session.store.addEventListener(event, look);
      session.addEventListener('host', look);
      this.stop = (): void => {
        clearInterval(timer);
        for (const event of ['change', 'signals']) session.store.removeEventListener(event, look);
        session.removeEventListener('host', look);
      };
    },
    destroy(): void {
      this.stop();
    },
    get entry(): SourceEntry | undefined {
      void this.looks;
      return session.store.book.sources[source];
    },
    get held(): boolean {
      void this.looks;
      return session.isHost;
    },
    get now() {
      void this.looks;
      return session.store.handlings.of(source);
    },
    freeze(): void {
      session.link.press('handle', { source, frozen: !this.now.frozen });
    },
    blank(): void {
      session.link.press('handle', { source, blank: !this.now.blank });
    },
    turn(press: Turn): void {
      const orientation = session.store.book.handling.orientations[this.now.framing.orientation]?.[press];
      if (orientation !== undefined) framing(session, source, { orientation });
    },
    get magnify(): number {
      return this.now.framing.magnify.factor;
    },
    get steps(): number[] {
      return session.store.book.handling.magnify;
    },
    setMagnify(factor: number): void {
      framing(session, source, { magnify: { ...this.now.framing.magnify, factor } });
    },
    /** A click on the picture: closer at that point; it is the place in what is seen now. */
    magnifyAt(event: MouseEvent): void {
      const canvas = event.currentTarget;
      if (!(canvas instanceof HTMLElement)) return;
      const box = canvas.getBoundingClientRect();
      const seen = session.painter.placeOfSource(source, box.width, box.height);
      if (!seen) return;
      const at = { x: (event.clientX - box.left - seen.x) / seen.width, y: (event.clientY - box.top - seen.y) / seen.height };
      if (at.x < 0 || at.x > 1 || at.y < 0 || at.y > 1) return;
      const { magnify } = this.now.framing;
      const side = 1 / magnify.factor;
      const from = (middle: number): number => Math.max(0, Math.min(1 - side, middle - side / 2));
      const factor = magnify.factor > 1 ? magnify.factor : 2;
      framing(session, source, { magnify: { x: from(magnify.x) + at.x * side, y: from(magnify.y) + at.y * side, factor } });
    },
    resetFraming(): void {
      framing(session, source, { orientation: 'r0', magnify: { x: 0.5, y: 0.5, factor: 1 }, crop: { x: 0, y: 0, width: 1, height: 1 } });
    },
    get isFramed(): boolean {
      const { orientation, magnify, crop } = this.now.framing;
      return orientation !== 'r0' || magnify.factor !== 1 || crop.width !== 1 || crop.height !== 1;
    },
    /** Looks for black bars; the core says where the picture begins. */
    async findBars(): Promise<void> {
      const image = session.rig?.feeds.get(source)?.current(0, Infinity);
      if (!image) {
        say('There is no picture to look at. Bars are looked for on the computer that holds the devices.');
        return;
      }
      const [width, height] = [PROFILE_WIDTH, Math.max(2, Math.round((PROFILE_WIDTH * image.height) / image.width))];
      const canvas = new OffscreenCanvas(width, height);
      const context = canvas.getContext('2d', { willReadFrequently: true });
      if (!context) return;
      context.drawImage(image.image, 0, 0, width, height);
      const { data } = context.getImageData(0, 0, width, height);
      const columns = new Array<number>(width).fill(0);
      const rows = new Array<number>(height).fill(0);
      for (let i = 0; i < data.length; i += 4) {
        const luma = Math.round(0.2126 * (data[i] ?? 0) + 0.7152 * (data[i + 1] ?? 0) + 0.0722 * (data[i + 2] ?? 0));
        const [x, y] = [(i / 4) % width, Math.floor(i / 4 / width)];
        columns[x] = Math.max(columns[x] ?? 0, luma);
        rows[y] = Math.max(rows[y] ?? 0, luma);
      }
      const answer = await postJson<{ crop: Rect | null }>(`/shows/${session.show}/bars`, { columns, rows }).catch(() => null);
      this.bars = answer?.crop;
      if (answer && !answer.crop) say('No black bars were found: the picture fills its frame.');
    },
    cropBars(): void {
      if (this.bars) framing(session, source, { crop: this.bars });
      this.bars = undefined;
    },
    get isKeyed(): boolean {
      return this.entry?.look?.key != null;
    },
    /** The light has changed: the backing's colour is looked for again. */
    async sampleBacking(): Promise<void> {
      const image = session.rig?.raw(source);
      if (!image || image.ground !== undefined) {
        say('There is no picture to look at. The backing is sampled on the computer that holds the devices.');
        return;
      }
      const size = { left: 0, top: 0, right: 0, bottom: 0, width: image.width, height: image.height };
      const data = readUpright(() => image, source, { edges: size, seen: { crop: WHOLE, turn: 0, mirror: false }, crop: WHOLE }, this.entry?.look?.colour ?? null, 640);
      try {
        const { colour } = await postJson<{ colour: string }>(`/shows/${session.show}/sources/${source}/backing`, { again: data ? cellsOf(data) : [] });
        session.link.press('handle', { source, key: { colour } });
      } catch (failure) {
        if (failure instanceof Error) say(failure.message);
      }
    },
    get page(): number {
      const deck = this.entry?.deck;
      return deck?.shows[session.store.handlings.position(deck.group) - 1] ?? 1;
    },
    turnPage(by: number): void {
      turnPage(session, source, by);
    },
    goTo(page: number): void {
      // The first position at which this deck shows the page.
      const position = (this.entry?.deck?.shows.indexOf(page) ?? -1) + 1;
      if (position > 0) goToPosition(session, source, position);
      else say(`There is no page ${page}; the last one is ${this.entry?.deck?.pages ?? 1}.`);
    },
    get playing(): boolean {
      const clip = this.entry?.clip;
      const { playback } = this.now;
      return (playback?.playing ?? false) && (clip?.end === 'loop' || this.position < (clip?.length_ms ?? 0));
    },
    get position(): number {
      const clip = this.entry?.clip;
      return clip ? positionAt(this.now.playback, clip, performance.now()) : 0;
    },
    get remaining(): string {
      return clock((this.entry?.clip?.length_ms ?? 0) - this.position);
    },
    get stands(): string {
      return clock(this.position);
    },
    togglePlay(): void {
      togglePlay(session, source);
    },
    cue(): void {
      session.link.press('handle', { source, playback: { playing: false, position: this.entry?.clip?.cue_ms ?? 0 } });
    },
    seek(position: number): void {
      session.link.press('handle', { source, playback: { playing: this.playing, position: Math.round(position) } });
    },
    setCue(): void {
      this.set({ cue_ms: Math.round(this.position) });
    },
    set(settings: Record<string, unknown>): void {
      session.link.edit('source.set', { source, settings }).catch((failure: unknown) => say(failure instanceof Error ? failure.message : 'This could not be set.'));
    },
    restart(): void {
      void session.rig?.feeds.get(source)?.restart();
    },
    get phone(): PhoneAbout | null {
      void this.looks;
      const feed = session.rig?.feeds.get(source);
      return feed instanceof PhoneFeed ? feed.about : null;
    },
    get bitrate(): string {
      void this.looks;
      const feed = session.rig?.feeds.get(source);
      return feed instanceof PhoneFeed && feed.bitrate !== null ? `${(feed.bitrate / 1e6).toFixed(1)} Mb/s` : '';
    },
    setPhone(settings: PhoneAbout['settings']): void {
      const feed = session.rig?.feeds.get(source);
      if (feed instanceof PhoneFeed) feed.set(settings);
    },
  };
}
