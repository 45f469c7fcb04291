/** Handling a source while it is in use: freeze, turn, mirror, flip, magnify, blank. */
import { PROGRAM, asItWas, becomeHost, card, expect, meanColour, test } from '../support/rhetorix';
import type { Page } from '@playwright/test';

test.beforeEach(async ({ api }) => asItWas(api));
test.afterEach(async ({ api }) => asItWas(api));

const print = (page: Page) => page.locator(PROGRAM).evaluate((canvas) => (canvas as HTMLCanvasElement).toDataURL());
const opened = (page: Page) => page.getByTestId('in-hand-panel');

async function takeInHand(page: Page, name: string): Promise<void> {
  await page.getByTestId('in-hand').getByTestId('in-hand-open').filter({ hasText: name }).click();
  await expect(opened(page)).toBeVisible();
}

test('freezes what is on air and lets it go again, and says so on its card', async ({ desk, api }) => {
  await api.send('cut', { picture: await api.pictureId('Bench') });
  await takeInHand(desk, 'Bench');
  await opened(desk).getByTestId('freeze').click();
  await expect(card(desk, await api.pictureId('Bench'))).toContainText('Bench: held still');
  await desk.waitForTimeout(300);
  const first = await print(desk);
  await desk.waitForTimeout(1500);
  expect(await print(desk), 'it stands still').toBe(first);
  expect((await api.state()).desk.handlings[await api.sourceId('Bench')]?.frozen).toBe(true);
  await opened(desk).getByTestId('freeze').click();
  await expect.poll(() => print(desk)).not.toBe(first);
});

/** A still with another colour in each quarter, so that every turn can be seen. */
async function quarters(page: Page): Promise<Buffer> {
  const png = await page.evaluate(() => {
    const canvas = document.createElement('canvas');
    [canvas.width, canvas.height] = [640, 360];
    const context = canvas.getContext('2d');
    for (const [x, y, colour] of [[0, 0, '#d02020'], [1, 0, '#20a020'], [0, 1, '#2040d0'], [1, 1, '#e0d020']] as const) {
      if (context) context.fillStyle = colour;
      context?.fillRect(x * 320, y * 180, 320, 180);
    }
    return canvas.toDataURL('image/png').split(',')[1] ?? '';
  });
  return Buffer.from(png, 'base64');
}

const NAMES: Record<string, [number, number, number]> = { red: [208, 32, 32], green: [32, 160, 32], blue: [32, 64, 208], yellow: [224, 208, 32] };

/** The colours of the four quarters of program, row by row. */
async function seen(page: Page): Promise<string> {
  const words: string[] = [];
  for (const [x, y] of [[0.42, 0.2], [0.55, 0.2], [0.42, 0.75], [0.55, 0.75]] as const) {
    const { r, g, b } = await meanColour(page, PROGRAM, { x, y, width: 0.02, height: 0.05 });
    const [name] = Object.entries(NAMES).sort(([, a], [, c]) => Math.hypot(a[0] - r, a[1] - g, a[2] - b) - Math.hypot(c[0] - r, c[1] - g, c[2] - b))[0] ?? [''];
    words.push(name);
  }
  return words.join(' ');
}

test('turns, mirrors and flips what the audience sees, and magnifies where it was clicked', async ({ desk, api }) => {
  await desk.goto(`/shows/${api.id}/rig`);
  await becomeHost(desk);
  await desk.getByTestId('still-file').setInputFiles({ name: 'Quarters.png', mimeType: 'image/png', buffer: await quarters(desk) });
  await expect(desk.locator('[data-testid=source-card]', { hasText: 'Quarters' })).toBeVisible();
  const source = await api.sourceId('Quarters');
  await api.send('cut', { picture: await api.pictureId('Quarters') });
  const framed = (framing: Record<string, unknown>) => api.send('handle', { source, framing });
  await desk.getByRole('link', { name: 'Desk' }).click();
  await expect(desk.locator(PROGRAM)).toBeVisible();
  await expect.poll(() => seen(desk)).toBe('red green blue yellow');
  for (const [orientation, quartersSeen] of [['r90', 'blue red yellow green'], ['r180', 'yellow blue green red'], ['r270', 'green yellow red blue'], ['r0m', 'green red yellow blue'], ['r180m', 'blue yellow red green']] as const) {
    await framed({ orientation });
    await expect.poll(() => seen(desk), { message: orientation }).toBe(quartersSeen);
  }
  await framed({ orientation: 'r0', magnify: { x: 0.75, y: 0.25, factor: 2 } });
  await expect.poll(() => seen(desk), { message: 'only the upper right quarter' }).toBe('green green green green');
});

test('does the same by its buttons on the desk, and a click on the picture comes closer there', async ({ desk, api }) => {
  const bench = await api.sourceId('Bench');
  const framing = async () => (await api.state()).desk.handlings[bench]?.framing;
  await takeInHand(desk, 'Bench');
  await opened(desk).getByTestId('turn-right').click();
  await expect.poll(async () => (await framing())?.orientation).toBe('r90');
  await opened(desk).getByTestId('mirror').click();
  await expect.poll(async () => (await framing())?.orientation).toBe('r90m');
  await opened(desk).getByTestId('turn-right').click();
  await expect.poll(async () => (await framing())?.orientation).toBe('r0m');
  await opened(desk).getByTestId('flip').click();
  await expect.poll(async () => (await framing())?.orientation).toBe('r180');
  const look = opened(desk).getByTestId('in-hand-look');
  const box = await look.boundingBox();
  if (!box) throw new Error('The picture is not shown.');
  await look.click({ position: { x: box.width * 0.75, y: box.height * 0.25 } });
  await expect.poll(async () => (await framing())?.magnify.factor).toBe(2);
  const magnify = (await framing())?.magnify;
  expect(magnify?.x).toBeCloseTo(0.75, 1);
  expect(magnify?.y).toBeCloseTo(0.25, 1);
  await opened(desk).getByRole('button', { name: 'As it comes' }).click();
  await expect.poll(framing).toBeUndefined();
  await desk.keyboard.press('Escape');
  await expect(opened(desk)).toBeHidden();
});

