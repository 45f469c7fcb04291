/** Decks: pages by press, by jump, by clicker; two together; in a window of its own. */
import { PROGRAM, asItWas, becomeHost, expect, test } from '../support/rhetorix';
import type { Page } from '@playwright/test';
import type { DeckFeed } from '../../../resources/js/capture/deck';

test.beforeEach(async ({ api }) => asItWas(api));
test.afterEach(async ({ api }) => asItWas(api));

const shown = (page: Page, source: string) => page.evaluate((id) => (window.rhetorix?.rig?.feeds.get(id) as DeckFeed | undefined)?.page, source);
const print = (page: Page) => page.locator(PROGRAM).evaluate((canvas) => (canvas as HTMLCanvasElement).toDataURL());

test('turns two linked decks with one press, by button, jump and clicker, always in step', async ({ desk, api }) => {
  const [slides, notes] = [await api.sourceId('Slides'), await api.sourceId('Notes')];
  await desk.waitForFunction((id) => window.rhetorix?.rig?.feeds.get(id)?.state === 'live', slides);
  await api.send('cut', { picture: await api.pictureId('Slides') });
  await desk.waitForTimeout(500);
  const first = await print(desk);
  await desk.keyboard.press('PageDown');
  await expect.poll(() => print(desk), { message: 'the audience sees the next page' }).not.toBe(first);
  expect([await shown(desk, slides), await shown(desk, notes)]).toEqual([2, 2]);
  await desk.keyboard.press('PageUp');
  await expect.poll(() => print(desk)).toBe(first);
  await desk.keyboard.press('PageUp'); // there is nothing before the first page
  expect(await shown(desk, slides)).toBe(1);

  await desk.getByTestId('in-hand').getByTestId('in-hand-open').filter({ hasText: 'Slides' }).click();
  const panel = desk.getByTestId('in-hand-panel');
  await panel.getByTestId('page-jump').fill('12');
  await panel.getByRole('button', { name: 'Go' }).click();
  await expect(panel.getByTestId('page-now')).toHaveText('12 / 12');
  // the notes have eleven pages and stay on the last one
  expect([await shown(desk, slides), await shown(desk, notes)]).toEqual([12, 11]);
  await panel.getByTestId('page-next').click();
  expect(await shown(desk, slides)).toBe(12);
  await panel.getByTestId('page-jump').fill('40');
  await panel.getByRole('button', { name: 'Go' }).click();
  await expect(desk.getByText('There is no page 40')).toBeVisible();
});

test('lists the pages with pictures, jumps by them, and follows in a window of its own', async ({ desk, api }) => {
  await desk.goto(`/shows/${api.id}/rig`);
  await becomeHost(desk);
  const deck = desk.locator('[data-testid=source-card]').filter({ has: desk.getByRole('heading', { name: 'Slides', exact: true }) });
  await deck.getByTestId('page-list').click();
  await expect(deck.locator('[data-page] canvas')).toHaveCount(12);
  await deck.locator('[data-page="7"]').click();
  await expect(deck.locator('[data-page="7"]')).toHaveAttribute('aria-current', 'page');
  const [window] = await Promise.all([desk.context().waitForEvent('page'), deck.getByTestId('deck-window').click()]);
  await expect(window.locator('body')).toHaveAttribute('data-page', '7');
  await desk.bringToFront();
  await deck.getByTestId('page-next').click();
  await expect(window.locator('body')).toHaveAttribute('data-page', '8');
  const ink = await window.getByTestId('deck-canvas').evaluate((canvas) => (canvas as HTMLCanvasElement).width);
  expect(ink).toBeGreaterThanOrEqual(1280);
});

test('turns pages while the server is away, and catches up', async ({ desk, api }) => {
  const slides = await api.sourceId('Slides');
  await desk.route('**/commands', (route) => route.abort());
  for (let i = 0; i < 3; i++) await desk.keyboard.press('PageDown');
  await expect.poll(() => shown(desk, slides)).toBe(4);
  await desk.unroute('**/commands');
  const group = (await api.state()).book.sources[slides]?.deck?.group ?? '';
  await expect.poll(async () => (await api.state()).desk.positions[group]).toBe(4);
});

test('brings a PDF, and takes a deck by itself again', async ({ desk, api }) => {
  await desk.goto(`/shows/${api.id}/rig`);
  await becomeHost(desk);
  await desk.getByTestId('still-file').setInputFiles('standins/decks/notes.pdf');
  const deck = desk.locator('[data-testid=source-card]').filter({ has: desk.getByRole('heading', { name: 'notes', exact: true }) });
  await expect(deck).toHaveAttribute('data-state', 'live');
  await expect(deck.getByTestId('page-now')).toHaveText('1 / 11');
  await deck.getByTestId('set').click();
  await deck.getByTestId('deck-link').selectOption({ label: 'Slides' });
  await expect.poll(async () => { const { book } = await api.state(); return book.sources[await api.sourceId('notes')]?.deck?.group === book.sources[await api.sourceId('Slides')]?.deck?.group; }).toBe(true);
});
