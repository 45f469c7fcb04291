/** A clip or music, played where the desk says. */
import type { DeskStore } from '../desk/store';
import type { Clip } from '../plan/types';
import { Feed } from './feed';
import { TrackFrames } from './track-frames';

/** A player may be this far off before it is put right; less would be heard as a stumble. */
const MOST_OFF_MS = 350;

interface Captures {
  captureStream(): MediaStream;
}

/** Where a clip stands: the same as core/Rig/Live/Playback.php says. */
export function positionAt(playback: { playing: boolean; position: number; since: number } | null, clip: Clip, now: number): number {
  if (!playback) return clip.cue_ms;
  const position = playback.position + (playback.playing ? Math.max(0, now - playback.since) : 0);
  if (position < clip.length_ms || clip.length_ms === 0) return position;
  return clip.end === 'loop' ? position % clip.length_ms : clip.length_ms;
}

export class ClipFeed extends Feed {
  private readonly player: HTMLVideoElement = document.createElement('video');
  private stream: TrackFrames | undefined;
  private readonly canvas = document.createElement('canvas');
  private readonly context = this.canvas.getContext('2d', { alpha: false });
  private heard = '';
  private ended = false;

  /** @param onEnd called once when a clip that takes what is next has run out */
  constructor(
    private readonly source: string,
    private readonly url: string,
    private readonly store: DeskStore,
    audio: AudioContext,
    private readonly onEnd: () => void,
  ) {
    super();
    this.player.preload = 'auto';
    this.player.playsInline = true;
    this.player.addEventListener('loadeddata', () => this.ready());
    this.player.addEventListener('seeked', () => this.paint());
    this.player.addEventListener('error', () => this.lose('unreadable'));
    // Through the mixer only: the player itself stays silent.
    const out = audio.createMediaStreamDestination();
    audio.createMediaElementSource(this.player).connect(out);
    this.sound = out.stream;
  }

  private get clip(): Clip | null {
    return this.store.book.sources[this.source]?.clip ?? null;
  }

  open(): Promise<void> {
    this.player.src = this.url;
    this.player.load();
    return Promise.resolve();
  }

  override beat(now: number): void {
    const { clip } = this;
    if (!clip || this.player.readyState < 1) return;
    const playback = this.store.clipOver(this.source, now) ?? this.store.handlings.of(this.source).playback;
    const wanted = positionAt(playback, clip, now);
    const said = JSON.stringify(playback);
    const isNew = said !== this.heard;
    this.heard = said;
    if (isNew) this.ended = false;
    this.player.loop = clip.end === 'loop';
    const atEnd = clip.end !== 'loop' && wanted >= clip.length_ms;
    const runs = (playback?.playing ?? false) && !atEnd;
    const off = Math.abs(this.player.currentTime * 1000 - wanted);
    const wraps = clip.end === 'loop' && off > clip.length_ms / 2;
    if ((isNew && off > 40) || (off > MOST_OFF_MS && !wraps && !this.player.seeking && (!atEnd || off > 1000))) this.player.currentTime = wanted / 1000;
    if (runs && this.player.paused) void this.player.play().catch(() => undefined);
    else if (!runs && !this.player.paused) this.player.pause();
    if (atEnd && playback?.playing && !this.ended) {
      this.ended = true;
      if (clip.end === 'next') this.onEnd();
    }
    this.stream?.beat();
  }

  close(): void {
    this.player.pause();
    this.stream?.stop();
    this.player.removeAttribute('src');
    this.player.load();
  }

  /** Its frame with what lets through, as no stream would keep it. */
  get over(): HTMLVideoElement | null {
    return this.player.readyState >= 2 && this.player.videoWidth > 0 ? this.player : null;
  }

  override get size(): null {
    return null;
  }

  private ready(): void {
    if (this.player.videoWidth > 0 && !this.stream) {
      const track = (this.player as unknown as Captures).captureStream().getVideoTracks()[0];
      if (track) {
        const frames = new TrackFrames(track, () => this.take(frames.canvas));
        this.stream = frames;
      }
    }
    this.paint();
    this.live();
    this.dispatchEvent(new Event('sound'));
  }

  /** Tracks bring no frame of a clip that stands still. */
  private paint(): void {
    if (this.player.videoWidth === 0) return;
    this.canvas.width = this.player.videoWidth;
    this.canvas.height = this.player.videoHeight;
    this.context?.drawImage(this.player, 0, 0);
    this.take(this.canvas);
  }

  private take(canvas: HTMLCanvasElement): void {
    this.image = { image: canvas, width: canvas.width, height: canvas.height };
    this.live();
  }
}
