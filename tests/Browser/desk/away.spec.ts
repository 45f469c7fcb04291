/** The desk on its own: with server, database and web server stopped, through a reload, and back again. */
import { execFileSync } from 'node:child_process';
import type { Page } from '@playwright/test';
import { artisan, asItWas, becomeHost, card, expect, isKept, test, type ShowApi } from '../support/rhetorix';
import { start, stop } from '../support/instance';

const COLOURS: Record<string, [number, number, number]> = { Rust: [200, 60, 40], Moss: [40, 150, 60], Slate: [40, 70, 190], Chalk: [240, 236, 220] };
const KINDS = ['mix', 'dip', 'wipe-right', 'wipe-down', 'wipe-diagonal', 'wipe-iris', 'wipe-clock', 'push-left', 'push-down', 'slide-up', 'slide-right', 'glide'];
/** Away from where the inset lies, and from the middle of an edge. */
const POINTS = [{ x: 0.21, y: 0.33 }, { x: 0.52, y: 0.18 }, { x: 0.83, y: 0.27 }];

test.beforeEach(async ({ api }) => asItWas(api));
test.afterEach(async ({ api, baseURL }) => {
  await start(baseURL ?? '', 'postgres', 'php', 'nginx');
  await api.send('inset', { mode: 'off' });
  await asItWas(api);
});

/** Pictures of one colour each, so that every pixel of program can be foretold. */
async function plainPictures(api: ShowApi): Promise<Record<string, string>> {
  const ids: Record<string, string> = {};
  for (const [name, [r, g, b]] of Object.entries(COLOURS)) {
    const colour = `#${[r, g, b].map((level) => level.toString(16).padStart(2, '0')).join('')}`;
    const answer = await api.send('source.connect', { name, kind: 'colour', settings: { colour } });
    expect(answer.status, answer.body.message).toBe(200);
    ids[name] = await api.pictureId(name);
  }
  return ids;
}

interface Sample {
  from: string;
  to: string;
  kind: string;
  p: number;
  colours: [number, number, number][];
  covered: boolean;
  inset: string;
}

/** Gives commands drawn at random, and looks at program right after each pass that follows. */
function drive(desk: Page, seed: number, count: number, pictures: string[], sources: string[]): Promise<{ samples: Sample[]; ids: string[] }> {
  return desk.evaluate(
    async ({ seed, count, pictures, sources, kinds, points }) => {
      const session = window.rhetorix;
      if (!session) throw new Error('There is no desk.');
      let state = seed;
      const random = (): number => (state = (state * 48271) % 2147483647) / 2147483647;
      const one = <T>(list: T[]): T => list[Math.floor(random() * list.length)] as T;
      const sleep = (ms: number): Promise<unknown> => new Promise((resolve) => setTimeout(resolve, ms));
      const samples: Sample[] = [];
      const small = new OffscreenCanvas(1, 1).getContext('2d', { willReadFrequently: true });
      let looks = 0;
      const look = (now: number): void => {
        if (looks <= 0 || !small) return;
        looks--;
        const { store, painter } = session;
        const registers = store.registers(now);
        const [from = '', to = from] = store.onAir(now).pictures;
        const colours = points.map(({ x, y }) => {
          small.drawImage(painter.program, Math.floor(x * 1280), Math.floor(y * 720), 1, 1, 0, 0, 1, 1);
          const [r = 0, g = 0, b = 0] = small.getImageData(0, 0, 1, 1).data;
          return [r, g, b] as [number, number, number];
        });
        const inset = store.inset(now);
        samples.push({ from, to, kind: String(registers.kind ?? 'mix'), p: store.progress(now) ?? 0, colours, covered: registers.covered === true, inset: inset && inset.rect.width > 500 ? 'large' : 'small' });
      };
      session.afterPass.add(look);
      const ids: string[] = [];
      for (let i = 0; i < count; i++) {
        const picture = one(pictures);
        const transition = { kind: one(kinds), duration_ms: 200 + Math.floor(random() * 900) };
        const draw = Math.floor(random() * 13);
        const before = new Set(session.link.sent);
        if (draw < 3) session.link.press('arm', { picture });
        else if (draw < 5) session.link.press('take', { picture, transition });
        else if (draw === 5) session.link.press('cut', { picture });
        else if (draw === 6) session.link.press('direct', { picture });
        else if (draw === 7) session.link.press('back');
        else if (draw === 8) session.link.press(session.store.registers(performance.now()).covered === true ? 'uncover' : one(['cover', 'uncover', 'uncover']));
        else if (draw === 9) session.link.press('inset', { mode: one(['off', 'over', 'off']), source: one(sources) });
        else if (draw === 10) session.link.press('unarm');
        else {
          // half way, back a little, and left there or let go
          for (const position of [250, 600, 400]) {
            session.link.press('fade', { picture, position, holder: session.lease.id, transition });
            looks = Math.max(looks, 1);
            await sleep(100);
          }
          if (random() < 0.7) session.link.press('let-go', { holder: session.lease.id });
        }
        for (const id of session.link.sent) if (!before.has(id)) ids.push(id);
        looks = 2;
        await sleep(30 + random() * 170);
      }
      session.afterPass.delete(look);
      return { samples, ids };
    },
    { seed, count, pictures, sources, kinds: KINDS, points: POINTS },
  );
}

