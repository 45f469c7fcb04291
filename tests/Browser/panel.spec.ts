/** Two browsers at one show; the program window; pictures with an inset; the as-run list. */
import { PROGRAM, apart, becomeHost, card, expect, meanColour, test } from './support/rhetorix';

test.beforeEach(async ({ api }) => {
  await api.send('choose', { transition: { kind: 'mix', duration_ms: 1000 } });
  await api.begin('Lectern', 'Bench');
});

test('a second browser is a panel: same state, stills of the host, and it can take', async ({ desk, newDesk, api }) => {
  const { page: panel } = await newDesk();
  await expect(panel.getByTestId('host')).toContainText('Panel');
  expect(await panel.evaluate(() => window.rhetorix?.isHost)).toBe(false);
  const [bench, lectern] = [await api.pictureId('Bench'), await api.pictureId('Lectern')];
  await expect(card(panel, lectern)).toHaveAttribute('data-tally', 'program');
  // stills arrive: the panel's program looks like the host's
  await expect.poll(async () => apart(await meanColour(panel, PROGRAM), await meanColour(desk, PROGRAM))).toBeLessThan(30);
  const print = () => panel.locator(PROGRAM).evaluate((canvas) => (canvas as HTMLCanvasElement).toDataURL());
  const first = await print();
  await expect.poll(async () => (await print()) !== first, { message: 'and are refreshed' }).toBe(true);

  await panel.keyboard.press('k');
  for (const page of [panel, desk]) {
    await expect(card(page, bench)).toHaveAttribute('data-tally', 'program');
    await expect(card(page, lectern)).toHaveAttribute('data-tally', 'preview');
  }
  await expect.poll(async () => apart(await meanColour(desk, PROGRAM), await meanColour(panel, PROGRAM))).toBeLessThan(30);
});

test('another tab can take the devices over, and the first becomes a panel', async ({ desk, newDesk }) => {
  const { page: second } = await newDesk();
  await second.getByRole('button', { name: 'Hold devices here' }).click();
  await becomeHost(second);
  await expect(desk.getByTestId('host')).toContainText('Panel');
});

test('puts two takes of the same instant in one order, the same for both', async ({ api }) => {
  const [bench, slides] = [await api.pictureId('Bench'), await api.pictureId('Slides')];
  for (let round = 0; round < 10; round++) {
    await api.begin('Lectern', 'Bench');
    const before = (await api.state()).revision;
    const ids = [crypto.randomUUID(), crypto.randomUUID()];
    const answers = await Promise.all([
      api.send('cut', { picture: bench }, ids[0]), api.send('cut', { picture: slides }, ids[1]),
      api.send('cut', { picture: bench }, ids[0]), api.send('cut', { picture: slides }, ids[1]), // and each once more
    ]);
    expect(answers.map(({ status }) => status)).toEqual([200, 200, 200, 200]);
    expect(answers[2].body).toEqual(answers[0].body);
    expect(answers[3].body).toEqual(answers[1].body);
    const state = await api.state();
    expect(state.revision, 'each applied once').toBe(before + 2);
    const last = answers.find(({ body }) => body.revision === before + 2);
    expect(state.program).toEqual(last?.body.program);
  }
});

test('the program window shows program and its sound and nothing else, also while the desk is hidden', async ({ desk, api }) => {
  const [window] = await Promise.all([desk.context().waitForEvent('page'), desk.getByTestId('program-window-open').click()]);
  const video = 'video[data-testid=program-window]';
  await expect(window.locator('body')).toHaveAttribute('data-started', 'yes');
  await expect.poll(() => window.locator(video).evaluate((v) => (v as HTMLVideoElement).videoWidth)).toBe(1280);
  expect(await window.locator('body').innerText()).toBe('');
  await expect.poll(async () => apart(await meanColour(window, video), await meanColour(desk, PROGRAM))).toBeLessThan(20);
  const sound = await window.locator(video).evaluate((v) => ({ muted: (v as HTMLVideoElement).muted, tracks: ((v as HTMLVideoElement).srcObject as MediaStream).getAudioTracks().length }));
  expect(sound).toEqual({ muted: false, tracks: 1 });

  const other = await desk.context().newPage();
  await other.bringToFront(); // the desk is in the background now
  const frames = () => window.locator(video).evaluate((v) => (v as HTMLVideoElement).getVideoPlaybackQuality().totalVideoFrames);
  await window.bringToFront();
  const before = await frames();
  await expect.poll(frames).toBeGreaterThan(before + 15);
  await api.send('cut', { picture: await api.pictureId('Slides') });
  await expect.poll(async () => (await meanColour(window, video, { x: 0, y: 0, width: 1, height: 0.1 })).b).toBeGreaterThan(220);

  // the desk is loaded anew: the window takes the new stream by itself
  await desk.reload();
  await becomeHost(desk);
  await expect(window.locator('body')).toHaveAttribute('data-started', 'yes');
  await expect.poll(async () => (await meanColour(window, video, { x: 0, y: 0, width: 1, height: 0.1 })).b).toBeGreaterThan(220);
});

