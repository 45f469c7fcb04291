/**
 * What this screen knows of the desk: the last state from the server, and on
 * top of it the commands that were pressed here and are not answered yet.
 *
 * Times in the registers are in this computer's clock, so that a transition
 * runs from the moment of the press, or from the arrival of the update.
 */
import type { ChosenTransition, Framing, PlanBook, Quality, Registers, SignalFinding, Strip, Tally, Update, Value } from '../plan/types';
import { Handlings } from './handlings';
import { applyRule, flightEnd, onAir, settle, type OnAir } from './rules';

export interface LiveCommand {
  id: string;
  type: string;
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

const REGISTERS = ['program', 'preview', 'flight', 'from', 'to', 'kind', 'duration', 'started', 'queued', 'queued_to', 'queued_kind', 'queued_duration', 'covered'];

export class DeskStore extends EventTarget {
  revision: number;
  book: PlanBook;
  chosen: ChosenTransition;
  strips: Record<string, Strip>;
  handlings: Handlings;
  /** what the watch over the signals says, by source */
  signals: Record<string, SignalFinding> = {};
  /** what is given up so that program goes on */
  quality: Quality | null = null;
  private confirmedDesk: Update['desk'];
  /** the server's clock less this computer's, in milliseconds */
  private offset = -Infinity;
  private confirmed: Registers;
  private pending: Pending[] = [];
  private current: Registers;
  /** local start of each flight, so that an answer does not start it again */
  private readonly starts = new Map<string, number>();

  constructor(state: Update & { book: PlanBook }) {
    super();
    this.book = state.book;
    this.revision = -1;
    this.chosen = state.desk.chosen;
    this.strips = state.desk.strips;
    this.confirmedDesk = state.desk;
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
    this.strips = { ...update.desk.strips };
    this.confirmedDesk = update.desk;
    // The quicker a message came, the nearer it is to the truth.
    this.offset = Math.max(this.offset, update.at - performance.now());
    if (update.book) this.book = update.book;
    else if (update.pages) this.book = withPages(this.book, update);
    if (update.signals) this.signals = update.signals;
    if (update.quality) this.quality = update.quality;
    this.confirmed = this.inLocalTime(update);
    this.recompute();
    this.announce(newBook);
    return !gap;
  }

  /** A press on this screen: shown at once, and kept until the server has answered. */
  press(command: LiveCommand): void {
    this.pending.push({ command, pressed: performance.now() });
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
      this.current = settle(this.book.rules, this.current, now);
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
    if (registers.flight === null) return null;
    return Math.min(1, Math.max(0, (now - Number(registers.started)) / Number(registers.duration)));
  }

  /** What is on air and next, from the same lists as core/Switching/Tally.php. */
  tally(now: number): Tally {
    const tally: Tally = { pictures: {}, sources: {} };
    const { preview } = this.registers(now);
    const mark = (picture: string, state: 'program' | 'preview'): void => {
      tally.pictures[picture] = state;
      for (const source of this.book.pictures[picture]?.visible ?? []) tally.sources[source] = state;
    };
    if (typeof preview === 'string') mark(preview, 'preview');
    for (const picture of this.onAir(now).pictures) mark(picture, 'program');
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

  private recompute(): void {
    let registers = this.confirmed;
    let handlings = Handlings.of(this.confirmedDesk, this.offset);
    for (const { command, pressed } of this.pending) {
      registers = settle(this.book.rules, registers, pressed);
      registers = applyRule(this.book.rules, command.type, registers, {
        id: command.id,
        picture: command.picture ?? null,
        kind: command.transition?.kind ?? this.chosen.kind,
        duration: command.transition?.duration_ms ?? this.chosen.duration_ms,
        now: pressed,
      }).registers;
      this.applyStrip(command);
      handlings = handlings.after(command, pressed);
    }
    this.handlings = handlings;
    this.current = settle(this.book.rules, registers, performance.now());
    if (typeof this.current.flight === 'string' && !this.starts.has(this.current.flight)) {
      this.starts.set(this.current.flight, Number(this.current.started));
    }
  }

  /** A mute is heard at once, before the server has answered; levels wait for their gain from the core. */
  private applyStrip(command: LiveCommand): void {
    if (command.type !== 'sound' || command.source === undefined || command.muted === undefined) return;
    const strip = this.strips[command.source] ?? { level: 0, muted: false, gain: 1 };
    this.strips[command.source] = { ...strip, muted: command.muted, gain: command.muted ? 0 : strip.gain };
  }

  private inLocalTime(update: Update): Registers {
    const registers: Registers = {};
    for (const name of REGISTERS) registers[name] = (update.desk[name] ?? null) as Value;
    if (typeof registers.flight === 'string') {
      const known = this.starts.get(registers.flight);
      registers.started = known ?? performance.now() - (update.at - Number(registers.started));
      this.starts.set(registers.flight, registers.started);
    }
    return registers;
  }

  private announce(newBook: boolean): void {
    this.dispatchEvent(new Event('change'));
    if (newBook) this.dispatchEvent(new Event('book'));
  }
}

/** The book with the pages that look different now. */
function withPages(book: PlanBook, { pages, sources }: Update): PlanBook {
  const changed = Object.entries(sources ?? {}).flatMap(([id, page]) => {
    const before = book.sources[id];
    return before ? [[id, { ...before, ...page }] as const] : [];
  });
  return { ...book, pictures: { ...book.pictures, ...pages }, sources: { ...book.sources, ...Object.fromEntries(changed) } };
}