/** What the core says about each sample that is of plain pictures. */
function against(samples: Sample[], names: Record<string, string>): { checked: number; moving: number; worst: number } {
  const colourOf = (id: string): [number, number, number] | undefined => COLOURS[names[id] ?? ''];
  const asked = samples
    .filter(({ covered, inset, from, to }) => !covered && inset === 'small' && colourOf(from) && colourOf(to))
    .flatMap(({ from, to, kind, p, colours }) => POINTS.map((point, i) => ({ from: colourOf(from), to: colourOf(to), kind, p, ...point, seen: colours[i] ?? [0, 0, 0] })));
  const answers = JSON.parse(execFileSync('php', ['tests/Reference/expected-colours.php'], { input: JSON.stringify(asked), encoding: 'utf8' })) as number[][];
  const off = asked.map(({ seen }, i) => Math.max(...seen.map((level, c) => Math.abs(level - (answers[i]?.[c] ?? 0)))));
  return { checked: asked.length, moving: asked.filter(({ p }) => p > 0 && p < 1).length, worst: Math.max(...off) };
}

test('goes on alone through 200 presses and a reload, and everybody follows afterwards', async ({ desk, api, baseURL }) => {
  test.setTimeout(600_000);
  const pictures = await plainPictures(api);
  const names = Object.fromEntries(Object.entries(pictures).map(([name, id]) => [id, name]));
  const ids = Object.values(pictures);
  const sources = [await api.sourceId('Rust'), await api.sourceId('Slate')];
  await api.send('cut', { picture: ids[0] });
  await api.send('arm', { picture: ids[1] });
  await isKept(desk, api.id);
  await desk.waitForFunction((picture) => window.rhetorix?.store.registers(performance.now()).preview === picture, ids[1]);
  const before = (await api.state()).revision;

  stop('nginx', 'php', 'postgres');
  const first = await drive(desk, 11, 100, ids, sources);
  await expect(desk.locator('#away')).toBeVisible();
  await expect(desk.locator('#away')).toContainText('On its own');
  const memory = () => desk.evaluate(() => ({ program: window.rhetorix?.store.registers(performance.now()).program, unsent: window.rhetorix?.link.unsent }));
  await desk.evaluate(() => window.rhetorix?.link.press('let-go', { holder: window.rhetorix.lease.id }));
  const whole = await memory();
  expect(Number(whole.unsent)).toBeGreaterThan(100);

  await desk.reload();
  await desk.waitForFunction(() => window.rhetorix?.isHost === true, undefined, { timeout: 30_000 });
  await expect(desk.locator('html')).toHaveAttribute('data-kept', 'yes');
  expect((await memory()).unsent).toBe(whole.unsent);
  await expect.poll(async () => (await memory()).program).toBe(whole.program);
  await desk.waitForTimeout(1500);
  const second = await drive(desk, 29, 100, ids, sources);
  await desk.evaluate(() => {
    window.rhetorix?.link.press('uncover');
    window.rhetorix?.link.press('inset', { mode: 'off' });
    window.rhetorix?.link.press('back');
  });
  await desk.waitForTimeout(1500);
  const alone = await desk.evaluate(() => window.rhetorix?.store.registers(performance.now()));

  for (const { samples } of [first, second]) {
    const { checked, moving, worst } = against(samples, names);
    console.log(`away: ${checked} points of program looked at, ${moving} of them in a transition; worst difference from the core ${worst.toFixed(1)} levels of 255`);
    expect(checked).toBeGreaterThan(150);
    expect(moving).toBeGreaterThan(60);
    expect(worst).toBeLessThan(6);
  }

  await start(baseURL ?? '', 'postgres', 'php', 'nginx');
  await desk.waitForFunction(() => window.rhetorix?.link.unsent === 0, undefined, { timeout: 240_000 });
  await expect(desk.locator('#away')).toBeHidden();
  const state = await api.state();
  for (const name of ['program', 'preview', 'flight', 'covered', 'inset', 'inset_source', 'way', 'before']) expect(state.desk[name], name).toEqual(alone?.[name]);
  expect(state.revision).toBeGreaterThan(before + 200);
  expect(artisan('rhetorix:replay', api.id)).toContain('gives the stored desk');
  // each once, in order, with the time of its press
  const run = JSON.parse(artisan('rhetorix:as-run', api.id, `--after=${before}`)) as { id: string; at: number }[];
  const given = [...first.ids, ...second.ids];
  const listed = run.map(({ id }) => id).filter((id) => given.includes(id));
  const kept = given.filter((id) => listed.includes(id));
  expect(listed).toEqual(kept);
  expect(new Set(listed).size).toBe(listed.length);
  // only positions of the fader that were passed over soon after are not there
  expect(listed.length).toBeGreaterThan(given.length * 0.9);
  expect(Number(run.at(-1)?.at) - Number(run[0]?.at), 'times of the presses, not of the catching up').toBeGreaterThan(20_000);
  await expect(card(desk, String(alone?.program))).toHaveAttribute('data-tally', 'program');
});

