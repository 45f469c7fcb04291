/** All sources of the show that are open in this tab: one capture each, shared by every use. */
import type { DeskStore } from '../desk/store';
import type { CommandLink } from '../link/commands';
import type { Image } from '../painter/frame';
import { letsThrough, paintCard } from '../painter/frame';
import { Looks } from '../painter/looks';
import type { Images } from '../painter/painter';
import type { LookPlan, SourceEntry } from '../plan/types';
import { ArtFeed } from './art';
import { CameraFeed } from './camera';
import { ClipFeed } from './clip';
import { DeckFeed } from './deck';
import type { Feed } from './feed';
import { GuestFeed } from './guest';
import { MicrophoneFeed } from './microphone';
import { NetworkCameraFeed } from './network-camera';
import { PhoneFeed } from './phone';
import { ScreenFeed } from './screen';
import { StandInFeed, StandInStage } from './stand-in';
import { StillFeed } from './still';

/** Width of the copies that miniatures are painted from, and how often they are made anew. */
const SMALL_WIDTH = 320;
const SMALL_EVERY_MS = 100;

interface Small {
  canvas: HTMLCanvasElement;
  made: number;
}

export class Rig extends EventTarget implements Images {
  readonly feeds = new Map<string, Feed>();
  readonly looks: Looks;
  private readonly stage = new StandInStage();
  private readonly smalls = new Map<string, Small>();
  private readonly cards = new Map<string, Image>();
  private readonly frozen = new Map<string, Image>();
  private readonly measured = new Map<string, string>();
  /** screens that were chosen at a press before their source was in the book */
  private readonly chosen = new Map<string, MediaStream>();
  private now = 0;
  private lines: number | null = null;

  constructor(
    private readonly show: string,
    private readonly store: DeskStore,
    private readonly link: CommandLink,
    private readonly audio: AudioContext,
  ) {
    super();
    this.looks = new Looks(store.book.canvas.width);
  }

  /** Opens what is new in the book and closes what has left it. */
  follow(): void {
    this.cards.clear();
    const sources = this.store.book.sources;
    for (const [id, feed] of this.feeds) {
      if (sources[id]) continue;
      feed.close();
      this.feeds.delete(id);
      this.smalls.delete(id);
      this.frozen.delete(id);
      this.looks.forget(id);
    }
    for (const [id, source] of Object.entries(sources)) {
      const feed = this.feeds.get(id);
      if (feed) feed.follow();
      else this.begin(id, source);
    }
  }

  /** A screen that was just chosen belongs to the source with this name, as soon as it is in the book. */
  offerScreen(name: string, stream: MediaStream): void {
    this.chosen.set(name, stream);
  }

  /** Most lines of a capture, while the computer cannot keep up. */
  limit(lines: number | null): void {
    this.lines = lines;
    this.stage.lines = lines;
    for (const feed of this.feeds.values()) feed.limit(lines);
  }

  closeAll(): void {
    for (const feed of this.feeds.values()) feed.close();
    this.feeds.clear();
    this.looks.close();
  }

  beginPass(now: number): void {
    this.now = now;
    this.stage.beat(now);
    for (const feed of this.feeds.values()) feed.beat(now);
  }

  full = (source: string): Image | null => {
    if (this.store.handlings.of(source).blank) return this.card(source, 'blank');
    const look = this.store.book.sources[source]?.look;
    if (look) return this.withLook(source, source, look);
    this.looks.forget(source);
    return this.raw(source);
  };

  /** A source as it would be with another look, beside the one it has. */
  tried = (source: string, look: LookPlan | null): Image | null => (look ? this.withLook(`${source} tried`, source, look) : this.raw(source));

  /** A source as it comes, or as it stood when it was frozen. */
  raw(source: string): Image | null {
    if (this.store.handlings.of(source).frozen) return this.frozenImage(source);
    this.frozen.delete(source);
    return this.living(source);
  }

  private withLook(name: string, source: string, look: LookPlan): Image | null {
    const raw = this.raw(source);
    if (!raw || raw.ground !== undefined) return raw;
    return this.looks.of(name, look, raw, this.frozen.has(source) ? 'frozen' : (this.feeds.get(source)?.frames ?? 0), this.now);
  }

  over(source: string): CanvasImageSource | null {
    const feed = this.feeds.get(source);
    return feed instanceof ClipFeed ? feed.over : null;
  }

