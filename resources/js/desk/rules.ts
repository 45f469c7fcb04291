/**
 * Applies the rules of the core to the registers of the desk. What a command
 * does is decided by the rules, which are data from the server; nothing here
 * knows a command by name, except for the arrival that the clock gives.
 */
import type { Condition, Registers, Rule, Showing, Value } from '../plan/types';

/** What a command brings: id, picture, kind, duration (ms), now (ms), and what core/Switching/Rules/Registers.php names besides; hold (ms) is of the book. */
export type Brought = Record<string, Value>;

export interface Applied {
  registers: Registers;
  result: string;
}

const WHOLE = 1000;

function valueOf(name: string, registers: Registers, brought: Brought): Value {
  if (name === '#none') return null;
  if (name === '#yes') return true;
  if (name === '#no') return false;
  if (name === '#start') return 0;
  if (name === '#whole') return WHOLE;
  if (name.startsWith("#'")) return name.slice(2, -1);
  if (name === '@end') return flightEnd(registers);
  if (name === '@reached') return Math.round(WHOLE * flightProgress(registers, Number(brought.now)));
  if (name === '@hold-until') return Number(brought.now) + Number(brought.hold);
  if (name === '@free') return registers.holder === null || registers.holder === brought.holder || Number(brought.now) >= Number(registers.holder_until);
  if (name === '@other-way') return registers.way === 'up' ? 'down' : 'up';
  if (name.startsWith('@')) return brought[name.slice(1)] ?? null;
  return registers[name] ?? null;
}

function holds([left, comparison, right]: Condition, registers: Registers, brought: Brought): boolean {
  const equal = valueOf(left, registers, brought) === valueOf(right, registers, brought);
  return equal === (comparison === 'is');
}

export function applyRule(rules: Rule[], command: string, registers: Registers, brought: Brought): Applied {
  const rule = rules.find((rule) => rule.on === command && rule.when.every((condition) => holds(condition, registers, brought)));
  if (rule === undefined) return { registers, result: 'nothing' };
  const changed = Object.fromEntries(Object.entries(rule.set).map(([name, from]) => [name, valueOf(from, registers, brought)]));
  return { registers: { ...registers, ...changed }, result: rule.result };
}

/** When the flight is over, in the registers' own clock; Infinity at rest and in somebody's hand. */
export function flightEnd({ heading, reached, started, duration }: Registers): number {
  if (heading !== 'on' && heading !== 'back') return Infinity;
  const left = heading === 'on' ? WHOLE - Number(reached) : Number(reached);
  return Number(started) + Math.round((Number(duration) * left) / WHOLE);
}

/** How far the flight is, 0 to 1. */
export function flightProgress({ heading, reached, started, duration }: Registers, now: number): number {
  const from = Number(reached) / WHOLE;
  const since = heading === 'hand' ? 0 : (now - Number(started)) / Math.max(1, Number(duration));
  return Math.max(0, Math.min(1, heading === 'back' ? from - since : from + since));
}

/** The registers at a moment: transitions that have run their time have arrived. */
export function settle(rules: Rule[], registers: Registers, now: number): Registers {
  let current = registers;
  while (now >= flightEnd(current)) {
    current = applyRule(rules, 'arrival', current, { now: flightEnd(current) }).registers;
  }
  return current;
}

export interface OnAir {
  /** ids of the pictures that the audience sees, outgoing first */
  pictures: string[];
  sound: boolean;
  /** whether the inset lies over them */
  inset: boolean;
}

export function onAir(showings: Showing[], registers: Registers): OnAir {
  const showing = showings.find((showing) => showing.when.every((condition) => holds(condition, registers, {})));
  const pictures = (showing?.pictures ?? []).map((name) => (name === 'holding' ? name : String(registers[name])));
  return { pictures, sound: showing?.sound ?? false, inset: showing?.inset ?? false };
}
