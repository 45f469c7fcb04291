/** A show of another shape: made from the list of shows, and nothing in it is stretched. */
import { becomeHost, expect, PREVIEW, PROGRAM, test } from './support/rhetorix';

/** How wide and how high the white middle of the test card is painted, in pixels of the canvas, over each other. */
const stretch = (canvas: HTMLCanvasElement | SVGElement): { aspect: number; painted: number } => {
  if (!(canvas instanceof HTMLCanvasElement)) throw new Error('This is no canvas.');
  const small = document.createElement('canvas');
  [small.width, small.height] = [canvas.width, canvas.height];
  const context = small.getContext('2d');
  if (!context) throw new Error('No canvas to measure with.');
  context.drawImage(canvas, 0, 0);
  const { data } = context.getImageData(0, 0, small.width, small.height);
  const red = (x: number, y: number): boolean => {
    const at = 4 * (y * small.width + x);
    return (data[at] ?? 0) > 150 && (data[at + 1] ?? 255) < 90;
  };
  let [left, right, top, bottom] = [Infinity, -1, Infinity, -1];
  for (let y = 0; y < small.height; y++) {
    for (let x = 0; x < small.width; x++) {
      if (!red(x, y)) continue;
      [left, right, top, bottom] = [Math.min(left, x), Math.max(right, x), Math.min(top, y), Math.max(bottom, y)];
    }
  }
  return { aspect: small.width / small.height, painted: (right - left + 1) / (bottom - top + 1) };
};

test('lays everything out upright, and stretches nothing on desk, cards and the window of program', async ({ newDesk }) => {
  const { page: desk, context } = await newDesk();
  await desk.goto('/shows');
  await desk.getByLabel('Name of a new show').fill('Upright evening');
  await desk.getByLabel('Shape of program').selectOption('9:16');
  await desk.getByRole('button', { name: 'Make the show' }).click();
  await desk.waitForURL(/\/shows\/[0-9a-f-]{36}/);
  await desk.waitForFunction(() => window.rhetorix?.isHost);
  // A red square in the middle of a picture laid out by hand on 720 x 1280.
  await desk.evaluate(async () => {
    const link = window.rhetorix?.link;
    await link?.edit('source.connect', { name: 'Red', kind: 'colour', settings: { colour: '#d02010' } });
    const red = Object.keys(window.rhetorix?.store.book.sources ?? {})[0] ?? '';
    await link?.edit('picture.make', {
      name: 'Square', group: 'together', fills: { one: red },
      layout: { layout: 'free', canvas: { width: 720, height: 1280 }, windows: [{ slot: 'one', purpose: 'material', aspect: 'free', fit: 'cover', x: 160, y: 440, width: 400, height: 400 }] },
    });
    const square = Object.entries(window.rhetorix?.store.book.pictures ?? {}).find(([, { name }]) => name === 'Square')?.[0] ?? '';
    link?.press('cut', { picture: square });
    link?.press('arm', { picture: square });
  });
  await becomeHost(desk).catch(() => undefined);
  const miniature = desk.getByTestId('picture-card').filter({ hasText: 'Square' }).locator('canvas');
  for (const [what, canvas] of [['program', desk.locator(PROGRAM)], ['preview', desk.locator(PREVIEW)], ['a card', miniature]] as const) {
    await expect(async () => {
      const { aspect, painted } = await canvas.evaluate(stretch);
      expect(aspect, what).toBeCloseTo(720 / 1280, 1);
      expect(painted, what).toBeGreaterThan(0.93);
      expect(painted, what).toBeLessThan(1.07);
    }).toPass();
    expect(await canvas.evaluate((element) => getComputedStyle(element).objectFit)).toBe('contain');
  }
  const [audience] = await Promise.all([context.waitForEvent('page'), desk.getByTestId('program-window-open').click()]);
  await expect.poll(() => audience.locator('video').evaluate((video: HTMLVideoElement) => [video.videoWidth, video.videoHeight])).toEqual([720, 1280]);
  await audience.close();

  // The touch panel too, from the stills of the host.
  const panel = await context.newPage();
  await panel.goto(desk.url().replace(/(\/shows\/[0-9a-f-]{36}).*/, '$1/panel'));
  await panel.getByRole('button', { name: 'Together' }).click();
  await expect(async () => {
    const { aspect, painted } = await panel.locator('canvas').filter({ visible: true }).first().evaluate(stretch);
    expect(aspect).toBeCloseTo(720 / 1280, 1);
    expect(painted).toBeGreaterThan(0.93);
    expect(painted).toBeLessThan(1.07);
  }).toPass({ timeout: 60_000 });
  await panel.close();

  // The inset is dragged where the hand is, though program is narrower than its box.
  await desk.evaluate(() => window.rhetorix?.link.press('inset', { mode: 'over' }));
  const box = await desk.locator(PROGRAM).boundingBox();
  if (!box) throw new Error('There is no program.');
  const scale = Math.min(box.width / 720, box.height / 1280);
  const place = () => desk.evaluate(() => window.rhetorix?.store.inset(performance.now())?.rect);
  await expect.poll(async () => (await place())?.width ?? 0).toBeGreaterThan(100);
  await desk.waitForTimeout(400);
  const before = await place();
  const [x, y] = [box.x + box.width / 2 + ((before?.x ?? 0) + (before?.width ?? 0) / 2 - 360) * scale, box.y + box.height / 2 + ((before?.y ?? 0) + (before?.height ?? 0) / 2 - 640) * scale];
  await desk.mouse.move(x, y);
  await desk.mouse.down();
  await desk.mouse.move(x - 20, y - 30, { steps: 4 });
  await desk.mouse.up();
  await expect.poll(async () => Math.abs(((await place())?.x ?? 0) - ((before?.x ?? 0) - 20 / scale))).toBeLessThan(3 / scale);
});
