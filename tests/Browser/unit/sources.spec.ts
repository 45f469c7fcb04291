/** The browser's small parts of bringing sources in, each alone: no page, no server. */
import { readFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import { positionAt } from '../../../resources/js/capture/clip';
import { PictureCutter } from '../../../resources/js/capture/motion-jpeg';
import { Handlings } from '../../../resources/js/desk/handlings';
import type { Clip, DeskState, Playback } from '../../../resources/js/plan/types';
import { compare, lookAt, lumaOf } from '../../../resources/js/signals/measure';

interface Vectors {
  clips: { clip: Clip; playback: Playback; now: number; position: number }[];
}

const { clips } = JSON.parse(readFileSync('tests/vectors/desk.json', 'utf8')) as Vectors;

test('knows where a clip stands as the core does', () => {
  expect(clips.length).toBeGreaterThan(50);
  for (const { clip, playback, now, position } of clips) expect(positionAt(playback, clip, now), JSON.stringify({ clip, playback, now })).toBe(position);
});

test('begins a clip that nobody touched at its cue', () => {
  expect(positionAt(null, { length_ms: 9000, covers_ms: 9000, cue_ms: 700, end: 'hold', sound_only: false }, 123_456)).toBe(700);
});

/** A stream of two pictures as cameras send it. */
function stream(lengths: boolean): Uint8Array {
  const picture = (fill: number, size: number): number[] => [0xff, 0xd8, ...new Array<number>(size).fill(fill), 0xff, 0xd9];
  const part = (bytes: number[]): number[] => [...Buffer.from(`--frame\r\nContent-Type: image/jpeg\r\n${lengths ? `Content-Length: ${bytes.length}\r\n` : ''}\r\n`), ...bytes, 13, 10];
  return new Uint8Array([...part(picture(1, 300)), ...part(picture(2, 500))]);
}

for (const lengths of [true, false]) {
  test(`cuts the pictures out of a stream, however its pieces fall, ${lengths ? 'with' : 'without'} lengths`, () => {
    const bytes = stream(lengths);
    for (const piece of [1, 7, 64, 333, bytes.length]) {
      const cutter = new PictureCutter();
      const pictures: Uint8Array[] = [];
      for (let at = 0; at < bytes.length; at += piece) pictures.push(...cutter.push(bytes.subarray(at, at + piece)));
      expect(pictures.map((picture) => [picture.length, picture[0], picture[1], picture[2], picture.at(-1)]), `pieces of ${piece}`).toEqual([[304, 0xff, 0xd8, 1, 0xd9], [504, 0xff, 0xd8, 2, 0xd9]]);
    }
  });
}

test('gives a stream up that is no motion JPEG', () => {
  const cutter = new PictureCutter();
  expect(() => {
    for (let i = 0; i < 30; i++) cutter.push(new Uint8Array(1_000_000));
  }).toThrow('no motion JPEG');
});

const desk = (handlings: DeskState['handlings'] = {}): DeskState => ({ chosen: { kind: 'mix', duration_ms: 1000, shape: 'mix', easing: 'ease-in-out', soft: 20, colour: '#000000', clip: null, mark: 500, label: 'Mix 1.0 s' }, favourites: [], past: [], strips: {}, handlings, positions: { slides: 3 } });

test('shows freezing, blanking, pages and playing before the server has answered, and leaves the rest alone', () => {
  const before = Handlings.of(desk(), 0);
  expect(before.of('bench')).toMatchObject({ frozen: false, blank: false, playback: null });
  const after = before
    .after({ id: '1', type: 'handle', source: 'bench', frozen: true }, 500)
    .after({ id: '2', type: 'handle', source: 'bench', blank: true }, 600)
    .after({ id: '3', type: 'handle', source: 'clip', playback: { playing: true, position: 40 } }, 700)
    .after({ id: '4', type: 'page', group: 'slides', position: 9 }, 800)
    .after({ id: '5', type: 'cut', picture: 'A' }, 900);
  expect(after.of('bench')).toMatchObject({ frozen: true, blank: true });
  expect(after.of('clip').playback).toEqual({ playing: true, position: 40, since: 700 });
  expect([before.position('slides'), after.position('slides'), after.position('other')]).toEqual([3, 9, 1]);
  // a framing waits for the plans of the core
  expect(after.after({ id: '6', type: 'handle', source: 'bench', framing: { orientation: 'r90' } }, 950).of('bench').framing.orientation).toBe('r0');
});

test('puts the moments of the server into this computer’s clock', () => {
  const framing = { crop: { x: 0, y: 0, width: 1, height: 1 }, orientation: 'r0', magnify: { x: 0.5, y: 0.5, factor: 1 }, fit: 'auto' };
  const state = desk({ clip: { framing, frozen: false, blank: false, playback: { playing: true, position: 10, since: 1_000_500 }, colour: {}, key: null, behind: null } });
  expect(Handlings.of(state, 1_000_000).of('clip').playback?.since).toBe(500);
});

const WISH = { every_ms: 1000, burst: 6, columns: 16, rows: 8, dark: 30, clipped: 250, moved: 20 };
const points = WISH.columns * WISH.rows;

function picture(at: (i: number) => [number, number, number]): Uint8ClampedArray {
  const rgba = new Uint8ClampedArray(points * 4);
  for (let i = 0; i < points; i++) rgba.set([...at(i), 255], 4 * i);
  return rgba;
}

test('measures nothing between two frames that are the same', () => {
  const luma = lumaOf(picture((i) => [i, 100, 50]));
  expect(compare(luma, luma, WISH.moved)).toEqual({ noise: 0, moved: 0 });
});

test('tells noise from movement: a third of the picture that moves does not make it noisy', () => {
  const still = lumaOf(picture(() => [100, 100, 100]));
  const moved = lumaOf(picture((i) => (i % 3 === 0 ? [200, 200, 200] : [102, 102, 102])));
  const { noise, moved: share } = compare(still, moved, WISH.moved);
  expect(noise).toBeCloseTo(2, 3);
  expect(share).toBeCloseTo(1 / 3, 1);
});

test('measures brightness, darkness, lost detail and colours as they are', () => {
  const half = picture((i) => (i < points / 2 ? [16, 16, 16] : [255, 255, 255]));
  const look = lookAt(half, lumaOf(half), WISH);
  expect(look).toMatchObject({ dark: 0.5, clipped: 0.5, spread: 0 });
  expect(look.mean).toBeCloseTo((16 + 255) / 2, 1);
  expect(look.cells).toHaveLength(3 * 32);
  // ITU-R BT.709: pure blue has Y = 0.0722 * 255, Cb = (255 - Y) / 1.8556, Cr = -Y / 1.5748
  const blue = picture(() => [0, 0, 255]);
  const [y = 0, cb = 0, cr = 0] = lookAt(blue, lumaOf(blue), WISH).cells;
  expect(y).toBeCloseTo(18.41, 1);
  expect(cb).toBeCloseTo(128 + 127.5, 1);
  expect(cr).toBeCloseTo(128 - 11.69, 1);
});
