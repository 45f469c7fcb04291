/** The Adjust page of a source, by mouse and keyboard: framing, colour, match, key, reading. */
import type { Locator, Page } from '@playwright/test';
import { PROGRAM, apart, asItWas, becomeHost, expect, meanColour, test, type ShowApi } from '../support/rhetorix';

test.beforeEach(async ({ api }) => asItWas(api));
test.afterEach(async ({ api }) => asItWas(api));

async function adjust(desk: Page, api: ShowApi, name: string): Promise<void> {
  await desk.goto(`/shows/${api.id}/sources/${await api.sourceId(name)}/adjust`);
  await becomeHost(desk);
  await expect(desk.getByTestId('whole')).toBeVisible();
}

const handled = async (api: ShowApi, name: string) => (await api.state()).desk.handlings[await api.sourceId(name)];
const mean = (page: Page, canvas: string, part?: { x: number; y: number; width: number; height: number }) => meanColour(page, `[data-testid=${canvas}]`, part);

async function dragBy(page: Page, handle: Locator, dx: number, dy: number): Promise<void> {
  const box = await handle.boundingBox();
  if (!box) throw new Error('There is nothing to drag.');
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2 + dx, box.y + box.height / 2 + dy, { steps: 6 });
  await page.mouse.up();
}

async function type(field: Locator, value: number): Promise<void> {
  await field.fill(String(value));
  await field.press('Enter');
}

/** Moves a slider by its keys, as a person without a mouse does. */
async function slide(field: Locator, value: number): Promise<void> {
  await field.evaluate((input, value) => {
    (input as HTMLInputElement).value = String(value);
    input.dispatchEvent(new Event('input', { bubbles: true }));
    input.dispatchEvent(new Event('change', { bubbles: true }));
  }, value);
}

test('crops by numbers, by dragging and by keys, zooms, undoes, and gives it to another source', async ({ desk, api }) => {
  await adjust(desk, api, 'Bench');
  const box = desk.locator('.hold-box');
  await expect(desk.getByTestId('kept')).toHaveText('960 × 540');
  await type(desk.getByTestId('edge-left'), 96);
  await expect(desk.getByTestId('kept')).toHaveText('864 × 540');
  expect((await handled(api, 'Bench'))?.framing.crop.x).toBeCloseTo(0.1, 3);
  const whole = await desk.getByTestId('whole').boundingBox();
  await dragBy(desk, box.locator('[data-hold=right]'), -(whole?.width ?? 0) / 4, 0);
  await expect.poll(async () => (await handled(api, 'Bench'))?.framing.crop.width).toBeCloseTo(0.65, 1);
  await box.locator('[data-hold=top]').focus();
  await desk.keyboard.press('Shift+ArrowDown');
  await desk.keyboard.press('ArrowDown');
  await expect(desk.getByTestId('edge-top')).toHaveValue('11');
  await expect.poll(async () => (await handled(api, 'Bench'))?.framing.crop.y).toBeCloseTo(11 / 540, 3);
  await slide(desk.getByTestId('zoom'), 3);
  await expect.poll(async () => (await handled(api, 'Bench'))?.framing.magnify.factor).toBe(3);
  await dragBy(desk, desk.getByTestId('result'), 90, 0);
  await expect.poll(async () => (await handled(api, 'Bench'))?.framing.magnify.x).toBeLessThan(0.5);
  await desk.getByTestId('fit').selectOption('contain');
  await expect.poll(async () => (await handled(api, 'Bench'))?.framing.fit).toBe('contain');

  await desk.getByTestId('copy-open').click();
  await desk.getByTestId('copy-to').selectOption({ label: 'Lectern' });
  await desk.getByTestId('copy').click();
  await expect.poll(async () => (await handled(api, 'Lectern'))?.framing).toEqual((await handled(api, 'Bench'))?.framing);

  for (let left = 7; left > 0; left--) await desk.getByTestId('undo').click();
  await expect.poll(async () => handled(api, 'Bench')).toBeUndefined();
  await expect(desk.getByTestId('undo')).toBeDisabled();
});

