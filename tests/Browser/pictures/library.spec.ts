/** The library of pictures: found, put in order, given keys, saved and brought; and places filled on the desk. */
import { readFileSync } from 'node:fs';
import { asItWas, becomeHost, card, expect, test } from '../support/rhetorix';

test.beforeEach(async ({ api }) => asItWas(api));
test.afterEach(async ({ api }) => asItWas(api));

test('finds a picture, and puts it elsewhere by dragging', async ({ desk, api }) => {
  const [slides, lectern] = [await api.sourceId('Slides'), await api.sourceId('Lectern')];
  for (const name of ['By hand A', 'By hand B']) await api.send('picture.make', { name, layout: { layout: 'inset', corner: 'top-left', size: 0.3 }, fills: { large: slides, inset: lectern } });
  await desk.goto(`/shows/${api.id}/pictures`);
  await becomeHost(desk);
  await desk.getByTestId('picture-search').fill('by hand');
  const shown = desk.getByTestId('picture').filter({ visible: true });
  await expect(shown).toHaveCount(2);
  const handle = (name: string) => desk.getByTestId('picture').filter({ hasText: name }).locator('.drag-handle');
  await handle('By hand B').dragTo(handle('By hand A'), { targetPosition: { x: 2, y: 2 } });
  await expect.poll(async () => Object.values((await api.state()).book.pictures).map(({ name }) => name).filter((name) => name.startsWith('By hand'))).toEqual(['By hand B', 'By hand A']);
  await expect(shown.first()).toContainText('By hand B');
  // a key is taken over, and whoever had it gets the other
  const page = async (name: string) => (await api.state()).book.pictures[await api.pictureId(name)];
  const had = (await page('By hand B'))?.key;
  await desk.getByTestId('picture').filter({ hasText: 'By hand B' }).getByTestId('more').click();
  await desk.getByTestId('picture').filter({ hasText: 'By hand B' }).getByTestId('key-place').selectOption('Z');
  await expect.poll(async () => (await page('By hand B'))?.key).toBe('Z');
  expect((await page('Slides + Lectern'))?.key ?? null).toBe(had ?? null);
  await api.send('picture.place', { picture: await api.pictureId('Slides + Lectern'), key: 'Z' });
});

test('saves pictures to a file and brings them again; a wrong file is refused in a sentence', async ({ desk, api }) => {
  await desk.goto(`/shows/${api.id}/pictures`);
  await becomeHost(desk);
  const [download] = await Promise.all([desk.waitForEvent('download'), desk.getByTestId('save-pictures').click()]);
  expect(download.suggestedFilename()).toBe('reading-stones.pictures.json');
  const file = JSON.parse(readFileSync(await download.path(), 'utf8')) as { pictures: { name: string }[] };
  expect(file.pictures.map(({ name }) => name)).toContain('Framed');
  const one = { ...file, pictures: [{ ...file.pictures.find(({ name }) => name === 'Framed'), name: 'By hand brought' }] };
  const bring = (name: string, text: string) => desk.getByTestId('bring-pictures').setInputFiles({ name, mimeType: 'application/json', buffer: Buffer.from(text) });
  await bring('framed.json', JSON.stringify(one));
  await expect(desk.locator('[data-testid=picture]', { hasText: 'By hand brought' })).toBeVisible();
  await bring('notes.json', 'hello');
  await expect(desk.locator('#messages')).toContainText('“notes.json” is not a JSON file');
  await bring('newer.json', JSON.stringify({ ...one, version: 7 }));
  await expect(desk.locator('#messages')).toContainText('of version 7');
  const [guide] = await Promise.all([desk.waitForEvent('download'), (async () => {
    const framed = desk.locator('[data-testid=picture]', { hasText: 'By hand brought' });
    await framed.getByTestId('more').click();
    await framed.getByTestId('guide').click();
  })()]);
  expect(readFileSync(await guide.path()).subarray(1, 4).toString()).toBe('PNG');
});

test('fills a place of what is next with one press on the desk', async ({ desk, api }) => {
  const id = await api.pictureId('Slides, a guest later');
  await api.send('arm', { picture: id });
  await desk.getByTestId('fill-slot').selectOption({ label: 'A guest: empty' });
  await desk.getByTestId('fill-next').getByRole('button', { name: 'Quarry' }).click();
  await expect.poll(async () => (await api.state()).book.pictures[id]?.places.find(({ slot }) => slot === 'guest')?.source).toBe(await api.sourceId('Quarry'));
  await expect(desk.getByTestId('fill-slot')).toContainText('A guest: Quarry');
  await desk.getByTestId('fill-next').getByRole('button', { name: 'Phone' }).click();
  await expect.poll(async () => (await api.state()).book.pictures[id]?.places.find(({ slot }) => slot === 'guest')?.source).toBe(await api.sourceId('Phone'));
  await expect(card(desk, id)).toHaveAttribute('data-tally', 'preview');
  await api.send('picture.fill', { picture: id, slot: 'guest' });
});

test('brings a picture with a transition of its own, and others as the desk has chosen', async ({ desk, api }) => {
  const [bench, slides] = [await api.pictureId('Bench'), await api.pictureId('Slides')];
  await api.send('choose', { transition: { kind: 'mix', duration_ms: 1000 } });
  await desk.goto(`/shows/${api.id}/pictures`);
  await becomeHost(desk);
  const entry = desk.locator(`[data-testid=picture][data-grow="${bench}"]`);
  await entry.getByTestId('more').click();
  await entry.getByTestId('comes').selectOption({ label: 'Push left 0.7 s' });
  await expect.poll(async () => (await api.state()).book.pictures[bench]?.comes?.shape).toBe('push-left');
  // what was opened stays open while the page grows
  await expect(entry.getByTestId('comes').locator('option[value=same]')).toHaveText('Push left 0.7 s');
  await expect(entry.getByTestId('comes')).toBeVisible();
  await desk.goto(`/shows/${api.id}`);
  await becomeHost(desk);
  await card(desk, bench).click();
  await expect(desk.getByTestId('take')).toContainText('Push left 0.7 s');
  await desk.getByTestId('take').click();
  await expect.poll(async () => desk.evaluate(() => window.rhetorix?.store.registers(performance.now()).kind), { intervals: [30] }).toBe('push-left');
  await expect(card(desk, bench)).toHaveAttribute('data-tally', 'program');
  await card(desk, slides).click();
  await expect(desk.getByTestId('take')).toContainText('Mix 1.0 s');
  await desk.goto(`/shows/${api.id}/pictures`);
  await becomeHost(desk);
  await entry.getByTestId('more').click();
  await entry.getByTestId('comes').selectOption('');
  await expect.poll(async () => (await api.state()).book.pictures[bench]?.comes).toBeNull();
});
