/** Colours put right, backings taken out, crops and writing, held against other people's programs and against truth that is known. */
import { execFileSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test } from '@playwright/test';
import { differenceCiede2000, filterBrightness, filterContrast, filterSaturate, type Rgb } from 'culori';
import { applyLook } from '../../resources/js/painter/look';
import type { LookPlan } from '../../resources/js/plan/types';
import { launch } from '../Browser/support/rhetorix';
import { ask, bytes, chance, noisy, otherCamera, person, scene, type Keyed, type Picture } from './looks/pictures';

const folder = mkdtempSync(join(tmpdir(), 'rhetorix-looks-'));

function looked(rgba: Uint8ClampedArray<ArrayBuffer>, { width, height }: Picture, look: LookPlan): Uint8ClampedArray<ArrayBuffer> {
  const copy = new Uint8ClampedArray(rgba);
  applyLook(new Uint32Array(copy.buffer), width, height, look);
  return copy;
}

const colours = Array.from({ length: 200 }, (_, i): [number, number, number] => {
  const next = chance(i + 1);
  return [next(), next(), next()];
});

// W3C Filter Effects Module Level 1, as npm culori carries it out.
for (const [name, filter, amounts] of [
  ['brightness', filterBrightness, [0.25, 0.7, 1, 1.4, 2]],
  ['contrast', filterContrast, [0.25, 0.8, 1, 1.5, 2]],
  ['saturation', filterSaturate, [0, 0.5, 1, 1.3, 2]],
] as const) {
  test(`${name} is what culori makes of the W3C filter`, () => {
    const answers = ask<[number, number, number][]>(amounts.map((amount) => ({ what: 'colour', controls: { [name]: amount }, colours })));
    amounts.forEach((amount, i) => {
      const theirs = filter(amount, 'rgb');
      const apart = colours.flatMap(([r, g, b], j) => {
        const { r: tr, g: tg, b: tb } = theirs<'rgb'>({ mode: 'rgb', r, g, b });
        return [tr, tg, tb].map((value, channel) => Math.abs((answers[i]?.[j]?.[channel] ?? 9) - Math.max(0, Math.min(1, value))));
      });
      expect(Math.max(...apart), `${name} ${amount}`).toBeLessThan(0.002);
    });
  });
}

test('tells colours apart as CIEDE2000 of culori does', () => {
  const next = chance(3);
  const pairs = Array.from({ length: 400 }, () => [0, 1].map(() => [100 * next(), -90 + 180 * next(), -90 + 180 * next()]));
  const [ours = []] = ask<number[]>([{ what: 'difference', pairs }]);
  const theirs = differenceCiede2000();
  pairs.forEach(([a = [], b = []], i) => {
    const [first, second] = [a, b].map(([l = 0, ca = 0, cb = 0]) => ({ mode: 'lab65' as const, l, a: ca, b: cb }));
    if (first && second) expect(Math.abs((ours[i] ?? -1) - theirs(first, second))).toBeLessThan(1e-6);
  });
});

function meanDifference(a: Uint8ClampedArray, b: Uint8ClampedArray): number {
  const difference = differenceCiede2000();
  let [sum, count] = [0, 0];
  for (let i = 0; i < a.length; i += 4 * 5) {
    const colour = (from: Uint8ClampedArray): Rgb => ({ mode: 'rgb', r: (from[i] ?? 0) / 255, g: (from[i + 1] ?? 0) / 255, b: (from[i + 2] ?? 0) / 255 });
    sum += difference(colour(a), colour(b));
    count++;
  }
  return sum / count;
}

function levelsOf(rgba: Uint8ClampedArray, width: number, x: number, y: number, side: number): number[] {
  const levels: number[] = [];
  for (let row = y; row < y + side; row++) for (let column = x; column < x + side; column++) levels.push(...rgba.slice(4 * (row * width + column), 4 * (row * width + column) + 3));
  return levels;
}

test('brings another camera to this one over the whole picture, from two patches', () => {
  const before: number[] = [];
  const after: number[] = [];
  for (let seed = 100; seed < 124; seed++) {
    const truth = scene(seed);
    const wanted = bytes(noisy(truth, seed, 2));
    const other = bytes(otherCamera(truth, seed));
    const next = chance(seed + 9);
    const side = 28;
    const pairs = [0, 1].map(() => {
      const [x, y] = [Math.floor(next() * (truth.width - side)), Math.floor(next() * (truth.height - side))];
      return [levelsOf(other, truth.width, x, y, side), levelsOf(wanted, truth.width, x, y, side)];
    });
    const [look] = ask<LookPlan>([{ what: 'match', pairs }]);
    if (!look) throw new Error('no answer');
    before.push(meanDifference(other, wanted));
    after.push(meanDifference(looked(other, truth, look), wanted));
  }
  const mean = (values: number[]): number => values.reduce((sum, value) => sum + value, 0) / values.length;
  console.log(`match: CIEDE2000 over the whole picture ${mean(before).toFixed(2)} before, ${mean(after).toFixed(2)} after (worst ${Math.max(...after).toFixed(2)}); noise alone ${meanDifference(bytes(noisy(scene(100), 1, 2)), bytes(noisy(scene(100), 2, 2))).toFixed(2)}`);
  expect(mean(after)).toBeLessThan(0.35 * mean(before));
  after.forEach((value, i) => expect(value, `seed ${100 + i}`).toBeLessThan(before[i] ?? 0));
});

