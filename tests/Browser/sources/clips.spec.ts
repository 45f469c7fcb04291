/** Clips and music: brought in pieces, played where the desk says, and what happens at the end. */
import { execFileSync } from 'node:child_process';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { DEMO_SOURCES, PROGRAM, asItWas, becomeHost, card, expect, meanColour, test, type ShowApi } from '../support/rhetorix';
import type { Page } from '@playwright/test';

test.beforeEach(async ({ api }) => asItWas(api));
test.afterEach(async ({ api }) => asItWas(api));

const folder = mkdtempSync(join(tmpdir(), 'rhetorix-clips-'));

/** Two seconds of red, then two of blue, with a tone. */
function twoColours(): string {
  const file = join(folder, 'Two colours.webm');
  execFileSync('ffmpeg', ['-v', 'error', '-y', '-f', 'lavfi', '-i', 'color=0xd02020:size=640x360:rate=25:duration=2', '-f', 'lavfi', '-i', 'color=0x2040d0:size=640x360:rate=25:duration=2',
    '-f', 'lavfi', '-i', 'sine=frequency=330:duration=4', '-filter_complex', '[0:v][1:v]concat=n=2:v=1[v]', '-map', '[v]', '-map', '2:a', '-c:v', 'libvpx', '-b:v', '1M', '-g', '25', '-c:a', 'libopus', file]);
  return file;
}

async function bring(desk: Page, api: ShowApi): Promise<{ source: string; picture: string }> {
  await desk.goto(`/shows/${api.id}/rig`);
  await becomeHost(desk);
  await desk.getByTestId('still-file').setInputFiles(twoColours());
  await expect(desk.locator('[data-testid=source-card]', { hasText: 'Two colours' })).toHaveAttribute('data-state', 'live');
  const source = await api.sourceId('Two colours');
  const picture = await api.pictureId('Two colours');
  await api.send('cut', { picture });
  await desk.getByRole('link', { name: 'Desk' }).click();
  await expect(card(desk, picture)).toHaveAttribute('data-tally', 'program');
  return { source, picture };
}

const colour = async (desk: Page): Promise<string> => {
  const { r, b } = await meanColour(desk, PROGRAM);
  return r > b + 60 ? 'red' : b > r + 60 ? 'blue' : 'neither';
};
const level = (desk: Page) => desk.getByTestId('main-meter').evaluate((bar) => Number(getComputedStyle(bar).getPropertyValue('--level')));

test('plays from its cue, with its sound, holds its last frame, and begins again', async ({ desk, api }) => {
  const { source, picture } = await bring(desk, api);
  await expect.poll(() => colour(desk)).toBe('red');
  await desk.getByTestId('in-hand').getByRole('button', { name: 'Play Two colours' }).click();
  await expect(card(desk, picture).locator('[data-left]'), 'what is left stands on its card').toHaveText(/^0:0[1-4]$/);
  await expect.poll(() => level(desk)).toBeGreaterThan(0.3);
  await expect.poll(() => colour(desk), { message: 'after two seconds it is blue' }).toBe('blue');
  await expect(desk.getByTestId('in-hand').locator(`[data-source-id="${source}"]`), 'and then nothing is left').toContainText('0:00');
  expect(await colour(desk), 'its last frame stays').toBe('blue');
  await expect.poll(() => level(desk)).toBeLessThan(0.05);

  await api.send('handle', { source, playback: { playing: false, position: 500 } });
  await expect.poll(() => colour(desk), { message: 'a jump while it stands still is seen' }).toBe('red');
  await api.send('source.set', { source, settings: { end: 'loop' } });
  await api.send('handle', { source, playback: { playing: true, position: 3500 } });
  await expect.poll(() => colour(desk)).toBe('red');
  await expect.poll(() => colour(desk)).toBe('blue');
});

