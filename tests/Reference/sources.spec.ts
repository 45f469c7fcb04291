/** Sources held against other people's programs: test pictures, codes, the network camera, deck pages. */
import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import jsQR from 'jsqr';
import { PNG } from 'pngjs';
import type { DeckFeed } from '../../resources/js/capture/deck';
import type { Patch } from '../../resources/js/plan/types';
import { asItWas, becomeHost, expect, test } from '../Browser/support/rhetorix';

const folder = mkdtempSync(join(tmpdir(), 'rhetorix-sources-'));

test.beforeEach(async ({ api }) => asItWas(api));
test.afterEach(async ({ api }) => asItWas(api));

/** The colour of a test picture at a point, as fractions: the last patch that lies there. */
function colourAt(patches: Patch[], x: number, y: number): [number, number, number] {
  const [px, py] = [x * 1920, y * 1080];
  const patch = patches.filter((p) => px >= p.x && px < p.x + p.width && py >= p.y && py < p.y + p.height).at(-1);
  const read = (hex: string): number[] => [1, 3, 5].map((i) => parseInt(hex.slice(i, i + 2), 16));
  const from = read(patch?.colour ?? '#000000');
  const to = patch?.to ? read(patch.to) : from;
  const share = patch ? (px - patch.x) / patch.width : 0;
  return from.map((value, i) => value + ((to[i] ?? value) - value) * share) as [number, number, number];
}

test('paints the test pictures as ffmpeg does', () => {
  const { test_pictures: pictures } = JSON.parse(execFileSync('php', ['tests/Reference/tables.php'], { encoding: 'utf8' })) as { test_pictures: Record<string, Patch[]> };
  // Of the ramp only the middle is compared: ffmpeg's runs through all codes, from below black to above white.
  // ffmpeg's own sources: smptehdbars after SMPTE RP 219, pal75bars after the EBU
  for (const [name, source, matrix, points] of [
    ['bars-hd', 'smptehdbars', 'bt709', [0.06, 0.18, 0.29, 0.4, 0.5, 0.61, 0.72, 0.82, 0.94].flatMap((x) => [0.2, 0.62, ...(x > 0.25 && x < 0.85 ? [] : [0.71])].map((y) => [x, y])).concat([[0.06, 0.9], [0.2, 0.9], [0.38, 0.9], [0.53, 0.9], [0.78, 0.9], [0.94, 0.9], [0.553, 0.71]])],
    ['bars-75', 'pal75bars', 'bt601', Array.from({ length: 8 }, (_, i) => [(i + 0.5) / 8, 0.5])],
  ] as const) {
    const file = join(folder, `${name}.png`);
    execFileSync('ffmpeg', ['-v', 'error', '-y', '-f', 'lavfi', '-i', `${source}=size=1920x1080:rate=1`, '-frames:v', '1', '-vf', `scale=in_color_matrix=${matrix}:in_range=tv:out_range=pc,format=rgb24`, file]);
    const { data, width } = PNG.sync.read(readFileSync(file));
    for (const [x = 0, y = 0] of points) {
      const at = 4 * (Math.floor(y * 1080) * width + Math.floor(x * 1920));
      const ours = colourAt(pictures[name] ?? [], x, y);
      const theirs = [data[at] ?? 0, data[at + 1] ?? 0, data[at + 2] ?? 0];
      for (const c of [0, 1, 2]) expect(Math.abs((ours[c] ?? 0) - (theirs[c] ?? 0)), `${name} at ${x} ${y}: ${ours.map(Math.round).join()} against ${theirs.join()}`).toBeLessThanOrEqual(4);
    }
  }
});

test('draws a code that jsQR reads', async ({ desk, api }) => {
  await desk.goto(`/shows/${api.id}/rig`);
  await becomeHost(desk);
  await desk.getByTestId('connect-phone').click();
  await desk.getByTestId('place-add').locator('visible=true').click();
  await desk.getByTestId('show-link').click();
  const code = desk.locator('canvas[data-code]');
  await expect(code).toHaveAttribute('data-drawn', 'yes');
  await desk.waitForTimeout(300);
  const { width, height, data } = PNG.sync.read(await code.screenshot());
  expect(jsQR(new Uint8ClampedArray(data), width, height)?.data).toBe(await desk.getByTestId('join-url').getAttribute('href'));
});

interface OnvifCam {
  getProfiles(done: (failure: Error | null, profiles: { $: { token: string }; name: string }[]) => void): void;
  getPresets(options: object, done: (failure: Error | null, presets: Record<string, string>) => void): void;
  getStatus(options: object, done: (failure: Error | null, status: { position: { x: number; y: number; zoom: number } }) => void): void;
  absoluteMove(options: object, done: (failure: Error | null, answer: unknown) => void): void;
  gotoPreset(options: object, done: (failure: Error | null, answer: unknown) => void): void;
}

