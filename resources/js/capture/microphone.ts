/** A microphone of this computer, as it is: without the browser's own processing. */
import type { PlanBook, SourceEntry } from '../plan/types';
import { Feed } from './feed';
import { problemOf } from './problems';

export class MicrophoneFeed extends Feed {
  track: MediaStreamTrack | undefined;
  private retry: ReturnType<typeof setTimeout> | undefined;
  private closed = false;
  private asked = '';

  constructor(
    private readonly entry: () => SourceEntry | undefined,
    private readonly book: () => PlanBook,
  ) {
    super();
  }

  private device(): string {
    return String(this.entry()?.settings.device ?? '');
  }

  /** It was matched with another plug. */
  override follow(): void {
    if (this.asked !== '' && this.asked !== this.device()) void this.restart();
  }

  override async restart(): Promise<void> {
    this.sound?.getTracks().forEach((track) => track.stop());
    this.sound = null;
    this.track = undefined;
    await this.open();
  }

  async open(): Promise<void> {
    clearTimeout(this.retry);
    this.asked = this.device();
    try {
      const stream = await openMicrophone(this.device());
      const track = stream.getAudioTracks()[0];
      if (!track || this.closed) {
        stream.getTracks().forEach((track) => track.stop());
        return;
      }
      this.track = track;
      track.addEventListener('ended', () => {
        if (track === this.track) this.gone('unplugged');
      });
      this.sound = stream;
      this.live();
      this.dispatchEvent(new Event('sound'));
    } catch (failure) {
      this.gone(problemOf(this.book(), failure));
    }
  }

  close(): void {
    this.closed = true;
    clearTimeout(this.retry);
    this.sound?.getTracks().forEach((track) => track.stop());
  }

  private gone(problem: string): void {
    this.lose(problem === 'wrong-size' ? 'unplugged' : problem);
    if (!this.closed && problem !== 'denied') this.retry = setTimeout(() => void this.open(), this.book().signal.retry_ms);
  }
}

export function openMicrophone(device: string): Promise<MediaStream> {
  return navigator.mediaDevices.getUserMedia({
    audio: { deviceId: { exact: device }, echoCancellation: false, noiseSuppression: false, autoGainControl: false },
  });
}
