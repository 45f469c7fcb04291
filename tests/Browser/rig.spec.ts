/** Connecting things: the real getUserMedia of Chromium with its fake devices, and what is said when it fails. */
import { FAKE_DEVICES, PROGRAM, ShowApi, apart, asItWas, becomeHost, card, expect, meanColour, test } from './support/rhetorix';
import type { CameraFeed } from '../../resources/js/capture/camera';
import type { Page } from '@playwright/test';

test.beforeEach(async ({ api }) => asItWas(api));
test.afterAll(async ({ request }) => asItWas(await ShowApi.demo(request)));

async function connectCamera(page: Page, name: string): Promise<void> {
  await page.getByTestId('connect-camera').click();
  await expect.poll(() => page.locator('video').evaluate((video) => (video as HTMLVideoElement).videoWidth), { message: 'a look at the camera before it is added' }).toBeGreaterThan(0);
  await page.getByLabel('Name in this show').first().fill(name);
  await page.getByTestId('camera-add').click();
  await expect(page.locator('[data-testid=source-card]', { hasText: name })).toBeVisible();
}

test('connects cameras of this computer, each once and under its own name', async ({ desk, api }) => {
  await desk.goto(`/shows/${api.id}/rig`);
  await becomeHost(desk);
  await connectCamera(desk, 'Left camera');
  await connectCamera(desk, 'Right camera');
  const devices = Object.values((await api.state()).book.sources).filter((source) => source.kind === 'camera').map((source) => source.settings.device);
  expect(new Set(devices).size).toBe(2);
  for (const name of ['Left camera', 'Right camera']) {
    await expect(desk.locator('[data-testid=source-card]', { hasText: name })).toHaveAttribute('data-state', 'live');
  }
  // its own full-screen picture is there, with the size that it really delivers
  await expect.poll(async () => Object.values((await api.state()).book.sources).find((source) => source.name === 'Left camera')?.width).toBe(1280);
  const picture = await api.pictureId('Left camera');
  await desk.getByRole('link', { name: 'Desk' }).click();
  await card(desk, picture).click();
  await desk.keyboard.press('k');
  await expect(card(desk, picture)).toHaveAttribute('data-tally', 'program');
  // Chromium's fake camera is a green field
  await expect.poll(async () => { const { r, g, b } = await meanColour(desk, PROGRAM); return g > r + 40 && g > b + 40; }).toBe(true);
});

test('holds the last frame of a lost camera for 2 s, then shows its placeholder, and takes it back by itself', async ({ desk, api }) => {
  await desk.goto(`/shows/${api.id}/rig`);
  await becomeHost(desk);
  await connectCamera(desk, 'Roving');
  await desk.getByRole('link', { name: 'Desk' }).click();
  const [picture, source] = [await api.pictureId('Roving'), await api.sourceId('Roving')];
  await desk.waitForFunction((id) => window.rhetorix?.rig?.feeds.get(id)?.state === 'live', source);
  await api.send('cut', { picture });
  await expect(card(desk, picture)).toHaveAttribute('data-tally', 'program');
  await expect.poll(async () => { const { r, g } = await meanColour(desk, PROGRAM); return g - r; }).toBeGreaterThan(40);
  const live = await meanColour(desk, PROGRAM);

  // What unplugging does to a track: it ends, and the device cannot be opened for a while.
  const times = await desk.evaluate(async (id) => {
    const session = window.rhetorix;
    const feed = session?.rig?.feeds.get(id) as CameraFeed | undefined;
    const canvas = session?.painter.program;
    if (!feed?.track || !canvas) throw new Error('The camera is not open.');
    const open = feed.open.bind(feed);
    feed.open = () => Promise.resolve();
    const colour = (): number => {
      const small = new OffscreenCanvas(1, 1);
      const context = small.getContext('2d');
      context?.drawImage(canvas, 0, 0, 200, 200, 0, 0, 1, 1);
      return context?.getImageData(0, 0, 1, 1).data[1] ?? 0;
    };
    const before = colour();
    feed.track.stop();
    feed.track.dispatchEvent(new Event('ended'));
    const started = performance.now();
    let held = 0;
    let blank = false;
    await new Promise<void>((resolve) => {
      const look = (): void => {
        const [passed, now] = [performance.now() - started, colour()];
        if (now === 0) blank = true;
        if (Math.abs(now - before) < 12) held = passed;
        const over = Math.abs(now - before) >= 12 || passed >= 8000;
        if (over) resolve();
        else setTimeout(look, 20);
      };
      look();
    });
    feed.open = open;
    return { held, blank };
  }, source);
  expect(times.blank).toBe(false);
  expect(times.held).toBeGreaterThan(1500);
  expect(times.held).toBeLessThan(4000);
  const placeholder = await meanColour(desk, PROGRAM, { x: 0, y: 0, width: 0.2, height: 0.2 });
  expect(apart(placeholder, { r: 57, g: 66, b: 79 }), 'the ground of the placeholder').toBeLessThan(6);

  await desk.evaluate(() => navigator.mediaDevices.dispatchEvent(new Event('devicechange')));
  await expect.poll(async () => apart(await meanColour(desk, PROGRAM), live)).toBeLessThan(25);
});

