/**
 * How often a thread is found at work: a timer that comes late was kept
 * waiting by it. The share of late ones is the share of the time that the
 * thread is busy; what the same timer says in a thread that does nothing is
 * the computer's own lateness, and is taken off.
 */
const EVERY_MS = 5;
/** Later than this, and the thread was at work; timers themselves are less exact than a millisecond. */
const LATE_MS = 1.2;

export function lateness(ms: number): Promise<number> {
  const began = performance.now();
  let [late, count] = [0, 0];
  return new Promise((resolve) => {
    const turn = (): void => {
      const due = performance.now() + EVERY_MS;
      setTimeout(() => {
        const now = performance.now();
        count++;
        if (now - due > LATE_MS) late++;
        if (now - began < ms) turn();
        else resolve(late / count);
      }, EVERY_MS);
    };
    turn();
  });
}

/** Share of the time for which this thread is at work, 0 to 1, from its own lateness and that of an idle one. */
export function busyFrom(own: number, idle: number): number {
  return Math.max(0, Math.min(1, (own - idle) / Math.max(0.05, 1 - idle)));
}
