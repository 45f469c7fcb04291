/** The simulated camera of the network: added in one step, seen to move, moved by an independent client. */
import { asItWas, becomeHost, expect, test } from '../support/rhetorix';

test.beforeEach(async ({ api }) => asItWas(api));
test.afterEach(async ({ api }) => asItWas(api));

test('is added by its address in one step, and what is wrong is said', async ({ desk, api }) => {
  await desk.goto(`/shows/${api.id}/rig`);
  await becomeHost(desk);
  await desk.getByTestId('connect-network-camera').click();
  await desk.getByLabel('Address').fill('198.51.100.20');
  await desk.getByTestId('network-camera-add').click();
  await expect(desk.getByTestId('network-camera-wrong')).toContainText('outside the address ranges of this computer');
  await desk.getByTestId('stand-in-camera').click();
  await desk.getByLabel('Its password').fill('guess');
  await desk.getByTestId('network-camera-add').click();
  await expect(desk.getByTestId('network-camera-wrong')).toContainText('does not accept this user and password');
  await desk.getByTestId('stand-in-camera').click();
  await desk.getByLabel('Name in this show').locator('visible=true').fill('Gallery');
  await desk.getByTestId('network-camera-add').click();
  const gallery = desk.locator('[data-testid=source-card]', { hasText: 'Gallery' });
  await expect(gallery).toHaveAttribute('data-state', 'live');
  const source = await api.sourceId('Gallery');
  const frames = () => desk.evaluate((id) => window.rhetorix?.rig?.feeds.get(id)?.frames ?? 0, source);
  const before = await frames();
  await expect.poll(frames).toBeGreaterThan(before + 10);
  await expect(gallery).toContainText('640 × 360');
});
