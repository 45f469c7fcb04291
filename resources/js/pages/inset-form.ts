/** Makes a picture of a ready layout. The core lays it out; here it is shown while it is chosen. */
import { paintPlan } from '../painter/frame';
import { Refused, postJson } from '../link/http';
import type { FramePlan } from '../plan/types';
import type { ShowSession } from '../session';
import { say } from './say';

/** A layout that the core offers, with what can be chosen about it. */
interface Offered {
  label: string;
  slots: string[];
  parameters: Record<string, { label: string; usual: number | string; least: number; most: number; whole: boolean; words: string[] }>;
}

export function insetForm(session: ShowSession, offered: Record<string, Offered> = {}) {
  return {
    layout: 'inset',
    values: {} as Record<string, number | string>,
    fills: {} as Record<string, string>,
    large: '',
    inset: '',
    corner: 'bottom-right',
    size: '28',
    name: '',
    wrong: '',
    asked: 0,
    begin(large: string, inset: string): void {
      this.large = large;
      this.inset = inset;
      void this.look();
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
      if (this.layout !== 'strip') return this.offer?.slots ?? [];
      return ['large', ...Array.from({ length: Number(this.values.people ?? 3) }, (_, i) => `person ${i + 1}`)];
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
          fills: Object.fromEntries(this.slots.map((slot) => [slot, this.fills[slot] ?? ''])),
          ...(this.name.trim() === '' ? {} : { name: this.name.trim() }),
        };
      }
      return {
        layout: { layout: 'inset', corner: this.corner, size: Number(this.size) / 100 },
        fills: { large: this.large, inset: this.inset },
        ...(this.name.trim() === '' ? {} : { name: this.name.trim() }),
      };
    },
    /** Asks the core for the plan and paints it with the living sources. */
    async look(): Promise<void> {
      const asked = ++this.asked;
      try {
        const { plan } = await postJson<{ plan: FramePlan }>(`/shows/${session.show}/plan`, this.wish());
        if (asked !== this.asked) return;
        this.wrong = '';
        const canvas = (this as unknown as { $refs: { draft: HTMLCanvasElement } }).$refs.draft;
        session.painter.attach(canvas, { kind: 'own', paint: (context, { width, height }, full) => paintPlan(context, plan, width, height, full) });
      } catch (failure) {
        this.wrong = failure instanceof Error ? failure.message : '';
      }
    },
    async make(): Promise<void> {
      try {
        await session.link.edit('picture.make', this.wish());
        this.name = '';
        this.wrong = '';
      } catch (failure) {
        this.wrong = failure instanceof Refused ? failure.message : 'The server does not answer. It is tried again by itself.';
      }
    },
    async remove(picture: string): Promise<void> {
      try {
        await session.link.edit('picture.remove', { picture, expect: session.store.revision });
      } catch (failure) {
        if (failure instanceof Error) say(failure.message);
      }
    },
    destroy(): void {
      const canvas = (this as unknown as { $refs: { draft?: HTMLCanvasElement } }).$refs.draft;
      if (canvas) session.painter.release(canvas);
    },
  };
}
