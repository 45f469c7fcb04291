/** The painter's side of looks, against what the core computed (tests/vectors), and the boxes of the Adjust page. */
import { readFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import { applyLook, measureMatte } from '../../../resources/js/painter/look';
import { cutOf, edgesOf, moved } from '../../../resources/js/pages/adjust/box';
import { merged } from '../../../resources/js/pages/adjust/wish';
import type { LookPlan } from '../../../resources/js/plan/types';

type Rgba = [number, number, number, number];

const { looks } = JSON.parse(readFileSync('tests/vectors/desk.json', 'utf8')) as { looks: { look: LookPlan; pixels: [[number, number, number], Rgba, Rgba][] }[] };

function after(look: LookPlan, pixels: [number, number, number][]): Rgba[] {
  const rgba = new Uint8ClampedArray(pixels.flatMap((pixel) => [...pixel, 255]));
  applyLook(new Uint32Array(rgba.buffer), pixels.length, 1, look);
  return pixels.map((_, i) => [...rgba.slice(4 * i, 4 * i + 4)] as Rgba);
}

looks.forEach(({ look, pixels }, i) => {
  test(`does to pixels what the core does, look ${i + 1}`, () => {
    const ours = after({ colour: look.colour, key: null }, pixels.map(([pixel]) => pixel));
    pixels.forEach(([, wanted], j) => ours[j]?.forEach((level, c) => expect(Math.abs(level - (wanted[c] ?? 0)), `colour of pixel ${j}`).toBeLessThanOrEqual(2)));
    // The key from the core's own colours, so that a level of rounding before it is not made larger by it.
    const keyed = after({ colour: null, key: look.key }, pixels.map(([, [r, g, b]]) => [r, g, b]));
    pixels.forEach(([, , wanted], j) => {
      expect(Math.abs((keyed[j]?.[3] ?? 0) - wanted[3]), `alpha of pixel ${j}`).toBeLessThanOrEqual(1);
      if (wanted[3] > 40) keyed[j]?.forEach((level, c) => expect(Math.abs(level - (wanted[c] ?? 0)), `pixel ${j}`).toBeLessThanOrEqual(2));
    });
  });
});

const KEY: LookPlan['key'] = { colour: [0, 255, 0], along: [-0.6, -0.8], across: 0.6, full: 150, most_mixed: 0.9, low: 20, high: 100, spill: 1, axis: [-1, 0.5, -1], inside: { x: 0.25, y: 0, width: 0.5, height: 1 } };

test('cuts what lies outside the keyed part, and measures the matte along its edges', () => {
  const [width, height] = [96, 48];
  const pixels = new Uint32Array(width * height).fill(0xff808080);
  applyLook(pixels, width, height, { colour: null, key: KEY });
  expect([pixels[10], pixels[width / 2], pixels[width - 5]]).toEqual([0, 0xff808080, 0]);
  const matte = measureMatte(pixels, width, height, KEY.inside);
  expect(matte).toMatchObject({ between: 0 });
  expect([...matte.left, ...matte.right, ...matte.top].every((alpha) => alpha === 1)).toBe(true);
});

test('keeps the alpha that an image already has', () => {
  const pixels = new Uint32Array([0x80808080]);
  applyLook(pixels, 1, 1, { colour: null, key: { ...KEY, inside: { x: 0, y: 0, width: 1, height: 1 } } });
  expect((pixels[0] ?? 0) >>> 24).toBe(0x80);
});

test('moves a box by its edges, its corners and its middle, and never out of the picture', () => {
  const box = { left: 0.1, right: 0.2, top: 0.1, bottom: 0.1 };
  expect(moved(box, 'left', -0.5, 0)).toMatchObject({ left: 0, right: 0.2 });
  expect(moved(box, 'bottom right', 0.1, -0.2)).toEqual({ left: 0.1, right: 0.1, top: 0.1, bottom: expect.closeTo(0.3) as unknown });
  expect(moved(box, 'middle', 0.9, 0)).toMatchObject({ left: expect.closeTo(0.3), right: 0 });
  expect(moved(box, 'left', 5, 0).left).toBeLessThanOrEqual(0.78 + 1e-9);
  const edges = { left: 96, top: 54, right: 192, bottom: 0, width: 960, height: 540 };
  expect(edgesOf(cutOf(edges), edges)).toMatchObject({ left: 96, top: 54, right: 192, bottom: 0 });
});

test('joins wishes part by part, the later over the earlier', () => {
  expect(merged({ framing: { fit: 'cover' }, colour: { tint: 1 } }, { framing: { cut: 1 }, colour: false })).toEqual({ framing: { fit: 'cover', cut: 1 }, colour: false });
});
