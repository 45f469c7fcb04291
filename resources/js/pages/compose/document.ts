/** What is composed, and every state of it that can be gone back to. */
import type { Targets } from '../../plan/snap';
import type { FramePlan, Rect } from '../../plan/types';

/** A window as core/Layout/Free/Place.php reads and writes it. */
export interface Place extends Rect {
  slot: string;
  purpose: string;
  aspect: string;
  fit?: string;
  shape: string;
  radius: number;
  border: { width: number; colour: string };
  shadow: { size: number; shade: number };
  view: { zoom: number; x: number; y: number };
  turn: number;
  hidden: boolean;
  locked: boolean;
}

export interface FreeLayout {
  layout: 'free';
  canvas: { width: number; height: number };
  background: string;
  /** back to front */
  windows: Place[];
}

export interface Draft {
  /** id of the picture that is changed; empty for a new one */
  picture: string;
  name: string;
  group: string;
  layout: FreeLayout;
  fills: Record<string, string>;
}

/** What the core says of a draft: app/Shows/Composing.php. */
export interface Composed {
  plan: FramePlan;
  layout: FreeLayout;
  fills: Record<string, string>;
  targets: Record<string, Targets>;
  /** width over height that is kept */
  ratios: Record<string, number | null>;
  coverage: { slot: string; hidden: number; with_words: number; words_hidden: Record<string, number> } | null;
}

const MOST_STEPS = 200;

/** All steps of a session of editing; they survive a reload of the page. */
export class Steps {
  private past: string[] = [];
  private future: string[] = [];

  constructor(private readonly key: string) {
    try {
      const kept = JSON.parse(sessionStorage.getItem(key) ?? 'null') as { past: string[]; future: string[] } | null;
      if (kept) [this.past, this.future] = [kept.past, kept.future];
    } catch {
      sessionStorage.removeItem(key);
    }
  }

  /** The draft as it was left, if there is one. */
  get last(): Draft | null {
    const last = this.past.at(-1);
    return last === undefined ? null : (JSON.parse(last) as Draft);
  }

  get canGoBack(): boolean {
    return this.past.length > 1;
  }

  get canGoOn(): boolean {
    return this.future.length > 0;
  }

  add(draft: Draft): void {
    const step = JSON.stringify(draft);
    if (step === this.past.at(-1)) return;
    this.past.push(step);
    if (this.past.length > MOST_STEPS) this.past.shift();
    this.future = [];
    this.keep();
  }

  back(): Draft | null {
    if (!this.canGoBack) return null;
    this.future.push(this.past.pop() ?? '');
    this.keep();
    return this.last;
  }

  on(): Draft | null {
    const next = this.future.pop();
    if (next === undefined) return null;
    this.past.push(next);
    this.keep();
    return this.last;
  }

  forget(): void {
    this.past = [];
    this.future = [];
    sessionStorage.removeItem(this.key);
  }

  private keep(): void {
    try {
      sessionStorage.setItem(this.key, JSON.stringify({ past: this.past.slice(-40), future: this.future.slice(-40) }));
    } catch {
      // no room in the browser: going back works until the page is left
    }
  }
}

/** A slot that no window has yet. */
export function freeSlot(windows: Place[]): string {
  const taken = new Set(windows.map(({ slot }) => slot));
  let number = windows.length + 1;
  while (taken.has(`window ${number}`)) number++;
  return `window ${number}`;
}

export function clone<T>(value: T): T {
  return JSON.parse(JSON.stringify(value)) as T;
}

export function without(fills: Record<string, string>, slots: string[]): Record<string, string> {
  return Object.fromEntries(Object.entries(fills).filter(([slot]) => !slots.includes(slot)));
}
