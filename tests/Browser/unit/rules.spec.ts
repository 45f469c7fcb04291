/** The browser's side of the rules and tracks, against what the core computed (tests/vectors). */
import { readFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import { applyRule, onAir, settle } from '../../../resources/js/desk/rules';
import { blendAt } from '../../../resources/js/plan/tracks';
import type { PlanBook, Registers } from '../../../resources/js/plan/types';

interface Vectors {
  book: PlanBook;
  sequences: { at: number; command: { id: string; type: string; picture: string; transition: { kind: string; duration_ms: number } }; registers: Registers; on_air: string[] }[][];
  blends: [number, Record<string, number>][];
}

const vectors = JSON.parse(readFileSync('tests/vectors/desk.json', 'utf8')) as Vectors;

const EMPTY: Registers = {
  program: 'holding', preview: null, flight: null, from: null, to: null, kind: null, duration: null, started: null,
  queued: null, queued_to: null, queued_kind: null, queued_duration: null, covered: false,
};

vectors.sequences.forEach((steps, i) => {
  test(`follows the core through random presses, sequence ${i + 1}`, () => {
    let registers = EMPTY;
    for (const { at, command, registers: wanted, on_air } of steps) {
      registers = settle(vectors.book.rules, registers, at);
      registers = applyRule(vectors.book.rules, command.type, registers, {
        id: command.id, picture: command.picture, kind: command.transition.kind, duration: command.transition.duration_ms, now: at,
      }).registers;
      expect(registers).toEqual(wanted);
      expect(onAir(vectors.book.showing, registers).pictures).toEqual(on_air);
    }
  });
});

test('interpolates transitions as the core does', () => {
  const mix = vectors.book.transitions.mix;
  if (!mix) throw new Error('The book has no mix.');
  for (const [progress, wanted] of vectors.blends) {
    const { outgoing, incoming } = blendAt(mix, progress);
    expect(outgoing.opacity).toBeCloseTo(wanted['outgoing.opacity'] ?? NaN, 9);
    expect(incoming.opacity).toBeCloseTo(wanted['incoming.opacity'] ?? NaN, 9);
    expect(outgoing.gain).toBeCloseTo(wanted['outgoing.gain'] ?? NaN, 9);
    expect(incoming.gain).toBeCloseTo(wanted['incoming.gain'] ?? NaN, 9);
  }
});

test('does something else when the rules say so, without a change here', () => {
  const changed = vectors.book.rules.map((rule) => (rule.on === 'cut' && rule.set.preview === 'program' ? { ...rule, set: { program: '@picture', preview: '#none' } } : rule));
  const registers = { ...EMPTY, program: 'A', preview: 'B' };
  expect(applyRule(vectors.book.rules, 'cut', registers, { picture: 'B' }).registers).toMatchObject({ program: 'B', preview: 'A' });
  expect(applyRule(changed, 'cut', registers, { picture: 'B' }).registers).toMatchObject({ program: 'B', preview: null });
});
