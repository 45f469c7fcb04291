/** A picture while it is composed: what it is, what the core says of it, and the steps that can be taken back. */
import { Refused, postJson } from '../../link/http';
import type { FramePlan, Rect } from '../../plan/types';
import type { ShowSession } from '../../session';
import { announce } from '../say';
import { Steps, clone, freeSlot, without, type Composed, type Draft, type Place } from './document';

export type Side = 'x' | 'y' | 'width' | 'height';

interface Step {
  change: ((draft: Draft) => void) | null;
  todo?: Record<string, unknown> | undefined;
  /** another draft instead */
  goTo: (() => Draft | null) | null;
}

function isPlain({ todo, goTo }: Step): boolean {
  return todo === undefined && goTo === null;
}

/** What is painted now; kept beside the editor, since it changes with every move of the pointer. */
export const stage: { plan: FramePlan | null; shown: FramePlan | null } = { plan: null, shown: null };

const AWAY = 'The server does not answer. What you see is kept here; go on when it is back.';

export class Editor {
  draft: Draft;
  answer: Composed | null = null;
  /** slots; the last one is the one whose numbers are shown */
  chosen: string[] = [];
  wrong = '';
  /** counts what was done, so that the page notices */
  count = 0;
  /** the window that is held, where it would come to rest */
  held: (Rect & { slot: string }) | null = null;
  private asked = 0;
  private readonly waiting: Step[] = [];
  private running: Promise<void> | null = null;
  private readonly steps: Steps;

  constructor(
    private readonly session: ShowSession,
    private readonly start: Draft,
    private readonly purposes: Record<string, string>,
  ) {
    this.steps = new Steps(`rhetorix.compose.${session.show}.${start.picture || 'new'}`);
    this.draft = clone(this.steps.last ?? start);
    if (!this.steps.last) this.steps.add(this.draft);
  }

  get windows(): Place[] {
    return this.draft.layout.windows;
  }

  get frontFirst(): Place[] {
    return [...this.windows].reverse();
  }

  get one(): Place | null {
    return this.place(this.chosen.at(-1) ?? '');
  }

  place(slot: string): Place | null {
    return this.windows.find((place) => place.slot === slot) ?? null;
  }

  /** What is in the window, or what it is for. */
  nameOf(place: Place): string {
    const source = this.session.store.book.sources[this.draft.fills[place.slot] ?? ''];
    return source?.name ?? this.purposes[place.purpose] ?? place.slot;
  }

  choose(slot: string, more = false): void {
    if (!more) this.chosen = [slot];
    else this.chosen = this.chosen.includes(slot) ? this.chosen.filter((other) => other !== slot) : [...this.chosen, slot];
  }

  /** Asks the core how a draft looks; with something to do, how it is after that. */
  async ask(todo?: Record<string, unknown>, draft: Draft = this.draft): Promise<void> {
    const isTrial = draft !== this.draft;
    const asked = ++this.asked;
    try {
      const answer = await postJson<Composed>(`/shows/${this.session.show}/compose`, { layout: draft.layout, fills: draft.fills, ...(todo ? { do: todo } : {}) });
      if (isTrial && asked !== this.asked) return;
      this.answer = answer;
      this.wrong = '';
      stage.plan = answer.plan;
      stage.shown = answer.plan;
      if (todo) [this.draft.layout, this.draft.fills] = [answer.layout, answer.fills];
    } catch (failure) {
      if (!isTrial || asked === this.asked) this.wrong = failure instanceof Refused ? failure.message : AWAY;
    }
  }

  /**
   * One step that can be taken back. What the core refuses is not done. A step
   * waits for the one before it, so that none is lost, however quickly they come.
   */
  step(change: ((draft: Draft) => void) | null, todo?: Record<string, unknown>): Promise<void> {
    return this.enqueue({ change, todo, goTo: null });
  }

  private enqueue(step: Step): Promise<void> {
    this.waiting.push(step);
    this.running ??= this.run().finally(() => (this.running = null));
    return this.running;
  }

  private async run(): Promise<void> {
    for (let step = this.waiting.shift(); step; step = this.waiting.shift()) {
      if (step.goTo) {
        await this.show(step.goTo());
        continue;
      }
      step.change?.(this.draft);
      // A key that is held down: what came meanwhile is one question, and one step.
      for (let more = this.waiting[0]; more && isPlain(step) && isPlain(more); more = this.waiting[0]) {
        more.change?.(this.draft);
        this.waiting.shift();
      }
      await this.ask(step.todo);
      if (this.wrong === '') {
        this.steps.add(this.draft);
        this.count++;
      } else if (this.wrong !== AWAY) await this.show(this.steps.last);
    }
  }

  edit(slot: string, change: (place: Place) => void): Promise<void> {
    return this.step((draft) => {
      const place = draft.layout.windows.find((one) => one.slot === slot);
      if (place) change(place);
    });
  }

  /** While a slider moves it is shown; letting go is one step. */
  tryOut(slot: string, change: (place: Place) => void): void {
    const draft = clone(this.draft);
    const place = draft.layout.windows.find((one) => one.slot === slot);
    if (!place) return;
    change(place);
    void this.ask(undefined, draft);
  }