test('a program window that nobody started says so in its own picture', async ({ desk, api }) => {
  const window = await desk.context().newPage();
  await window.goto(`/shows/${api.id}/program`);
  await expect(window.locator('#notice')).toContainText('Program is not started');
  expect((await meanColour(window, 'canvas')).r).toBeGreaterThan(200);
});

test('makes a picture with an inset, shown as it will look, and puts it on air', async ({ desk, api }) => {
  for (const [id, page] of Object.entries((await api.state()).book.pictures)) if (page.name === 'Stones and slides') await api.send('picture.remove', { picture: id });
  await desk.getByRole('link', { name: 'Pictures' }).click();
  await desk.getByLabel('Large', { exact: true }).selectOption({ label: 'Bench' });
  await desk.getByLabel('Inset', { exact: true }).selectOption({ label: 'Slides' });
  await desk.getByText('top left').click();
  await desk.getByLabel(/Inset size/).fill('40');
  await desk.locator('#picture-name').fill('Stones and slides');
  const inset = { x: 0.05, y: 0.046, width: 0.3, height: 0.02 }; // above the title of the page
  // slides are lighter than the bench beneath them
  await expect.poll(async () => (await meanColour(desk, '[data-testid=draft]', inset)).b).toBeGreaterThan(225);
  await desk.getByTestId('make-picture').click();
  await expect(desk.locator('[data-testid=picture]', { hasText: 'Stones and slides' })).toBeVisible();

  const id = await api.pictureId('Stones and slides');
  await desk.getByRole('link', { name: 'Desk' }).click();
  await card(desk, id).click();
  await desk.getByTestId('cut').click();
  await expect.poll(async () => (await meanColour(desk, PROGRAM, inset)).b).toBeGreaterThan(225);
  expect((await api.state()).tally.sources).toMatchObject({ [await api.sourceId('Slides')]: 'program', [await api.sourceId('Bench')]: 'program' });
  await api.begin('Lectern', 'Bench');
  expect((await api.send('picture.remove', { picture: id })).status).toBe(200);
});

test('shows what was on air when', async ({ desk, api }) => {
  await api.send('take', { picture: await api.pictureId('Slides'), transition: { kind: 'mix', frames: 15 } });
  await desk.getByRole('link', { name: 'As-run list' }).click();
  await expect(desk.getByTestId('as-run')).toContainText('Mix 0.5 s to Slides');
  await api.send('cover');
  await expect(desk.getByTestId('as-run')).toContainText('Covered: holding card on program');
  await api.send('uncover');
});

test('the live channel tells a listener with a token, and nobody else', async ({ api, baseURL }) => {
  const refused = await fetch(`${baseURL}/api/v1/shows/${api.id}/events`);
  expect(refused.status).toBe(401);
  const events = await fetch(`${baseURL}/api/v1/shows/${api.id}/events`, { headers: { Authorization: `Bearer ${api.token}` } });
  expect(events.headers.get('content-type')).toContain('text/event-stream');
  const reader = events.body?.pipeThrough(new TextDecoderStream()).getReader();
  const { body } = await api.send('arm', { picture: await api.pictureId('Slides') });
  let heard = '';
  while (!heard.includes(`"revision":${body.revision}`)) heard += (await reader?.read())?.value ?? '';
  expect(heard).toContain('"type":"update"');
  await reader?.cancel();
});
