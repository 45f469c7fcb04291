/** What looks cost, and how near the forecast of the budget comes to what then happens. Prints, never asserts a time. */
import { writeFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { ShowApi, becomeHost, test } from '../Browser/support/rhetorix';

interface Cost {
  fps: number;
  late: number;
  /** milliseconds of the painter's script in a pass */
  pass: number;
  /** milliseconds beside the painter for a frame with a look, and how many of them came in a second */
  look: number;
  looked: number;
}

async function cost(page: Page, seconds: number): Promise<Cost> {
  return page.evaluate(async (seconds) => {
    const session = window.rhetorix;
    if (!session?.rig) throw new Error('This is not the host.');
    const { painter } = session;
    const { looks } = session.rig;
    const [passes, spent, took, frames, began] = [painter.passes, painter.spent, looks.spent, looks.frames, performance.now()];
    let [late, last] = [0, began];
    const count = (now: number): void => {
      if (now - last > 50) late++;
      last = now;
    };
    session.afterPass.add(count);
    await new Promise((resolve) => setTimeout(resolve, seconds * 1000));
    session.afterPass.delete(count);
    const passed = (performance.now() - began) / 1000;
    const n = Math.max(1, painter.passes - passes);
    return { fps: (painter.passes - passes) / passed, late: late / n, pass: (painter.spent - spent) / n, look: (looks.spent - took) / Math.max(1, looks.frames - frames), looked: (looks.frames - frames) / passed };
  }, seconds);
}

async function devicesOf(page: Page): Promise<string[]> {
  return page.evaluate(async () => {
    (await navigator.mediaDevices.getUserMedia({ video: true })).getTracks().forEach((track) => track.stop());
    return (await navigator.mediaDevices.enumerateDevices()).filter(({ kind }) => kind === 'videoinput').map(({ deviceId }) => deviceId);
  });
}

/** Cameras of these sizes and rates, live. */
async function connect(host: Page, api: ShowApi, devices: string[], cameras: [width: number, height: number, rate: number][]): Promise<string[]> {
  const ids: string[] = [];
  for (const [i, [width, height, rate]] of cameras.entries()) {
    await api.send('source.connect', { name: `Bench camera ${i}`, kind: 'camera', settings: { device: devices[i], label: 'fake', width, height, rate } });
    ids.push(await api.sourceId(`Bench camera ${i}`));
  }
  for (const id of ids) await host.waitForFunction((id) => window.rhetorix?.rig?.feeds.get(id)?.state === 'live', id);
  return ids;
}

async function framesOf(page: Page, ids: string[], seconds: number): Promise<number[]> {
  return page.evaluate(async ({ ids, seconds }) => {
    const frames = (): number[] => ids.map((id) => window.rhetorix?.rig?.feeds.get(id)?.frames ?? 0);
    const before = frames();
    await new Promise((resolve) => setTimeout(resolve, seconds * 1000));
    return frames().map((count, i) => (count - (before[i] ?? 0)) / seconds);
  }, { ids, seconds });
}

async function disconnect(api: ShowApi, ids: string[]): Promise<void> {
  for (const source of ids) await api.send('source.remove', { source });
}

const COMBINATIONS: [width: number, height: number, rate: number][][] = [
  [[640, 360, 30]],
  [[1280, 720, 15]],
  [[1280, 720, 30]],
  [[1920, 1080, 15]],
  [[1920, 1080, 30]],
  [[640, 360, 30], [640, 360, 30]],
  [[640, 360, 30], [1280, 720, 15]],
  [[1280, 720, 15], [1280, 720, 15]],
  [[1280, 720, 30], [640, 360, 15]],
  [[640, 360, 30], [640, 360, 30], [640, 360, 30]],
  [[1280, 720, 15], [640, 360, 15], [640, 360, 15]],
  [[1280, 720, 30], [1280, 720, 30]],
  [[1920, 1080, 30], [1280, 720, 30]],
  [[1920, 1080, 30], [1920, 1080, 30], [1280, 720, 30]],
];

const rows: [string, string, string][] = [];

function say(what: string, got: string, aim: string): void {
  rows.push([what, got, aim]);
  console.log(`${what.padEnd(92)} ${got}   [aim: ${aim}]`);
  const json = process.env.RHETORIX_BENCH_JSON;
  if (json) writeFileSync(json.replace(/\.json$/, '') + '.looks.json', JSON.stringify({ rows }, null, 2));
}

test('bench of looks', async ({ newDesk, api }) => {
  const { page: host } = await newDesk();
  await becomeHost(host);
  const devices = await devicesOf(host);

  const [camera = ''] = await connect(host, api, devices, [[640, 360, 30]]);
  await api.begin('Bench camera 0', 'Lectern');
  await host.waitForTimeout(3000);
  const plain = await cost(host, 8);
  await api.send('handle', { source: camera, key: { colour: '#4cc24c' }, behind: await api.sourceId('Bench') });
  await host.waitForTimeout(2000);
  const keyed = await cost(host, 8);
  const said = ({ fps, late }: Cost): string => `${fps.toFixed(1)} fps, ${(100 * late).toFixed(1)} % late`;
  say('keying one 640x360 camera on program, with the whole demo show besides', `${(keyed.pass - plain.pass).toFixed(2)} ms more in the painter, ${keyed.look.toFixed(1)} ms beside it by the clock (two busy cores), ${keyed.looked.toFixed(0)} keyed frames a second; ${said(keyed)}`, 'at most 5 ms');
  await api.send('handle', { source: camera, key: false, behind: false });
  await api.begin('Lectern', 'Bench'); // what is on program cannot be removed
  await disconnect(api, [camera]);

  // The same with nothing else on the computer: the show's other sources are blank and the cards are not on the page.
  const alone = await host.evaluate(async () => {
    const session = window.rhetorix;
    if (!session?.rig) throw new Error('This is not the host.');
    const before = session.rig.looks;
    const context = new OffscreenCanvas(640, 360).getContext('2d');
    if (!context) throw new Error('no canvas');
    const look = { colour: null, key: { colour: [76, 194, 76], along: [-0.62, -0.78], across: 0.6, full: 79, most_mixed: 0.9, low: 4, high: 51, spill: 1, axis: [-1.2, 0.45, -1.1], inside: { x: 0, y: 0, width: 1, height: 1 } } } as const;
    const Looks = before.constructor as new (widest: number) => typeof before;
    const looks = new Looks(640);
    session.painter.pass = () => undefined; // the painter rests
    await new Promise((resolve) => setTimeout(resolve, 500));
    for (let frame = 0; frame < 60; frame++) {
      context.fillStyle = frame % 2 ? '#4cc24c' : '#b08060';
      context.fillRect(0, 0, 640, 180);
      looks.of('bench', look as never, { image: context.canvas, width: 640, height: 360 }, frame, 0);
      const done = looks.frames;
      for (let wait = 0; wait < 60 && looks.frames === done; wait++) await new Promise((resolve) => setTimeout(resolve, 4));
    }
    return looks.spent / looks.frames;
  });
  say('keying one 640x360 frame while the painter rests', `${alone.toFixed(2)} ms`, '2.5 ms for a bare loop');
  await host.reload();
  await becomeHost(host);

  const four = await connect(host, api, devices, [[1280, 720, 30], [1280, 720, 30], [1280, 720, 30]]);
  await host.waitForTimeout(4000);
  const without = await cost(host, 8);
  for (const source of [...four, await api.sourceId('Bench')]) await api.send('handle', { source, colour: { saturation: 1.3, warmth: 0.2 } });
  await host.waitForTimeout(3000);
  const with4 = await cost(host, 10);
  say('colours of four sources, three cameras at 1280x720 and a stand-in, with the demo show besides', `${said(with4)}, ${with4.looked.toFixed(0)} frames a second with their colours in all; without: ${said(without)}`, '30 fps at 1280x720, or what it costs');
  for (const source of four) await api.send('handle', { source, colour: false });
  await api.send('handle', { source: await api.sourceId('Bench'), colour: false });
  await disconnect(api, four);
});

test('bench of the budget', async ({ newDesk }) => {
  const { page: host } = await newDesk();
  await becomeHost(host);
  const devices = await devicesOf(host);
  // A show of its own: stand-ins are painted by this computer too, and would be in the way of what cameras cost.
  const name = `Bench ${Date.now()}`;
  await host.evaluate(async (name) => {
    const token = document.querySelector<HTMLMetaElement>('meta[name=csrf-token]')?.content ?? '';
    await fetch('/shows', { method: 'POST', headers: { 'X-CSRF-TOKEN': token, 'Content-Type': 'application/x-www-form-urlencoded' }, body: new URLSearchParams({ name }) });
  }, name);
  const own = await ShowApi.demo(host.request, name);
  await host.goto(`/shows/${own.id}/rig`);
  await host.waitForFunction(() => window.rhetorix?.isHost);
  await host.waitForTimeout(2000);
  await host.getByTestId('budget-measure').click();
  await host.getByTestId('budget-said').waitFor();
  await host.getByTestId('budget-measure').getByText('Measure again').waitFor();
  const cdp = await host.context().newCDPSession(host);
  await cdp.send('Performance.enable');
  const busy = async (): Promise<number> => {
    const task = async (): Promise<number> => (await cdp.send('Performance.getMetrics')).metrics.find(({ name }) => name === 'TaskDuration')?.value ?? 0;
    const [before, began] = [await task(), Date.now()];
    await host.waitForTimeout(5000);
    return ((await task()) - before) / ((Date.now() - began) / 1000);
  };
  const errors: number[] = [];
  const lines: string[] = [];
  for (const cameras of [[], ...COMBINATIONS]) {
    const ids = await connect(host, own, devices, cameras);
    await host.waitForTimeout(3500);
    const forecast = Number(await host.getByTestId('budget').getAttribute('data-busy'));
    const real = await busy();
    const came = await framesOf(host, ids, 3);
    const { fps, late } = await cost(host, 3);
    if (cameras.length > 0) errors.push(Math.abs(Math.min(1, forecast) - real));
    lines.push(`  ${cameras.map((camera) => `${camera[0]}x${camera[1]} at ${camera[2]}`).join(' + ') || 'no camera'}: forecast ${(100 * forecast).toFixed(0)} %, then ${(100 * real).toFixed(0)} % busy; ${fps.toFixed(1)} fps, ${(100 * late).toFixed(0)} % late; cameras ${came.map((rate) => rate.toFixed(0)).join(', ')} a second`);
    await disconnect(own, ids);
  }
  console.log(lines.join('\n'));
  say(`forecast of the painter's work against what Chromium then counts, ${errors.length} combinations`, `off by ${((100 * errors.reduce((sum, error) => sum + error, 0)) / errors.length).toFixed(0)} points in the mean, ${(100 * Math.max(...errors)).toFixed(0)} at most`, 'stated');
});
