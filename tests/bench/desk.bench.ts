/**
 * What bin/bench measures. These machines are noisy and without a graphics
 * processor, so nothing here passes or fails by a time: it prints what it got,
 * beside a bare baseline of the same run.
 */
import { writeFileSync } from 'node:fs';
import { cpus } from 'node:os';
import { becomeHost, test, type ShowApi } from '../Browser/support/rhetorix';
import type { Page } from '@playwright/test';

declare global {
  interface Window {
    /** when, or after how many passes, program showed what was pressed */
    shown: Promise<number>;
  }
}

interface Row {
  what: string;
  got: string;
  aim: string;
  values: Record<string, number>;
}

const rows: Row[] = [];
const round = (value: number, digits = 1): number => Number(value.toFixed(digits));

function share(values: number[], part: number): number {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.floor(part * sorted.length))] ?? NaN;
}

/** Times of the painter's passes for a while: when each began and how long it took. */
async function passes(page: Page, seconds: number): Promise<{ gaps: number[]; costs: number[] }> {
  return page.evaluate(async (seconds) => {
    const painter = window.rhetorix?.painter;
    if (!painter) throw new Error('There is no painter.');
    const began: number[] = [];
    const costs: number[] = [];
    const pass = painter.pass.bind(painter);
    painter.pass = (now: number) => {
      began.push(performance.now());
      pass(now);
      costs.push(performance.now() - (began.at(-1) ?? 0));
    };
    await new Promise((resolve) => setTimeout(resolve, seconds * 1000));
    painter.pass = pass;
    return { gaps: began.slice(1).map((at, i) => at - (began[i] ?? at)), costs };
  }, seconds);
}

function rateRow(what: string, aim: string, { gaps, costs }: { gaps: number[]; costs: number[] }): Row {
  const total = gaps.reduce((sum, gap) => sum + gap, 0);
  const fps = (gaps.length * 1000) / total;
  const late = gaps.filter((gap) => gap > 50).length / gaps.length;
  const values = { fps: round(fps), late_percent: round(late * 100, 2), pass_p50_ms: round(share(costs, 0.5), 2), pass_p95_ms: round(share(costs, 0.95), 2), gap_p95_ms: round(share(gaps, 0.95)) };
  return { what, aim, values, got: `${values.fps} fps, ${values.late_percent} % late (over 50 ms), script of a pass ${values.pass_p50_ms} ms (p95 ${values.pass_p95_ms})` };
}

/** How often a worker's timer of 1/30 s comes on time on this machine with nothing to do: the best any clock here could be. */
async function bareClock(page: Page, seconds: number): Promise<Row> {
  const gaps = await page.evaluate(async (seconds) => {
    const source = 'let n=performance.now()+1000/30;const t=()=>{postMessage(0);n+=1000/30;setTimeout(t,n-performance.now())};setTimeout(t,33)';
    const worker = new Worker(URL.createObjectURL(new Blob([source])));
    const at: number[] = [];
    worker.onmessage = () => at.push(performance.now());
    await new Promise((resolve) => setTimeout(resolve, seconds * 1000));
    worker.terminate();
    return at.slice(1).map((now, i) => now - (at[i] ?? now));
  }, seconds);
  return rateRow('baseline: an idle worker clock on an empty page', '-', { gaps, costs: [0] });
}

async function fourSources(api: ShowApi): Promise<void> {
  // The fourth moving source and the eighth miniature.
  await api.send('source.connect', { name: 'Bench again', kind: 'stand-in', group: 'material', hearing: 'never', settings: { stand_in: 'bench' } });
}

/** Presses K in the page and counts the passes until program shows another picture. */
async function pressToPicture(page: Page, times: number): Promise<number[]> {
  const counts: number[] = [];
  for (let i = 0; i < times; i++) {
    // Watching has begun before the key goes down, however slow the machine is.
    await page.evaluate(() => {
      const session = window.rhetorix;
      if (!session) throw new Error('There is no session.');
      const { painter } = session;
      const look = new OffscreenCanvas(8, 8).getContext('2d', { willReadFrequently: true });
      const print = (): number[] => {
        look?.drawImage(painter.program, 0, 0, 8, 8);
        return [...(look?.getImageData(0, 0, 8, 8).data ?? [])];
      };
      const before = print();
      window.shown = new Promise<number>((resolve) => {
        let pressed: number | null = null;
        addEventListener('keydown', () => (pressed = painter.passes), { once: true, capture: true });
        const after = (): void => {
          if (pressed === null) return;
          const differs = print().reduce((sum, value, i) => sum + Math.abs(value - (before[i] ?? 0)), 0) / before.length;
          if (differs < 12) return;
          session.afterPass.delete(after);
          resolve(painter.passes - pressed);
        };
        session.afterPass.add(after);
      });
    });
    await page.keyboard.press('k');
    counts.push(await page.evaluate(() => window.shown));
    await page.waitForTimeout(250);
  }
  return counts;
}

