/** Devices of this computer come and go, and every source stays itself. */
import type { Page } from '@playwright/test';
import type { CameraFeed } from '../../../resources/js/capture/camera';
import { asItWas, becomeHost, card, expect, launch, signIn, test, type ShowApi } from '../support/rhetorix';
import { installPlugBoard } from '../support/plugs';

test.beforeEach(async ({ api }) => asItWas(api));
test.afterEach(async ({ api }) => asItWas(api));

const sourceCard = (page: Page, name: string) => page.locator('[data-testid=source-card]').filter({ has: page.getByRole('heading', { name, exact: true }) });

/** The rig page of a browser with a plug board, as picture host. */
async function rigWithPlugs(api: ShowApi, baseURL: string | undefined, work: (page: Page, devices: string[]) => Promise<void>): Promise<void> {
  const browser = await launch();
  const page = await (await browser.newContext({ ...(baseURL === undefined ? {} : { baseURL }), viewport: { width: 1280, height: 800 } })).newPage();
  await installPlugBoard(page);
  await signIn(page);
  await page.goto(`/shows/${api.id}/rig`);
  await becomeHost(page);
  const devices = await page.evaluate(async () => (await navigator.mediaDevices.enumerateDevices()).filter(({ kind }) => kind === 'videoinput').map(({ deviceId }) => deviceId));
  await work(page, devices);
  await browser.close();
}

test('a new device waits to be connected, and replaces nothing on air or off', async ({ api, baseURL }) => {
  await rigWithPlugs(api, baseURL, async (page, devices) => {
    const [first = '', second = '', third = ''] = devices;
    await page.evaluate((ids) => ids.forEach((id) => window.plugs.pull(id)), [second, third]);
    await page.getByTestId('connect-camera').click();
    await page.getByLabel('Name in this show').first().fill('Face');
    await page.getByTestId('camera-add').click();
    await expect(sourceCard(page, 'Face')).toHaveAttribute('data-state', 'live');
    const face = await api.sourceId('Face');
    await api.send('cut', { picture: await api.pictureId('Face') });
    await expect(page.getByTestId('waiting-device').filter({ hasText: 'fake_device' })).toHaveCount(0);

    // the document camera is plugged in
    await page.evaluate((id) => window.plugs.push(id), second);
    await expect(page.getByTestId('waiting-device').filter({ hasText: 'fake_device_1' })).toBeVisible();
    expect(await page.evaluate((id) => (window.rhetorix?.rig?.feeds.get(id) as CameraFeed | undefined)?.track?.getSettings().deviceId, face)).toBe(first);
    expect((await api.state()).program).toEqual([await api.pictureId('Face')]);

    // one press connects it, as a source of its own
    await page.getByTestId('waiting-device').filter({ hasText: 'fake_device_1' }).click();
    await expect(page.getByLabel('Name in this show').first()).toHaveValue('fake_device_1');
    await page.getByLabel('Name in this show').first().fill('Doc');
    await page.getByTestId('camera-add').click();
    await expect(sourceCard(page, 'Doc')).toHaveAttribute('data-state', 'live');
    const settings = (await api.state()).book.sources;
    expect([settings[face]?.settings.device, settings[await api.sourceId('Doc')]?.settings.device]).toEqual([first, second]);

    // one is pulled, the third is pushed in: the others do not notice
    await page.evaluate(([out, into]) => {
      window.plugs.pull(out ?? '');
      window.plugs.push(into ?? '');
    }, [first, third]);
    await expect(sourceCard(page, 'Face')).toHaveAttribute('data-state', 'lost');
    await expect(sourceCard(page, 'Doc')).toHaveAttribute('data-state', 'live');
    await expect(page.getByTestId('waiting-device').filter({ hasText: 'fake_device_2' })).toBeVisible();
    await page.evaluate((id) => window.plugs.push(id), first);
    await expect(sourceCard(page, 'Face')).toHaveAttribute('data-state', 'live');
  });
});

test('a device that came back under another identity is offered, and taken only at a press', async ({ api, baseURL }) => {
  await rigWithPlugs(api, baseURL, async (page, devices) => {
    await page.getByTestId('connect-camera').click();
    await page.getByLabel('Name in this show').first().fill('Face');
    await page.getByTestId('camera-add').click();
    await expect(sourceCard(page, 'Face')).toHaveAttribute('data-state', 'live');
    const [first = ''] = devices;
    await page.evaluate((id) => {
      window.plugs.pull(id);
      window.plugs.rename(id, 'the-same-in-another-plug');
      window.plugs.push(id);
    }, first);
    await expect(sourceCard(page, 'Face')).toHaveAttribute('data-state', 'lost');
    const offer = sourceCard(page, 'Face').getByTestId('rematch');
    await expect(offer).toContainText('fake_device_0');
    expect((await api.state()).book.sources[await api.sourceId('Face')]?.settings.device).toBe(first);
    await offer.click();
    await expect(sourceCard(page, 'Face')).toHaveAttribute('data-state', 'live');
    expect((await api.state()).book.sources[await api.sourceId('Face')]?.settings.device).toBe('the-same-in-another-plug');
  });
});

