/** What this computer holds: measured, forecast, lowered; and what is given up when it is too much. */
import { asItWas, becomeHost, expect, test } from '../support/rhetorix';

test.beforeEach(async ({ api }) => asItWas(api));
test.afterEach(async ({ api }) => asItWas(api));

test('measures the computer while the show goes on, and says what to lower', async ({ desk, api }) => {
  await desk.goto(`/shows/${api.id}/rig`);
  await becomeHost(desk);
  await desk.waitForTimeout(2000);
  await desk.getByTestId('budget-measure').click();
  await expect(desk.getByTestId('budget-said')).toContainText(/\d (%|frames a second)/);
  const devices = await desk.evaluate(async () => (await navigator.mediaDevices.enumerateDevices()).filter(({ kind }) => kind === 'videoinput').map(({ deviceId }) => deviceId));
  for (const [i, device] of devices.slice(0, 2).entries()) {
    await api.send('source.connect', { name: `Large ${i}`, kind: 'camera', settings: { device, label: 'fake', width: 3840, height: 2160, rate: 30 } });
    await api.send('source.measured', { source: await api.sourceId(`Large ${i}`), width: 3840, height: 2160 });
  }
  const lower = desk.getByTestId('budget-lower').first();
  await expect(lower).toContainText(/Large \d: \d+ × \d+ saves \d+ %/);
  const [, name = '', width, height] = /(Large \d): (\d+) × (\d+)/.exec((await lower.textContent()) ?? '') ?? [];
  await lower.click();
  const id = await api.sourceId(name);
  await expect.poll(async () => (await api.state()).book.sources[id]?.settings).toMatchObject({ width: Number(width), height: Number(height) });
  // or smaller still, where two cameras of that size made frames late meanwhile
  await expect(desk.locator('[data-testid=source-card]', { hasText: name }).first().getByRole('paragraph').first()).not.toContainText('3840 × 2160');
});

test('gives up miniatures and more when it is overloaded for a minute, keeps program and sound, and comes back', async ({ desk, api }) => {
  test.setTimeout(360_000);
  await api.begin('Lectern', 'Bench');
  await desk.waitForTimeout(4000);
  await expect.poll(async () => (await api.state()).quality?.level, { timeout: 120_000 }).toBe(0);
  await expect(desk.getByTestId('quality')).toBeHidden();
  // Overload on purpose: miniatures that cost a fixed time each, on any computer, are added until frames come late.
  const run = await desk.evaluate(async () => {
    const session = window.rhetorix;
    if (!session?.mixer) throw new Error('This is not the host.');
    const pictures = Object.keys(session.store.book.pictures);
    const extra: HTMLCanvasElement[] = [];
    const sleep = (ms: number): Promise<unknown> => new Promise((resolve) => setTimeout(resolve, ms));
    const loudness = new Float32Array(2048);
    const seconds: { level: number; fps: number; sound: number; clock: number }[] = [];
    let top = 0;
    // A minute by the clock: the more is late, the longer each look takes.
    const end = performance.now() + 60_000;
    while (performance.now() < end) {
      if (top === 0 && extra.length < 84) {
        for (let i = 0; i < 14; i++) {
          const canvas = document.createElement('canvas');
          [canvas.width, canvas.height] = [960, 540];
          canvas.style.cssText = 'position:fixed;left:-9999px';
          document.body.append(canvas);
          const surface = canvas.getContext('2d');
          if (!surface) throw new Error('This canvas cannot be painted on.');
          const draw = surface.drawImage.bind(surface) as (...parts: unknown[]) => void;
          surface.drawImage = (...parts: unknown[]): void => {
            const until = performance.now() + 1.5;
            while (performance.now() < until);
            draw(...parts);
          };
          session.painter.attach(canvas, { kind: 'picture', id: pictures[extra.length % pictures.length] ?? 'holding' });
          extra.push(canvas);
        }
      }
      const [passes, began, clock] = [session.painter.passes, performance.now(), session.audio.currentTime];
      let sound = 0;
      for (let i = 0; i < 10; i++) {
        await sleep(100);
        session.mixer.meter.getFloatTimeDomainData(loudness);
        sound = Math.max(sound, ...loudness.map(Math.abs));
      }
      const passed = (performance.now() - began) / 1000;
      const level = session.store.quality?.level ?? 0;
      top = Math.max(top, level);
      seconds.push({ level, fps: (session.painter.passes - passes) / passed, sound, clock: (session.audio.currentTime - clock) / passed });
    }
    for (const canvas of extra) canvas.remove();
    return { seconds, added: extra.length };
  });
  const levels = run.seconds.map(({ level }) => level);
  const mean = (values: number[]): number => values.reduce((sum, value) => sum + value, 0) / values.length;
  const last = run.seconds.slice(-20);
  console.log(`overload: ${run.added} large miniatures; quality steps ${[...new Set(levels)].join(' ')}; program ${mean(last.map(({ fps }) => fps)).toFixed(1)} frames a second at the end, ${Math.min(...run.seconds.map(({ fps }) => fps)).toFixed(1)} at worst`);
  expect(Math.max(...levels), 'it stepped down').toBeGreaterThan(0);
  expect(mean(last.map(({ fps }) => fps)), 'program keeps its rate').toBeGreaterThan(28);
  // Sound was never given up: its clock ran on, and somebody was heard in each three seconds.
  expect(mean(run.seconds.map(({ clock }) => clock))).toBeGreaterThan(0.97);
  for (let i = 0; i + 3 <= run.seconds.length; i += 3) expect(Math.max(...run.seconds.slice(i, i + 3).map(({ sound }) => sound)), `sound at ${i} s`).toBeGreaterThan(0.001);
  await expect(desk.getByTestId('quality')).toContainText('Late frames: miniatures');

  // On a page without miniatures there is room again, on any computer; the desk goes on behind it.
  await desk.getByRole('link', { name: 'As-run list' }).click();
  await expect(desk.getByTestId('quality')).toBeHidden({ timeout: 240_000 });
  await desk.goto(`/shows/${api.id}/as-run`);
  await expect(desk.locator('main')).toContainText('Frames ran late on the computer with the devices: miniatures 4 times a second');
  await expect(desk.locator('main')).toContainText('The computer with the devices keeps up again: everything as chosen');
});