/** From the press on the panel to the first pass on the host that shows it; both on this machine, so one clock. */
async function panelToHost(panel: Page, host: Page, times: number): Promise<number[]> {
  const took: number[] = [];
  for (let i = 0; i < times; i++) {
    const before = await host.evaluate(() => window.rhetorix?.store.onAir(performance.now()).pictures.join() ?? '');
    await host.evaluate((before) => {
      window.shown = new Promise<number>((resolve) => {
        const session = window.rhetorix;
        const after = (): void => {
          if (session?.store.onAir(performance.now()).pictures.join() === before) return;
          session?.afterPass.delete(after);
          resolve(performance.timeOrigin + performance.now());
        };
        session?.afterPass.add(after);
      });
    }, before);
    await panel.evaluate(() => addEventListener('keydown', (event) => (document.body.dataset.pressed = String(performance.timeOrigin + event.timeStamp)), { once: true, capture: true }));
    await panel.keyboard.press('k');
    took.push((await host.evaluate(() => window.shown)) - Number(await panel.evaluate(() => document.body.dataset.pressed)));
    await panel.waitForTimeout(300);
  }
  return took;
}

async function requests(times: number, ask: () => Promise<unknown>): Promise<number[]> {
  const took: number[] = [];
  for (let i = 0; i < times; i++) {
    const start = performance.now();
    await ask();
    took.push(performance.now() - start);
  }
  return took;
}

test('bench', async ({ newDesk, api, baseURL }) => {
  await fourSources(api);
  await api.begin('Slides + Lectern', 'Bench + Lectern');
  const { page: host } = await newDesk();
  await becomeHost(host);
  await host.waitForTimeout(4000);
  const empty = await host.context().newPage();
  rows.push(await bareClock(empty, 8));
  await empty.close();
  await host.bringToFront();

  rows.push(rateRow('program at rest, 4 moving sources, 8 miniatures, 1280x720', '30 fps, under 1 % late', await passes(host, 15)));
  await api.send('choose', { transition: { kind: 'mix', duration_ms: 10_000 } });
  await host.waitForTimeout(500);
  await host.keyboard.press('l');
  rows.push(rateRow('the same during a mix', 'at least 28 fps', await passes(host, 9)));
  await host.waitForTimeout(1500);

  await api.begin('Lectern', 'Slides');
  await host.waitForTimeout(500);
  const frames = await pressToPicture(host, 20);
  rows.push({ what: 'press to picture on the host', aim: 'at most 2 frames', values: { p50: share(frames, 0.5), p95: share(frames, 0.95), worst: Math.max(...frames) }, got: `${share(frames, 0.5)} frames (p95 ${share(frames, 0.95)}, worst ${Math.max(...frames)})` });

  const { page: panel } = await newDesk();
  await panel.waitForTimeout(3000);
  const ms = await panelToHost(panel, host, 20);
  rows.push({ what: 'press on a panel to program on the host, two browsers on this machine', aim: '-', values: { p50_ms: round(share(ms, 0.5)), p95_ms: round(share(ms, 0.95)) }, got: `p50 ${round(share(ms, 0.5))} ms, p95 ${round(share(ms, 0.95))} ms` });
  await panel.context().browser()?.close();
  await host.context().browser()?.close();

  const [bench, lectern] = [await api.pictureId('Bench'), await api.pictureId('Lectern')];
  let turn = 0;
  const bare: number[] = [];
  const commands: number[] = [];
  await requests(10, () => fetch(`${baseURL}/ping`));
  for (let i = 0; i < 8; i++) {
    // turn by turn, so that noise hits both
    bare.push(...(await requests(15, async () => (await fetch(`${baseURL}/ping`)).arrayBuffer())));
    commands.push(...(await requests(15, () => api.send('cut', { picture: turn++ % 2 ? bench : lectern }))));
  }
  const ratio = share(commands, 0.5) / share(bare, 0.5);
  rows.push({
    what: 'a command, against a bare framework route', aim: 'at most 3 times', values: { ratio: round(ratio, 2), command_p50_ms: round(share(commands, 0.5)), command_p95_ms: round(share(commands, 0.95)), bare_p50_ms: round(share(bare, 0.5)), bare_p95_ms: round(share(bare, 0.95)) },
    got: `${round(ratio, 2)} times (${round(share(commands, 0.5))} ms against ${round(share(bare, 0.5))} ms; p95 ${round(share(commands, 0.95))} against ${round(share(bare, 0.95))})`,
  });

  console.log(`\n${cpus().length} cores, no graphics processor\n`);
  for (const row of rows) console.log(`${row.what.padEnd(72)} ${row.got}${row.aim === '-' ? '' : `   [aim: ${row.aim}]`}`);
  const file = process.env.RHETORIX_BENCH_JSON;
  if (file) writeFileSync(file, JSON.stringify({ made: new Date().toISOString(), cores: cpus().length, rows }, null, 2));
});
