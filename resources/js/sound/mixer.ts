/** Plays the main mix: every source through its own gain, as the core and the desk say, into one stream. */
import type { Rig } from '../capture/rig';
import type { DeskStore } from '../desk/store';
import { blendAt } from '../plan/tracks';

interface Input {
  stream: MediaStream;
  source: MediaStreamAudioSourceNode;
  meter: AnalyserNode;
  gain: GainNode;
  target: number;
}

export class Mixer {
  readonly output: MediaStreamAudioDestinationNode;
  readonly meter: AnalyserNode;
  private readonly master: GainNode;
  private readonly inputs = new Map<string, Input>();

  constructor(
    readonly audio: AudioContext,
    private readonly store: DeskStore,
    private readonly rig: Rig,
  ) {
    this.output = audio.createMediaStreamDestination();
    this.master = audio.createGain();
    this.meter = audio.createAnalyser();
    this.meter.fftSize = 2048;
    this.master.connect(this.meter);
    this.master.connect(this.output);
    rig.addEventListener('sound', () => this.follow());
    rig.addEventListener('change', () => this.follow());
  }

  /** Level meter of one source, before its strip. */
  meterOf(source: string): AnalyserNode | undefined {
    return this.inputs.get(source)?.meter;
  }

  /** Sets the gains for this moment; called with every pass. */
  beat(now: number): void {
    const { pictures, sound } = this.store.onAir(now);
    const shares = this.shares(pictures, now);
    for (const [id, input] of this.inputs) {
      const hearing = this.store.book.sources[id]?.hearing;
      const share = hearing === 'always' ? 1 : hearing === 'with-picture' ? Math.min(1, shares.get(id) ?? 0) : 0;
      const gain = sound ? share * (this.store.strips[id]?.gain ?? 1) : 0;
      if (Math.abs(gain - input.target) < 1e-4) continue;
      input.target = gain;
      const at = this.audio.currentTime;
      input.gain.gain.cancelScheduledValues(at);
      input.gain.gain.setValueAtTime(input.gain.gain.value, at);
      input.gain.gain.linearRampToValueAtTime(gain, at + this.store.book.sound.declick_ms / 1000);
    }
  }

  private shares([outgoing, incoming]: string[], now: number): Map<string, number> {
    const shares = new Map<string, number>();
    const add = (picture: string | undefined, gain: number): void => {
      for (const source of this.store.book.pictures[picture ?? '']?.heard ?? []) shares.set(source, (shares.get(source) ?? 0) + gain);
    };
    const transition = incoming === undefined ? undefined : this.store.transition(String(this.store.registers(now).kind));
    if (transition?.clip) shares.set(transition.clip, 1);
    const blend = transition && blendAt(transition, this.store.progress(now) ?? 1);
    add(outgoing, blend?.['outgoing.gain'] ?? 1);
    add(incoming, blend?.['incoming.gain'] ?? 0);
    const inset = this.store.inset(now);
    for (const source of this.store.book.inset.shows[inset?.source ?? '']?.heard ?? []) shares.set(source, Math.max(shares.get(source) ?? 0, inset?.opacity ?? 0));
    return shares;
  }

  private follow(): void {
    for (const [id, input] of this.inputs) {
      if (this.rig.feeds.get(id)?.sound === input.stream) continue;
      input.source.disconnect();
      input.gain.disconnect();
      this.inputs.delete(id);
    }
    for (const [id, feed] of this.rig.feeds) {
      if (feed.sound && !this.inputs.has(id)) this.connect(id, feed.sound);
    }
  }

  private connect(id: string, stream: MediaStream): void {
    const source = this.audio.createMediaStreamSource(stream);
    const meter = this.audio.createAnalyser();
    meter.fftSize = 1024;
    const gain = this.audio.createGain();
    gain.gain.value = 0;
    source.connect(meter);
    source.connect(gain).connect(this.master);
    this.inputs.set(id, { stream, source, meter, gain, target: 0 });
  }
}