test('comes back as it was when the tab is closed by accident, with its program window, and another tab takes over', async ({ desk, api, newDesk }) => {
  const [slides, bench] = [await api.pictureId('Slides'), await api.pictureId('Bench')];
  await api.begin('Slides', 'Bench');
  await expect(card(desk, slides)).toHaveAttribute('data-tally', 'program');
  const opened = desk.context().waitForEvent('page');
  await desk.getByTestId('program-window-open').click();
  const program = await opened;
  await expect(program.locator('body')).toHaveAttribute('data-started', 'yes');
  await desk.reload();
  await desk.waitForFunction(() => window.rhetorix?.isHost === true);
  await expect(card(desk, slides)).toHaveAttribute('data-tally', 'program');
  await expect(card(desk, bench)).toHaveAttribute('data-tally', 'preview');
  // devices open again without a question, and the program window hangs on to the new stream
  await becomeHost(desk);
  await expect.poll(() => program.evaluate(() => document.body.dataset.started)).toBe('yes');
  await expect.poll(() => program.evaluate(() => { const video = document.querySelector('video'); return video !== null && !video.paused && video.videoWidth === 1280; })).toBe(true);

  const { page: other } = await newDesk();
  await other.waitForFunction(() => window.rhetorix?.lease.lease.holder !== null);
  expect(await other.evaluate(() => window.rhetorix?.isHost)).toBe(false);
  const closed = Date.now();
  await desk.close();
  await other.waitForFunction(() => window.rhetorix?.isHost === true, undefined, { timeout: 20_000 });
  console.log(`another tab holds the devices ${((Date.now() - closed) / 1000).toFixed(1)} s after the first was closed`);
  await expect(card(other, slides)).toHaveAttribute('data-tally', 'program');
});

