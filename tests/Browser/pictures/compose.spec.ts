/** A picture composed by hand: with a mouse, a finger and the keyboard, on the real pictures. */
import type { Locator, Page } from '@playwright/test';
import { apart, asItWas, becomeHost, expect, meanColour, test, type ShowApi } from '../support/rhetorix';

const STAGE = '[data-testid=compose-canvas]';
const FREE = { layout: 'free', canvas: { width: 1280, height: 720 } };

test.beforeEach(async ({ api }) => asItWas(api));
test.afterEach(async ({ api }) => asItWas(api));

async function openComposer(desk: Page, api: ShowApi, picture = ''): Promise<void> {
  await desk.goto(`/shows/${api.id}/compose${picture === '' ? '' : `/${picture}`}`);
  await becomeHost(desk);
}

/** Two windows on a plain ground, kept under a name that asItWas() takes away. */
async function twoWindows(api: ShowApi, name = 'By hand'): Promise<string> {
  const [bench, lectern] = [await api.sourceId('Bench'), await api.sourceId('Lectern')];
  const window = (slot: string, more: Record<string, unknown>) => ({ slot, purpose: 'person', width: 320, height: 180, aspect: 'kept', fit: 'cover', ...more });
  const made = await api.send('picture.make', { name, layout: { ...FREE, windows: [window('one', { x: 200, y: 150 }), window('two', { x: 700, y: 420 })] }, fills: { one: bench, two: lectern } });
  expect(made.status, made.body.message).toBe(200);
  return api.pictureId(name);
}

/** From a point of the canvas to one of the screen. */
async function onScreen(desk: Page, x: number, y: number): Promise<{ x: number; y: number }> {
  const box = await desk.getByTestId('compose-stage').boundingBox();
  if (!box) throw new Error('There is no stage.');
  return { x: box.x + (x / 1280) * box.width, y: box.y + (y / 720) * box.height };
}

async function drag(desk: Page, from: [number, number], to: [number, number], during?: () => Promise<void>): Promise<void> {
  const [start, end] = [await onScreen(desk, ...from), await onScreen(desk, ...to)];
  await desk.mouse.move(start.x, start.y);
  await desk.mouse.down();
  await desk.mouse.move((start.x + end.x) / 2, (start.y + end.y) / 2, { steps: 4 });
  await desk.mouse.move(end.x, end.y, { steps: 4 });
  await during?.();
  await desk.mouse.up();
}

function numbers(desk: Page): Promise<number[]> {
  return Promise.all(['x', 'y', 'width', 'height'].map(async (side) => Number(await desk.getByTestId(`number-${side}`).inputValue())));
}

function windowOf(desk: Page, name: string): Locator {
  return desk.getByTestId('compose-window').filter({ hasText: name });
}

test('a new user builds a large document camera with the presenter in a circle, and leaves room for a name bar', async ({ desk, api }) => {
  const began = Date.now();
  await desk.getByRole('link', { name: 'Pictures' }).click();
  await desk.getByTestId('compose-link').click();
  await desk.getByTestId('add-material').click();
  await desk.getByTestId('compose-source').selectOption({ label: 'Bench' });
  await desk.getByTestId('add-person').click();
  await expect(desk.getByTestId('compose-source')).toHaveValue(await api.sourceId('Lectern'));
  await desk.getByTestId('compose-shape').selectOption('circle');
  await desk.getByTestId('add-words').click();
  await expect(windowOf(desk, 'Kept free for words')).toBeVisible();
  await expect(desk.getByTestId('coverage-said')).toContainText('Hidden of Bench: 5.1 %, 12 % with the words');
  // the circle at the lower right is the presenter before the cloth; at the corner of its window the bench is seen
  const box = { x: 971 / 1280, y: 439 / 720, side: 245 };
  await expect.poll(async () => apart(await meanColour(desk, STAGE, { x: box.x + 15 / 1280, y: box.y + 100 / 720, width: 20 / 1280, height: 20 / 720 }), { r: 43, g: 154, b: 128 })).toBeLessThan(45);
  expect(apart(await meanColour(desk, STAGE, { x: box.x + 6 / 1280, y: box.y + 6 / 720, width: 16 / 1280, height: 16 / 720 }), { r: 43, g: 154, b: 128 })).toBeGreaterThan(60);
  await desk.getByTestId('compose-name').fill('By hand round');
  await desk.getByTestId('compose-make').click();
  await expect(desk.locator('[data-testid=picture]', { hasText: 'By hand round' })).toBeVisible();
  expect(Date.now() - began).toBeLessThan(60_000);
  const { plan } = (await api.state()).book.pictures[await api.pictureId('By hand round')] ?? {};
  expect(plan?.layers.map(({ source, frame }) => [source, frame?.outline.radius ?? 0])).toEqual([[await api.sourceId('Bench'), 0], [await api.sourceId('Lectern'), 122.5]]);
  expect(await desk.evaluate(() => window.rhetorix?.isHost)).toBe(true);
});

