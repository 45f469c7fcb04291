/** All sources of the show that are open in this tab: one capture each, shared by every use. */
import type { DeskStore } from '../desk/store';
import type { CommandLink } from '../link/commands';
import type { Image } from '../painter/frame';
import { paintCard } from '../painter/frame';
import type { Images } from '../painter/painter';
import type { SourceEntry } from '../plan/types';
import { CameraFeed } from './camera';
import type { Feed } from './feed';
import { MicrophoneFeed } from './microphone';
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
  private readonly stage = new StandInStage();
  private readonly smalls = new Map<string, Small>();
  private readonly placeholders = new Map<string, Image>();
  private readonly measured = new Map<string, string>();
  /** screens that were chosen at a press before their source was in the book */
  private readonly chosen = new Map<string, MediaStream>();
  private now = 0;

  constructor(
    private readonly show: string,
    private readonly store: DeskStore,
    private readonly link: CommandLink,
    private readonly audio: AudioContext,
  ) {
    super();
  }

  /** Opens what is new in the book and closes what has left it. */
  follow(): void {
    this.placeholders.clear();
    const sources = this.store.book.sources;
    for (const [id, feed] of this.feeds) {
      if (sources[id]) continue;
      feed.close();
      this.feeds.delete(id);
      this.smalls.delete(id);
    }
    for (const [id, source] of Object.entries(sources)) {
      if (!this.feeds.has(id)) this.begin(id, source);
    }
  }

  /** A screen that was just chosen belongs to the source with this name, as soon as it is in the book. */
  offerScreen(name: string, stream: MediaStream): void {
    this.chosen.set(name, stream);
  }

  closeAll(): void {
    for (const feed of this.feeds.values()) feed.close();
    this.feeds.clear();
  }

  beginPass(now: number): void {
    this.now = now;
    this.stage.beat(now);
    for (const feed of this.feeds.values()) feed.beat(now);
  }

  full = (source: string): Image | null => this.feeds.get(source)?.current(this.now, this.store.book.signal.hold_ms) ?? this.placeholder(source);

  small = (source: string): Image | null => {
    const image = this.full(source);
    if (!image || image.width <= SMALL_WIDTH) return image;
    let small = this.smalls.get(source);
    if (!small) {
      small = { canvas: document.createElement('canvas'), made: -Infinity };
      this.smalls.set(source, small);
    }
    const { canvas } = small;
    if (this.now - small.made >= SMALL_EVERY_MS) {
      const height = Math.max(1, Math.round((image.height / image.width) * SMALL_WIDTH));
      if (canvas.width !== SMALL_WIDTH || canvas.height !== height) {
        canvas.width = SMALL_WIDTH;
        canvas.height = height;
      }
      canvas.getContext('2d', { alpha: false })?.drawImage(image.image, 0, 0, SMALL_WIDTH, height);
      small.made = this.now;
    }
    return { image: canvas, width: canvas.width, height: canvas.height };
  };

  private begin(id: string, source: SourceEntry): void {
    const feed = this.make(id, source);
    this.feeds.set(id, feed);
    feed.addEventListener('change', () => {
      this.measure(id, feed);
      this.dispatchEvent(new Event('change'));
    });
    feed.addEventListener('sound', () => this.dispatchEvent(new Event('sound')));
    void feed.open().then(() => this.dispatchEvent(new Event('sound')));
  }

  private make(id: string, { kind, name, settings }: SourceEntry): Feed {
    const book = (): DeskStore['book'] => this.store.book;
    switch (kind) {
      case 'camera':
        return new CameraFeed(settings.device ?? '', book);
      case 'screen':
        return new ScreenFeed(book, this.takeChosen(name));
      case 'still':
        return new StillFeed(`/shows/${this.show}/media/${settings.medium ?? id}`);
      case 'microphone':
        return new MicrophoneFeed(settings.device ?? '', book);
      case 'stand-in':
        return new StandInFeed(id, settings.stand_in ?? '', this.stage, this.audio);
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

  private placeholder(source: string): Image | null {
    const known = this.placeholders.get(source);
    if (known) return known;
    const card = this.store.book.sources[source]?.placeholder;
    if (!card) return null;
    const canvas = document.createElement('canvas');
    canvas.width = card.width;
    canvas.height = card.height;
    const context = canvas.getContext('2d', { alpha: false });
    if (context) paintCard(context, card, card.width, card.height);
    const image = { image: canvas, width: canvas.width, height: canvas.height };
    this.placeholders.set(source, image);
    return image;
  }
}
