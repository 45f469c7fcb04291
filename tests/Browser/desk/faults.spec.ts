/** Whatever breaks while somebody switches: each command once, the list complete, program never blank. */
import { artisan, asItWas, becomeHost, expect, isKept, test } from '../support/rhetorix';
import { isWell, kill, killHead } from '../support/instance';
import type { LiveCommand } from '../../../resources/js/desk/store';

test.beforeEach(async ({ api }) => asItWas(api));
test.afterEach(async ({ api, baseURL }) => {
  await isWell(baseURL ?? '');
  await asItWas(api);
});

declare global {
  interface Window {
    faultRun?: { given: LiveCommand[]; blank: number; looks: number; longest: number; stop: () => void };
  }
}

/** Presses something every 150 ms, for as long as the page lives, and looks at program ten times a second. */
function begin(pictures: string[], seed: number) {
  const session = window.rhetorix;
  if (!session) throw new Error('There is no desk.');
  let state = seed;
  const random = (): number => (state = (state * 48271) % 2147483647) / 2147483647;
  const small = new OffscreenCanvas(8, 8).getContext('2d', { willReadFrequently: true });
  const kept = JSON.parse(localStorage.getItem('faults') ?? '[]') as LiveCommand[];
  const run = { given: kept, blank: 0, looks: 0, longest: 0, stop: (): void => undefined };
  window.faultRun = run;
  const press = session.link.press.bind(session.link);
  session.link.press = (type, more): void => {
    const before = new Set(session.link.sent);
    press(type, more);
    const id = [...session.link.sent].find((id) => !before.has(id)) ?? '';
    run.given.push({ ...more, id, type });
    localStorage.setItem('faults', JSON.stringify(run.given));
  };
  let last = performance.now();
  let passes = 0;
  const look = (now: number): void => {
    run.longest = Math.max(run.longest, now - last);
    last = now;
    if (passes++ % 3 !== 0 || !small) return;
    small.drawImage(session.painter.program, 0, 0, 8, 8);
    const { data } = small.getImageData(0, 0, 8, 8);
    run.looks++;
    if (data.every((level, i) => i % 4 === 3 || level < 4)) run.blank++;
  };
  session.afterPass.add(look);
  const timer = setInterval(() => {
    const picture = pictures[Math.floor(random() * pictures.length)] ?? 'holding';
    const draw = Math.floor(random() * 6);
    const transition = { kind: ['mix', 'push-left', 'glide'][Math.floor(random() * 3)] ?? 'mix', duration_ms: 400 };
    if (draw < 2) session.link.press('arm', { picture });
    else if (draw === 2) session.link.press('cut', { picture });
    else if (draw === 3) session.link.press(random() < 0.5 ? 'back' : 'unarm');
    else session.link.press('take', { picture, transition });
  }, 150);
  run.stop = () => {
    clearInterval(timer);
    session.afterPass.delete(look);
  };
}

test('switches on while PHP, PostgreSQL and nginx are killed, the network is cut and the host is reloaded', async ({ desk, api, baseURL }) => {
  test.setTimeout(600_000);
  const url = baseURL ?? '';
  const pictures = await Promise.all(['Lectern', 'Slides', 'Bench', 'Room'].map((name) => api.pictureId(name)));
  await isKept(desk, api.id);
  const before = (await api.state()).revision;
  const look = () => desk.evaluate(() => ({ blank: window.faultRun?.blank ?? 0, looks: window.faultRun?.looks ?? 0, longest: Math.round(window.faultRun?.longest ?? 0) }));

  await desk.evaluate(() => localStorage.removeItem('faults'));
  await desk.evaluate(`(${begin.toString()})(${JSON.stringify(pictures)}, 5)`);
  for (const [part, end] of [['php', kill], ['postgres', kill], ['nginx', kill], ['php', killHead]] as const) {
    await desk.waitForTimeout(2500);
    end(part);
    await desk.waitForTimeout(2500);
    await isWell(url);
  }
  await desk.context().setOffline(true);
  await desk.waitForTimeout(20_000);
  await desk.context().setOffline(false);
  await desk.waitForTimeout(2000);
  const first = await look();

  await desk.evaluate(() => window.faultRun?.stop());
  await desk.reload();
  await becomeHost(desk);
  await desk.evaluate(`(${begin.toString()})(${JSON.stringify(pictures)}, 17)`);
  await desk.waitForTimeout(4000);
  const second = await look();
  await desk.evaluate(() => window.faultRun?.stop());
  await desk.waitForFunction(() => window.rhetorix?.link.unsent === 0, undefined, { timeout: 240_000 });
  for (const { blank, looks } of [first, second]) {
    expect(looks).toBeGreaterThan(20);
    expect(blank, `blank in ${blank} of ${looks} looks`).toBe(0);
  }
  const given = (await desk.evaluate(() => window.faultRun?.given)) ?? [];
  console.log(`faults: ${given.length} presses, ${first.looks + second.looks} looks at program, none blank; longest gap between two frames ${first.longest} and ${second.longest} ms`);
  expect(given.length).toBeGreaterThan(120);
  const listed = (): string[] => (JSON.parse(artisan('rhetorix:as-run', api.id, `--after=${before}`)) as { id: string }[]).map(({ id }) => id).filter((id) => given.some((command) => command.id === id));
  const ids = given.map(({ id }) => id);
  expect(listed(), 'each once, in the order in which they were pressed').toEqual(ids);
  expect(artisan('rhetorix:replay', api.id)).toContain('gives the stored desk');

  // All of them again, three times and in another order: nothing happens twice.
  const { revision, desk: state } = await api.state();
  const again = given.slice(-60).flatMap((command) => [command, command, command]).sort((a, b) => a.id.localeCompare(b.id));
  for (const { id, type, ...more } of again) expect((await api.send(type, more, id)).status).toBe(200);
  const after = await api.state();
  expect(after.revision).toBe(revision);
  expect(after.desk).toEqual(state);
  expect(listed().length).toBe(ids.length);
});
