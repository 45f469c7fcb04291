/**
 * What this screen knows of the desk: the last state from the server, and on
 * top of it the commands that were pressed here and are not answered yet.
 *
 * Times in the registers are in this computer's clock, so that a transition
 * runs from the moment of the press, or from the arrival of the update.
 */
import type { ChosenTransition, Framing, PlanBook, Playback, Quality, Registers, SignalFinding, Strip, Tally, TransitionPlan, Update, Value } from '../plan/types';
import { Handlings } from './handlings';
import { insetAt, insetFills, insetStanding, type InsetLook } from '../plan/inset';
import { applyRule, flightEnd, flightProgress, onAir, settle, type OnAir } from './rules';

export interface LiveCommand {
  id: string;
  type: string;
  /** the server's time of the press, as well as it is known here */
  at?: number;
  picture?: string;
  transition?: { kind: string; duration_ms: number };
  source?: string;
  level?: number;
  muted?: boolean;
  frozen?: boolean;
  blank?: boolean;
  framing?: Partial<Framing>;
  playback?: { playing: boolean; position: number };
  group?: string;
  position?: number;
  [field: string]: unknown;
}

interface Pending {
  command: LiveCommand;
  /** performance.now() of the press */
  pressed: number;
}

/** Registers that are moments. */
const MOMENTS = ['started', 'holder_until', 'inset_since'];

/** Beginnings of legs that may still be asked for. */
const LEGS_KEPT = 64;

export class DeskStore extends EventTarget {
  revision: number;
  book: PlanBook;
  chosen: ChosenTransition;
  favourites: ChosenTransition[];
  /** pictures that were on program, the latest first */
  past: string[];
  strips: Record<string, Strip>;
  handlings: Handlings;
  /** what the watch over the signals says, by source */
  signals: Record<string, SignalFinding> = {};
  /** what is given up so that program goes on */
  quality: Quality | null = null;
  /** the last word of the server */
  last: Update;
  private confirmedDesk: Update['desk'];
  /** the server's clock less this computer's, in milliseconds */
  private offset = -Infinity;
  private confirmed: Registers;
  private pending: Pending[] = [];
  private current: Registers;
  /** when each leg of a flight began here, so that an answer does not begin it again */
  private readonly starts = new Map<string, number>();

  /** @param offset the server's clock less this computer's, where it is known from before */
  constructor(state: Update & { book: PlanBook }, offset = -Infinity) {
    super();
    this.offset = offset;
    this.book = state.book;
    this.revision = -1;
    this.chosen = state.desk.chosen;
    this.favourites = state.desk.favourites;
    this.past = state.desk.past;
    this.strips = state.desk.strips;
    this.confirmedDesk = state.desk;
    this.last = state;
    this.handlings = Handlings.of(state.desk, 0);
    this.confirmed = {};
    this.current = {};
    this.receive(state);
  }

  /** An update from the server, by whichever way it came. False when one before it is missing. */
  receive(update: Update): boolean {
    if (update.command) this.pending = this.pending.filter(({ command }) => command.id !== update.command?.id);
    if (update.revision < this.revision) return true;
    const gap = this.revision >= 0 && update.revision > this.revision + 1 && update.book === undefined;
    const newBook = update.book !== undefined;
    this.revision = update.revision;
    this.chosen = update.desk.chosen;
    this.favourites = update.desk.favourites;
    this.strips = { ...update.desk.strips };
    this.confirmedDesk = update.desk;
    // The quicker a message came, the nearer it is to the truth.
    this.offset = Math.max(this.offset, update.at - performance.now());
    if (update.book) this.book = update.book;
    else if (update.pages) this.book = withPages(this.book, update);
    this.last = update;
    if (update.signals) this.signals = update.signals;
    if (update.quality) this.quality = update.quality;
    this.confirmed = this.inLocalTime(update);
    this.recompute();
    this.announce(newBook);
    return !gap;
  }

  /** A press on this screen: shown at once, and kept until the server has answered. */
  press(command: LiveCommand): void {
    command.at ??= this.serverNow;
    // Whole milliseconds of the server's clock, as the core will see it.
    this.pending.push({ command, pressed: command.at - this.offset });
    this.recompute();
    this.announce(false);
  }

  /** The server refused it: what it would have done is taken back. */
  drop(id: string): void {
    this.pending = this.pending.filter(({ command }) => command.id !== id);
    this.recompute();
    this.announce(false);
  }

  /** The registers as they are now. Called for every frame. */
  registers(now: number): Registers {
    if (now >= flightEnd(this.current)) {
      this.recompute();
      this.announce(false);
    }
    return this.current;
  }

  onAir(now: number): OnAir {
    return onAir(this.book.showing, this.registers(now));
  }

  /** Progress of the flight, 0..1; null at rest. */
  progress(now: number): number | null {
    const registers = this.registers(now);
    return registers.flight === null ? null : flightProgress(registers, now);
  }

  /** The inset as the audience sees it; null while it is off or program is covered. */
  inset(now: number): InsetLook | null {
    const registers = this.registers(now);
    const look = insetAt(registers, this.book.inset, this.book.canvas, now);
    return look && this.book.inset.shows[look.source] && onAir(this.book.showing, registers).inset ? look : null;
  }

  /** The plan of a transition; its kind as it usually is until what was chosen about it is here. */
  transition(key: string): TransitionPlan | undefined {
    return this.book.transitions[key] ?? this.book.transitions[key.replace(/~.*/, '')];
  }

  /** a clip that is only shown in preview, with a transition that is tried */
  triedClip: { source: string; since: number } | null = null;

