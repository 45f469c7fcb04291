/** A screen, window or tab. The browser lets only a press open it. */
import type { PlanBook } from '../plan/types';
import { Feed } from './feed';
import { problemOf } from './problems';
import { TrackFrames } from './track-frames';

export class ScreenFeed extends Feed {
  track: MediaStreamTrack | undefined;
  private frames: TrackFrames | undefined;

  constructor(
    private readonly book: () => PlanBook,
    private stream: MediaStream | null,
  ) {
    super();
  }

  /** Opens what was chosen at a press; without that it waits for one. */
  open(): Promise<void> {
    if (this.stream) this.watch(this.stream);
    else this.lose('ended');
    return Promise.resolve();
  }

  /** Must be called from a press. */
  async choose(): Promise<void> {
    try {
      this.watch(await chooseScreen());
    } catch (failure) {
      this.lose(problemOf(this.book(), failure));
    }
  }

  override beat(): void {
    this.frames?.beat();
  }

  close(): void {
    this.frames?.stop();
    this.stream?.getTracks().forEach((track) => track.stop());
  }

  private watch(stream: MediaStream): void {
    this.stream = stream;
    const track = stream.getVideoTracks()[0];
    if (!track) return this.lose('ended');
    this.frames?.stop();
    this.track = track;
    this.sound = stream.getAudioTracks().length > 0 ? new MediaStream(stream.getAudioTracks()) : null;
    track.addEventListener('ended', () => {
      if (track !== this.track) return;
      this.frames?.stop();
      this.track = undefined;
      this.lose('ended');
    });
    const frames = new TrackFrames(track, () => {
      if (track !== this.track) return;
      this.image = { image: frames.canvas, width: frames.canvas.width, height: frames.canvas.height };
      this.live();
    });
    this.frames = frames;
    this.dispatchEvent(new Event('sound'));
  }
}

export function chooseScreen(): Promise<MediaStream> {
  return navigator.mediaDevices.getDisplayMedia({ video: { frameRate: { ideal: 30 } }, audio: true });
}
