/** A screen, window or tab. The browser lets only a press open it. */
import type { PlanBook, SourceEntry } from '../plan/types';
import { Feed } from './feed';
import { isOwnScreen } from './own-screen';
import { problemOf } from './problems';
import { TrackFrames } from './track-frames';

export class ScreenFeed extends Feed {
  track: MediaStreamTrack | undefined;
  private copies: TrackFrames | undefined;

  constructor(
    private readonly entry: () => SourceEntry | undefined,
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
      this.lose(failure instanceof OwnScreen ? 'own-screen' : problemOf(this.book(), failure));
    }
  }

  /** Sharp letters or smooth motion. */
  override follow(): void {
    if (this.track) this.track.contentHint = this.entry()?.settings.detail === 'smooth' ? 'motion' : 'detail';
  }

  override beat(): void {
    this.copies?.beat();
  }

  close(): void {
    this.copies?.stop();
    this.stream?.getTracks().forEach((track) => track.stop());
  }

  private watch(stream: MediaStream): void {
    this.stream = stream;
    const track = stream.getVideoTracks()[0];
    if (!track) return this.lose('ended');
    this.copies?.stop();
    this.track = track;
    this.follow();
    this.sound = stream.getAudioTracks().length > 0 ? new MediaStream(stream.getAudioTracks()) : null;
    track.addEventListener('ended', () => {
      if (track !== this.track) return;
      this.copies?.stop();
      this.track = undefined;
      this.lose('ended');
    });
    const frames = new TrackFrames(track, () => {
      if (track !== this.track) return;
      this.image = { image: frames.canvas, width: frames.canvas.width, height: frames.canvas.height };
      this.live();
    });
    this.copies = frames;
    this.dispatchEvent(new Event('sound'));
  }
}

/** The desk was chosen as what it shall show. */
export class OwnScreen extends Error {}

/** Must be called from a press. Refuses the desk itself. */
export async function chooseScreen(): Promise<MediaStream> {
  const stream = await navigator.mediaDevices.getDisplayMedia({ video: { frameRate: { ideal: 30 } }, audio: true });
  if (await isOwnScreen(stream)) {
    stream.getTracks().forEach((track) => track.stop());
    throw new OwnScreen();
  }
  return stream;
}
