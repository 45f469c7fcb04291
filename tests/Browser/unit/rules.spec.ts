/** The browser's side of the rules and tracks, against what the core computed (tests/vectors). */
import { readFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import { applyRule, flightProgress, onAir, settle } from '../../../resources/js/desk/rules';
import { insetAt, insetStanding, type InsetLook } from '../../../resources/js/plan/inset';
import { blendAt } from '../../../resources/js/plan/tracks';
import type { PlanBook, Registers } from '../../../resources/js/plan/types';

interface Vectors {
  book: PlanBook;
  sequences: { at: number; command: { id: string; type: string; picture: string | null; transition: { kind: string; duration_ms: number } }; registers: Registers; on_air: string[]; progress: number | null; inset: InsetLook | null }[][];
  blends: { kind: string; at: [number, Record<string, number | null>][] }[];
}

const vectors = JSON.parse(readFileSync('tests/vectors/desk.json', 'utf8')) as Vectors;

const EMPTY: Registers = {
  program: 'holding', preview: null, flight: null, from: null, to: null, kind: null, duration: null, started: null,
  queued: null, queued_to: null, queued_kind: null, queued_duration: null, covered: false,
  heading: null, reached: null, holder: null, holder_until: null, way: 'up', before: null,
  inset: 'off', inset_source: null, inset_x: 944, inset_y: 518, inset_width: 307, inset_was_x: 944, inset_was_y: 518, inset_was_width: 307, inset_was_opacity: 0, inset_was_trim: 1000, inset_since: null,
};

vectors.sequences.forEach((steps, i) => {
  test(`follows the core through random presses, sequence ${i + 1}`, () => {
    let registers = EMPTY;
    for (const { at, command, registers: wanted, on_air, progress, inset } of steps) {
      registers = settle(vectors.book.rules, registers, at);
      registers = applyRule(vectors.book.rules, command.type, registers, {
        source: null, holder: null, ...insetStanding(registers, vectors.book.inset, vectors.book.canvas.width, at), ...command, transition: null, kind: command.transition.kind, duration: command.transition.duration_ms, now: at, hold: vectors.book.hold_ms,
      }).registers;
      expect(registers).toEqual(wanted);
      const shown = onAir(vectors.book.showing, registers);
      expect(shown.pictures).toEqual(on_air);
      if (progress === null) expect(registers.flight).toBeNull();
      else expect(flightProgress(registers, at)).toBeCloseTo(progress, 9);
      const look = shown.inset ? insetAt(registers, vectors.book.inset, vectors.book.canvas, at) : null;
      if (!look || !inset) expect(look).toEqual(inset);
      else {
        expect([look.source, Object.keys(look.rect)]).toEqual([inset.source, Object.keys(inset.rect)]);
        for (const [name, value] of Object.entries(inset.rect)) expect(look.rect[name as keyof typeof inset.rect], name).toBeCloseTo(Number(value), 6);
        expect(look.opacity).toBeCloseTo(inset.opacity, 9);
        expect(look.trim).toBeCloseTo(inset.trim, 9);
      }
    }
  });
});

test('interpolates transitions as the core does', () => {
  expect(vectors.blends.length).toBeGreaterThan(15);
  for (const { kind, at } of vectors.blends) {
    const plan = vectors.book.transitions[kind];
    if (!plan) throw new Error(`The book has no ${kind}.`);
    for (const [progress, wanted] of at) {
      for (const [name, value] of Object.entries(blendAt(plan, progress))) {
        const core = wanted[name] ?? null;
        if (core === null || value === null) expect(value, `${kind} ${name}`).toBe(core);
        else expect(value, `${kind} ${name} at ${progress}`).toBeCloseTo(core, 9);
      }
    }
  }
});

test('does something else when the rules say so, without a change here', () => {
  const changed = vectors.book.rules.map((rule) => (rule.on === 'cut' && rule.set.preview === 'program' ? { ...rule, set: { program: '@picture', preview: '#none' } } : rule));
  const registers = { ...EMPTY, program: 'A', preview: 'B' };
  expect(applyRule(vectors.book.rules, 'cut', registers, { picture: 'B' }).registers).toMatchObject({ program: 'B', preview: 'A' });
  expect(applyRule(changed, 'cut', registers, { picture: 'B' }).registers).toMatchObject({ program: 'B', preview: null });
});
