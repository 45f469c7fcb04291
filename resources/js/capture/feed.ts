/** What every kind of source is to the rest of the desk. */
import type { Image } from '../painter/frame';

export type FeedState = 'opening' | 'live' | 'lost';

export abstract class Feed extends EventTarget {
  state: FeedState = 'opening';
  /** name of a problem in the plan book, while there is one */
  problem: string | null = null;
  /** performance.now() when the signal was lost; null while it is there */
  lostAt: number | null = null;
  /** sound of the source, where it has any */
  sound: MediaStream | null = null;
  /** how many frames have come so far */
  frames = 0;
  protected image: Image | null = null;
  private lastSize: string | null = null;

  abstract open(): Promise<void>;

  abstract close(): void;

  /** The book has changed: the source may have been set otherwise. */
  follow(): void {
    // most sources have nothing to set
  }

  /** Most lines that it shall send for now, so that the computer keeps up; null: as chosen. */
  limit(_lines: number | null): void {
    // most sources cannot send less
  }

  /** Called at the beginning of each pass, for sources that are painted by us. */
  beat(_now: number): void {
    // most sources bring their frames by themselves
  }

  /** The newest image; the last one for a while after the signal was lost; then none. */
  current(now: number, holdMs: number): Image | null {
    if (this.lostAt !== null && now - this.lostAt > holdMs) return null;
    return this.image;
  }

  get size(): { width: number; height: number } | null {
    return this.image && { width: this.image.width, height: this.image.height };
  }

  /** Closes and opens it by itself, when it is stuck. */
  async restart(): Promise<void> {
    await this.open();
  }

  /** A new frame is there. */
  protected live(): void {
    this.frames++;
    const size = this.image && `${this.image.width}x${this.image.height}`;
    const resized = size !== this.lastSize;
    this.lastSize = size;
    if (!this.become('live', null) && resized) this.dispatchEvent(new Event('change'));
    this.lostAt = null;
  }

  protected lose(problem: string, since = performance.now()): void {
    this.lostAt ??= since;
    this.become('lost', problem);
  }

  /** Whether that was news. */
  private become(state: FeedState, problem: string | null): boolean {
    if (this.state === state && this.problem === problem) return false;
    this.state = state;
    this.problem = problem;
    this.dispatchEvent(new Event('change'));
    return true;
  }
}
