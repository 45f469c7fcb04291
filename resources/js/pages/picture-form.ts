/** Makes a picture of a ready layout. The core lays it out; here it is shown while it is chosen. */
import { paintFitted } from '../painter/frame';
import { Refused, postJson } from '../link/http';
import type { FramePlan } from '../plan/types';
import { Steps, type Composed } from './compose/document';
import type { ShowSession } from '../session';

/** A layout that the core offers, with what can be chosen about it. */
interface Offered {
  label: string;
  slots: string[];
  /** the places by a number that can be chosen: people in a strip */
  slots_by: Record<string, Record<number, string[]>>;
  parameters: Record<string, { label: string; usual: number | string; least: number; most: number; whole: boolean; words: string[] }>;
}

/** A picture that is there, to be changed. */
export interface Made {
  picture: string;
  name: string;
  layout: Record<string, number | string>;
  fills: Record<string, string>;
}

export function pictureForm(session: ShowSession, offered: Record<string, Offered> = {}) {
  return {
    /** id of the picture that is changed; empty for a new one */
    changing: '',
    layout: 'inset',
    values: {} as Record<string, number | string>,
    fills: {} as Record<string, string>,
    large: '',
    inset: '',
    corner: 'bottom-right',
    size: '28',
    margin: '4',
    shape: 'rectangle',
    name: '',
    wrong: '',
    asked: 0,
    begin(large: string, inset: string): void {
      this.large = large;
      this.inset = inset;
      void this.look();
    },
    /** A picture that was made before, as it is. */
    change({ picture, name, layout, fills }: Made): void {
      const { layout: kind, ...values } = layout;
      this.changing = picture;
      this.name = name;
      this.layout = String(kind);
      this.fills = { ...fills };
      if (this.layout === 'inset') {
        [this.large, this.inset] = [fills.large ?? '', fills.inset ?? ''];
        const percent = (share: unknown): string => String(Math.round(Number(share) * 100));
        [this.corner, this.size, this.margin, this.shape] = [String(values.corner), percent(values.size), percent(values.margin ?? 0.04), String(values.shape ?? 'rectangle')];
      } else this.values = values;
      void this.look();
      (this as unknown as { $root: HTMLElement }).$root.scrollIntoView({ block: 'start' });
    },
    /** Back to making a new one. */
    forget(): void {
      this.changing = '';
      this.name = '';
      this.wrong = '';
    },
    get isOnAir(): boolean {
      return this.changing !== '' && session.store.tally(performance.now()).pictures[this.changing] === 'program';
    },
    /** Another layout: its parameters as usual, its places filled with what is there, in order. */
    choose(layout: string): void {
      this.layout = layout;
      const parameters = offered[layout]?.parameters ?? {};
      this.values = Object.fromEntries(Object.entries(parameters).map(([name, { usual }]) => [name, usual]));
      this.fill();
      void this.look();
    },
    get offer(): Offered | null {
      return offered[this.layout] ?? null;
    },
    get slots(): string[] {
      const [counted, by] = Object.entries(this.offer?.slots_by ?? {})[0] ?? [];
      return (counted === undefined ? undefined : by?.[Number(this.values[counted])]) ?? this.offer?.slots ?? [];
    },
    fill(): void {
      const sources = Object.entries(session.store.book.sources).filter(([, source]) => source.placeholder !== null).map(([id]) => id);
      this.fills = Object.fromEntries(this.slots.map((slot, i) => [slot, this.fills[slot] ?? sources[i % Math.max(1, sources.length)] ?? '']));
    },
    setValue(name: string, value: string): void {
      const parameter = this.offer?.parameters[name];
      if (!parameter) return;
      this.values[name] = parameter.words.length > 0 ? value : Number(value);
      this.fill();
      void this.look();
    },
    wish() {
      if (this.layout !== 'inset') {
        return {
          layout: { layout: this.layout, ...this.values },
          fills: filled(Object.fromEntries(this.slots.map((slot) => [slot, this.fills[slot] ?? '']))),
          ...(this.name.trim() === '' ? {} : { name: this.name.trim() }),
        };
      }
      return {
        layout: { layout: 'inset', corner: this.corner, size: Number(this.size) / 100, margin: Number(this.margin) / 100, shape: this.shape },
        fills: filled({ large: this.large, inset: this.inset }),
        ...(this.name.trim() === '' ? {} : { name: this.name.trim() }),
      };
    },
    /** Asks the core for the plan and paints it with the living sources. */
    async look(): Promise<void> {
      const asked = ++this.asked;
      try {
        const { plan } = await postJson<{ plan: FramePlan }>(`/shows/${session.show}/compose`, this.wish());
        if (asked !== this.asked) return;
        this.wrong = '';
        const canvas = (this as unknown as { $refs: { draft: HTMLCanvasElement } }).$refs.draft;
        session.painter.attach(canvas, { kind: 'own', paint: (context, { width, height }, full) => paintFitted(context, plan, width, height, full) });
      } catch (failure) {
        this.wrong = failure instanceof Error ? failure.message : '';
      }
    },
    /** The same picture on the page where windows are moved by hand. */
    async byHand(): Promise<void> {
      try {
        const { layout } = await postJson<Composed>(`/shows/${session.show}/compose`, { ...this.wish(), do: {} });
        const steps = new Steps(`rhetorix.compose.${session.show}.new`);
        steps.forget();
        steps.add({ picture: '', name: this.name, group: 'together', layout, fills: this.wish().fills });
        document.querySelector<HTMLElement>('[data-part=compose]')?.click();
      } catch (failure) {
        this.wrong = failure instanceof Refused ? failure.message : 'The server does not answer. Try again shortly.';
      }
    },
    async make(): Promise<void> {
      try {
        if (this.changing === '') await session.link.edit('picture.make', this.wish());
        else await session.link.edit('picture.change', { picture: this.changing, ...this.wish(), expect: session.store.revision });
        this.forget();
      } catch (failure) {
        this.wrong = failure instanceof Refused ? failure.message : 'The server does not answer. It is tried again by itself.';
      }
    },
    destroy(): void {
      const canvas = (this as unknown as { $refs: { draft?: HTMLCanvasElement } }).$refs.draft;
      if (canvas) session.painter.release(canvas);
    },
  };
}

/** A place without a source stays empty, and says what it is for. */
function filled(fills: Record<string, string>): Record<string, string> {
  return Object.fromEntries(Object.entries(fills).filter(([, source]) => source !== ''));
}
