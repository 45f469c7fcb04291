/** Pictures of ready layouts, made by hand. */
import { PROGRAM, apart, asItWas, becomeHost, expect, meanColour, test } from '../support/rhetorix';

test.beforeEach(async ({ api }) => asItWas(api));
test.afterEach(async ({ api }) => {
  await api.begin('Lectern', 'Bench');
  const { book } = await api.state();
  for (const [id, { name }] of Object.entries(book.pictures)) if (name.startsWith('By hand')) await api.send('picture.remove', { picture: id });
  await asItWas(api);
});

test('makes a picture with a strip of people, which flows anew when there are fewer', async ({ desk, api }) => {
  await desk.goto(`/shows/${api.id}/pictures`);
  await becomeHost(desk);
  await desk.getByTestId('layout-strip').click();
  await expect(desk.getByTestId('slot-person 3')).toBeVisible();
  await desk.getByTestId('parameter-people').fill('2');
  await expect(desk.getByTestId('slot-person 3')).toBeHidden();
  await desk.getByTestId('slot-large').selectOption({ label: 'Slides' });
  await desk.getByTestId('slot-person 1').selectOption({ label: 'Lectern' });
  await desk.getByTestId('slot-person 2').selectOption({ label: 'Bench' });
  await desk.locator('#picture-name').fill('By hand strip');
  await desk.getByTestId('make-picture').click();
  await expect(desk.locator('[data-testid=picture]', { hasText: 'By hand strip' })).toBeVisible();
  const { plan } = (await api.state()).book.pictures[await api.pictureId('By hand strip')] ?? {};
  expect(plan?.layers.map(({ key }) => key)).toEqual(['large', 'person 1', 'person 2']);
  await api.send('cut', { picture: await api.pictureId('By hand strip') });
  await desk.getByRole('link', { name: 'Desk' }).click();
  await expect(desk.getByTestId('program')).toBeVisible();
  // the upper right shows the lectern's hall and cloth, the lower right the wood of the bench
  await expect.poll(async () => apart(await meanColour(desk, PROGRAM, { x: 0.8, y: 0.05, width: 0.15, height: 0.3 }), await meanColour(desk, PROGRAM, { x: 0.8, y: 0.6, width: 0.15, height: 0.3 }))).toBeGreaterThan(20);
  expect((await api.state()).tally.sources).toMatchObject({ [await api.sourceId('Slides')]: 'program', [await api.sourceId('Lectern')]: 'program', [await api.sourceId('Bench')]: 'program' });
});

test('changes a picture that was made before, also to another layout', async ({ desk, api }) => {
  const [slides, lectern, bench] = await Promise.all(['Slides', 'Lectern', 'Bench'].map((name) => api.sourceId(name)));
  await api.send('picture.make', { name: 'By hand', layout: { layout: 'inset', corner: 'top-left', size: 0.3 }, fills: { large: slides, inset: lectern } });
  await desk.goto(`/shows/${api.id}/pictures`);
  await becomeHost(desk);
  const row = desk.locator('[data-testid=picture]').filter({ has: desk.getByRole('heading', { name: 'By hand', exact: true }) });
  await row.getByTestId('change').click();
  await expect(desk.locator('#picture-name')).toHaveValue('By hand');
  await expect(desk.getByLabel('Inset', { exact: true })).toHaveValue(lectern ?? '');
  await desk.getByTestId('layout-side-by-side').click();
  await desk.getByTestId('slot-first').selectOption({ label: 'Bench' });
  await desk.getByTestId('slot-second').selectOption({ label: 'Slides' });
  await desk.getByTestId('parameter-split').fill('0.7');
  await desk.getByTestId('make-picture').click();
  await expect(desk.getByTestId('make-picture')).toHaveText('Make the picture');
  const { plan, name } = (await api.state()).book.pictures[await api.pictureId('By hand')] ?? {};
  expect(name).toBe('By hand');
  expect(plan?.layers.map(({ source }) => source)).toEqual([bench, slides]);
  expect(plan?.layers[0]?.dest.width).toBeCloseTo(0.7 * 1280, 0);
});

test('puts a keyed presenter before the slides', async ({ desk, api }) => {
  const lectern = await api.sourceId('Lectern');
  await api.send('handle', { source: lectern, key: { colour: '#2b9a80', cut: { left: 0.145, top: 0, right: 0.145, bottom: 0 } } });
  await desk.goto(`/shows/${api.id}/pictures`);
  await becomeHost(desk);
  await desk.getByTestId('layout-presenter').click();
  await desk.getByTestId('slot-material').selectOption({ label: 'Slides' });
  await desk.getByTestId('slot-presenter').selectOption({ label: 'Lectern' });
  await desk.getByTestId('parameter-side').selectOption('left');
  await desk.locator('#picture-name').fill('By hand presenter');
  // beside the head, paper is seen through where the cloth was; below it, the person
  const paper = { x: 0.01, y: 0.4, width: 0.04, height: 0.05 };
  await expect.poll(async () => (await meanColour(desk, '[data-testid=draft]', paper)).r).toBeGreaterThan(225);
  await desk.getByTestId('make-picture').click();
  await expect(desk.locator('[data-testid=picture]', { hasText: 'By hand presenter' })).toBeVisible();
  await api.send('cut', { picture: await api.pictureId('By hand presenter') });
  await desk.getByRole('link', { name: 'Desk' }).click();
  await expect(desk.getByTestId('program')).toBeVisible();
  await expect.poll(async () => (await meanColour(desk, PROGRAM, paper)).r).toBeGreaterThan(225);
  expect((await api.state()).tally.sources).toMatchObject({ [await api.sourceId('Slides')]: 'program', [lectern]: 'program' });
});
