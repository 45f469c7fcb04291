/** One camera made to look like another: the same things are pointed at in both, and the core works out the rest. */
import { paintLayer, type Context, type ImageOf } from '../../painter/frame';
import { postJson } from '../../link/http';
import type { Rect, SourceEntry } from '../../plan/types';
import type { ShowSession } from '../../session';
import { fitPixels } from '../canvases';
import { say } from '../say';
import { open } from './adjust';
import { drag, moved, nudge, type Cut, type Hold } from './box';
import { levelsIn, placed, readUpright, type Edges } from './scene';

interface Pair {
  from: Cut;
  to: Cut;
}

type Side = keyof Pair;

const FIRST: Cut = { left: 0.42, right: 0.42, top: 0.4, bottom: 0.4 };
const MOST = 6;

export function adjustMatch(session: ShowSession) {
  let matched: Record<string, number> | null = null;
  const entryOf = (id: string): SourceEntry | undefined => session.store.book.sources[id];
  return {
    other: '',
    pairs: [] as Pair[],
    said: '',
    stop: (): void => undefined,
    begin(other: string): void {
      this.end();
      if (other === '' || !open.scene) return;
      this.other = other;
      this.pairs = [{ from: { ...FIRST }, to: { ...FIRST } }];
      const root = (this as unknown as { $root: HTMLElement }).$root;
      // The canvases are there after Alpine has shown them.
      setTimeout(() => {
        const canvases = [...root.querySelectorAll<HTMLCanvasElement>('canvas[data-match]')];
        const sizes = new ResizeObserver(() => canvases.forEach((canvas) => fitPixels(canvas)));
        for (const canvas of canvases) {
          fitPixels(canvas);
          sizes.observe(canvas);
          session.painter.attach(canvas, { kind: 'own', paint: (context, box, full) => this.paint(context, box, full, canvas.dataset.match === 'from' ? 'from' : 'to') });
        }
        this.stop = (): void => {
          sizes.disconnect();
          canvases.forEach((canvas) => session.painter.release(canvas));
        };
      });
    },
    end(): void {
      this.stop();
      this.stop = (): void => undefined;
      this.other = '';
      this.said = '';
    },
    destroy(): void {
      this.stop();
    },
    another(): void {
      if (this.pairs.length >= MOST) return;
      const shift = 0.07 * this.pairs.length;
      const cut: Cut = { left: FIRST.left - 0.3 + shift * 1.6, right: FIRST.right + 0.3 - shift * 1.6, top: FIRST.top + 0.15, bottom: FIRST.bottom - 0.15 };
      this.pairs.push({ from: { ...cut }, to: { ...cut } });
    },
    fewer(): void {
      if (this.pairs.length > 1) this.pairs.pop();
    },
    paint(context: Context, box: { width: number; height: number }, full: ImageOf, side: Side): void {
      context.fillStyle = '#14181f';
      context.fillRect(0, 0, box.width, box.height);
      const shown = this.shown(side);
      if (!shown) return;
      const dest = placed(shown.edges, box.width, box.height);
      const image = side === 'from' ? (id: string) => session.rig?.raw(id) ?? full(id) : full;
      paintLayer(context, { key: side, source: shown.id, card: null, fill: null, lets_through: true, opacity: 1, frame: null, glide: '', dest, crop: shown.crop, turn: shown.seen.turn, mirror: shown.seen.mirror }, image);
    },
    /** What each side shows: this source as it comes, the other as it is framed. */
    shown(side: Side): { id: string; edges: Edges; seen: SourceEntry['seen']; crop: Rect } | null {
      const scene = open.scene;
      if (!scene) return null;
      if (side === 'from') return { id: scene.source, edges: scene.tried.edges, seen: scene.tried.seen, crop: { x: 0, y: 0, width: 1, height: 1 } };
      const entry = entryOf(this.other);
      if (!entry) return null;
      const { crop, turn } = entry.seen;
      const [w, h] = [crop.width * (entry.width ?? 1280), crop.height * (entry.height ?? 720)];
      const [width, height] = turn % 2 === 0 ? [w, h] : [h, w];
      return { id: this.other, edges: { left: 0, top: 0, right: 0, bottom: 0, width, height }, seen: entry.seen, crop };
    },
    style(side: Side, cut: Cut, element: HTMLElement): string {
      const shown = this.shown(side);
      const box = element.parentElement;
      if (!shown || !box) return '';
      const dest = placed(shown.edges, 100, 56.25);
      return `left:${dest.x + cut.left * dest.width}%;top:${(dest.y + cut.top * dest.height) / 0.5625}%;width:${(1 - cut.left - cut.right) * dest.width}%;height:${((1 - cut.top - cut.bottom) * dest.height) / 0.5625}%`;
    },
    grab(event: PointerEvent, side: Side, i: number, hold: Hold): void {
      const box = (event.currentTarget as HTMLElement).closest('[data-side]')?.getBoundingClientRect();
      const shown = this.shown(side);
      const began = this.pairs[i]?.[side];
      if (!box || !shown || !began) return;
      const dest = placed(shown.edges, box.width, box.height);
      const from = { ...began };
      drag(event, dest.width, dest.height, (dx, dy) => Object.assign(began, moved(from, hold, dx, dy)), () => undefined);
    },
    nudge(event: KeyboardEvent, side: Side, i: number, hold: Hold): void {
      const by = nudge(event);
      const box = this.pairs[i]?.[side];
      const shown = this.shown(side);
      if (by && box && shown) Object.assign(box, moved(box, hold, by[0] / shown.edges.width, by[1] / shown.edges.height));
    },
    read(side: Side): ImageData | null {
      const shown = this.shown(side);
      const image = shown && session.rig?.raw(shown.id);
      if (!shown || !image || image.ground !== undefined) return null;
      const colour = side === 'from' ? null : (entryOf(shown.id)?.look?.colour ?? null);
      return readUpright(() => image, shown.id, shown, colour, 640);
    },
    async work(grey: boolean): Promise<void> {
      const [from, to] = [this.read('from'), this.read('to')];
      if (!from || !to || !open.scene) {
        say('One of the two has no picture now. Matching is done on the computer that holds the devices.');
        return;
      }
      const levels = (data: ImageData, cut: Cut): number[] => levelsIn(data, { x: cut.left, y: cut.top, width: 1 - cut.left - cut.right, height: 1 - cut.top - cut.bottom });
      const first = this.pairs[0];
      if (!first) return;
      const asked = grey ? { grey: levels(from, first.from) } : { pairs: this.pairs.map((pair) => ({ from: levels(from, pair.from), to: levels(to, pair.to) })) };
      try {
        const answer = await postJson<{ matched: Record<string, number>; before?: number; after?: number }>(`/shows/${session.show}/sources/${open.scene.source}/match`, asked);
        matched = answer.matched;
        this.said = answer.before === undefined ? 'This patch is grey now.' : `Difference of the patches: ${answer.before} before, ${answer.after} after. Below 2 is hardly seen.`;
        // Only the match: what was set by hand before would come on top of it.
        open.press({ colour: { brightness: 1, contrast: 1, saturation: 1, warmth: 0, tint: 0, matched } });
        const said = this.said;
        this.end();
        this.said = said;
        (this as unknown as { $dispatch: (name: string) => void }).$dispatch('matched');
      } catch (failure) {
        if (failure instanceof Error) say(failure.message);
      }
    },
  };
}
