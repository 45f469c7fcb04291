/** One picture of each main view, from the demo show. bin/screenshots runs this. */
import { launch, becomeHost, signIn, test } from '../Browser/support/rhetorix';
import type { Page } from '@playwright/test';

const FOLDER = 'docs/screenshots';

test('screenshots', async ({ desk, newDesk, api, baseURL }) => {
  const shot = (page: Page, name: string) => page.screenshot({ path: `${FOLDER}/${name}.png` });
  await api.begin('Bench + Lectern', 'Slides + Lectern');
  await desk.waitForTimeout(3000);
  await shot(desk, 'desk');
  await desk.click('#theme');
  await desk.waitForTimeout(500);
  await shot(desk, 'desk-dusk');
  await desk.click('#theme');

  await desk.getByRole('link', { name: 'Rig' }).click();
  await desk.getByTestId('connect-microphone').click();
  await desk.waitForTimeout(2500);
  await shot(desk, 'rig');
  await desk.getByRole('link', { name: 'Line-up' }).click();
  await desk.waitForTimeout(9000);
  await shot(desk, 'line-up');
  await desk.getByRole('link', { name: 'Pictures' }).click();
  await desk.waitForTimeout(2000);
  await shot(desk, 'pictures');

  await desk.getByRole('link', { name: 'Desk' }).click();
  for (const name of ['Slides + Lectern', 'Bench']) {
    await api.send('take', { picture: await api.pictureId(name) });
    await desk.waitForTimeout(1400);
  }
  await api.send('cover');
  await desk.waitForTimeout(600);
  await api.send('uncover');
  await desk.getByRole('link', { name: 'As-run list' }).click();
  await desk.waitForTimeout(1200);
  await shot(desk, 'as-run');

  const { page: panel } = await newDesk();
  await panel.setViewportSize({ width: 390, height: 844 });
  await panel.waitForTimeout(4000);
  await shot(panel, 'panel');

  await api.send('source.connect', { name: 'Roving phone', kind: 'phone', settings: {} });
  await desk.getByRole('link', { name: 'Rig' }).click();
  const url = (await desk.getByTestId('join-url').getAttribute('href')) ?? '';
  const phones = await launch();
  const phone = await (await phones.newContext({ viewport: { width: 390, height: 844 } })).newPage();
  await phone.goto(url);
  await phone.getByTestId('join-start').click();
  await phone.waitForTimeout(3000);
  await api.send('cut', { picture: await api.pictureId('Roving phone') });
  await phone.waitForTimeout(1500);
  await shot(phone, 'phone');
  await phones.close();
  await api.begin('Bench + Lectern', 'Slides + Lectern');
  await api.send('source.remove', { source: await api.sourceId('Roving phone') });
  await desk.getByRole('link', { name: 'Desk' }).click();
  await desk.waitForTimeout(1500);
  await desk.getByTestId('in-hand').getByTestId('in-hand-open').filter({ hasText: 'Bench' }).click();
  await desk.waitForTimeout(1500);
  await shot(desk, 'in-hand');

  const browser = await launch();
  const fresh = await (await browser.newContext({ ...(baseURL === undefined ? {} : { baseURL }), viewport: { width: 1280, height: 800 } })).newPage();
  await fresh.goto('/sign-in');
  await shot(fresh, 'sign-in');
  await signIn(fresh);
  await fresh.goto(`/shows/${api.id}/program`);
  await fresh.waitForTimeout(800);
  await shot(fresh, 'program-not-started');
  await browser.close();
  await becomeHost(desk);
});