test('puts colours right on air, compares before and after, and takes it back', async ({ desk, api }) => {
  await api.begin('Bench', 'Lectern');
  const part = { x: 0.5, y: 0.02, width: 0.2, height: 0.08 }; // wood, which nothing moves over
  const before = await meanColour(desk, PROGRAM, part);
  await desk.getByRole('link', { name: 'Rig' }).click();
  await desk.locator('[data-testid=source-card]', { hasText: 'Bench' }).first().getByTestId('adjust-link').click();
  await desk.getByTestId('tab-colour').click();
  await slide(desk.getByTestId('colour-warmth'), 0.8);
  await expect.poll(async () => (await handled(api, 'Bench'))?.colour.warmth).toBe(0.8);
  await slide(desk.getByTestId('colour-saturation'), 1.4);
  await desk.getByTestId('compare').click();
  await expect.poll(async () => {
    const [left, right] = [await mean(desk, 'whole', { x: 0.3, y: 0.02, width: 0.1, height: 0.05 }), await mean(desk, 'whole', { x: 0.6, y: 0.02, width: 0.1, height: 0.05 })];
    return right.r - right.b - (left.r - left.b);
  }, 'the right half is warmer').toBeGreaterThan(40);
  await desk.getByRole('link', { name: 'Desk' }).click();
  await expect(desk.getByTestId('program')).toBeVisible();
  await expect.poll(async () => {
    const now = await meanColour(desk, PROGRAM, part);
    return now.r - now.b - (before.r - before.b);
  }).toBeGreaterThan(40);
  await desk.goBack();
  await desk.getByTestId('tab-colour').click();
  await desk.getByTestId('reset-colour').click();
  await expect.poll(async () => handled(api, 'Bench')).toBeUndefined();
});

test('matches the microscope to the bench by the card that lies in both', async ({ desk, api }) => {
  await adjust(desk, api, 'Scope');
  await desk.getByTestId('tab-colour').click();
  await desk.getByTestId('match-with').selectOption({ label: 'Bench' });
  await expect(desk.getByTestId('match')).toBeVisible();
  // Where the grey card lies: in fractions of each picture.
  const lay = async (side: 'from' | 'to', width: number, height: number, card: { x: number; y: number; w: number; h: number }): Promise<void> => {
    const canvas = await desk.locator(`canvas[data-match=${side}]`).boundingBox();
    if (!canvas) throw new Error('no canvas');
    const scale = Math.min(canvas.width / width, canvas.height / height);
    const [left, top] = [canvas.x + (canvas.width - width * scale) / 2, canvas.y + (canvas.height - height * scale) / 2];
    const corner = async (): Promise<void> => {
      const hold = await desk.getByTestId(`patch-size-${side}`).boundingBox();
      const [x, y] = [left + (card.x + card.w) * width * scale, top + (card.y + card.h) * height * scale];
      await dragBy(desk, desk.getByTestId(`patch-size-${side}`), x - (hold?.x ?? 0) - (hold?.width ?? 0) / 2, y - (hold?.y ?? 0) - (hold?.height ?? 0) / 2);
    };
    await dragBy(desk, desk.getByTestId(`patch-size-${side}`), -30, -40);
    const middle = await desk.getByTestId(`patch-${side}`).boundingBox();
    await dragBy(desk, desk.getByTestId(`patch-${side}`), left + card.x * width * scale - (middle?.x ?? 0), top + card.y * height * scale - (middle?.y ?? 0));
    await corner();
  };
  await desk.waitForTimeout(800);
  await lay('from', 1280, 960, { x: 28 / 1280, y: 872 / 960, w: 440 / 1280, h: 56 / 960 });
  await lay('to', 1280, 720, { x: 44 / 1280, y: 604 / 720, w: 440 / 1280, h: 56 / 720 });
  await desk.getByTestId('match-work').click();
  await expect(desk.getByTestId('match-said')).toBeVisible();
  const [before = 0, after = 99] = [...((await desk.getByTestId('match-said').textContent()) ?? '').matchAll(/[\d.]+/g)].map(([number]) => Number(number));
  expect(before).toBeGreaterThan(8);
  expect(after).toBeLessThan(before / 3);
  // The white of the card as both pictures show it now.
  const white = async (name: string, part: { x: number; y: number; width: number; height: number }) => {
    await adjust(desk, api, name);
    await desk.waitForTimeout(1500);
    return mean(desk, 'whole', part);
  };
  const scope = await white('Scope', { x: 0.125 + (0.75 * 44) / 1280, y: 884 / 960, width: 0.02, height: 0.03 });
  const bench = await white('Bench', { x: 56 / 1280, y: 616 / 720, width: 0.02, height: 0.03 });
  expect(apart(scope, bench)).toBeLessThan(20);
  await desk.getByTestId('tab-colour').click();
  await desk.getByTestId('match-with').selectOption({ label: 'Scope' });
  await desk.getByRole('button', { name: 'Not now' }).last().click();
  await expect(desk.getByTestId('match')).toBeHidden();
});

