/** The desk in the hands of a person: fader, inset, favourites, the way back; by mouse, finger, key and MIDI. */
import type { Page } from '@playwright/test';
import { PROGRAM, card, expect, isSent, meanColour, test } from '../support/rhetorix';

test.beforeEach(async ({ api }) => {
  await api.send('choose', { transition: { kind: 'mix', duration_ms: 1000 } });
  await api.send('inset', { mode: 'off' });
  await api.send('back');
  await api.begin('Lectern', 'Slides');
  // The fader stands at its lower end: a take turns its way.
  if ((await api.state()).desk.way === 'down') await api.send('take', { picture: await api.pictureId('Slides'), transition: { kind: 'mix', duration_ms: 40 } });
  await expect.poll(async () => { await api.send('choose', { transition: { kind: 'mix', duration_ms: 1000 } }); return (await api.state()).desk.way; }).toBe('up');
  await api.begin('Lectern', 'Slides');
});
test.afterEach(async ({ api }) => {
  await api.send('inset', { mode: 'off' });
  await api.begin('Lectern', 'Bench');
});

const TOP = { x: 0.3, y: 0.02, width: 0.4, height: 0.05 };
const red = async (desk: Page): Promise<number> => (await meanColour(desk, PROGRAM, TOP)).r;
const progress = (desk: Page): Promise<number | null | undefined> => desk.evaluate(() => window.rhetorix?.store.progress(performance.now()));

async function knob(desk: Page): Promise<{ x: number; bottom: number; travel: number }> {
  const [rail, handle] = [await desk.getByTestId('fader').boundingBox(), await desk.locator('[data-fader-knob]').boundingBox()];
  if (!rail || !handle) throw new Error('There is no fader.');
  return { x: handle.x + handle.width / 2, bottom: handle.y + handle.height / 2, travel: rail.height - handle.height - 2 };
}

test('drives a mix by the mouse: half way, back, and to the end', async ({ desk, api }) => {
  const [lectern, slides, bench] = [await api.pictureId('Lectern'), await api.pictureId('Slides'), await api.pictureId('Bench')];
  await expect(card(desk, slides)).toHaveAttribute('data-tally', 'preview');
  const at0 = await red(desk);
  const { x, bottom, travel } = await knob(desk);
  await desk.mouse.move(x, bottom);
  await desk.mouse.down();
  await desk.mouse.move(x, bottom - travel / 2, { steps: 8 });
  await expect.poll(() => progress(desk)).toBeCloseTo(0.5, 1);
  await expect.poll(() => red(desk)).toBeGreaterThan(at0 + 25);
  const half = await red(desk);
  await expect(card(desk, slides)).toHaveAttribute('data-tally', 'program');
  // the server knows where it is held, and who holds it
  await expect.poll(async () => (await api.state()).desk.reached).toBeGreaterThan(400);
  // wherever it stands, selecting moves nothing
  await desk.evaluate((id) => window.rhetorix?.link.press('arm', { picture: id }), bench);
  expect(await progress(desk)).toBeCloseTo(0.5, 1);
  expect((await api.state()).program).toEqual([lectern, slides]);
  await desk.mouse.move(x, bottom + 20, { steps: 8 });
  await expect.poll(() => progress(desk)).toBeNull();
  // the figure at the lectern moves a little
  await expect.poll(async () => Math.abs((await red(desk)) - at0)).toBeLessThan(14);
  await expect(card(desk, bench)).toHaveAttribute('data-tally', 'preview');

  await desk.evaluate((id) => window.rhetorix?.link.press('arm', { picture: id }), slides);
  await desk.mouse.move(x, bottom - travel - 30, { steps: 12 });
  await desk.mouse.up();
  await expect(card(desk, lectern)).toHaveAttribute('data-tally', 'preview');
  await expect.poll(async () => (await api.state()).program).toEqual([slides]);
  expect(await red(desk)).toBeGreaterThan(half + 25);
  // the other end is the start now
  await expect(desk.getByTestId('fader')).toHaveAttribute('data-way', 'down');
  expect((await knob(desk)).bottom).toBeLessThan(bottom - travel + 4);
});

