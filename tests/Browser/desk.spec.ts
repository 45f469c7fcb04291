/** The desk, by mouse and keyboard, with pictures that really move. */
import AxeBuilder from '@axe-core/playwright';
import { PREVIEW, PROGRAM, apart, card, expect, meanColour, test } from './support/rhetorix';

test.beforeEach(async ({ api }) => {
  await api.send('choose', { transition: { kind: 'mix', duration_ms: 1000 } });
  await api.begin('Lectern', 'Bench');
});

test('shows program, preview and every miniature as true moving pictures', async ({ desk, api }) => {
  const { book } = await api.state();
  // pages, cards and places for guests stand still; what looks at the world may not
  const moving = Object.entries(book.pictures).filter(([, { visible }]) => visible.some((source) => book.sources[source]?.moving));
  const selectors = [PROGRAM, PREVIEW, ...moving.map(([id]) => `canvas[data-view=picture][data-id="${id}"]`)];
  expect(selectors.length).toBeGreaterThanOrEqual(11);
  expect(await desk.locator('[data-testid=picture-card] canvas').count()).toBe(Object.keys(book.pictures).length);
  const print = (selector: string) => desk.locator(selector).first().evaluate((canvas) => (canvas as HTMLCanvasElement).toDataURL('image/png'));
  for (const selector of selectors) {
    const first = await print(selector);
    await expect.poll(async () => (await print(selector)) !== first, { message: `${selector} must move` }).toBe(true);
  }
});

test('arms with a click, cuts with K, and leaves the old program in preview', async ({ desk, api }) => {
  const [lectern, bench, slides] = [await api.pictureId('Lectern'), await api.pictureId('Bench'), await api.pictureId('Slides')];
  await expect(card(desk, lectern)).toHaveAttribute('data-tally', 'program');
  await card(desk, slides).click();
  await expect(card(desk, slides)).toHaveAttribute('data-tally', 'preview');
  await expect(card(desk, bench)).toHaveAttribute('data-tally', 'off');

  await desk.keyboard.press('k');
  await expect(card(desk, slides)).toHaveAttribute('data-tally', 'program');
  await expect(card(desk, lectern)).toHaveAttribute('data-tally', 'preview');
  await expect.poll(async () => (await api.state()).program).toEqual([slides]);
  expect((await api.state()).preview).toBe(lectern);
  // slides are light paper, the lectern's hall is not
  await expect.poll(async () => (await meanColour(desk, PROGRAM, { x: 0, y: 0, width: 1, height: 0.1 })).b).toBeGreaterThan(220);
});

test('arms by the key of its card, and takes it with a mix in which both are on air', async ({ desk, api }) => {
  const [lectern, slides] = [await api.pictureId('Lectern'), await api.pictureId('Slides')];
  await api.send('choose', { transition: { kind: 'mix', duration_ms: 4000 } });
  await expect(desk.getByTestId('take')).toContainText('Mix 4.0 s');
  const key = (await api.state()).book.pictures[slides]?.key ?? '';
  await desk.keyboard.press(key.toLowerCase());
  await expect(card(desk, slides)).toHaveAttribute('data-tally', 'preview');
  const top = { x: 0.3, y: 0.02, width: 0.4, height: 0.05 };
  const before = await meanColour(desk, PROGRAM, top);

  await desk.keyboard.press('l');
  await expect(card(desk, lectern)).toHaveAttribute('data-tally', 'program');
  await expect(card(desk, slides)).toHaveAttribute('data-tally', 'program');
  const between: number[] = [];
  await expect
    .poll(async () => {
      between.push((await meanColour(desk, PROGRAM, top)).r);
      return (await api.state()).transition;
    })
    .toBeNull();
  await expect(card(desk, lectern)).toHaveAttribute('data-tally', 'preview');
  const after = await meanColour(desk, PROGRAM, top);
  expect(after.r - before.r).toBeGreaterThan(60);
  expect(between.some((r) => r > before.r + 15 && r < after.r - 15), `something between ${before.r} and ${after.r} in ${between.join(' ')}`).toBe(true);
  expect(between, 'a mix never goes back').toEqual([...between].sort((a, b) => a - b).map((value, i) => (Math.abs(value - (between[i] ?? 0)) < 4 ? between[i] : value)));
});

