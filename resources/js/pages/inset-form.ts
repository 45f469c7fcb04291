/** Makes a picture with an inset. The core lays it out; here it is shown while it is chosen. */
import { paintPlan } from '../painter/frame';
import { Refused, postJson } from '../link/http';
import type { FramePlan } from '../plan/types';
import type { ShowSession } from '../session';
import { say } from './say';

export function insetForm(session: ShowSession) {
  return {
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
    wish() {
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