  /** How a clip plays while it lies over a change; null while it does not. */
  clipOver(source: string, now: number): Playback | null {
    const { flight, heading, reached, started, duration, kind } = this.registers(now);
    if (typeof flight === 'string' && this.transition(String(kind))?.clip === source) {
      return { playing: heading === 'on', position: (Number(reached) / 1000) * Number(duration), since: Number(started) };
    }
    return this.triedClip?.source === source ? { playing: true, position: 0, since: this.triedClip.since } : null;
  }

  /** What a take does now: as the picture that is next comes, else as chosen. */
  get takes(): ChosenTransition {
    const { preview } = this.registers(performance.now());
    return (typeof preview === 'string' ? this.book.pictures[preview]?.comes : null) ?? this.chosen;
  }

  /** What is on air and next, from the same lists as core/Switching/Tally.php. */
  tally(now: number): Tally {
    const tally: Tally = { pictures: {}, sources: {} };
    const { preview } = this.registers(now);
    const inset = this.inset(now);
    const hidden = insetFills(inset, this.book.canvas);
    const mark = (picture: string, state: 'program' | 'preview'): void => {
      tally.pictures[picture] = state;
      if (state === 'program' && hidden) return;
      for (const source of this.book.pictures[picture]?.visible ?? []) tally.sources[source] = state;
    };
    if (typeof preview === 'string') mark(preview, 'preview');
    for (const picture of this.onAir(now).pictures) mark(picture, 'program');
    if (inset) tally.sources[inset.source] = 'program';
    return tally;
  }

  /** The watch over the signals has found something. */
  hear(signals: Record<string, SignalFinding>, quality?: Quality): void {
    this.signals = signals;
    if (quality) this.quality = quality;
    this.dispatchEvent(new Event('signals'));
  }

  /** A moment of the server in this computer's clock. */
  localTime(server: number): number {
    return server - this.offset;
  }

  /** The time of the server, as well as it is known here, in whole milliseconds. */
  get serverNow(): number {
    return Math.round(performance.now() + this.offset);
  }

  /** The server's clock less that of the computer, which goes on through a reload. */
  get epoch(): number {
    return this.offset + performance.now() - Date.now();
  }

  private recompute(): void {
    let registers = this.confirmed;
    let past = this.confirmedDesk.past;
    const moved = (after: Registers): void => {
      if (after.program !== registers.program) past = [String(registers.program), ...past.filter((id) => id !== registers.program)].slice(0, this.book.past);
      registers = after;
    };
    let handlings = Handlings.of(this.confirmedDesk, this.offset);
    for (const { command, pressed } of this.pending) {
      moved(settle(this.book.rules, registers, pressed));
      moved(applyRule(this.book.rules, command.type, registers, this.broughtBy(command, pressed, registers)).registers);
      this.applyStrip(command);
      handlings = handlings.after(command, pressed);
    }
    this.handlings = handlings;
    moved(settle(this.book.rules, registers, performance.now()));
    this.current = registers;
    this.past = past;
    const leg = legOf(registers);
    if (leg !== null && !this.starts.has(leg)) this.beginLeg(leg, Number(registers.started));
  }

  /** A hand on the fader makes many legs: only the last ones are kept. */
  private beginLeg(leg: string, started: number): void {
    this.starts.set(leg, started);
    for (const old of this.starts.keys()) if (this.starts.size > LEGS_KEPT) this.starts.delete(old);
  }

  private broughtBy(command: LiveCommand, pressed: number, registers: Registers): Record<string, Value> {
    const plain = Object.entries(command).filter(([, value]) => typeof value !== 'object') as [string, Value][];
    return {
      source: null, holder: null, picture: null,
      ...(command.type.startsWith('inset') ? insetStanding(registers, this.book.inset, this.book.canvas.width, pressed) : {}),
      ...Object.fromEntries(plain),
      kind: command.transition?.kind ?? this.chosen.kind,
      duration: command.transition?.duration_ms ?? this.chosen.duration_ms,
      now: pressed,
      hold: this.book.hold_ms,
    };
  }

  /** A mute is heard at once, before the server has answered; levels wait for their gain from the core. */
  private applyStrip(command: LiveCommand): void {
    if (command.type !== 'sound' || command.source === undefined || command.muted === undefined) return;
    const strip = this.strips[command.source] ?? { level: 0, muted: false, gain: 1 };
    this.strips[command.source] = { ...strip, muted: command.muted, gain: command.muted ? 0 : strip.gain };
  }

  private inLocalTime(update: Update): Registers {
    const registers = Object.fromEntries(Object.entries(update.desk).filter(([, value]) => value === null || typeof value !== 'object')) as Registers;
    for (const name of MOMENTS) if (typeof registers[name] === 'number') registers[name] = this.localTime(registers[name]);
    const leg = legOf(registers);
    if (leg !== null) {
      registers.started = this.starts.get(leg) ?? registers.started ?? null;
      this.beginLeg(leg, Number(registers.started));
    }
    return registers;
  }

  private announce(newBook: boolean): void {
    this.dispatchEvent(new Event('change'));
    if (newBook) this.dispatchEvent(new Event('book'));
  }
}

/** Names a flight while it moves in one way; null at rest. */
function legOf({ flight, heading, reached }: Registers): string | null {
  return typeof flight === 'string' ? `${flight} ${String(heading)} ${String(reached)}` : null;
}

/** The book with the pages that look different now. */
function withPages(book: PlanBook, { pages, sources, inset }: Update): PlanBook {
  const changed = Object.entries(sources ?? {}).flatMap(([id, page]) => {
    const before = book.sources[id];
    return before ? [[id, { ...before, ...page }] as const] : [];
  });
  return { ...book, pictures: { ...book.pictures, ...pages }, inset: { ...book.inset, shows: { ...book.inset.shows, ...inset } }, sources: { ...book.sources, ...Object.fromEntries(changed) } };
}
