/** Measures each watched source about once a second and sends the numbers to the core. */
import type { Rig } from '../capture/rig';
import type { DeskStore } from '../desk/store';
import { postJson } from '../link/http';
import type { HostLease } from '../link/lease';
import type { Quality, SignalFinding } from '../plan/types';
import type { Mixer } from '../sound/mixer';
import { peakOf } from '../sound/meter';
import { compare, lookAt, lumaOf, round, type Look } from './measure';

interface Watched {
  /** frames of the feed when it was looked at last, and when */
  frames: number;
  since: number;
  /** the burst under way: luma of the frame before, and what was compared so far */
  before: Float32Array | null;
  seen: number;
  noise: number[];
  /** difference to the last frame of the sample before */
  gap: number | null;
  moved: number[];
  look: Look | null;
  done: boolean;
  peak: number;
}

/** Late: a gap between two passes that is half a frame longer than it should be. */
const LATE = 1.5;

export class SignalSampler {
  /** milliseconds of script that measuring took so far, for bin/bench */
  spent = 0;
  private readonly watched = new Map<string, Watched>();
  private readonly canvas: OffscreenCanvas;
  private readonly context: OffscreenCanvasRenderingContext2D | null;
  private readonly sound = new Float32Array(1024);
  private due = 0;
  private busy = false;
  private readonly began = performance.now();
  private passes = { count: 0, late: 0, since: 0, last: 0 };

  constructor(
    private readonly show: string,
    private readonly store: DeskStore,
    private readonly rig: Rig,
    private readonly mixer: Mixer,
    private readonly lease: HostLease,
    private readonly isCatchingUp: () => boolean,
  ) {
    const { columns, rows } = store.book.signal.sample;
    this.canvas = new OffscreenCanvas(columns, rows);
    this.context = this.canvas.getContext('2d', { alpha: false, willReadFrequently: true });
    // Points as they are: smoothing would hide the noise by which a living picture is known.
    if (this.context) this.context.imageSmoothingEnabled = false;
  }

  beat(now: number): void {
    this.countPass(now);
    const began = performance.now();
    let looked = 0;
    for (const [id, feed] of this.rig.feeds) {
      const source = this.store.book.sources[id];
      if (!source?.watched) continue;
      const watched = this.watched.get(id) ?? this.begin(id, feed.frames, now);
      const meter = this.mixer.meterOf(id);
      if (meter && this.passes.count % 3 === 0) watched.peak = Math.max(watched.peak, peakOf(meter, this.sound));
      // Not more than two pictures in one pass, so that no pass is long.
      if (!watched.done && looked < 2 && feed.state === 'live' && feed.frames > watched.seen && this.look(watched, id, feed.frames)) looked++;
    }
    this.spent += performance.now() - began;
    if (now >= this.due && !this.busy) void this.send(now);
  }

  private begin(id: string, frames: number, now: number): Watched {
    const before = this.watched.get(id)?.before ?? null;
    const watched: Watched = { frames, since: now, before, seen: frames - 1, noise: [], gap: null, moved: [], look: null, done: false, peak: -Infinity };
    this.watched.set(id, watched);
    return watched;
  }

  /** One frame of a burst: frames that follow each other are compared. */
  private look(watched: Watched, id: string, frames: number): boolean {
    const image = this.rig.feeds.get(id)?.current(0, Infinity);
    if (!image || !this.context) return false;
    const { sample } = this.store.book.signal;
    this.context.drawImage(image.image, 0, 0, sample.columns, sample.rows);
    const { data } = this.context.getImageData(0, 0, sample.columns, sample.rows);
    const luma = lumaOf(data);
    if (watched.before && watched.look === null) watched.gap = round(compare(watched.before, luma, sample.moved).noise);
    else if (watched.before && frames === watched.seen + 1) {
      const { noise, moved } = compare(watched.before, luma, sample.moved);
      watched.noise.push(round(noise));
      watched.moved.push(round(moved));
    }
    watched.look ??= lookAt(data, luma, sample);
    watched.before = luma;
    watched.seen = frames;
    watched.done = watched.noise.length >= sample.burst - 1;
    return true;
  }

  private countPass(now: number): void {
    const { passes } = this;
    if (passes.since === 0) passes.since = now;
    else if (now - passes.last > (LATE * 1000) / (this.store.book.canvas.rate * (this.store.quality?.rate ?? 1))) passes.late++;
    passes.last = now;
    passes.count++;
  }

  private async send(now: number): Promise<void> {
    this.busy = true;
    this.due = now + this.store.book.signal.sample.every_ms;
    const samples: Record<string, unknown> = {};
    for (const [id, watched] of this.watched) {
      const feed = this.rig.feeds.get(id);
      if (!feed || !this.store.book.sources[id]) {
        this.watched.delete(id);
        continue;
      }
      if (feed.state === 'opening') continue;
      const size = feed.size;
      const matte = this.store.book.sources[id].look?.key ? this.rig.looks.matteOf(id) : null;
      samples[id] = {
        lost: feed.state === 'lost',
        ...(watched.look && size && feed.state === 'live'
          ? { ...watched.look, ...size, fps: round(((feed.frames - watched.frames) * 1000) / Math.max(1, now - watched.since), 1), noise: watched.noise, moved: watched.moved, ...(watched.gap === null ? {} : { since: watched.gap }) }
          : {}),
        ...(matte && feed.state === 'live' ? { matte } : {}),
        ...(Number.isFinite(watched.peak) || this.mixer.meterOf(id) ? { peak: Math.max(-200, round(watched.peak, 1)) } : {}),
      };
      this.begin(id, feed.frames, now);
    }
    const { passes } = this;
    const seconds = (now - passes.since) / 1000;
    const host = { fps: round(passes.count / Math.max(0.1, seconds), 1), late: round(passes.late / Math.max(1, passes.count)), running_ms: Math.round(now - this.began) };
    this.passes = { count: 0, late: 0, since: now, last: now };
    // What was pressed while the server was away comes first, or its times would be gone.
    if (this.isCatchingUp()) return;
    const answer = await postJson<{ signals: Record<string, SignalFinding>; quality: Quality }>(`/shows/${this.show}/signals`, { tab: this.lease.id, samples, host }).catch(() => null);
    if (answer) this.store.hear(answer.signals, answer.quality);
    this.busy = false;
  }
}