test('finds the black bars of a padded picture and crops them at a press', async ({ desk, api }) => {
  await desk.goto(`/shows/${api.id}/rig`);
  await becomeHost(desk);
  const png = await desk.evaluate(() => {
    const canvas = document.createElement('canvas');
    [canvas.width, canvas.height] = [1280, 720];
    const context = canvas.getContext('2d');
    if (context) context.fillStyle = '#000000';
    context?.fillRect(0, 0, 1280, 720);
    if (context) context.fillStyle = '#c08040';
    context?.fillRect(437, 0, 406, 720); // an upright phone in a wide picture
    return canvas.toDataURL('image/png').split(',')[1] ?? '';
  });
  await desk.getByTestId('still-file').setInputFiles({ name: 'Padded.png', mimeType: 'image/png', buffer: Buffer.from(png, 'base64') });
  await expect(desk.locator('[data-testid=source-card]', { hasText: 'Padded' })).toHaveAttribute('data-state', 'live');
  const source = await api.sourceId('Padded');
  await desk.waitForFunction((id) => (window.rhetorix?.rig?.feeds.get(id)?.frames ?? 0) > 0, source);
  const padded = desk.locator('[data-testid=source-card]', { hasText: 'Padded' });
  await padded.getByTestId('handle').click();
  await padded.getByTestId('find-bars').click();
  await padded.getByTestId('crop-bars').click();
  await expect.poll(async () => (await api.state()).desk.handlings[source]?.framing.crop.width).toBeCloseTo(406 / 1280, 1);
  const { book } = await api.state();
  const layer = Object.values(book.pictures).find(({ name }) => name === 'Padded')?.plan.layers[0];
  // upright now: as high as the canvas, and in its middle
  expect(layer?.dest.height).toBeCloseTo(720, 0);
  expect(layer?.dest.x).toBeGreaterThan(400);
});

test('one key hides every shared screen at once, everywhere, and brings it back', async ({ desk, newDesk, api }) => {
  await desk.goto(`/shows/${api.id}/rig`);
  await becomeHost(desk);
  await desk.getByTestId('connect-screen').click();
  await expect(desk.getByText('Messages and notices that appear there are seen too')).toBeVisible();
  await desk.getByTestId('screen-add').click();
  await expect(desk.locator('[data-testid=source-card]', { hasText: 'Screen' })).toHaveAttribute('data-state', 'live');
  const picture = await api.pictureId('Screen');
  await api.send('cut', { picture });
  await desk.getByRole('link', { name: 'Desk' }).click();
  await expect(desk.locator(PROGRAM)).toBeVisible();
  const corner = { x: 0, y: 0, width: 0.1, height: 0.1 };
  const blank = { r: 57, g: 66, b: 79 };
  const away = async (page: Page, selector: string) => {
    const { r, g, b } = await meanColour(page, selector, corner);
    return Math.hypot(r - blank.r, g - blank.g, b - blank.b);
  };
  await expect.poll(() => away(desk, PROGRAM)).toBeGreaterThan(40);
  const { page: panel } = await newDesk();
  await desk.bringToFront();
  await desk.keyboard.press('.');
  // in the very next frames here, before any server has answered, and on every other screen
  await expect.poll(() => away(desk, PROGRAM)).toBeLessThan(8);
  await expect.poll(() => away(desk, `canvas[data-view=picture][data-id="${picture}"]`)).toBeLessThan(8);
  await expect.poll(() => away(panel, PROGRAM)).toBeLessThan(12);
  // the stream that is handed on and recorded is this same canvas
  expect(await desk.evaluate(() => window.rhetorix?.programStream?.getVideoTracks()[0]?.readyState)).toBe('live');
  await desk.keyboard.press('.');
  await expect.poll(() => away(desk, PROGRAM)).toBeGreaterThan(40);
});

test('blanks at once while the server is away', async ({ desk, api }) => {
  const source = await api.sourceId('Bench');
  await api.send('cut', { picture: await api.pictureId('Bench') });
  await expect(card(desk, await api.pictureId('Bench'))).toHaveAttribute('data-tally', 'program');
  await desk.route('**/commands', (route) => route.abort());
  await takeInHand(desk, 'Bench');
  await opened(desk).getByTestId('blank').click();
  await expect.poll(async () => { const { r } = await meanColour(desk, PROGRAM, { x: 0, y: 0, width: 0.1, height: 0.1 }); return Math.abs(r - 57); }).toBeLessThan(6);
  expect((await api.state()).desk.handlings[source]).toBeUndefined();
  await desk.unroute('**/commands');
  await expect.poll(async () => (await api.state()).desk.handlings[source]?.blank).toBe(true);
});
