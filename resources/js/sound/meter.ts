/** Reads levels from an analyser: the highest sample since the last look, in dBFS. */
export function peakOf(analyser: AnalyserNode, buffer: Float32Array<ArrayBuffer>): number {
  analyser.getFloatTimeDomainData(buffer);
  let peak = 0;
  for (const sample of buffer) peak = Math.max(peak, Math.abs(sample));
  return peak > 0 ? 20 * Math.log10(peak) : -Infinity;
}

/** A bar that jumps up and falls back slowly, so that an eye can follow it. */
export class MeterBar {
  private shown = -Infinity;
  private last = performance.now();
  private readonly buffer = new Float32Array(2048);

  constructor(
    private readonly bar: HTMLElement,
    private readonly text: HTMLElement | null,
    private readonly floor: number,
  ) {}

  show(analyser: AnalyserNode | undefined): void {
    const now = performance.now();
    const fallen = this.shown - ((now - this.last) / 1000) * 20;
    this.last = now;
    const peak = analyser ? peakOf(analyser, this.buffer) : -Infinity;
    this.shown = Math.max(peak, fallen, this.floor * 2);
    const place = Math.max(0, Math.min(1, 1 - this.shown / this.floor));
    this.bar.style.setProperty('--level', place.toFixed(3));
    if (this.text) this.text.textContent = this.shown <= this.floor ? 'silent' : `${this.shown.toFixed(0)} dB`;
  }
}