test('takes the backing out with one click, puts another source behind, and warns when the person is cut off', async ({ desk, api }) => {
  await api.begin('Lectern', 'Bench');
  await adjust(desk, api, 'Lectern');
  await desk.getByTestId('tab-key').click();
  await desk.getByTestId('pick').click();
  const whole = await desk.getByTestId('whole').boundingBox();
  await desk.getByTestId('whole').click({ position: { x: (whole?.width ?? 0) * 0.25, y: (whole?.height ?? 0) * 0.2 } });
  await expect.poll(async () => (await handled(api, 'Lectern'))?.key?.colour).toMatch(/^#2[0-9a-f]9[0-9a-f]8[0-9a-f]$/);
  await desk.getByTestId('behind').selectOption({ label: 'Bench' });
  for (const edge of ['left', 'right']) await type(desk.getByTestId(`edge-${edge}`), 140);
  await expect(desk.getByTestId('edge-left')).toHaveValue('140');

  // where the cloth was, wood is seen; program has it too
  const cloth = { x: 0.22, y: 0.04, width: 0.08, height: 0.06 };
  await expect.poll(async () => {
    const { r, g } = await mean(desk, 'result', cloth);
    return r - g;
  }).toBeGreaterThan(-5);
  await desk.getByRole('link', { name: 'Desk' }).click();
  await expect(desk.getByTestId('program')).toBeVisible();
  await expect.poll(async () => {
    const { r, g } = await meanColour(desk, PROGRAM, cloth);
    return r - g;
  }).toBeGreaterThan(-5);
  await expect.poll(async () => (await api.state()).tally.sources[await api.sourceId('Bench')]).toBe('program');

  await desk.goBack();
  await desk.getByTestId('tab-key').click();
  await desk.getByTestId('matte').click();
  await expect.poll(async () => (await mean(desk, 'whole', cloth)).g).toBeLessThan(10);
  await expect.poll(async () => (await mean(desk, 'whole', { x: 0.48, y: 0.9, width: 0.05, height: 0.05 })).g).toBeGreaterThan(245);
  await expect(desk.getByTestId('key-warning')).toBeHidden();

  // drawn in so far that it cuts through the person
  await type(desk.getByTestId('edge-right'), 470);
  await expect(desk.getByTestId('key-warning')).toContainText('Leaves the keyed area: cut at the right edge');
  await type(desk.getByTestId('edge-right'), 140);
  await expect(desk.getByTestId('key-warning')).toBeHidden();

  // the light changes: the picture gets darker and warmer before the key sees it
  await desk.getByTestId('matte').click();
  await api.send('handle', { source: await api.sourceId('Lectern'), colour: { brightness: 0.6, warmth: 0.3 } });
  const old = (await handled(api, 'Lectern'))?.key?.colour;
  await desk.waitForTimeout(1000);
  await desk.getByTestId('sample-again').click();
  await expect.poll(async () => (await handled(api, 'Lectern'))?.key?.colour).not.toBe(old);
  await expect.poll(async () => {
    const { r, g } = await mean(desk, 'result', cloth);
    return r - g;
  }).toBeGreaterThan(-5);

  // the other way round: a flat colour behind, for the far end
  await desk.getByTestId('flat').click();
  await expect.poll(async () => (await handled(api, 'Lectern'))?.behind).toMatch(/^#(00ff00|0000ff|ff00ff)$/);
  const flat = String((await handled(api, 'Lectern'))?.behind);
  await expect.poll(async () => {
    const { r, g, b } = await mean(desk, 'result', cloth);
    return `#${[r, g, b].map((level) => (level > 128 ? 'ff' : '00')).join('')}`;
  }).toBe(flat);
  await desk.getByTestId('reset-key').click();
  await expect.poll(async () => (await handled(api, 'Lectern'))?.key).toBeNull();
});

test('finds a page too small to be read, and magnifies it until it can', async ({ desk, api }) => {
  const slides = (await api.state()).book.sources[await api.sourceId('Slides')];
  await api.send('page', { group: slides?.deck?.group, position: 8 });
  await adjust(desk, api, 'Slides');
  await desk.getByTestId('tab-reading').click();
  await desk.waitForTimeout(2500);
  await desk.getByTestId('measure').click();
  await expect(desk.getByTestId('reading-said')).toContainText('it cannot be read');
  await desk.getByTestId('reading-magnify').click();
  await expect.poll(async () => (await handled(api, 'Slides'))?.framing.magnify.factor).toBeGreaterThan(1.8);
  await desk.waitForTimeout(2000);
  await desk.getByTestId('measure').click();
  await expect(desk.getByTestId('reading-said')).toContainText('be read');
  await expect(desk.getByTestId('reading-said')).not.toContainText('cannot');
  // page 1 can be read as it is
  await api.send('handle', { source: await api.sourceId('Slides'), framing: { magnify: { x: 0.5, y: 0.5, factor: 1 } } });
  await api.send('page', { group: slides?.deck?.group, position: 1 });
  await desk.goto(`/shows/${api.id}/pictures`);
  await becomeHost(desk);
  await desk.waitForTimeout(2500);
  const picture = desk.locator('[data-testid=picture]').filter({ has: desk.getByRole('heading', { name: 'Slides', exact: true }) });
  await picture.getByTestId('more').click();
  await picture.getByTestId('picture-reading').click();
  await expect(picture.getByTestId('picture-reading-said')).toContainText('can be read');
});

test('sets the exposure of a camera by hand at the device', async ({ desk, api }) => {
  const device = await desk.evaluate(async () => (await navigator.mediaDevices.enumerateDevices()).find(({ kind }) => kind === 'videoinput')?.deviceId);
  await api.send('source.connect', { name: 'Hand set', kind: 'camera', settings: { device, label: 'fake' } });
  await adjust(desk, api, 'Hand set');
  await desk.getByTestId('tab-colour').click();
  const id = await api.sourceId('Hand set');
  await desk.waitForFunction((id) => window.rhetorix?.rig?.feeds.get(id)?.state === 'live', id);
  await desk.getByTestId('manual-exposure_mode').click();
  const setting = (name: string) => desk.evaluate(([id, name]) => {
    const feed = window.rhetorix?.rig?.feeds.get(id ?? '') as unknown as { track: MediaStreamTrack };
    return (feed.track.getSettings() as Record<string, unknown>)[name ?? ''];
  }, [id, name]);
  await expect.poll(() => setting('exposureMode')).toBe('manual');
  await expect(desk.getByTestId('exposure_time')).toBeVisible();
  const { min, max } = await desk.getByTestId('exposure_time').evaluate((input) => ({ min: Number((input as HTMLInputElement).min), max: Number((input as HTMLInputElement).max) }));
  const wanted = Math.round((min + max) / 2);
  await slide(desk.getByTestId('exposure_time'), wanted);
  await expect.poll(async () => Number(await setting('exposureTime'))).toBeCloseTo(wanted, -1);
});
