/** Simulated sources, painted in a worker of their own so that they cost the painter nothing. */
import { Feed } from './feed';
import { lecternVoice } from '../../../standins/pictures/voice';

const MOST_UNDER_WAY = 2;

/** One worker for all stand-ins; each pass asks for the next images of all that are open. */
export class StandInStage {
  private readonly worker = new Worker(new URL('../../../standins/pictures/stage.worker.ts', import.meta.url), { type: 'module' });
  /** by source id: two sources may be the same stand-in */
  private readonly feeds = new Map<string, StandInFeed>();
  /** asked for and not here yet; the next ones are painted while these are on their way */
  private underWay = 0;
  private frame = 0;
  /** most lines that are painted; null: as they are */
  lines: number | null = null;

  constructor() {
    this.worker.onmessage = (event: MessageEvent<{ images: [string, ImageBitmap][] }>) => {
      this.underWay--;
      for (const [source, bitmap] of event.data.images) {
        const feed = this.feeds.get(source);
        if (feed) feed.take(bitmap);
        else bitmap.close();
      }
    };
  }

  join(source: string, feed: StandInFeed): void {
    this.feeds.set(source, feed);
  }

  leave(source: string): void {
    this.feeds.delete(source);
  }

  beat(now: number): void {
    if (this.underWay >= MOST_UNDER_WAY || this.feeds.size === 0) return;
    this.underWay++;
    this.worker.postMessage({ wanted: [...this.feeds].map(([source, feed]) => [source, feed.name]), seconds: now / 1000, frame: this.frame++, lines: this.lines });
  }
}

export class StandInFeed extends Feed {
  private bitmap: ImageBitmap | undefined;

  constructor(
    private readonly source: string,
    readonly name: string,
    private readonly stage: StandInStage,
    private readonly audio: AudioContext | null,
  ) {
    super();
  }

  open(): Promise<void> {
    this.stage.join(this.source, this);
    if (this.name === 'lectern' && this.audio) this.sound = lecternVoice(this.audio);
    return Promise.resolve();
  }

  take(bitmap: ImageBitmap): void {
    this.bitmap?.close();
    this.bitmap = bitmap;
    this.image = { image: bitmap, width: bitmap.width, height: bitmap.height };
    this.live();
  }

  close(): void {
    this.stage.leave(this.source);
    this.bitmap?.close();
  }
}