  get canUndo(): boolean {
    return this.count >= 0 && this.steps.canGoBack;
  }

  get canRedo(): boolean {
    return this.count >= 0 && this.steps.canGoOn;
  }

  undo(): void {
    this.goTo(() => this.steps.back());
  }

  redo(): void {
    this.goTo(() => this.steps.on());
  }

  /** Kept now: from here on is a new session of editing. */
  settle(): void {
    this.steps.forget();
    this.steps.add(this.draft);
    this.count++;
  }

  forget(): void {
    this.steps.forget();
  }

  startAgain(): void {
    this.goTo(() => {
      this.steps.forget();
      this.steps.add(this.start);
      return this.start;
    });
  }

  async add(purpose: string): Promise<void> {
    const slot = freeSlot(this.windows);
    await this.step(null, { add: { purpose, slot } });
    if (this.place(slot)) this.choose(slot);
  }

  /** A window at a place that was found, behind another one or in front of all. */
  async addFitted(rect: Rect, shape: string | null, radius: number, behind: string | null): Promise<void> {
    const slot = freeSlot(this.windows);
    await this.step(({ layout: { windows } }) => {
      const at = windows.findIndex((place) => place.slot === behind);
      windows.splice(at < 0 ? windows.length : at, 0, {
        slot, purpose: 'anything', ...rect, aspect: shape === 'circle' ? '1:1' : 'free', fit: 'cover', shape: shape ?? 'rectangle', radius: Math.min(0.5, radius),
        border: { width: 0, colour: '#fdfaf3' }, shadow: { size: 0, shade: 0.5 }, view: { zoom: 1, x: 0.5, y: 0.5 }, turn: 0, hidden: false, locked: false,
      });
    });
  }

  fill(slot: string, source: string): void {
    void this.step((draft) => {
      draft.fills = { ...without(draft.fills, [slot]), ...(source === '' ? {} : { [slot]: source }) };
    });
  }

  async duplicate(slot: string, dx = 24, dy = 24): Promise<void> {
    const copy = freeSlot(this.windows);
    const source = this.draft.fills[slot];
    await this.step((draft) => {
      const at = draft.layout.windows.findIndex((place) => place.slot === slot);
      const place = draft.layout.windows[at];
      if (!place) return;
      draft.layout.windows.splice(at + 1, 0, { ...clone(place), slot: copy, x: place.x + dx, y: place.y + dy, locked: false });
      if (source !== undefined) draft.fills[copy] = source;
    });
    if (this.place(copy)) this.choose(copy);
  }

  remove(): void {
    const gone = this.movable;
    if (gone.length === 0) return;
    this.chosen = [];
    void this.step((draft) => {
      draft.layout.windows = draft.layout.windows.filter(({ slot }) => !gone.includes(slot));
      draft.fills = without(draft.fills, gone);
    });
  }

  /** @param by places to the front */
  order(slot: string, by: number): void {
    void this.step(({ layout: { windows } }) => {
      const at = windows.findIndex((place) => place.slot === slot);
      const [place] = windows.splice(at, 1);
      if (place) windows.splice(Math.max(0, Math.min(windows.length, at + by)), 0, place);
    });
  }

  arrange(how: string): void {
    void this.step(null, { arrange: how, windows: this.chosen.filter((slot) => this.place(slot)?.locked === false || slot === this.chosen.at(-1)) });
  }

  nudge(dx: number, dy: number): void {
    const moved = this.movable;
    if (moved.length === 0) return;
    void this.step((draft) => {
      for (const place of draft.layout.windows) {
        if (!moved.includes(place.slot)) continue;
        place.x += dx;
        place.y += dy;
      }
    }).then(() => this.tell());
  }

  /** Pulls the window by one of its holds, without looking for lines. */
  pull(hold: string, dx: number, dy: number): void {
    const place = this.one;
    if (!place || place.locked) return;
    void this.step(null, { drop: { slot: place.slot, hold, dx, dy, reach: 0 } }).then(() => this.tell());
  }

  along(side: Side): number {
    return side === 'x' || side === 'width' ? this.draft.layout.canvas.width : this.draft.layout.canvas.height;
  }

  private get movable(): string[] {
    return this.chosen.filter((slot) => this.place(slot)?.locked === false);
  }

  private goTo(draft: () => Draft | null): void {
    void this.enqueue({ change: null, goTo: draft });
  }

  private async show(draft: Draft | null): Promise<void> {
    if (!draft) return;
    const { wrong } = this;
    this.draft = clone(draft);
    this.chosen = this.chosen.filter((slot) => this.place(slot));
    this.count++;
    await this.ask();
    if (wrong !== '' && this.wrong === '') this.wrong = wrong;
  }

  private tell(): void {
    const place = this.one;
    if (place) announce(`${this.nameOf(place)}: ${Math.round(place.x)}, ${Math.round(place.y)}, ${Math.round(place.width)} by ${Math.round(place.height)} pixels`);
  }
}