test('moves and resizes with the mouse, and comes to rest at lines that are shown', async ({ desk, api }) => {
  await openComposer(desk, api, await twoWindows(api));
  await windowOf(desk, 'Bench').click();
  // to within reach of the safe area at the left and of the upper edge
  await drag(desk, [360, 240], [229, 97], async () => {
    await expect(desk.getByTestId('compose-guide')).toHaveCount(2);
    await expect(desk.getByTestId('compose-numbers')).toHaveText('64, 0 · 320 × 180');
  });
  await expect.poll(() => numbers(desk)).toEqual([64, 0, 320, 180]);
  await expect(desk.getByTestId('compose-guide')).toHaveCount(0);
  // the lower right corner: its proportion is kept, and its right edge rests in the middle of the canvas
  await drag(desk, [384, 180], [643, 300]);
  await expect.poll(() => numbers(desk)).toEqual([64, 0, 576, 324]);
  // what is seen of the picture went along: at the lower right corner there is the bench, not the ground
  expect((await meanColour(desk, STAGE, { x: 600 / 1280, y: 280 / 720, width: 0.02, height: 0.02 })).r).toBeGreaterThan(60);
  await desk.getByTestId('compose-undo').click();
  await expect.poll(() => numbers(desk)).toEqual([64, 0, 320, 180]);
  await desk.getByTestId('compose-undo').click();
  await expect.poll(() => numbers(desk)).toEqual([200, 150, 320, 180]);
  await desk.getByTestId('compose-redo').click();
  await expect.poll(() => numbers(desk)).toEqual([64, 0, 320, 180]);
  // all of it survives a reload, and nothing of it was kept
  await desk.reload();
  await windowOf(desk, 'Bench').click();
  await expect.poll(() => numbers(desk)).toEqual([64, 0, 320, 180]);
  await desk.getByTestId('compose-undo').click();
  await expect.poll(() => numbers(desk)).toEqual([200, 150, 320, 180]);
  expect((await api.state()).book.pictures[await api.pictureId('By hand')]?.plan.layers[0]?.dest).toMatchObject({ x: 200, y: 150 });
});

test('is moved by keys and by typed numbers, in pixels or per cent', async ({ desk, api }) => {
  await openComposer(desk, api, await twoWindows(api));
  await windowOf(desk, 'Lectern').focus();
  await desk.keyboard.press('ArrowRight');
  await expect.poll(() => numbers(desk)).toEqual([701, 420, 320, 180]);
  await desk.keyboard.press('Shift+ArrowUp');
  await expect.poll(() => numbers(desk)).toEqual([701, 410, 320, 180]);
  await desk.keyboard.press('Alt+Shift+ArrowRight');
  await expect.poll(async () => (await numbers(desk))[2]).toBe(330);
  // however quickly keys come, none is lost, also not one that comes while a drop is not answered yet
  const [, top = 0, width = 0, height = 0] = await numbers(desk);
  for (let i = 0; i < 12; i++) await desk.keyboard.press('ArrowDown');
  await expect.poll(async () => (await numbers(desk))[1]).toBe(top + 12);
  await drag(desk, [701 + width / 2, top + 12 + height / 2], [width / 2 + 4, height / 2 + 4]);
  await desk.keyboard.press('ArrowDown');
  await desk.keyboard.press('ArrowDown');
  await expect.poll(async () => (await numbers(desk)).slice(0, 2)).toEqual([0, 2]);
  await desk.getByTestId('compose-unit').selectOption('%');
  await desk.getByTestId('number-x').fill('50');
  await desk.getByTestId('number-x').press('Enter');
  await desk.getByTestId('compose-unit').selectOption('px');
  await expect.poll(async () => (await numbers(desk))[0]).toBe(640);
  await desk.getByTestId('compose-aspect').selectOption('1:1');
  await expect.poll(async () => { const [, , width, height] = await numbers(desk); return width === height; }).toBe(true);
  // outside the canvas: refused in a sentence, and nothing is lost
  await desk.getByTestId('number-x').fill('5000');
  await desk.getByTestId('number-x').press('Enter');
  await expect(desk.getByTestId('compose-wrong')).toContainText('move this window back');
  await expect.poll(async () => (await numbers(desk))[0]).toBeLessThan(900);
  await windowOf(desk, 'Lectern').focus();
  await desk.keyboard.press('Delete');
  await expect(desk.getByTestId('compose-window')).toHaveCount(1);
  await desk.keyboard.press('Control+z');
  await expect(desk.getByTestId('compose-window')).toHaveCount(2);
});