test('moves it by the arrow keys, lets the clock go on from there, and lets it go back', async ({ desk, api }) => {
  await api.send('choose', { transition: { kind: 'mix', duration_ms: 3000 } });
  const way = String((await api.state()).desk.way);
  const [on, back] = way === 'up' ? ['ArrowUp', 'ArrowDown'] : ['ArrowDown', 'ArrowUp'];
  await expect(desk.getByTestId('take')).toContainText('3.0 s');
  for (let i = 0; i < 6; i++) await desk.keyboard.press(on);
  await expect.poll(() => progress(desk)).toBeCloseTo(0.3, 2);
  await desk.keyboard.press(back);
  await expect.poll(() => progress(desk)).toBeCloseTo(0.25, 2);
  await desk.waitForTimeout(700);
  expect(await progress(desk), 'it stays where it was left').toBeCloseTo(0.25, 2);
  await expect.poll(async () => (await api.state()).desk.holder).toBeNull();
  await desk.keyboard.press('l');
  const [one, two] = [await progress(desk), await progress(desk)];
  expect(Number(one)).toBeGreaterThan(0.24);
  expect(Number(two)).toBeGreaterThanOrEqual(Number(one));
  await desk.keyboard.press('j');
  await expect.poll(() => progress(desk)).toBeNull();
  await isSent(desk);
  expect((await api.state()).program).toEqual([await api.pictureId('Lectern')]);
});

test('is held by the first of two people, and the other sees by whom', async ({ desk, api, newDesk }) => {
  const { page } = await newDesk();
  await page.waitForFunction(() => window.rhetorix !== undefined);
  const { x, bottom, travel } = await knob(desk);
  await desk.mouse.move(x, bottom);
  await desk.mouse.down();
  const way = String((await api.state()).desk.way);
  await desk.mouse.move(x, bottom + (way === 'up' ? -1 : 1) * 0.4 * travel, { steps: 5 });
  await expect(page.getByTestId('fader')).toHaveAttribute('data-holder', 'other');
  await expect(page.locator('[data-fader-holder]')).not.toBeEmpty();
  const there = await progress(desk);
  await page.getByTestId('fader').focus();
  for (let i = 0; i < 5; i++) await page.keyboard.press('ArrowUp');
  await page.waitForTimeout(400);
  expect(await progress(desk)).toBeCloseTo(Number(there), 3);
  await desk.mouse.up();
  await expect(page.getByTestId('fader')).toHaveAttribute('data-holder', 'none');
  await Promise.all([isSent(desk), isSent(page)]);
  await api.send('back');
});

test('follows a finger', async ({ api, newDesk }) => {
  const { page } = await newDesk();
  await page.waitForFunction(() => window.rhetorix !== undefined);
  const { x, bottom, travel } = await knob(page);
  const cdp = await page.context().newCDPSession(page);
  const touch = (type: string, y?: number): Promise<unknown> => cdp.send('Input.dispatchTouchEvent', { type: type as 'touchStart', touchPoints: y === undefined ? [] : [{ x, y }] });
  const sign = (await api.state()).desk.way === 'up' ? -1 : 1;
  await touch('touchStart', bottom);
  for (let i = 1; i <= 6; i++) await touch('touchMove', bottom + (sign * travel * i) / 10);
  await expect.poll(() => progress(page)).toBeCloseTo(0.6, 1);
  await touch('touchEnd');
  await isSent(page);
  await api.send('back');
  await expect.poll(async () => (await api.state()).transition, { timeout: 10_000 }).toBeNull();
});

test('lays a window over program that stays while what is beneath is cut, and drags it', async ({ desk, api }) => {
  const [bench, phone] = [await api.sourceId('Bench'), await api.sourceId('Phone')];
  await api.send('inset.place', { x: 944, y: 518, width: 307 });
  await desk.getByTestId('inset-source').selectOption({ label: 'Bench' });
  await desk.getByTestId('inset-bottom-right').click();
  await desk.getByTestId('inset-over').click();
  await expect.poll(async () => (await api.state()).tally.sources[bench]).toBe('program');
  await desk.waitForTimeout(500);
  const corner = { x: 0.8, y: 0.78, width: 0.1, height: 0.1 };
  const inside = await meanColour(desk, PROGRAM, corner);
  await desk.keyboard.press('k');
  await expect.poll(async () => (await meanColour(desk, PROGRAM, TOP)).r, { message: 'slides beneath' }).toBeGreaterThan(225);
  const after = await meanColour(desk, PROGRAM, corner);
  expect(Math.hypot(after.r - inside.r, after.g - inside.g, after.b - inside.b)).toBeLessThan(40);

  // dragged to the left by the mouse
  const slot = await desk.locator('[data-program-slot]').boundingBox();
  if (!slot) throw new Error('There is no program.');
  await desk.mouse.move(slot.x + 0.85 * slot.width, slot.y + 0.83 * slot.height);
  await desk.mouse.down();
  await desk.mouse.move(slot.x + 0.25 * slot.width, slot.y + 0.6 * slot.height, { steps: 10 });
  await desk.mouse.up();
  await expect.poll(async () => Number((await api.state()).desk.inset_x)).toBeLessThan(300);
  await expect.poll(async () => (await meanColour(desk, PROGRAM, corner)).r, { message: 'slides where it was' }).toBeGreaterThan(225);
  const width = Number((await api.state()).desk.inset_width);
  await desk.getByTestId('inset-larger').click();
  await expect.poll(async () => Number((await api.state()).desk.inset_width)).toBeGreaterThan(width);

  // two fingers that go apart make it larger
  const cdp = await desk.context().newCDPSession(desk);
  const rect = (await api.state()).desk;
  const middle = { x: slot.x + ((Number(rect.inset_x) + Number(rect.inset_width) / 2) / 1280) * slot.width, y: slot.y + ((Number(rect.inset_y) + Number(rect.inset_width) * 0.28) / 720) * slot.height };
  const fingers = (type: string, apart: number): Promise<unknown> => cdp.send('Input.dispatchTouchEvent', { type: type as 'touchStart', touchPoints: apart === 0 ? [] : [{ x: middle.x - apart, y: middle.y, id: 1 }, { x: middle.x + apart, y: middle.y, id: 2 }] });
  await fingers('touchStart', 12);
  for (let apart = 14; apart <= 24; apart += 2) await fingers('touchMove', apart);
  await fingers('touchEnd', 0);
  await expect.poll(async () => Number((await api.state()).desk.inset_width)).toBeGreaterThan(Number(rect.inset_width) * 1.4);

  await desk.keyboard.press('i');
  await expect.poll(async () => (await api.state()).tally.sources, { message: 'only the inset is seen' }).toMatchObject({ [bench]: 'program' });
  await expect.poll(async () => Object.values((await api.state()).tally.sources).filter((state) => state === 'program').length).toBe(1);
  await desk.keyboard.press('p');
  await expect.poll(async () => (await api.state()).tally.sources[bench] ?? 'off').not.toBe('program');
  const list = await desk.request.get(`/shows/${api.id}/as-run`);
  expect(await list.text()).toMatch(/Inset on: Bench[\s\S]*|Only Bench/);
  await api.send('inset.source', { source: phone });
  expect((await api.send('inset.source', { source: '0190a0a0-0000-7000-8000-000000000000' })).body.message).toContain('Choose another one for the inset');
});