test('connects a microphone after it was seen to move, and shows on every page that it is live', async ({ desk, api }) => {
  await desk.goto(`/shows/${api.id}/rig`);
  await becomeHost(desk);
  await desk.getByTestId('connect-microphone').click();
  await expect(desk.getByTestId('microphone-level')).toContainText('dB');
  await desk.getByTestId('tone').click();
  await desk.getByLabel('Name in this show').locator('visible=true').fill('Clip-on');
  await desk.getByTestId('microphone-add').click();
  for (const place of ['Rig', 'Pictures', 'As-run list', 'Desk']) {
    await desk.getByRole('link', { name: place, exact: true }).click();
    await expect(desk.getByTestId('live-microphones')).toHaveText('Live: Clip-on');
  }
  const level = () => desk.getByTestId('main-meter').evaluate((bar) => Number(getComputedStyle(bar).getPropertyValue('--level')));
  await api.send('cut', { picture: await api.pictureId('Slides') }); // silent by itself
  await expect.poll(level, { message: "Chromium's fake microphone beeps" }).toBeGreaterThan(0.3);
  await desk.getByRole('button', { name: 'Mute Clip-on' }).click();
  await expect(desk.getByTestId('live-microphones')).toHaveText('No open microphone');
  await expect.poll(level).toBeLessThan(0.1);
});

test('connects a screen, never on air by itself, and says so when sharing ends', async ({ desk, api }) => {
  await desk.goto(`/shows/${api.id}/rig`);
  await becomeHost(desk);
  await desk.getByTestId('connect-screen').click();
  await desk.getByTestId('screen-add').click();
  const shared = desk.locator('[data-testid=source-card]', { hasText: 'Screen' });
  await expect(shared).toHaveAttribute('data-state', 'live');
  expect((await api.state()).program).toEqual([await api.pictureId('Lectern')]);
  const source = await api.sourceId('Screen');
  await desk.evaluate((id) => (window.rhetorix?.rig?.feeds.get(id) as CameraFeed | undefined)?.track?.dispatchEvent(new Event('ended')), source);
  await expect(shared.getByTestId('source-wrong')).toContainText('no longer shared');
  await shared.getByRole('button', { name: 'Share again' }).click();
  await expect(shared).toHaveAttribute('data-state', 'live');
});

test('brings a still, and says what is wrong with a file that is none', async ({ desk, api }) => {
  await desk.goto(`/shows/${api.id}/rig`);
  await becomeHost(desk);
  await desk.getByTestId('still-file').setInputFiles({ name: 'broken.png', mimeType: 'image/png', buffer: Buffer.from('not a picture') });
  await expect(desk.getByTestId('still-wrong')).toContainText('whatever its name says');
  const png = await desk.evaluate(() => {
    const canvas = document.createElement('canvas');
    [canvas.width, canvas.height] = [300, 400];
    const context = canvas.getContext('2d');
    if (context) context.fillStyle = '#7030c0';
    context?.fillRect(0, 0, 300, 400);
    return canvas.toDataURL('image/png').split(',')[1] ?? '';
  });
  await desk.getByTestId('still-file').setInputFiles({ name: 'Amethyst.png', mimeType: 'image/png', buffer: Buffer.from(png, 'base64') });
  const still = desk.locator('[data-testid=source-card]', { hasText: 'Amethyst' });
  await expect(still).toHaveAttribute('data-state', 'live');
  await expect(still).toContainText('300 × 400');
});

for (const [what, flags, words] of [
  ['a denied permission', ['--use-fake-device-for-media-stream', '--use-fake-ui-for-media-stream=deny'], 'allow it for this page'],
  ['no camera at all', ['--use-fake-device-for-media-stream=device-count=0', '--use-fake-ui-for-media-stream'], 'Plug it in'],
] as const) {
  test(`says what to do about ${what}`, async ({ newDesk, api }) => {
    const { page } = await newDesk([...flags]);
    await becomeHost(page);
    await page.goto(`/shows/${api.id}/rig`);
    await becomeHost(page);
    await page.getByTestId('connect-camera').click();
    await expect(page.getByTestId('camera-wrong')).toContainText(words);
    await page.getByRole('link', { name: 'Desk' }).click();
    await expect(page.locator(PROGRAM)).toBeVisible();
    await expect.poll(async () => (await meanColour(page, PROGRAM)).r, { message: 'program goes on' }).toBeGreaterThan(30);
  });
}

test('says what to do about a camera that another program holds', async ({ newDesk, api }) => {
  const { page } = await newDesk(FAKE_DEVICES);
  // Chromium's fake cameras are never busy, so the browser's own answer for a busy one is given in its place.
  await page.addInitScript(() => {
    navigator.mediaDevices.getUserMedia = () => Promise.reject(new DOMException('Could not start video source', 'NotReadableError'));
  });
  await page.goto(`/shows/${api.id}/rig`);
  await becomeHost(page);
  await page.getByTestId('connect-camera').click();
  await expect(page.getByTestId('camera-wrong')).toContainText('Another program holds this device');
});
