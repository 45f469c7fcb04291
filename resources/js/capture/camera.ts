/** A camera of this computer: opened once, watched, and opened again when it comes back. */
import type { PlanBook, SourceEntry } from '../plan/types';
import { Feed } from './feed';
import { problemOf } from './problems';
import { TrackFrames } from './track-frames';

/** A camera that sends nothing for so long has lost its signal, whatever its track says. */
const SILENT_MS = 2000;

/** What can be set at the device, and its name in W3C Image Capture. */
export const DEVICE: Record<string, string> = {
  exposure_mode: 'exposureMode',
  exposure_time: 'exposureTime',
  exposure_compensation: 'exposureCompensation',
  white_balance_mode: 'whiteBalanceMode',
  colour_temperature: 'colorTemperature',
};

export class CameraFeed extends Feed {
  track: MediaStreamTrack | undefined;
  private copies: TrackFrames | undefined;
  private lastFrame = 0;
  private retry: ReturnType<typeof setTimeout> | undefined;
  private closed = false;
  private readonly replugged = (): void => {
    if (this.state === 'lost') void this.open();
  };

  private asked = '';
  private deviceSaid = '';
  private lines: number | null = null;

  constructor(
    private readonly entry: () => SourceEntry | undefined,
    private readonly book: () => PlanBook,
  ) {
    super();
    if ('mediaDevices' in navigator) navigator.mediaDevices.addEventListener('devicechange', this.replugged);
  }

  async open(): Promise<void> {
    clearTimeout(this.retry);
    const wish = this.wish();
    this.asked = JSON.stringify(wish);
    try {
      const stream = await navigator.mediaDevices.getUserMedia({ video: wish });
      const track = stream.getVideoTracks()[0];
      // A press or another identity may have come in between: then this is not the one that is wanted any more.
      if (track && !this.closed && this.asked === JSON.stringify(this.wish())) this.watch(track);
      else stream.getTracks().forEach((track) => track.stop());
    } catch (failure) {
      this.gone(problemOf(this.book(), failure));
    }
  }

  /** Another size, rate or device was chosen. */
  override follow(): void {
    if (this.asked !== '' && this.asked !== JSON.stringify(this.wish())) void this.restart();
    else void this.setDevice();
  }

  override async restart(): Promise<void> {
    this.copies?.stop();
    this.track = undefined;
    await this.open();
  }

  /** What the device says that it can do, as far as the browser tells. */
  get capabilities(): MediaTrackCapabilities | null {
    return this.track && 'getCapabilities' in this.track ? this.track.getCapabilities() : null;
  }

  /** Exposure and white balance of the device itself, as far as it has them and somebody has chosen. */
  private async setDevice(): Promise<void> {
    const settings = this.entry()?.settings ?? {};
    const can = (this.capabilities ?? {}) as Record<string, unknown>;
    const wanted: Record<string, unknown> = {};
    for (const [name, constraint] of Object.entries(DEVICE)) if (settings[name] !== undefined && can[constraint] !== undefined) wanted[constraint] = settings[name];
    const said = JSON.stringify(wanted);
    if (said === this.deviceSaid || !this.track) return;
    this.deviceSaid = said;
    if (said !== '{}') await this.track.applyConstraints({ advanced: [wanted as MediaTrackConstraintSet] }).catch(() => undefined);
  }

  private wish(): MediaTrackConstraints {
    const { device, width, height, rate } = this.entry()?.settings ?? {};
    const share = Math.min(1, (this.lines ?? Infinity) / Number(height ?? 720));
    return {
      deviceId: { exact: String(device ?? '') },
      width: { ideal: Math.round(Number(width ?? 1280) * share) },
      height: { ideal: Math.round(Number(height ?? 720) * share) },
      frameRate: { ideal: Number(rate ?? 30) },
    };
  }

  override limit(lines: number | null): void {
    if (lines === this.lines) return;
    this.lines = lines;
    const size = this.wish();
    this.asked = JSON.stringify(size);
    delete size.deviceId;
    // The device stays open: only its size changes.
    void this.track?.applyConstraints(size).catch(() => undefined);
  }

  override beat(now: number): void {
    this.copies?.beat();
    if (this.state === 'live' && now - this.lastFrame > SILENT_MS) this.lose('unplugged', this.lastFrame);
  }

  close(): void {
    this.closed = true;
    clearTimeout(this.retry);
    navigator.mediaDevices.removeEventListener('devicechange', this.replugged);
    this.copies?.stop();
  }

  private watch(track: MediaStreamTrack): void {
    this.copies?.stop();
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
    this.copies = frames;
    this.deviceSaid = '';
    void this.setDevice();
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
