/** A camera of the network. Its pictures come through our own server, which knows its login. */
import type { PlanBook } from '../plan/types';
import { Feed } from './feed';
import { readMotionJpeg } from './motion-jpeg';

/** A stream in which nothing has come for so long has broken off. */
const SILENT_MS = 3000;
const SNAPSHOTS_PER_SECOND = 4;

export class NetworkCameraFeed extends Feed {
  private readonly canvas = document.createElement('canvas');
  private readonly context = this.canvas.getContext('2d', { alpha: false });
  private stop: AbortController | undefined;
  private retry: ReturnType<typeof setTimeout> | undefined;
  private lastFrame = 0;
  private streams = true;
  private closed = false;

  /** @param path of the camera on our server */
  constructor(
    private readonly path: string,
    private readonly book: () => PlanBook,
  ) {
    super();
  }

  open(): Promise<void> {
    this.stop?.abort();
    clearTimeout(this.retry);
    if (!this.closed) void this.run(new AbortController());
    return Promise.resolve();
  }

  override beat(now: number): void {
    if (this.state === 'live' && now - this.lastFrame > SILENT_MS) {
      this.lose('camera-away', this.lastFrame);
      void this.open();
    }
  }

  close(): void {
    this.closed = true;
    clearTimeout(this.retry);
    this.stop?.abort();
  }

  private async run(stop: AbortController): Promise<void> {
    this.stop = stop;
    const began = this.frames;
    try {
      if (this.streams) await readMotionJpeg(`${this.path}/stream`, stop.signal, (jpeg) => this.show(jpeg));
      else await this.snapshots(stop.signal);
    } catch {
      // said below
    }
    if (this.closed || stop !== this.stop) return;
    // A camera that gives single pictures only.
    if (this.frames === began) this.streams = !this.streams;
    this.lose('camera-away');
    this.retry = setTimeout(() => void this.open(), this.book().signal.retry_ms);
  }

  private async snapshots(signal: AbortSignal): Promise<void> {
    for (;;) {
      const response = await fetch(`${this.path}/snapshot`, { signal, cache: 'no-store' });
      if (!response.ok) throw new Error(`The camera answered ${response.status}.`);
      await this.show(await response.blob());
      await new Promise((resolve) => setTimeout(resolve, 1000 / SNAPSHOTS_PER_SECOND));
    }
  }

  private async show(jpeg: Blob): Promise<void> {
    const bitmap = await createImageBitmap(jpeg);
    if (this.canvas.width !== bitmap.width || this.canvas.height !== bitmap.height) {
      this.canvas.width = bitmap.width;
      this.canvas.height = bitmap.height;
    }
    this.context?.drawImage(bitmap, 0, 0);
    bitmap.close();
    this.image = { image: this.canvas, width: this.canvas.width, height: this.canvas.height };
    this.lastFrame = performance.now();
    this.live();
  }
}
