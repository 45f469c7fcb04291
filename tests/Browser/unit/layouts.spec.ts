/** The browser's side of glides and snapping, against what the core computed (tests/vectors). */
import { readFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import { glideAt } from '../../../resources/js/plan/glide';
import { snapped, type Hold, type Snapped, type Targets } from '../../../resources/js/plan/snap';
import type { FramePlan, Rect } from '../../../resources/js/plan/types';

interface Vectors {
  glides: { outgoing: FramePlan; incoming: FramePlan; way: number; at: [FramePlan, FramePlan] }[];
  snaps: { targets: Targets; pulls: { start: Rect; hold: Hold; dx: number; dy: number; ratio: number | null; reach: number; snap: Snapped }[] }[];
}

const vectors = JSON.parse(readFileSync('tests/vectors/desk.json', 'utf8')) as Vectors;

/** All numbers to a millionth, so that the last digit of a float does not matter. */
function rounded(value: unknown): unknown {
  if (typeof value === 'number') return Math.round(value * 1e6) / 1e6 + 0;
  if (Array.isArray(value)) return value.map(rounded);
  if (value !== null && typeof value === 'object') return Object.fromEntries(Object.entries(value).map(([name, inner]) => [name, rounded(inner)]));
  return value;
}

test('brings windows to the same places on their way as the core', () => {
  expect(vectors.glides).toHaveLength(25);
  for (const { outgoing, incoming, way, at } of vectors.glides) expect(rounded(glideAt(outgoing, incoming, way))).toEqual(rounded(at));
});

test('a glide begins at one picture and ends at the other', () => {
  for (const { outgoing, incoming } of vectors.glides) {
    expect(rounded(glideAt(outgoing, incoming, 0)[0].layers.map(({ dest, crop }) => [dest, crop]))).toEqual(rounded(outgoing.layers.map(({ dest, crop }) => [dest, crop])));
    expect(rounded(glideAt(outgoing, incoming, 1)[1].layers.map(({ dest, crop }) => [dest, crop]))).toEqual(rounded(incoming.layers.map(({ dest, crop }) => [dest, crop])));
  }
});

test('comes to rest where the core does', () => {
  let guides = 0;
  for (const { targets, pulls } of vectors.snaps) {
    for (const { start, hold, dx, dy, ratio, reach, snap } of pulls) {
      expect(rounded(snapped(start, hold, dx, dy, ratio, 8, targets, reach)), `${hold} ${dx} ${dy}`).toEqual(rounded(snap));
      guides += snap.guides.length;
    }
  }
  expect(guides).toBeGreaterThan(40);
});