test('takes what is next when it has run out, if that was wished', async ({ desk, api }) => {
  const { source } = await bring(desk, api);
  const bench = await api.pictureId('Bench');
  await api.send('source.set', { source, settings: { end: 'next' } });
  await api.send('choose', { transition: { kind: 'mix', duration_ms: 200 } });
  await api.send('arm', { picture: bench });
  await api.send('handle', { source, playback: { playing: true, position: 3000 } });
  await expect(card(desk, bench)).toHaveAttribute('data-tally', 'program');
  await expect.poll(async () => (await api.state()).program).toEqual([bench]);
});

test('goes on where it stopped after the line broke, and says how far it is', async ({ desk, api }) => {
  await desk.goto(`/shows/${api.id}/rig`);
  await becomeHost(desk);
  const file = join(folder, 'Long.wav');
  execFileSync('ffmpeg', ['-v', 'error', '-y', '-f', 'lavfi', '-i', 'anoisesrc=duration=60:amplitude=0.2', '-ac', '2', '-ar', '48000', file]); // 11 MB
  let pieces = 0;
  await desk.route('**/uploads/*', async (route) => {
    if (route.request().method() !== 'PATCH') return route.continue();
    // the second piece never arrives the first time
    return ++pieces === 2 ? route.abort('connectionreset') : route.continue();
  });
  await desk.getByTestId('still-file').setInputFiles(file);
  await expect(desk.getByTestId('upload-share')).toBeVisible();
  const long = desk.locator('[data-testid=source-card]', { hasText: 'Long' });
  await expect(long).toHaveAttribute('data-state', 'live');
  expect(pieces, 'three pieces, one of them twice').toBe(4);
  await expect(long).toContainText('1:00');
});

test('music plays without a picture and can be stopped', async ({ desk, api }) => {
  await api.send('cut', { picture: await api.pictureId('Bench') });
  await desk.getByTestId('in-hand').getByRole('button', { name: 'Play Tune' }).click();
  await expect.poll(() => level(desk)).toBeGreaterThan(0.2);
  await desk.getByTestId('in-hand').getByRole('button', { name: 'Pause Tune' }).click();
  await expect.poll(() => level(desk)).toBeLessThan(0.05);
  expect(Object.values((await api.state()).book.pictures).map(({ name }) => name)).not.toContain('Tune');
});

for (const [what, name, contents, words] of [
  ['0 bytes', 'empty.mp4', '', '0 bytes'],
  ['a text that says it is a clip', 'talk.mp4', 'Dear all, this is no clip.', 'whatever its name says'],
  ['a drawing with scripts', 'mark.svg', '<svg xmlns="http://www.w3.org/2000/svg"><script>document.title="taken"</script></svg>', 'with scripts'],
] as const) {
  test(`says what is wrong with ${what}`, async ({ desk, api }) => {
    await desk.goto(`/shows/${api.id}/rig`);
    await becomeHost(desk);
    await desk.getByTestId('still-file').setInputFiles({ name, mimeType: 'application/octet-stream', buffer: Buffer.from(contents) });
    await expect(desk.getByTestId('still-wrong')).toContainText(words);
    expect(Object.values((await api.state()).book.sources)).toHaveLength(DEMO_SOURCES.length);
  });
}

test('refuses a file of 5 GB before any of it is sent', async ({ desk, api }) => {
  await desk.goto(`/shows/${api.id}/rig`);
  await becomeHost(desk);
  const sent: string[] = [];
  desk.on('request', (request) => request.method() === 'PATCH' && sent.push(request.url()));
  const sentence = await desk.evaluate(async (show) => {
    const token = document.querySelector<HTMLMetaElement>('meta[name=csrf-token]')?.content ?? '';
    const response = await fetch(`/shows/${show}/uploads`, { method: 'POST', headers: { 'X-CSRF-TOKEN': token, Accept: 'application/json', 'Tus-Resumable': '1.0.0', 'Upload-Length': String(5 * 1024 ** 3) } });
    return [response.status, ((await response.json()) as { message: string }).message] as const;
  }, api.id);
  expect(sentence[0]).toBe(422);
  expect(sentence[1]).toContain('at most 2000 MB');
  expect(sent).toEqual([]);
});