test('offers transitions labelled by their result, keeps one more, and takes with it', async ({ desk, api }) => {
  await api.send('favourites', { transitions: [{ kind: 'mix', duration_ms: 1000 }, { kind: 'push-left', duration_ms: 600 }] });
  await expect(desk.getByTestId('favourite')).toHaveText(['Mix 1.0 s', 'Push left 0.6 s']);
  await desk.getByTestId('transition-options').click();
  await desk.getByTestId('kind').selectOption('dip');
  await expect(desk.getByTestId('take')).toContainText('Dip 1.0 s');
  await desk.getByTestId('dip-colour').fill('#ffffff');
  await expect.poll(async () => (await api.state()).desk.chosen.colour).toBe('#ffffff');
  await desk.getByTestId('seconds').fill('2');
  await expect(desk.getByTestId('take')).toContainText('Dip 2.0 s');
  await desk.getByTestId('keep-favourite').click();
  await expect(desk.getByTestId('favourite')).toHaveCount(3);
  await desk.keyboard.press('Escape');
  await desk.waitForFunction(() => Object.keys(window.rhetorix?.store.book.transitions ?? {}).some((kind) => kind.includes('#ffffff')));
  await desk.getByTestId('favourite').nth(2).click();
  // in the middle of the dip everything is white
  await expect.poll(async () => { const { r, g, b } = await meanColour(desk, PROGRAM); return Math.min(r, g, b); }, { intervals: [40] }).toBeGreaterThan(235);
  await expect.poll(async () => (await api.state()).transition).toBeNull();
  await api.send('favourites', { transitions: [{ kind: 'mix', duration_ms: 1000 }, { kind: 'glide', duration_ms: 800 }, { kind: 'dip', duration_ms: 1500 }, { kind: 'wipe-right', duration_ms: 1000, soft: 100 }, { kind: 'push-left', duration_ms: 700 }] });
});

test('goes back to earlier programs, and undoes an arming', async ({ desk, api }) => {
  const [lectern, slides, bench] = [await api.pictureId('Lectern'), await api.pictureId('Slides'), await api.pictureId('Bench')];
  await api.begin('Bench', 'Slides');
  await api.begin('Lectern', 'Slides');
  await expect(card(desk, slides)).toHaveAttribute('data-tally', 'preview');
  await card(desk, bench).click();
  await expect(card(desk, bench)).toHaveAttribute('data-tally', 'preview');
  await desk.keyboard.press('u');
  await expect(card(desk, slides)).toHaveAttribute('data-tally', 'preview');
  await desk.getByTestId('past-open').click();
  await expect(desk.getByTestId('past-picture').first()).toHaveText('Bench');
  await desk.getByTestId('past-picture').first().click();
  await expect(card(desk, bench)).toHaveAttribute('data-tally', 'preview');
  await expect(card(desk, lectern)).toHaveAttribute('data-tally', 'program');
});
