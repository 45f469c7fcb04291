/** Calls back at a steady rate, also in a hidden tab. One beat at a time: a late one is skipped, not queued. */
export class Clock {
  private readonly worker = new Worker(new URL('./clock.worker.ts', import.meta.url), { type: 'module' });
  private painting = false;

  constructor(rate: number, beat: (now: number) => void) {
    this.worker.onmessage = () => {
      if (this.painting) return;
      this.painting = true;
      try {
        beat(performance.now());
      } finally {
        this.painting = false;
      }
    };
    this.worker.postMessage({ rate });
  }

  stop(): void {
    this.worker.terminate();
  }
}