  small = (source: string): Image | null => {
    const image = this.full(source);
    if (!image || image.width <= SMALL_WIDTH || image.ground !== undefined) return image;
    let small = this.smalls.get(source);
    if (!small) {
      small = { canvas: document.createElement('canvas'), made: -Infinity };
      this.smalls.set(source, small);
    }
    const { canvas } = small;
    const lets = letsThrough(this.store.book.sources[source]);
    if (this.now - small.made >= SMALL_EVERY_MS) {
      const height = Math.max(1, Math.round((image.height / image.width) * SMALL_WIDTH));
      if (canvas.width !== SMALL_WIDTH || canvas.height !== height) {
        canvas.width = SMALL_WIDTH;
        canvas.height = height;
      }
      const context = canvas.getContext('2d');
      if (context) {
        context.globalCompositeOperation = lets ? 'copy' : 'source-over';
        context.drawImage(image.image, 0, 0, SMALL_WIDTH, height);
      }
      small.made = this.now;
    }
    return { image: canvas, width: canvas.width, height: canvas.height };
  };

  private begin(id: string, source: SourceEntry): void {
    const feed = this.make(id, source);
    this.feeds.set(id, feed);
    feed.limit(this.lines);
    feed.addEventListener('change', () => {
      this.measure(id, feed);
      this.dispatchEvent(new Event('change'));
    });
    feed.addEventListener('sound', () => this.dispatchEvent(new Event('sound')));
    void feed.open().then(() => this.dispatchEvent(new Event('sound')));
  }

  private make(id: string, { kind, name, settings }: SourceEntry): Feed {
    const book = (): DeskStore['book'] => this.store.book;
    const entry = (): SourceEntry | undefined => this.store.book.sources[id];
    const file = `/shows/${this.show}/media/${settings.medium ?? id}`;
    switch (kind) {
      case 'camera':
        return new CameraFeed(entry, book);
      case 'screen':
        return new ScreenFeed(entry, book, this.takeChosen(name));
      case 'still':
        return new StillFeed(file);
      case 'microphone':
        return new MicrophoneFeed(entry, book);
      case 'stand-in':
        return new StandInFeed(id, String(settings.stand_in ?? ''), this.stage, this.audio);
      case 'network-camera':
        return new NetworkCameraFeed(`/shows/${this.show}/cameras/${settings.camera ?? id}`, book);
      case 'phone':
        return new PhoneFeed(id, this.show, () => this.store.tally(performance.now()).sources[id] ?? 'off');
      case 'guest':
        return new GuestFeed();
      case 'deck':
        return new DeckFeed(id, file, this.store);
      case 'clip':
        return new ClipFeed(id, file, this.store, this.audio, () => this.dispatchEvent(new CustomEvent('clip-end', { detail: id })));
      case 'colour':
      case 'test-picture':
        return new ArtFeed(entry);
    }
  }

  private takeChosen(name: string): MediaStream | null {
    const stream = this.chosen.get(name) ?? null;
    this.chosen.delete(name);
    return stream;
  }

  /** Tells the core what a source really delivers, so that its plans crop it right. */
  private measure(id: string, feed: Feed): void {
    const source = this.store.book.sources[id];
    const size = feed.size;
    if (!source || !size || (source.width === size.width && source.height === size.height)) return;
    const said = `${size.width}x${size.height}`;
    if (this.measured.get(id) === said) return;
    this.measured.set(id, said);
    this.link.edit('source.measured', { source: id, ...size }).catch(() => this.measured.delete(id));
  }

  private living(source: string): Image | null {
    return this.feeds.get(source)?.current(this.now, this.store.book.signal.hold_ms) ?? this.card(source, 'placeholder');
  }

  /** The picture as it stood when it was frozen; after a reload, the first that comes. */
  private frozenImage(source: string): Image | null {
    const kept = this.frozen.get(source);
    if (kept) return kept;
    const image = this.living(source);
    if (!image || image.ground !== undefined) return image;
    const canvas = document.createElement('canvas');
    canvas.width = image.width;
    canvas.height = image.height;
    canvas.getContext('2d')?.drawImage(image.image, 0, 0);
    const copy = { image: canvas, width: canvas.width, height: canvas.height };
    this.frozen.set(source, copy);
    return copy;
  }

  /** A card of the core that stands in for the source. */
  private card(source: string, which: 'placeholder' | 'blank'): Image | null {
    const known = this.cards.get(`${which} ${source}`);
    if (known) return known;
    const card = this.store.book.sources[source]?.[which];
    if (!card) return null;
    const canvas = document.createElement('canvas');
    canvas.width = card.width;
    canvas.height = card.height;
    const context = canvas.getContext('2d', { alpha: false });
    if (context) paintCard(context, card, card.width, card.height);
    const image = { image: canvas, width: canvas.width, height: canvas.height, ground: card.ground };
    this.cards.set(`${which} ${source}`, image);
    return image;
  }
}
