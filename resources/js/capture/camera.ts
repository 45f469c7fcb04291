/** A camera of this computer: opened once, watched, and opened again when it comes back. */
import type { PlanBook } from '../plan/types';
import { Feed } from './feed';
import { problemOf } from './problems';
import { TrackFrames } from './track-frames';

/** A camera that sends nothing for so long has lost its signal, whatever its track says. */
const SILENT_MS = 1000;

export class CameraFeed extends Feed {
  track: MediaStreamTrack | undefined;
  private frames: TrackFrames | undefined;
  private lastFrame = 0;
  private retry: ReturnType<typeof setTimeout> | undefined;
  private closed = false;
  private readonly replugged = (): void => {
    if (this.state === 'lost') void this.open();
  };

  constructor(
    private readonly device: string,
    private readonly book: () => PlanBook,
  ) {
    super();
    if ('mediaDevices' in navigator) navigator.mediaDevices.addEventListener('devicechange', this.replugged);
  }

  async open(): Promise<void> {
    clearTimeout(this.retry);
    try {
      const stream = await navigator.mediaDevices.getUserMedia({
        video: { deviceId: { exact: this.device }, width: { ideal: 1280 }, height: { ideal: 720 }, frameRate: { ideal: 30 } },
      });
      const track = stream.getVideoTracks()[0];
      if (track && !this.closed) this.watch(track);
      else stream.getTracks().forEach((track) => track.stop());
    } catch (failure) {
      this.gone(problemOf(this.book(), failure));
    }
  }

  override beat(now: number): void {
    this.frames?.beat();
    if (this.state === 'live' && now - this.lastFrame > SILENT_MS) this.lose('unplugged', this.lastFrame);
  }

  close(): void {
    this.closed = true;
    clearTimeout(this.retry);
    navigator.mediaDevices.removeEventListener('devicechange', this.replugged);
    this.frames?.stop();
  }

  private watch(track: MediaStreamTrack): void {
    this.frames?.stop();
    this.track = track;
    track.addEventListener('ended', () => {
      if (track === this.track) this.gone('unplugged');
    });
    this.lastFrame = performance.now();
    const frames = new TrackFrames(track, () => {
      if (track !== this.track) return;
      this.lastFrame = performance.now();
      this.image = { image: frames.canvas, width: frames.canvas.width, height: frames.canvas.height };
      this.live();
    });
    this.frames = frames;
  }

  /** Not there at the moment: it is asked for again until it comes back. */
  private gone(problem: string): void {
    this.track = undefined;
    this.lose(problem === 'wrong-size' ? 'unplugged' : problem);
    clearTimeout(this.retry);
    // Asking again after a refusal would only nag; the person presses Try again.
    if (!this.closed && problem !== 'denied') this.retry = setTimeout(() => void this.open(), this.book().signal.retry_ms);
  }
}
