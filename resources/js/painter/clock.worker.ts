/**
 * The clock of the painter. A timer in a worker goes on at full rate when the
 * tab is hidden, which animation frames and timers of the page do not.
 */
let timer: ReturnType<typeof setTimeout> | undefined;

onmessage = (event: MessageEvent<{ rate: number }>) => {
  clearTimeout(timer);
  const step = 1000 / event.data.rate;
  let next = performance.now() + step;
  const tick = (): void => {
    postMessage(0);
    const now = performance.now();
    next += step;
    // After a long stall go on from now instead of hurrying after what was missed.
    if (next < now) next = now + step;
    timer = setTimeout(tick, next - now);
  };
  timer = setTimeout(tick, step);
};

export {};
