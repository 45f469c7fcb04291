/** Several people at one desk: who is here, who did what, what each may do; and a tablet in somebody's hand. */
import type { Page } from '@playwright/test';
import { card, expect, launch, test, type ShowApi } from '../support/rhetorix';

test.beforeEach(async ({ api }) => {
  await api.send('choose', { transition: { kind: 'mix', duration_ms: 1000 } });
  await api.begin('Lectern', 'Bench');
});

/** Somebody else, let in by the lead on the page People. */
async function letIn(desk: Page, api: ShowApi, role: string): Promise<{ page: Page; close: () => Promise<void> }> {
  const email = `juno-${crypto.randomUUID().slice(0, 8)}@fernhollow.test`;
  await desk.goto(`/shows/${api.id}/people`);
  await desk.fill('#email', email);
  await desk.fill('#name', 'Juno');
  await desk.locator('#role').selectOption(role);
  await desk.getByRole('button', { name: 'Add' }).click();
  const password = (await desk.getByTestId('first-password').textContent()) ?? '';
  const browser = await launch();
  const page = await browser.newPage({ viewport: { width: 1024, height: 768 }, baseURL: new URL(desk.url()).origin });
  await page.goto('/sign-in');
  await page.fill('#email', email);
  await page.fill('#password', password);
  await page.click('button:has-text("Sign in")');
  await page.waitForURL(/\/shows\//);
  return { page, close: () => browser.close() };
}

test('shows who is here and who pressed, and lets the lead have the desk alone', async ({ desk, api }) => {
  const slides = await api.pictureId('Slides');
  const { page: juno, close } = await letIn(desk, api, 'operator');
  await expect(desk.getByTestId('here')).toContainText(/\d here/);
  await expect(desk.getByTestId('person-here').filter({ hasText: 'Juno' })).toContainText('operator, computer');
  await desk.goto(`/shows/${api.id}`);
  await juno.goto(`/shows/${api.id}`);
  await card(juno, slides).click();
  await expect(card(desk, slides)).toHaveAttribute('data-tally', 'preview');
  await expect(desk.getByTestId('who')).toHaveText('Juno: next');

  await desk.goto(`/shows/${api.id}/people`);
  await desk.getByTestId('alone-5').click();
  await expect(juno.getByTestId('here')).toContainText('has the desk alone');
  await expect(juno.getByTestId('cut')).toBeDisabled();
  await juno.keyboard.press('k');
  expect((await api.state()).program).toEqual([await api.pictureId('Lectern')]);
  await desk.getByTestId('alone-0').click();
  await expect(juno.getByTestId('cut')).toBeEnabled();
  await juno.keyboard.press('k');
  await expect.poll(async () => (await api.state()).program).toEqual([slides]);
  await close();
});

test('shows somebody who may only look everything, and lets them press nothing', async ({ desk, api }) => {
  const { page: juno, close } = await letIn(desk, api, 'view');
  await juno.goto(`/shows/${api.id}`);
  await expect(juno.getByTestId('take')).toBeDisabled();
  await juno.keyboard.press('k');
  await juno.waitForTimeout(500);
  expect((await api.state()).program).toEqual([await api.pictureId('Lectern')]);
  await close();
});

test('gives a tablet large buttons that say what they do now', async ({ desk, api, newDesk }) => {
  const { page: tablet } = await newDesk();
  await tablet.setViewportSize({ width: 1024, height: 768 });
  await tablet.goto(`/shows/${api.id}/panel`);
  await tablet.getByTestId('panel-page').filter({ hasText: 'Material' }).click();
  const slides = tablet.locator(`[data-testid=panel-picture][data-picture-id="${await api.pictureId('Slides')}"]`);
  await expect(slides).toContainText('Make it next');
  await slides.click();
  await expect(slides).toHaveAttribute('data-tally', 'preview');
  await expect(slides).toContainText('Take: Mix 1.0 s');
  await slides.click();
  await expect(slides).toContainText('On air');
  await expect.poll(async () => (await api.state()).program).toEqual([await api.pictureId('Slides')]);
  await expect(card(desk, await api.pictureId('Slides'))).toHaveAttribute('data-tally', 'program');
  await tablet.getByTestId('panel-cover').click();
  await expect(tablet.getByTestId('panel-cover')).toHaveText('Uncover');
  await expect.poll(async () => (await api.state()).covered).toBe(true);
  await tablet.getByTestId('panel-cover').click();
  await tablet.getByTestId('panel-page').filter({ hasText: 'Inset' }).click();
  await tablet.locator('[data-action="inset-over"]').click();
  await expect.poll(async () => (await api.state()).desk.inset).toBe('over');
  // in somebody's hand: it never becomes the computer with the devices
  expect(await tablet.evaluate(() => window.rhetorix?.isHost)).toBe(false);
  await tablet.locator('[data-action="inset-off"]').click();
  await expect.poll(async () => (await api.state()).desk.inset).toBe('off');
});

test('arms, takes and covers on a phone, and keeps program, next and cards beside a meeting', async ({ api, newDesk }) => {
  const { page } = await newDesk();
  const slides = await api.pictureId('Slides');
  for (const [width, height] of [[390, 844], [640, 800]] as const) {
    await page.setViewportSize({ width, height });
    await api.begin('Lectern', 'Bench');
    await page.waitForTimeout(500);
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(width);
    // program, next, the take controls and the first cards are on the screen without scrolling
    for (const id of ['preview', 'take', 'cut', 'cover']) await expect(page.getByTestId(id)).toBeInViewport({ ratio: 1 });
    await expect(page.locator('[data-program-slot]')).toBeInViewport({ ratio: 1 });
    await expect(card(page, 'holding')).toBeInViewport({ ratio: 0.9 });
    await card(page, slides).click();
    await expect(card(page, slides)).toHaveAttribute('data-tally', 'preview');
    await page.getByTestId('take').click();
    await expect.poll(async () => (await api.state()).program).toEqual([slides]);
    await page.getByTestId('cover').click();
    await expect.poll(async () => (await api.state()).covered).toBe(true);
    await page.getByTestId('cover').click();
  }
});

test('is run by the keyboard alone, and says changes of program to a screen reader', async ({ desk, api }) => {
  const slides = await api.pictureId('Slides');
  await expect(desk.locator('#announcements')).toHaveAttribute('aria-live', 'assertive');
  await card(desk, slides).focus();
  await desk.keyboard.press('Enter');
  await expect(card(desk, slides)).toHaveAttribute('data-tally', 'preview');
  await desk.getByTestId('cut').focus();
  await desk.keyboard.press('Space');
  await expect(desk.locator('#announcements')).toHaveText('On air: Slides');
  const fader = desk.getByTestId('fader');
  await fader.focus();
  await expect(fader).toHaveAttribute('aria-valuetext', /At its end, goes (up|down)/);
  const way = await fader.getAttribute('data-way');
  await desk.keyboard.press(way === 'up' ? 'ArrowUp' : 'ArrowDown');
  await expect(fader).toHaveAttribute('aria-valuenow', '5');
  await desk.keyboard.press('j');
  await expect(fader).toHaveAttribute('aria-valuenow', '0');
  await desk.getByTestId('inset-over').focus();
  await desk.keyboard.press('Enter');
  await expect(desk.getByTestId('inset-over')).toHaveAttribute('aria-pressed', 'true');
  await desk.keyboard.press('p');
  await expect(desk.getByTestId('inset-off')).toHaveAttribute('aria-pressed', 'true');
  await expect.poll(async () => (await api.state()).desk.inset).toBe('off');
});