test('is moved by a finger', async ({ desk, api }) => {
  await openComposer(desk, api, await twoWindows(api));
  const touch = await desk.context().newCDPSession(desk);
  const send = async (type: 'touchStart' | 'touchMove' | 'touchEnd', at?: { x: number; y: number }) => touch.send('Input.dispatchTouchEvent', { type, touchPoints: at ? [{ ...at, id: 1 }] : [] });
  await send('touchStart', await onScreen(desk, 300, 200));
  for (const step of [1, 2, 3, 4, 5]) await send('touchMove', await onScreen(desk, 300 + 40 * step, 200 + 23 * step));
  await send('touchEnd');
  await expect.poll(async () => { const [x, y] = await numbers(desk); return Math.abs((x ?? 0) - 400) < 10 && Math.abs((y ?? 0) - 265) < 10; }).toBe(true);
});

test('puts windows in order: in front, in line, copied, locked, hidden', async ({ desk, api }) => {
  await openComposer(desk, api, await twoWindows(api));
  const rows = desk.getByTestId('compose-list').locator('[data-slot]');
  await expect(rows).toHaveCount(2);
  await expect(rows.first()).toHaveAttribute('data-slot', 'two');
  await rows.nth(1).locator('.drag-handle').dragTo(rows.first().locator('.drag-handle'), { targetPosition: { x: 8, y: 2 } });
  await expect(rows.first()).toHaveAttribute('data-slot', 'one');
  await expect(desk.getByTestId('compose-window').last()).toHaveAttribute('data-slot', 'one');
  // a copy by one gesture
  await desk.keyboard.down('Alt');
  await drag(desk, [300, 200], [340, 500]);
  await desk.keyboard.up('Alt');
  await expect(rows).toHaveCount(3);
  await expect.poll(async () => (await numbers(desk)).slice(2)).toEqual([320, 180]);
  // three in line with the last one that was chosen
  await desk.keyboard.down('Shift');
  for (const slot of ['one', 'two']) await desk.locator(`[data-testid=compose-window][data-slot=${slot}]`).click();
  await desk.keyboard.up('Shift');
  await desk.getByTestId('arrange-left').click();
  await expect.poll(async () => desk.evaluate(() => [...document.querySelectorAll<HTMLElement>('[data-testid=compose-window]')].map((window) => Math.round(parseFloat(window.style.left) * 12.8)))).toEqual([700, 700, 700]);
  // a locked one stays where it is
  await desk.getByRole('button', { name: 'Lock Lectern' }).click();
  await drag(desk, [720, 440], [500, 300]);
  await expect(desk.getByTestId('number-x')).toBeDisabled();
  await desk.getByRole('button', { name: 'Hide Lectern' }).click();
  await expect(desk.locator('[data-testid=compose-window][data-slot=two]')).toBeHidden();
});

