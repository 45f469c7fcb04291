/** What bin/bench measures of a desk with many hands: panels, tally, transitions, updates, many shows, memory. */
import { execFileSync } from 'node:child_process';
import { becomeHost, expect, test } from '../Browser/support/rhetorix';

const round = (value: number, digits = 1): number => Number(value.toFixed(digits));

function share(values: number[], part: number): number {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.floor(part * sorted.length))] ?? NaN;
}

const say = (what: string, got: string, aim = '-'): void => console.log(`${what.padEnd(72)} ${got}${aim === '-' ? '' : `   [aim: ${aim}]`}`);
const times = (ms: number[]): string => `p50 ${round(share(ms, 0.5))} ms, p95 ${round(share(ms, 0.95))} ms`;

test('hands', async ({ newDesk, api, baseURL }) => {
  test.setTimeout(900_000);
  const [lectern, slides, bench] = [await api.pictureId('Lectern'), await api.pictureId('Slides'), await api.pictureId('Bench')];
  await api.begin('Lectern', 'Slides');

  // Without a browser on the same two cores: what the server alone does.
  const command = async (i: number): Promise<number> => {
    const start = performance.now();
    await api.send('cut', { picture: i % 2 ? lectern : slides });
    return performance.now() - start;
  };
  const bare = async (): Promise<number> => {
    const start = performance.now();
    await (await fetch(`${baseURL}/ping`)).arrayBuffer();
    return performance.now() - start;
  };
  const [alone, pings]: [number[], number[]] = [[], []];
  for (let i = 0; i < 60; i++) {
    pings.push(await bare());
    alone.push(await command(i));
  }
  say('a command, no browser on this machine', `${times(alone)}; bare route ${times(pings)}`);

  const { page: host } = await newDesk();
  await becomeHost(host);
  await host.waitForTimeout(4000);
  const before = Buffer.byteLength(JSON.stringify((await api.send('arm', { picture: bench })).body));

  // Twenty panels listen; one of them presses.
  const listeners = Array.from({ length: 20 }, () => {
    const stop = new AbortController();
    void fetch(`${baseURL}/api/v1/shows/${api.id}/events`, { headers: { Authorization: `Bearer ${api.token}` }, signal: stop.signal }).then(async (answer) => { for await (const piece of answer.body ?? []) void piece; }, () => undefined).catch(() => undefined);
    return stop;
  });
  const { page: tally } = await newDesk();
  await tally.goto(`/shows/${api.id}/tally/${await api.sourceId('Slides')}`);
  await host.evaluate((picture) => {
    const session = window.rhetorix;
    let was = '';
    session?.afterPass.add((now) => {
      const on = session.store.onAir(now).pictures.join();
      if (on !== was) document.body.dataset.seen = `${on === picture ? 1 : 0} ${Date.now()}`;
      was = on;
    });
  }, slides);
  await tally.evaluate(() => new MutationObserver(() => (document.body.dataset.seen = String(Date.now()))).observe(document.body, { attributeFilter: ['data-tally'] }));
  await host.waitForTimeout(3000);
  const [toProgram, toTally, roundTrips]: [number[], number[], number[]] = [[], [], []];
  for (let i = 0; i < 40; i++) {
    const pressed = Date.now();
    await api.send('cut', { picture: i % 2 ? lectern : slides });
    roundTrips.push(Date.now() - pressed);
    await host.waitForTimeout(350);
    toProgram.push(Number((await host.evaluate(() => document.body.dataset.seen ?? '')).split(' ')[1]) - pressed);
    toTally.push(Number(await tally.evaluate(() => document.body.dataset.seen)) - pressed);
  }
  for (const stop of listeners) stop.abort();
  say('press on a panel to program on the host, 20 panels listening', times(toProgram), 'p95 at most 100 ms');
  say('press to the tally page', times(toTally), 'at most 100 ms');
  say('of that: the command and its answer', times(roundTrips));
  await tally.context().browser()?.close();

  const kinds = Object.keys((await api.state()).book.transitions);
  await api.begin('Slides + Lectern', 'Bench + Lectern');
  for (const kind of kinds) {
    const rate = await host.evaluate(async (kind) => {
      const session = window.rhetorix;
      if (!session) throw new Error('There is no desk.');
      const { preview } = session.store.registers(performance.now());
      session.link.press('take', { picture: String(preview), transition: { kind, duration_ms: 3000 } });
      const began: number[] = [];
      const watch = (): void => void began.push(performance.now());
      session.afterPass.add(watch);
      await new Promise((resolve) => setTimeout(resolve, 2800));
      session.afterPass.delete(watch);
      const gaps = began.slice(1).map((at, i) => at - (began[i] ?? at));
      return { fps: ((began.length - 1) * 1000) / ((began.at(-1) ?? 0) - (began[0] ?? 0)), late: gaps.filter((gap) => gap > 50).length / gaps.length };
    }, kind);
    say(`during ${kind}, 1280x720, demo show`, `${round(rate.fps)} fps, ${round(100 * rate.late)} % late`, '30 fps');
    await host.waitForTimeout(900);
  }

  // Memory through constant switching.
  const minutes = Number(process.env.RHETORIX_BENCH_MINUTES ?? 3);
  const cdp = await host.context().newCDPSession(host);
  const heap = async (): Promise<number> => {
    await cdp.send('HeapProfiler.collectGarbage');
    return (await cdp.send('Runtime.getHeapUsage')).usedSize / 1e6;
  };
  const heaps: number[] = [];
  for (let i = 0; i <= minutes; i++) {
    heaps.push(await heap());
    if (i === minutes) break;
    await host.evaluate(async (pictures) => {
      const end = performance.now() + 60_000;
      for (let i = 0; performance.now() < end; i++) {
        window.rhetorix?.link.press(i % 3 === 0 ? 'cut' : 'take', { picture: pictures[i % pictures.length] ?? '', transition: { kind: i % 2 ? 'mix' : 'glide', duration_ms: 150 } });
        await new Promise((resolve) => setTimeout(resolve, 300));
      }
    }, [lectern, slides, bench]);
  }
  say(`script memory through ${minutes} minutes of constant switching`, `${heaps.map((mb) => round(mb)).join(', ')} MB after each`, 'no growth');
  await host.context().browser()?.close();

  // Forty pictures: a live command still tells only what changed.
  const sources = [await api.sourceId('Lectern'), await api.sourceId('Bench')];
  for (let i = 0; Object.keys((await api.state()).book.pictures).length < 40; i++) {
    expect((await api.send('picture.make', { name: `Many ${i}`, group: 'together', layout: { layout: 'inset', corner: 'top-left', size: 0.2 + i / 200 }, fills: { large: sources[0], inset: sources[1] } })).status).toBe(200);
  }
  const after = Buffer.byteLength(JSON.stringify((await api.send('arm', { picture: slides })).body));
  const many: number[] = [];
  for (let i = 0; i < 40; i++) many.push(await command(i));
  say('an update of a live command, 40 pictures against the demo show', `${after} against ${before} bytes; ${times(many)}`);

  const data = process.env.RHETORIX_TEST_DATA ?? 'data';
  const words = ['env', `RHETORIX_DATA=${data}`, 'php', 'tests/bench/many-shows.php', '200'];
  const shows = JSON.parse(execFileSync(process.getuid?.() === 0 ? 'runuser' : 'env', process.getuid?.() === 0 ? ['-u', 'www-data', '--', ...words] : words.slice(1), { encoding: 'utf8', maxBuffer: 1e7 })) as [string, string, string][];
  for (const count of [60, 200]) {
    const late: number[] = [];
    const started = performance.now();
    const jobs: Promise<void>[] = [];
    const seconds = 10;
    for (let n = 0; n < seconds * count; n++) {
      const due = started + (n * 1000) / count;
      await new Promise((resolve) => setTimeout(resolve, Math.max(0, due - performance.now())));
      const [show, one, two] = shows[n % count] ?? ['', '', ''];
      jobs.push(
        fetch(`${baseURL}/api/v1/shows/${show}/commands`, { method: 'POST', headers: { Authorization: `Bearer ${api.token}`, 'Content-Type': 'application/json', Accept: 'application/json' }, body: JSON.stringify({ id: crypto.randomUUID(), type: 'cut', picture: Math.floor(n / count) % 2 ? one : two }) })
          .then(async (answer) => { await answer.arrayBuffer(); if (answer.ok) late.push(performance.now() - due); })
          .catch(() => undefined), // counted as not answered
      );
    }
    await Promise.all(jobs);
    const rate = late.length / ((performance.now() - started) / 1000);
    say(`${count} shows, one command a second each`, `${late.length} of ${seconds * count} answered, ${round(rate)} a second; ${times(late)}`);
  }
});