const PEOPLE = Array.from({ length: 8 }, (_, i) => person(400 + i));

/** Mean absolute error of the matte, 0 to 1. */
function matteError(alpha: (i: number) => number, keyed: Keyed): number {
  let sum = 0;
  keyed.matte.forEach((truth, i) => (sum += Math.abs(alpha(i) - truth)));
  return sum / keyed.matte.length;
}

interface Result {
  /** mean error of the matte, 0 to 1 */
  matte: number;
  /** mean error of the picture on another ground, in levels */
  colour: number;
}

const GROUND = [170, 150, 120];

/** Laid on another ground, against the same person who really stands before it. */
function resultOf(rgba: Uint8Array | Uint8ClampedArray, keyed: Keyed): Result {
  let error = 0;
  keyed.matte.forEach((truth, i) => {
    const alpha = (rgba[4 * i + 3] ?? 0) / 255;
    GROUND.forEach((ground, c) => {
      const seen = alpha * (rgba[4 * i + c] ?? 0) + (1 - alpha) * ground;
      error += Math.abs(seen - (truth * (keyed.front.rgb[3 * i + c] ?? 0) + (1 - truth) * ground));
    });
  });
  return { matte: matteError((i) => (rgba[4 * i + 3] ?? 0) / 255, keyed), colour: error / keyed.matte.length / 3 };
}

const hex = (keyed: Keyed): string => keyed.backing.map((v) => v.toString(16).padStart(2, '0')).join('');

function oursOf(settings: Record<string, number>): Result[] {
  const looks = ask<LookPlan>(PEOPLE.map((keyed) => ({ what: 'key', key: { colour: `#${hex(keyed)}`, ...settings } })));
  return PEOPLE.map((keyed, i) => {
    const look = looks[i];
    if (!look) throw new Error('no answer');
    return resultOf(looked(bytes(keyed.picture), keyed.picture, look), keyed);
  });
}

function theirsOf(keyed: Keyed, similarity: number, blend: number, despill: string): Result {
  const { width, height } = keyed.picture;
  const file = join(folder, 'person.rgba');
  writeFileSync(file, bytes(keyed.picture));
  const filter = `format=yuv444p,chromakey=0x${hex(keyed)}:${similarity}:${blend},format=rgba${despill}`;
  return resultOf(execFileSync('ffmpeg', ['-v', 'error', '-f', 'rawvideo', '-pix_fmt', 'rgba', '-s', `${width}x${height}`, '-i', file, '-vf', filter, '-f', 'rawvideo', '-']), keyed);
}

function theirBest(keyed: Keyed): Result {
  let best: Result = { matte: Infinity, colour: Infinity };
  let at: [number, number] = [0, 0];
  for (const similarity of [0.03, 0.06, 0.09, 0.12, 0.16, 0.2, 0.25]) {
    for (const blend of [0, 0.05, 0.1, 0.15, 0.2, 0.3]) {
      const result = theirsOf(keyed, similarity, blend, '');
      if (result.matte < best.matte) [best, at] = [result, [similarity, blend]];
    }
  }
  const type = keyed.backing[2] > keyed.backing[1] ? 'blue' : 'green';
  const spilt = [0.3, 0.5, 0.8].flatMap((mix) => [0, 0.3].map((expand) => theirsOf(keyed, ...at, `,despill=type=${type}:mix=${mix}:expand=${expand}`)));
  return { matte: best.matte, colour: Math.min(best.colour, ...spilt.map(({ colour }) => colour)) };
}

function best(results: Result[][], i: number): Result {
  return { matte: Math.min(...results.map((row) => row[i]?.matte ?? Infinity)), colour: Math.min(...results.map((row) => row[i]?.colour ?? Infinity)) };
}

test('takes a backing out at least as well as ffmpeg at its best', () => {
  test.setTimeout(300_000);
  const usual = oursOf({});
  const tried = [0.15, 0.25, 0.35, 0.45].flatMap((tolerance) => [0.3, 0.45, 0.6, 0.75].map((softness) => oursOf({ tolerance, softness })));
  const ours = PEOPLE.map((_, i) => best(tried, i));
  const theirs = PEOPLE.map(theirBest);
  const mean = (results: Result[], of: keyof Result): number => results.reduce((sum, result) => sum + result[of], 0) / results.length;
  const said = (results: Result[]): string => `matte ${(100 * mean(results, 'matte')).toFixed(2)} %, colours ${mean(results, 'colour').toFixed(2)} levels`;
  console.log(`key, mean error: as it is set at first ${said(usual)}; at our best ${said(ours)}; ffmpeg chromakey and despill at their best ${said(theirs)}`);
  expect(mean(ours, 'matte')).toBeLessThanOrEqual(mean(theirs, 'matte'));
  expect(mean(ours, 'colour')).toBeLessThanOrEqual(mean(theirs, 'colour'));
  // Without touching anything it is as good as the other at its best for each picture.
  expect(mean(usual, 'matte')).toBeLessThanOrEqual(1.05 * mean(theirs, 'matte'));
});

