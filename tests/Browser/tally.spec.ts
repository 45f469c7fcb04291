/** A spare screen that shows whether one source is on air. */
import AxeBuilder from '@axe-core/playwright';
import { asItWas, expect, test } from './support/rhetorix';

test('shows one source, large, by colour, word and shape, as soon as it changes', async ({ desk, newDesk, api }) => {
  await asItWas(api);
  const { page } = await newDesk();
  await page.goto(`/shows/${api.id}/tally`);
  await page.getByRole('link', { name: 'Bench' }).click();
  const tally = page.getByTestId('tally');
  const word = page.locator('[data-word]');
  await expect(tally).toHaveAttribute('data-tally', 'preview');
  await expect(word).toHaveText('Next');
  await expect(tally).toHaveCSS('border-style', 'dashed');
  await api.send('cut', { picture: await api.pictureId('Bench') });
  await expect(word).toHaveText('On air');
  await expect(tally).toHaveCSS('border-style', 'solid');
  // as a part of a picture too, as long as it can be seen, and until the end of a transition
  await api.send('cut', { picture: await api.pictureId('Lectern + Bench') });
  await expect(word).toHaveText('On air');
  await api.send('arm', { picture: await api.pictureId('Room') });
  await api.send('take', { picture: await api.pictureId('Slides'), transition: { kind: 'wipe-clock', duration_ms: 1500 } });
  await expect(word).toHaveText('On air');
  await expect(word).toHaveText('Next');
  await api.send('arm', { picture: await api.pictureId('Room') });
  await expect(word).toHaveText('Off air');
  const { violations } = await new AxeBuilder({ page }).withTags(['wcag2a', 'wcag2aa', 'wcag22aa']).analyze();
  expect(violations.map(({ id }) => id)).toEqual([]);
  expect(await desk.evaluate(() => window.rhetorix?.isHost)).toBe(true);
  await asItWas(api);
});
