/** One picture of each main view, from the demo show. bin/screenshots runs this. */
import { launch, becomeHost, signIn, test, type ShowApi } from '../Browser/support/rhetorix';
import type { Page } from '@playwright/test';

const FOLDER = 'docs/screenshots';

/** The Adjust page: a key, a match, writing that is too small. */
async function adjusted(desk: Page, api: ShowApi, shot: (page: Page, name: string) => Promise<unknown>): Promise<void> {
  const open = async (name: string, tab: string): Promise<void> => {
    await desk.goto(`/shows/${api.id}/sources/${await api.sourceId(name)}/adjust`);
    await becomeHost(desk);
    await desk.getByTestId(`tab-${tab}`).click();
    await desk.waitForTimeout(2500);
  };
  const lectern = await api.sourceId('Lectern');
  await api.send('handle', { source: lectern, key: { colour: '#2b9a80', cut: { left: 0.145, top: 0, right: 0.145, bottom: 0 } }, behind: await api.sourceId('Bench') });
  await open('Lectern', 'key');
  await shot(desk, 'adjust-key');
  await api.send('handle', { source: lectern, key: false, behind: false });
  await open('Scope', 'colour');
  await desk.getByTestId('match-with').selectOption({ label: 'Bench' });
  await desk.waitForTimeout(2000);
  await shot(desk, 'adjust-match');
  const slides = (await api.state()).book.sources[await api.sourceId('Slides')];
  await api.send('page', { group: slides?.deck?.group, position: 8 });
  await open('Slides', 'reading');
  await desk.getByTestId('measure').click();
  await desk.getByTestId('reading-said').waitFor();
  await shot(desk, 'adjust-reading');
  await api.send('page', { group: slides?.deck?.group, position: 1 });
}

test('screenshots', async ({ desk, newDesk, api, baseURL }) => {
  const shot = (page: Page, name: string) => page.screenshot({ path: `${FOLDER}/${name}.png` });
  await api.begin('Bench', 'Slides');
  await api.send('inset', { mode: 'over', source: await api.sourceId('Lectern') });
  await api.send('fade', { picture: await api.pictureId('Slides'), position: 350, holder: 'screenshots', transition: { kind: 'push-left', duration_ms: 1000 } });
  await desk.waitForTimeout(3000);
  await shot(desk, 'desk');
  await api.send('back');
  await api.send('inset', { mode: 'off' });
  await api.begin('Bench + Lectern', 'Slides + Lectern');
  await desk.waitForTimeout(1500);
  await desk.click('#theme');
  await desk.waitForTimeout(500);
  await shot(desk, 'desk-dusk');
  await desk.click('#theme');

  await desk.getByRole('link', { name: 'Rig' }).click();
  await desk.getByTestId('connect-microphone').click();
  await desk.waitForTimeout(2500);
  await shot(desk, 'rig');
  await desk.keyboard.press('Escape');
  await desk.getByTestId('budget-measure').click();
  await desk.getByTestId('budget-said').waitFor();
  await adjusted(desk, api, shot);
  await desk.getByRole('link', { name: 'Line-up' }).click();
  await desk.waitForTimeout(9000);
  await shot(desk, 'line-up');
  await desk.getByRole('link', { name: 'Pictures' }).click();
  await desk.waitForTimeout(2000);
  await shot(desk, 'pictures');
  await desk.goto(`/shows/${api.id}/compose/${await api.pictureId('Bench, round Lectern')}`);
  await becomeHost(desk);
  await desk.waitForTimeout(3000);
  await desk.locator('[data-testid=compose-window][data-slot=presenter]').click();
  await desk.waitForTimeout(600);
  await shot(desk, 'compose');

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

  await desk.goto(`/shows/${api.id}/controls`);
  await desk.waitForTimeout(1200);
  await shot(desk, 'controls');
  await desk.goto(`/shows/${api.id}`);
  await becomeHost(desk);
  const { page: tablet } = await newDesk();
  await tablet.setViewportSize({ width: 1024, height: 768 });
  await tablet.goto(`/shows/${api.id}/panel`);
  await tablet.waitForTimeout(4000);
  await shot(tablet, 'touch-panel');
  await tablet.context().browser()?.close();

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
});