test('goes straight to program with Shift, and keeps what was prepared', async ({ desk, api }) => {
  const [bench, slides] = [await api.pictureId('Bench'), await api.pictureId('Slides')];
  const key = (await api.state()).book.pictures[slides]?.key ?? '';
  await desk.keyboard.press(`Shift+${key}`);
  await expect(card(desk, slides)).toHaveAttribute('data-tally', 'program');
  await expect(card(desk, bench)).toHaveAttribute('data-tally', 'preview');
});

test('covers and uncovers with ; and closes the sound', async ({ desk, api }) => {
  const lectern = await api.pictureId('Lectern');
  const level = () => desk.getByTestId('main-meter').evaluate((bar) => Number(getComputedStyle(bar).getPropertyValue('--level')));
  await expect.poll(level, { message: 'Lectern is heard while it is on program' }).toBeGreaterThan(0.3);
  const before = await meanColour(desk, PROGRAM);

  await desk.keyboard.press(';');
  await expect(card(desk, 'holding')).toHaveAttribute('data-tally', 'program');
  await expect(card(desk, lectern)).toHaveAttribute('data-tally', 'off');
  await expect.poll(async () => (await meanColour(desk, PROGRAM, { x: 0, y: 0, width: 0.2, height: 0.2 })).r).toBeGreaterThan(235);
  await expect.poll(level).toBeLessThan(0.05);
  await expect(desk.getByTestId('cover')).toContainText('Uncover');

  await desk.keyboard.press(';');
  await expect(card(desk, lectern)).toHaveAttribute('data-tally', 'program');
  await expect.poll(async () => apart(await meanColour(desk, PROGRAM), before)).toBeLessThan(25);
  await expect.poll(level).toBeGreaterThan(0.3);
});

test('takes a duration in seconds or in frames', async ({ desk, api }) => {
  await desk.getByTestId('transition-options').click();
  await desk.getByTestId('frames').fill('25');
  await expect.poll(async () => (await api.state()).desk.chosen.duration_ms).toBe(833);
  await desk.getByTestId('seconds').fill('1.5');
  await expect(desk.getByTestId('take')).toContainText('Mix 1.5 s');
  await expect(desk.getByTestId('frames')).toHaveValue('45');
});

test('takes another kind of transition, and tries it in preview without touching program', async ({ desk, api }) => {
  await api.begin('Lectern', 'Slides');
  await api.send('choose', { transition: { kind: 'mix', duration_ms: 1000 } });
  await desk.getByTestId('transition-options').click();
  await desk.getByTestId('kind').selectOption('wipe-right');
  await expect(desk.getByTestId('take')).toContainText('Wipe right 1.0 s');
  await desk.getByTestId('seconds').fill('6');
  await desk.getByTestId('seconds').press('Enter');
  await expect(desk.getByTestId('take')).toContainText('Wipe right 6.0 s');
  const [left, right] = [{ x: 0.02, y: 0.1, width: 0.1, height: 0.1 }, { x: 0.9, y: 0.1, width: 0.08, height: 0.1 }];
  const paper = async (selector: string, part: typeof left) => (await meanColour(desk, selector, part)).r > 235;
  await expect.poll(() => paper(PREVIEW, right)).toBe(true);
  await desk.getByTestId('try').click();
  // in preview the slides come in from the left over the lectern, while program stays the lectern
  await expect.poll(async () => [await paper(PREVIEW, left), await paper(PREVIEW, right)], { intervals: [50] }).toEqual([true, false]);
  expect(await paper(PROGRAM, left)).toBe(false);
  expect((await api.state()).transition).toBeNull();
  await expect.poll(() => paper(PREVIEW, right)).toBe(true);
  await desk.getByTestId('take').click();
  await expect.poll(async () => [await paper(PROGRAM, left), await paper(PROGRAM, right)], { intervals: [50] }).toEqual([true, false]);
  await expect.poll(() => paper(PROGRAM, right)).toBe(true);
  await api.send('choose', { transition: { kind: 'mix', duration_ms: 1000 } });
});