test('changes a picture that is on program only when it is told how: with a glide, or at the next take', async ({ desk, api }) => {
  const id = await twoWindows(api);
  await api.send('cut', { picture: id });
  await openComposer(desk, api, id);
  await expect(desk.getByTestId('on-air-choice')).toBeVisible();
  await expect(desk.getByTestId('compose-change')).toBeHidden();
  await windowOf(desk, 'Lectern').click();
  await desk.getByTestId('number-x').fill('60');
  await desk.getByTestId('number-x').press('Enter');
  await expect.poll(async () => (await numbers(desk))[0]).toBe(60);
  const placeOnAir = async () => { const { book, program } = await api.state(); return book.pictures[program.at(-1) ?? '']?.plan.layers[1]?.dest.x; };
  expect(await placeOnAir()).toBe(700);
  await desk.getByTestId('compose-next-take').click();
  await expect(desk.getByTestId('compose-note')).toContainText('program stays as it was');
  expect(await placeOnAir()).toBe(700);
  expect((await api.state()).preview).toBe(id);
  await api.send('cut', { picture: id });
  expect(await placeOnAir()).toBe(60);
  await windowOf(desk, 'Lectern').click();
  await desk.getByTestId('number-x').fill('900');
  await desk.getByTestId('number-x').press('Enter');
  await expect.poll(async () => (await numbers(desk))[0]).toBe(900);
  await desk.getByTestId('compose-glide').click();
  // on its way the window is between its places on the program itself, and nowhere twice
  const where = () => desk.evaluate(() => {
    const canvas = window.rhetorix?.painter.program;
    const context = new OffscreenCanvas(1280, 1).getContext('2d', { willReadFrequently: true });
    if (!canvas || !context) return [];
    context.drawImage(canvas, 0, 430, 1280, 1, 0, 0, 1280, 1);
    const { data } = context.getImageData(0, 0, 1280, 1);
    const green = [...Array(1280).keys()].filter((x) => (data[4 * x + 1] ?? 0) > (data[4 * x] ?? 0) + 60);
    return green.length === 0 ? [] : [green[0] ?? 0, green.at(-1) ?? 0, green.length];
  });
  const seen: number[][] = [];
  await expect.poll(async () => { seen.push(await where()); return (seen.at(-1)?.[0] ?? 0) > 900; }, { intervals: [60] }).toBe(true);
  const between = seen.filter(([left = 0]) => left > 140 && left < 880);
  expect(between.length).toBeGreaterThan(2);
  for (const [left = 0, right = 0, count = 0] of between) expect(right - left).toBeLessThan(Math.max(330, count * 2.2));
  expect((await api.state()).tally.pictures[id]).toBe('program');
});

test('finds the places of frame art and puts windows there', async ({ desk, api }) => {
  await openComposer(desk, api);
  await desk.getByTestId('add-art').click();
  await desk.getByTestId('compose-source').selectOption({ label: 'Frame' });
  await desk.getByTestId('find-holes').click();
  await expect(desk.getByTestId('compose-hole')).toHaveCount(2);
  expect(await desk.getByTestId('compose-hole').evaluateAll((holes) => holes.map((hole) => (hole as HTMLElement).dataset.shape))).toEqual(['rounded', 'circle']);
  await desk.getByTestId('fit-holes').click();
  await expect(desk.getByTestId('compose-window')).toHaveCount(3);
  await expect(desk.getByTestId('compose-window').last()).toHaveAttribute('data-purpose', 'art');
  const first = desk.getByTestId('compose-list').locator('[data-slot]').nth(1);
  await first.getByRole('button').first().click();
  const [x = 0, y = 0, width = 0, height = 0] = await numbers(desk);
  expect([Math.abs(x - 990), Math.abs(y - 400), Math.abs(width - 240), Math.abs(height - 240)].every((off) => off <= 2)).toBe(true);
  await desk.getByTestId('compose-source').selectOption({ label: 'Lectern' });
  await expect.poll(async () => apart(await meanColour(desk, STAGE, { x: 1010 / 1280, y: 490 / 720, width: 0.01, height: 0.01 }), { r: 43, g: 154, b: 128 })).toBeLessThan(45);
});

test('says what of the slides lies under a window, and moves it where it does less harm', async ({ desk, api }) => {
  const [slides, lectern] = [await api.sourceId('Slides'), await api.sourceId('Lectern')];
  // the title of the first page lies under the middle of the left half
  const windows = [{ slot: 'a', purpose: 'material', x: 0, y: 0, width: 1280, height: 720 }, { slot: 'b', purpose: 'person', x: 100, y: 260, width: 320, height: 180, fit: 'cover' }];
  await api.send('picture.make', { name: 'By hand over the title', layout: { ...FREE, windows }, fills: { a: slides, b: lectern } });
  await openComposer(desk, api, await api.pictureId('By hand over the title'));
  await desk.waitForFunction((id) => window.rhetorix?.rig?.feeds.get(id)?.state === 'live', slides);
  await expect(desk.getByTestId('coverage-said')).toContainText(/Hidden of Slides: 6\.[23] %/);
  await desk.getByTestId('look-for-harm').click();
  const said = desk.getByTestId('harm-said');
  await expect(said).toContainText(/Lectern hides \d\d % of what is on it/);
  const before = Number(/hides ([\d.]+) %/.exec((await said.textContent()) ?? '')?.[1]);
  await desk.getByTestId('harm-move').click();
  await desk.getByTestId('look-for-harm').click();
  await expect.poll(async () => Number(/hides ([\d.]+) %/.exec((await said.textContent()) ?? '')?.[1])).toBeLessThan(before / 3);
});
