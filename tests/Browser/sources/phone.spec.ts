/** A phone, in a browser process of its own, sends its picture to the desk by a link. */
import type { Browser, Page } from '@playwright/test';
import { PROGRAM, asItWas, becomeHost, card, expect, launch, meanColour, test, type ShowApi } from '../support/rhetorix';

test.beforeEach(async ({ api }) => asItWas(api));
test.afterEach(async ({ api }) => asItWas(api));

async function makePlace(desk: Page, api: ShowApi): Promise<string> {
  await desk.goto(`/shows/${api.id}/rig`);
  await becomeHost(desk);
  await desk.getByTestId('connect-phone').click();
  await desk.getByTestId('place-add').locator('visible=true').click();
  const place = desk.locator('[data-testid=source-card]').filter({ has: desk.getByRole('heading', { name: 'Phone', exact: true }) }).last();
  await place.getByTestId('show-link').click();
  return (await place.getByTestId('join-url').getAttribute('href')) ?? '';
}

/** A phone in portrait, with Chromium's fake camera. */
async function phoneAt(url: string): Promise<{ browser: Browser; phone: Page }> {
  const browser = await launch();
  const phone = await (await browser.newContext({ viewport: { width: 390, height: 844 } })).newPage();
  await phone.goto(url);
  return { browser, phone };
}

/** The place that was made, not the stand-in of the demo show that is called Phone too. */
async function placeId(api: ShowApi): Promise<string> {
  const found = Object.entries((await api.state()).book.sources).find(([, { kind }]) => kind === 'phone');
  if (!found) throw new Error('There is no place for a phone.');
  return found[0];
}

async function pictureOfPlace(api: ShowApi): Promise<string> {
  const place = await placeId(api);
  const found = Object.entries((await api.state()).book.pictures).find(([, { plan }]) => plan.layers.length === 1 && plan.layers[0]?.source === place);
  if (!found) throw new Error('The place has no picture.');
  return found[0];
}

test('is laid out before anybody is there, joins by its link, and is told when it is on air', async ({ desk, api }) => {
  const url = await makePlace(desk, api);
  expect(url).toMatch(/^http.+\/join\/[a-z0-9]{28}$/);
  const [place, picture] = [await placeId(api), await pictureOfPlace(api)];
  const placeCard = desk.locator(`[data-testid=source-card][data-source-id="${place}"]`);
  await expect(placeCard).toHaveAttribute('data-state', 'not here yet');
  // the place is a picture already
  expect((await api.send('picture.make', { name: 'Phone over bench', layout: { layout: 'inset', corner: 'top-left', size: 0.3 }, fills: { large: await api.sourceId('Bench'), inset: place } })).status).toBe(200);

  const { browser, phone } = await phoneAt(url);
  await expect(phone.locator('#tally')).toHaveText('not on air');
  await phone.getByText('upright').click();
  await phone.getByLabel('Your name').fill('Mira');
  await phone.getByTestId('join-start').click();
  await expect(phone.getByTestId('link-state')).toHaveText('The desk has your picture.');
  await expect(placeCard).toHaveAttribute('data-state', 'live');
  await desk.bringToFront();
  const frames = () => desk.evaluate((id) => window.rhetorix?.rig?.feeds.get(id)?.frames ?? 0, place);
  const before = await frames();
  await expect.poll(frames, { message: 'it moves' }).toBeGreaterThan(before + 20);

  await api.send('arm', { picture });
  await expect(phone.locator('#tally')).toHaveText('NEXT');
  await api.send('cut', { picture });
  await expect(phone.locator('#tally')).toHaveText('ON AIR');
  await desk.getByRole('link', { name: 'Desk' }).click();
  await expect(card(desk, picture)).toHaveAttribute('data-tally', 'program');
  // Chromium's fake camera is a green field
  await expect.poll(async () => { const { r, g } = await meanColour(desk, PROGRAM, { x: 0.45, y: 0.05, width: 0.1, height: 0.1 }); return g - r; }).toBeGreaterThan(60);
  // it was held upright, and is laid out so
  expect((await api.state()).book.sources[place]?.portrait).toBe(true);
  // what it says of itself has come to the rig
  await desk.waitForFunction((id) => (window.rhetorix?.rig?.feeds.get(id) as { about?: { facing: string; name: string } } | undefined)?.about?.name === 'Mira', place);

  // it leaves without a word: its last frame, then its card, and it comes back by itself
  await phone.reload();
  await desk.waitForFunction((id) => window.rhetorix?.rig?.feeds.get(id)?.state === 'lost', place);
  await phone.getByTestId('join-start').click();
  await desk.waitForFunction((id) => window.rhetorix?.rig?.feeds.get(id)?.state === 'live', place);
  await browser.close();
});

test('a second device does not take the place of the first, and a withdrawn link ends', async ({ desk, api }) => {
  const url = await makePlace(desk, api);
  const place = await placeId(api);
  const first = await phoneAt(url);
  await first.phone.getByTestId('join-start').click();
  await expect(first.phone.getByTestId('link-state')).toHaveText('The desk has your picture.');
  const second = await phoneAt(url);
  await second.phone.getByTestId('join-start').click();
  await expect(second.phone.locator('#wrong')).toContainText('Another device has this place');
  await second.browser.close();

  await desk.bringToFront();
  await desk.locator(`[data-testid=source-card][data-source-id="${place}"]`).getByTestId('withdraw-link').click();
  await expect(first.phone.locator('#wrong')).toContainText('withdrawn');
  await desk.waitForFunction((id) => window.rhetorix?.rig?.feeds.get(id)?.state === 'lost', place);
  await first.phone.goto(url);
  await expect(first.phone.getByRole('heading')).toHaveText('This link has ended');
  await first.browser.close();
});

test('says on the phone what to do when the camera is denied', async ({ desk, api }) => {
  const url = await makePlace(desk, api);
  const browser = await launch(['--use-fake-device-for-media-stream', '--use-fake-ui-for-media-stream=deny']);
  const phone = await browser.newPage();
  await phone.goto(url);
  await phone.getByTestId('join-start').click();
  await expect(phone.locator('#wrong')).toContainText('Allow it for this page');
  await browser.close();
});