test('answers npm onvif, an independent client: profiles, a move, and where it stands then', async ({ desk, api }) => {
  const port = Number(readFileSync(join(process.env.RHETORIX_TEST_DATA ?? 'data', 'run/camera-port'), 'utf8'));
  const { Cam } = createRequire(import.meta.url)('onvif') as { Cam: new (options: object, done: (failure: Error | null) => void) => OnvifCam };
  const cam = await new Promise<OnvifCam>((resolve, reject) => {
    const it: OnvifCam = new Cam({ hostname: '127.0.0.1', port, username: 'operator', password: 'reading-stones', timeout: 10_000 }, (failure) => (failure ? reject(failure) : setTimeout(() => resolve(it))));
  });
  const ask = <T>(how: (done: (failure: Error | null, answer: T) => void) => void): Promise<T> => new Promise((resolve, reject) => how((failure, answer) => (failure ? reject(failure) : resolve(answer))));
  const profiles = await ask<{ $: { token: string }; name: string }[]>((done) => cam.getProfiles(done));
  expect(profiles.map(({ name }) => name)).toEqual(['Room']);
  expect(Object.keys(await ask<Record<string, string>>((done) => cam.getPresets({}, done)))).toEqual(expect.arrayContaining(['bench', 'wall left', 'wall right', 'seats', 'wide']));

  const room = await api.sourceId('Room');
  const look = () => desk.evaluate((id) => {
    const image = window.rhetorix?.rig?.feeds.get(id)?.current(performance.now(), Infinity);
    const context = new OffscreenCanvas(32, 18).getContext('2d', { willReadFrequently: true });
    if (!image || !context) return [];
    context.drawImage(image.image, 0, 0, 32, 18);
    return [...context.getImageData(0, 0, 32, 18).data];
  }, room);
  await desk.waitForFunction((id) => window.rhetorix?.rig?.feeds.get(id)?.state === 'live', room);
  const before = await look();
  const where = () => ask<{ position: { x: number; y: number; zoom: number } }>((done) => cam.getStatus({}, done)).then(({ position }) => position);
  await ask<unknown>((done) => cam.absoluteMove({ x: 0.6, y: 0.3, zoom: 0.5 }, done));
  await expect.poll(async () => { const { x, y, zoom } = await where(); return [x, y, zoom].map((value) => value.toFixed(2)).join(); }).toBe('0.60,0.30,0.50');
  await expect.poll(async () => { const after = await look(); return after.reduce((sum, value, i) => sum + Math.abs(value - (before[i] ?? 0)), 0) / after.length; }, { message: 'the desk sees it' }).toBeGreaterThan(8);
  await ask<unknown>((done) => cam.gotoPreset({ preset: '5' }, done));
  await expect.poll(async () => (await where()).zoom.toFixed(2)).toBe('0.00');
});

test('paints the pages of a deck as pdftoppm does', async ({ desk, api }) => {
  const slides = await api.sourceId('Slides');
  const group = (await api.state()).book.sources[slides]?.deck?.group ?? '';
  for (const page of [1, 3, 7]) {
    await api.send('page', { group, position: page });
    await desk.waitForFunction(([id, page]) => (window.rhetorix?.rig?.feeds.get(id as string) as DeckFeed | undefined)?.page === page, [slides, page]);
    // until the page is painted, the one before it is shown
    const likeness = async (): Promise<number> => {
      const ours = await desk.evaluate((id) => {
        const image = window.rhetorix?.rig?.feeds.get(id)?.current(0, Infinity);
        return image ? (image.image as HTMLCanvasElement).toDataURL('image/png').split(',')[1] ?? '' : '';
      }, slides);
      if (ours === '') return 0;
      const a = PNG.sync.read(Buffer.from(ours, 'base64'));
      const file = join(folder, 'page');
      execFileSync('pdftoppm', ['-png', '-f', String(page), '-l', String(page), '-singlefile', '-scale-to-x', String(a.width), '-scale-to-y', String(a.height), 'standins/decks/slides.pdf', file]);
      const b = PNG.sync.read(readFileSync(`${file}.png`));
      expect([a.width, a.height]).toEqual([b.width, b.height]);
      // Two renderers soften the edges of letters in their own ways: compared at a quarter of the size.
      let [sum, count] = [0, 0];
      for (let y = 0; y + 4 <= a.height; y += 4) {
        for (let x = 0; x + 4 <= a.width; x += 4) {
          const mean = ({ data, width }: PNG): number => {
            let total = 0;
            for (let dy = 0; dy < 4; dy++) for (let dx = 0; dx < 4; dx++) total += data[4 * ((y + dy) * width + x + dx) + 1] ?? 0;
            return total / 16;
          };
          sum += (mean(a) - mean(b)) ** 2;
          count++;
        }
      }
      return 10 * Math.log10(255 ** 2 / (sum / count));
    };
    let psnr = 0;
    await expect.poll(async () => (psnr = await likeness()), { message: `page ${page}`, intervals: [500] }).toBeGreaterThan(30);
    console.log(`page ${page}: ${psnr.toFixed(1)} dB`);
  }
});