test('asks a camera for a size, shows what really comes, and restarts it by itself', async ({ desk, api }) => {
  await desk.goto(`/shows/${api.id}/rig`);
  await becomeHost(desk);
  await desk.getByTestId('connect-camera').click();
  await desk.getByLabel('Name in this show').first().fill('Face');
  await desk.getByTestId('camera-add').click();
  const face = sourceCard(desk, 'Face');
  await expect(face).toContainText('1280 × 720');
  await face.getByTestId('set').click();
  await face.getByTestId('camera-size').selectOption({ label: '640 × 480, 30 a second' });
  await expect(face).toContainText('640 × 480');
  await expect(face).toHaveAttribute('data-state', 'live');
  const track = () => desk.evaluate((id) => (window.rhetorix?.rig?.feeds.get(id) as CameraFeed | undefined)?.track?.id, id);
  const id = await api.sourceId('Face');
  const before = await track();
  await face.getByTestId('handle').click();
  await face.getByTestId('restart').click();
  await expect.poll(track).not.toBe(before);
  await expect(face).toHaveAttribute('data-state', 'live');
});

test('50 times plugged and unplugged in random order during switching: no source ever shows another’s picture', async ({ api, baseURL }) => {
  await rigWithPlugs(api, baseURL, async (page, devices) => {
    const cameras: { source: string; picture: string; device: string }[] = [];
    for (const [i, device] of devices.entries()) {
      await api.send('source.connect', { name: `Camera ${i}`, kind: 'camera', settings: { device, label: `fake_device_${i}`, width: 640, height: 360 } });
      cameras.push({ source: await api.sourceId(`Camera ${i}`), picture: await api.pictureId(`Camera ${i}`), device });
    }
    await page.getByRole('link', { name: 'Desk' }).click();
    await page.waitForFunction((ids) => ids.every((id) => window.rhetorix?.rig?.feeds.get(id)?.state === 'live'), cameras.map(({ source }) => source));
    const report = await page.evaluate(async (cameras) => {
      const session = window.rhetorix;
      if (!session?.rig) throw new Error('This is not the host.');
      const small = new OffscreenCanvas(16, 9).getContext('2d', { willReadFrequently: true });
      if (!small) throw new Error('No canvas.');
      /** Chromium's second fake camera is black and grey, the others are green: how green a picture is. */
      const green = (image: CanvasImageSource, width: number, height: number): number => {
        small.drawImage(image, 0, 0, width, height, 0, 0, 16, 9);
        const { data } = small.getImageData(0, 0, 16, 9);
        let sum = 0;
        for (let i = 0; i < data.length; i += 4) sum += (data[i + 1] ?? 0) - (data[i] ?? 0);
        return sum / (data.length / 4);
      };
      const isGreen = await Promise.all(cameras.map(async ({ source }) => {
        await new Promise((resolve) => setTimeout(resolve, 300));
        const image = session.rig?.feeds.get(source)?.current(0, Infinity);
        return image ? green(image.image, image.width, image.height) > 60 : false;
      }));
      const plugged = cameras.map(() => true);
      let seed = 20261125;
      const chance = (below: number): number => (seed = (seed * 1103515245 + 12345) % 2147483648) % below;
      const wrong: string[] = [];
      let [looks, onAir] = [0, 0];
      const look = (): void => {
        cameras.forEach(({ source, device }, i) => {
          const feed = session.rig?.feeds.get(source) as CameraFeed | undefined;
          const image = feed?.state === 'live' ? feed.current(performance.now(), 0) : null;
          if (!feed || !image) return;
          looks++;
          const real = feed.track?.getSettings().deviceId;
          if (real !== undefined && real !== device) wrong.push(`source ${i} holds another device`);
          if (green(image.image, image.width, image.height) > 60 !== isGreen[i]) wrong.push(`source ${i} shows another picture`);
        });
        // and what the audience sees is the picture that was taken, or its placeholder
        const at = session.store.onAir(performance.now()).pictures[0];
        const i = cameras.findIndex(({ picture }) => picture === at);
        if (i < 0) return;
        onAir++;
        const { program } = session.painter;
        if (isGreen[i] === false && green(program, program.width, program.height) > 60) wrong.push(`program shows a green picture for camera ${i}`);
      };
      for (let round = 0; round < 50; round++) {
        const i = chance(cameras.length);
        const device = cameras[i]?.device ?? '';
        if (plugged[i]) window.plugs.pull(device);
        else window.plugs.push(device);
        plugged[i] = !plugged[i];
        const picture = cameras[chance(cameras.length)]?.picture;
        if (picture !== undefined) session.link.press(round % 3 === 0 ? 'take' : 'cut', { picture, ...(round % 3 === 0 ? { transition: { kind: 'mix', duration_ms: 150 } } : {}) });
        for (let k = 0; k < 4; k++) {
          await new Promise((resolve) => setTimeout(resolve, 40 + chance(60)));
          if (session.store.progress(performance.now()) === null) look();
        }
      }
      cameras.forEach(({ device }) => window.plugs.push(device));
      return { wrong, looks, onAir, isGreen };
    }, cameras);
    expect(report.wrong).toEqual([]);
    expect(new Set(report.isGreen), 'the pictures can be told apart').toEqual(new Set([true, false]));
    expect(report.looks).toBeGreaterThan(100);
    expect(report.onAir).toBeGreaterThan(50);
    for (const { source } of cameras) await page.waitForFunction((id) => window.rhetorix?.rig?.feeds.get(id)?.state === 'live', source);
    await expect(card(page, cameras[0]?.picture ?? '')).toBeVisible();
  });
});
