/**
 * For screens that hold no devices: the picture host sends one image a second
 * with all its sources in it, and panels paint the plans from that.
 */
import type { DeskStore } from '../desk/store';
import { letsThrough, paintCard, type Image } from '../painter/frame';
import type { Images } from '../painter/painter';
import { get, postForm } from './http';
import type { HostLease } from './lease';

const CELL = { width: 480, height: 270 };
const COLUMNS = 4;
const EVERY_MS = 1000;

/** Where each source lies in the image: x, y, width, height in its pixels. */
type StillsMap = Record<string, [number, number, number, number]>;

/** The host's side: makes and sends the image while somebody wants it. */
export class StillsSender {
  private readonly sheet = new OffscreenCanvas(CELL.width * COLUMNS, CELL.height);
  private timer: ReturnType<typeof setTimeout> | undefined;

  constructor(
    private readonly show: string,
    private readonly store: DeskStore,
    private readonly images: Images,
    private readonly lease: HostLease,
  ) {
    this.schedule();
  }

  stop(): void {
    clearTimeout(this.timer);
  }

  private schedule(): void {
    this.timer = setTimeout(() => {
      const sent = this.lease.lease.stills_wanted ? this.send() : Promise.resolve();
      void sent.finally(() => this.schedule());
    }, EVERY_MS);
  }

  private async send(): Promise<void> {
    const sources = Object.keys(this.store.book.sources).filter((id) => this.store.book.sources[id]?.placeholder);
    this.sheet.height = CELL.height * Math.max(1, Math.ceil(sources.length / COLUMNS));
    const context = this.sheet.getContext('2d');
    if (!context) return;
    context.clearRect(0, 0, this.sheet.width, this.sheet.height);
    const map: StillsMap = {};
    sources.forEach((id, i) => {
      const image = this.images.full(id);
      if (!image) return;
      const scale = Math.min(CELL.width / image.width, CELL.height / image.height);
      const place: StillsMap[string] = [(i % COLUMNS) * CELL.width, Math.floor(i / COLUMNS) * CELL.height, Math.round(image.width * scale), Math.round(image.height * scale)];
      context.drawImage(image.image, ...place);
      map[id] = place;
    });
    // What lets through needs a format that can; the other is made in a fifth of the time.
    const type = sources.some((id) => letsThrough(this.store.book.sources[id])) ? 'image/webp' : 'image/jpeg';
    const form = new FormData();
    form.set('tab', this.lease.id);
    form.set('map', JSON.stringify(map));
    form.set('image', await this.sheet.convertToBlob({ type, quality: 0.72 }), 'stills');
    await postForm(`/shows/${this.show}/stills`, form).catch(() => undefined);
  }
}

/** A panel's side: asks about once a second and gives the newest stills to the painter. */
export class StillsViewer implements Images {
  private images = new Map<string, Image>();
  private timer: ReturnType<typeof setTimeout> | undefined;
  private stopped = false;
  /** whether the host has sent anything lately */
  fresh = false;

  constructor(
    private readonly show: string,
    private readonly store: DeskStore,
  ) {
    void this.loop();
  }

  stop(): void {
    this.stopped = true;
    clearTimeout(this.timer);
  }

  beginPass(): void {
    // stills come when they come
  }

  full = (source: string): Image | null => this.images.get(source) ?? this.placeholder(source);

  small = this.full;

  /** A panel has no clips to play. */
  over(): null {
    return null;
  }

  private async loop(): Promise<void> {
    if (!document.hidden) await this.fetch().catch(() => undefined);
    if (!this.stopped) this.timer = setTimeout(() => void this.loop(), EVERY_MS);
  }

  private async fetch(): Promise<void> {
    const response = await get(`/shows/${this.show}/stills`);
    this.fresh = response.status === 200;
    if (!this.fresh) {
      this.images.clear();
      return;
    }
    const map = JSON.parse(decodeURIComponent(response.headers.get('X-Stills-Map') ?? '%7B%7D')) as StillsMap;
    const sheet = await createImageBitmap(await response.blob());
    const images = new Map<string, Image>();
    for (const [id, [x, y, width, height]] of Object.entries(map)) {
      const canvas = document.createElement('canvas');
      canvas.width = width;
      canvas.height = height;
      canvas.getContext('2d')?.drawImage(sheet, x, y, width, height, 0, 0, width, height);
      images.set(id, { image: canvas, width, height });
    }
    sheet.close();
    this.images = images;
  }

  private placeholder(source: string): Image | null {
    const card = this.store.book.sources[source]?.placeholder;
    if (!card) return null;
    const canvas = document.createElement('canvas');
    canvas.width = CELL.width;
    canvas.height = CELL.height;
    const context = canvas.getContext('2d', { alpha: false });
    if (context) paintCard(context, card, canvas.width, canvas.height);
    const image = { image: canvas, width: canvas.width, height: canvas.height, ground: card.ground };
    this.images.set(source, image);
    return image;
  }
}