// What is cut off the picture as it stands upright, against ffmpeg, which turns first and crops then.
test('crops what ffmpeg crops, however the source is turned', () => {
  const [width, height] = [320, 180];
  const turns: Record<number, string> = { 0: '', 1: 'transpose=clock,', 2: 'transpose=clock,transpose=clock,', 3: 'transpose=cclock,' };
  const cut = { left: 24, top: 30, right: 40, bottom: 14 };
  for (const orientation of ['r0', 'r90', 'r180', 'r270', 'r0m', 'r90m', 'r180m', 'r270m']) {
    const sideways = orientation.includes('90') || orientation.includes('270');
    const [w, h] = sideways ? [height, width] : [width, height];
    const fractions = { left: cut.left / w, right: cut.right / w, top: cut.top / h, bottom: cut.bottom / h };
    const [answer] = ask<{ seen: { x: number; y: number; width: number; height: number }; turn: number; mirror: boolean; edges: typeof cut }>([{ what: 'crop', framing: { orientation, cut: fractions }, width, height }]);
    if (!answer) throw new Error('no answer');
    expect(answer.edges).toMatchObject({ ...cut, width: w, height: h });
    const turned = `${turns[answer.turn]}${answer.mirror ? 'hflip,' : ''}`;
    const run = (filter: string): Buffer => execFileSync('ffmpeg', ['-v', 'error', '-f', 'lavfi', '-i', `testsrc2=size=${width}x${height}:rate=1`, '-frames:v', '1', '-vf', `format=rgb24,${filter}format=rgb24`, '-f', 'rawvideo', '-']);
    const { seen } = answer;
    const part = [seen.width, seen.height, seen.x, seen.y].map(Math.round).join(':');
    expect(run(`crop=${part}:exact=1,${turned}`).equals(run(`${turned}crop=${w - cut.left - cut.right}:${h - cut.top - cut.bottom}:${cut.left}:${cut.top}:exact=1,`)), orientation).toBe(true);
  }
});

// Text of a known size, as Chromium renders it and says how high its x is.
test('finds writing and how high it is', async () => {
  const browser = await launch([]);
  const page = await browser.newPage({ viewport: { width: 1280, height: 720 } });
  const apart: string[] = [];
  for (const [ink, ground] of [['#1b2d47', '#fdfaf3'], ['#f4eee2', '#24262e'], ['#7a2020', '#e8dcc0']]) {
    for (const family of ['sans-serif', 'serif', 'monospace']) {
      const sizes = [10, 13, 18, 26, 40];
      await page.setContent(`<body style="margin:40px;background:${ground};color:${ink};font-family:${family}">${sizes.map((size) => `<p style="font-size:${size}px;margin:14px 0">The hardness of a stone is tried with another one</p>`).join('')}</body>`);
      const heights = await page.evaluate(({ sizes, family }) => {
        const context = document.createElement('canvas').getContext('2d');
        return sizes.map((size) => {
          if (!context) return 0;
          context.font = `${size}px ${family}`;
          return context.measureText('x').actualBoundingBoxAscent;
        });
      }, { sizes, family });
      const file = join(folder, 'page.png');
      await page.screenshot({ path: file });
      const [lines = []] = ask<{ y: number; x_height: number }[]>([{ what: 'writing', file }]);
      expect(lines.length, `${family} ${ink}`).toBeGreaterThanOrEqual(sizes.length);
      heights.forEach((height) => {
        const nearest = Math.min(...lines.map((line) => Math.abs(line.x_height - height)));
        apart.push((nearest / height).toFixed(2));
        expect(nearest, `${family} ${ink} ${height}`).toBeLessThan(Math.max(0.9, 0.1 * height));
      });
    }
  }
  console.log(`writing: x-height is off by ${(apart.map(Number).reduce((a, b) => a + b, 0) / apart.length * 100).toFixed(0)} % in the mean, ${Math.max(...apart.map(Number)) * 100} % at most`);
  // Pictures without writing.
  const file = join(folder, 'bars.png');
  for (const source of ['smptehdbars=size=1280x720', 'gradients=size=1280x720:seed=3', 'mandelbrot=size=1280x720']) {
    execFileSync('ffmpeg', ['-v', 'error', '-y', '-f', 'lavfi', '-i', `${source}:rate=1`, '-frames:v', '1', file]);
    expect(ask<unknown[]>([{ what: 'writing', file }])[0], source).toHaveLength(0);
  }
  await browser.close();
});