test('is silent while somebody types', async ({ desk, api }) => {
  const before = (await api.state()).revision;
  await desk.goto(`/shows/${api.id}/rig`);
  await desk.locator('[data-testid=source-card]').first().getByText('Rename').click();
  await desk.keyboard.type('kkll;');
  expect((await api.state()).revision).toBe(before);
});

test('paints a cut before the server has answered, and keeps presses while it is away', async ({ desk, api }) => {
  const [slides, lectern] = [await api.pictureId('Slides'), await api.pictureId('Lectern')];
  await card(desk, slides).click();
  await expect.poll(async () => (await api.state()).preview).toBe(slides);
  await desk.route('**/commands', (route) => route.abort());
  await desk.keyboard.press('k');
  await expect(card(desk, slides)).toHaveAttribute('data-tally', 'program');
  expect((await api.state()).program).toEqual([lectern]);
  await expect(desk.locator('#away')).toBeVisible();
  await desk.unroute('**/commands');
  await expect.poll(async () => (await api.state()).program).toEqual([slides]);
  await expect(desk.locator('#away')).toBeHidden();
});

test('goes on painting behind another tab, and while pages change', async ({ desk, api }) => {
  const passes = () => desk.evaluate(() => window.rhetorix?.painter.passes ?? 0);
  const other = await desk.context().newPage();
  await other.bringToFront();
  const hidden = await passes();
  await expect.poll(passes, { timeout: 15_000 }).toBeGreaterThan(hidden + 20);
  await desk.bringToFront();

  await desk.getByRole('link', { name: 'Pictures' }).click();
  await expect(desk.getByRole('heading', { name: 'Pictures', exact: true })).toBeVisible();
  expect(await desk.evaluate(() => window.rhetorix?.isHost)).toBe(true);
  await desk.getByRole('link', { name: 'Desk' }).click();
  await expect(desk.locator(PROGRAM)).toBeVisible();
  await expect(card(desk, await api.pictureId('Lectern'))).toHaveAttribute('data-tally', 'program');
});

for (const theme of ['day', 'dusk']) {
  test(`can be used by everybody: WCAG 2.2 AA by axe on each page, ${theme}`, async ({ desk, api }) => {
    await desk.evaluate((theme) => localStorage.setItem('rhetorix.theme', theme), theme);
    for (const path of ['', '/rig', '/line-up', '/pictures', '/as-run', '/panel', '/controls', '/people', `/compose/${await api.pictureId('Framed')}`]) {
      await desk.goto(`/shows/${api.id}${path}`);
      await desk.waitForTimeout(500);
      // the page where windows are moved shows the most with one of them chosen
      if (path.startsWith('/compose')) await desk.getByTestId('compose-list').getByRole('button', { name: 'Lectern', exact: true }).click();
      const { violations } = await new AxeBuilder({ page: desk }).withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa']).analyze();
      expect(violations.map(({ id, nodes }) => `${path} ${id}: ${nodes.map((node) => node.html.slice(0, 120)).join(' | ')}`)).toEqual([]);
    }
    const bench = await api.sourceId('Bench');
    await api.send('handle', { source: bench, key: { colour: '#3f9f86' }, behind: '#1f3350' });
    await desk.goto(`/shows/${api.id}/sources/${bench}/adjust`);
    for (const tab of ['framing', 'colour', 'key', 'reading']) {
      await desk.getByTestId(`tab-${tab}`).click();
      await desk.waitForTimeout(300);
      const { violations } = await new AxeBuilder({ page: desk }).withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa']).analyze();
      expect(violations.map(({ id, nodes }) => `${tab} ${id}: ${nodes.map((node) => node.html.slice(0, 120)).join(' | ')}`)).toEqual([]);
    }
    await api.send('handle', { source: bench, key: false, behind: false });
  });
}

test('fits 1280x800 without scrolling', async ({ desk }) => {
  const size = await desk.evaluate(() => ({ height: document.documentElement.scrollHeight, width: document.documentElement.scrollWidth }));
  expect(size.height).toBeLessThanOrEqual(800);
  expect(size.width).toBeLessThanOrEqual(1280);
});
