/** Simulated sources, painted in a worker of their own so that they cost the painter nothing. */
import { Feed } from './feed';
import { lecternVoice } from '../../../standins/pictures/voice';

export const STAND_IN_SIZE = { width: 1280, height: 720 };

/** One worker for all stand-ins; each pass asks for the next images of all that are open. */
export class StandInStage {
  private readonly worker = new Worker(new URL('../../../standins/pictures/stage.worker.ts', import.meta.url), { type: 'module' });
  private readonly feeds = new Map<string, StandInFeed>();
  private busy = false;
  private frame = 0;

  constructor() {
    this.worker.onmessage = (event: MessageEvent<{ images: [string, ImageBitmap][] }>) => {
      this.busy = false;
      for (const [name, bitmap] of event.data.images) {
        const feed = this.feeds.get(name);
        if (feed) feed.take(bitmap);
        else bitmap.close();
      }
    };
  }

  join(name: string, feed: StandInFeed): void {
    this.feeds.set(name, feed);
  }

  leave(name: string): void {
    this.feeds.delete(name);
  }

  beat(now: number): void {
    if (this.busy || this.feeds.size === 0) return;
    this.busy = true;
    this.worker.postMessage({ names: [...this.feeds.keys()], seconds: now / 1000, frame: this.frame++ });
  }
}

export class StandInFeed extends Feed {
  private bitmap: ImageBitmap | undefined;

  constructor(
    private readonly name: string,
    private readonly stage: StandInStage,
    private readonly audio: AudioContext | null,
  ) {
    super();
  }

  open(): Promise<void> {
    this.stage.join(this.name, this);
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
    this.stage.leave(this.name);
    this.bitmap?.close();
  }
}
