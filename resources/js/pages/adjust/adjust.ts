/** One source made to look right. Dragging shows what would be, as the core says; letting go presses it. */
import { postJson } from '../../link/http';
import type { ShowSession } from '../../session';
import { fitPixels } from '../canvases';
import { say } from '../say';
import { cutOf, drag, edgesOf, moved, nudge, type Cut, type Hold } from './box';
import { cellsOf, levelsIn, Scene, type Edges, type Tried } from './scene';
import { Attempts } from './attempts';
import type { Wish } from './wish';

/** What was before each press, by source, as long as this tab is open. */
const undos = new Map<string, Wish[]>();
const MOST_UNDOS = 100;
const COLOURS = { brightness: 1, contrast: 1, saturation: 1, warmth: 0, tint: 0, matched: false };

/** The scene of the page that is open, for its parts. */
export const open: { scene: Scene | null; press: (wish: Wish) => void; attempt: (wish: Wish) => void } = { scene: null, press: () => undefined, attempt: () => undefined };

export function adjust(session: ShowSession, source: string, first: Tried) {
  const scene = new Scene(session, source, first);
  const path = `/shows/${session.show}/sources/${source}`;
  let attempts: Attempts | undefined;

  return {
    tab: 'framing',
    tried: first,
    held: session.isHost,
    /** counts up when the watch over the signals speaks */
    looks: 0,
    picking: false,
    matte: false,
    split: false,
    undoable: (undos.get(source) ?? []).length,
    wide: 0,
    high: 0,
    stop: (): void => undefined,
    init(): void {
      open.scene = scene;
      open.press = (wish) => this.press(wish);
      open.attempt = (wish) => this.attempt(wish);
      attempts = new Attempts(session, scene, (tried) => (this.tried = tried));
      const host = (): void => void (this.held = session.isHost);
      session.addEventListener('host', host);
      const look = (): void => void this.looks++;
      session.store.addEventListener('signals', look);
      const canvases = (this as unknown as { $root: HTMLElement }).$root.querySelectorAll<HTMLCanvasElement>('canvas[data-own]');
      const measure = (): void => {
        canvases.forEach((canvas) => fitPixels(canvas));
        [this.wide, this.high] = [canvases[0]?.clientWidth ?? 0, canvases[0]?.clientHeight ?? 0];
      };
      for (const canvas of canvases) session.painter.attach(canvas, { kind: 'own', paint: canvas.dataset.own === 'whole' ? scene.paintWhole : scene.paintResult });
      measure();
      const sizes = new ResizeObserver(measure);
      canvases.forEach((canvas) => sizes.observe(canvas));
      this.stop = (): void => {
        attempts?.stop();
        session.removeEventListener('host', host);
        session.store.removeEventListener('signals', look);
        sizes.disconnect();
        canvases.forEach((canvas) => session.painter.release(canvas));
        session.rig?.looks.forget(`${source} tried`);
        if (open.scene === scene) open.scene = null;
      };
    },
    destroy(): void {
      this.stop();
    },
    choose(tab: string): void {
      this.tab = tab;
      this.pick(false);
      this.showMatte(false);
      this.compare(false);
    },

    /** Shows what would be. */
    attempt(wish: Wish): void {
      attempts?.attempt(wish);
    },
    /** Does it. What was before is kept for undo. */
    press(wish: Wish): void {
      const stack = undos.get(source) ?? [];
      undos.set(source, [...stack, this.before(wish)].slice(-MOST_UNDOS));
      this.undoable = Math.min(MOST_UNDOS, stack.length + 1);
      attempts?.press(wish);
    },
    undo(): void {
      const stack = undos.get(source) ?? [];
      const last = stack.pop();
      this.undoable = stack.length;
      if (last) attempts?.press(last);
    },
    /** How the groups that a wish touches are now, as a wish. */
    before(wish: Wish): Wish {
      const { framing, colour, key, behind } = session.store.handlings.of(source);
      const all: Wish = { framing, colour: Object.keys(colour).length > 0 ? colour : false, key: key ?? false, behind: behind ?? false };
      return Object.fromEntries(Object.entries(all).filter(([group]) => group in wish));
    },
    reset(group: 'framing' | 'colour' | 'key'): void {
      if (group === 'framing') this.press({ framing: { orientation: 'r0', magnify: { x: 0.5, y: 0.5, factor: 1 }, crop: { x: 0, y: 0, width: 1, height: 1 }, fit: 'auto' } });
      if (group === 'colour') this.press({ colour: false });
      if (group === 'key') this.press({ key: false, behind: false });
    },
    /** The same framing, colours or key for another source. */
    copy(to: string, groups: string[]): void {
      const all: Wish = this.before({ framing: 1, colour: 1, key: 1, behind: 1 });
      const wish = Object.fromEntries(Object.entries(all).filter(([group, value]) => groups.includes(group === 'behind' ? 'key' : group) && !(group === 'behind' && value === to)));
      if (to === '' || Object.keys(wish).length === 0) return;
      session.link.press('handle', { source: to, ...wish });
      say(`${session.store.book.sources[to]?.name ?? 'The other source'} has it now too.`);
    },

    // Framing
    boxStyle(edges: Edges): Record<string, string> {
      const dest = scene.place(this.wide, this.high, edges);
      const [x, y] = [dest.width / edges.width, dest.height / edges.height];
      return {
        left: `${dest.x + edges.left * x}px`,
        top: `${dest.y + edges.top * y}px`,
        width: `${(edges.width - edges.left - edges.right) * x}px`,
        height: `${(edges.height - edges.top - edges.bottom) * y}px`,
      };
    },
    /** The box of the tab: what is cropped, or the part that is keyed. */
    get edges(): Edges {
      return this.tab === 'key' ? this.tried.key_edges : this.tried.edges;
    },
    cutWish(cut: Cut): Wish {
      return this.tab === 'key' ? { key: { cut } } : { framing: { cut } };
    },
    grab(event: PointerEvent, hold: Hold): void {
      const dest = scene.place(this.wide, this.high);
      const began = cutOf(this.edges);
      let cut = began;
      drag(event, dest.width, dest.height, (dx, dy) => {
        cut = moved(began, hold, dx, dy);
        // The box follows at once; the picture as soon as the core has said how it looks.
        Object.assign(this.edges, edgesOf(cut, this.edges));
        this.attempt(this.cutWish(cut));
      }, () => {
        if (cut !== began) this.press(this.cutWish(cut));
      });
    },
    nudgeBox(event: KeyboardEvent, hold: Hold): void {
      const by = nudge(event);
      if (!by) return;
      const { width, height } = this.edges;
      this.pressCut(moved(cutOf(this.edges), hold, by[0] / width, by[1] / height));
    },
    setEdge(edge: 'left' | 'top' | 'right' | 'bottom', pixels: number): void {
      if (!Number.isFinite(pixels)) return;
      const { width, height } = this.edges;
      const side = edge === 'left' || edge === 'right' ? width : height;
      this.pressCut({ ...cutOf(this.edges), [edge]: Math.max(0, Math.min(side, pixels)) / side });
    },
    /** The next key press goes on from here, also before the core has answered. */
    pressCut(cut: Cut): void {
      Object.assign(this.edges, edgesOf(cut, this.edges));
      this.press(this.cutWish(cut));
    },
    get zoom(): number {
      return this.tried.handling.framing.magnify.factor;
    },
    zoomTo(factor: number, press: boolean): void {
      const wish = { framing: { magnify: { ...this.tried.handling.framing.magnify, factor: Math.max(1, Math.min(8, factor)) } } };
      if (press) this.press(wish);
      else this.attempt(wish);
    },
    wheel(event: WheelEvent): void {
      event.preventDefault();
      this.zoomTo(this.zoom * (event.deltaY < 0 ? 1.1 : 1 / 1.1), true);
    },
    /** Drags the picture about inside its frame. */
    pan(event: PointerEvent): void {
      const { magnify } = this.tried.handling.framing;
      const canvas = event.currentTarget;
      if (magnify.factor <= 1 || !(canvas instanceof HTMLElement)) return;
      const half = 0.5 / magnify.factor;
      const held = (value: number): number => Math.max(half, Math.min(1 - half, value));
      let wish: Wish | null = null;
      drag(event, canvas.clientWidth, canvas.clientHeight, (dx, dy) => {
        wish = { framing: { magnify: { factor: magnify.factor, x: held(held(magnify.x) - dx / magnify.factor), y: held(held(magnify.y) - dy / magnify.factor) } } };
        this.attempt(wish);
      }, () => {
        if (wish) this.press(wish);
      });
    },
    turn(way: 'right' | 'left' | 'mirror' | 'flip'): void {
      const orientation = session.store.book.handling.orientations[this.tried.handling.framing.orientation]?.[way];
      if (orientation !== undefined) this.press({ framing: { orientation } });
    },

    // Colour
    colour(name: keyof typeof COLOURS): number {
      const value = this.tried.handling.colour[name];
      return typeof value === 'number' ? value : Number(COLOURS[name]);
    },
    setColour(name: string, value: number, press: boolean): void {
      if (!Number.isFinite(value)) return;
      if (press) this.press({ colour: { [name]: value } });
      else this.attempt({ colour: { [name]: value } });
    },
    get isMatched(): boolean {
      return typeof this.tried.handling.colour.matched === 'object';
    },
    compare(on: boolean): void {
      this.split = on;
      scene.split = on ? 0.5 : null;
    },
    slide(event: PointerEvent): void {
      const dest = scene.place(this.wide, this.high);
      const began = scene.split ?? 0.5;
      drag(event, dest.width, dest.height, (dx) => {
        scene.split = Math.max(0, Math.min(1, began + dx));
        this.splitAt = scene.split;
      }, () => undefined);
    },
    splitAt: 0.5,
    get splitStyle(): Record<string, string> {
      const dest = scene.place(this.wide, this.high);
      return { left: `${dest.x + dest.width * this.splitAt}px`, top: `${dest.y}px`, height: `${dest.height}px` };
    },

    // Key
    pick(on: boolean): void {
      this.picking = on;
      scene.asItComes = on;
      if (on) this.showMatte(false);
    },
    showMatte(on: boolean): void {
      this.matte = on;
      scene.matte = on;
    },
    /** A point of the picture, as a fraction of it; null beside it. */
    pointOf(event: MouseEvent): { x: number; y: number } | null {
      const canvas = event.currentTarget;
      if (!(canvas instanceof HTMLElement)) return null;
      const box = canvas.getBoundingClientRect();
      const dest = scene.place(box.width, box.height);
      const at = { x: (event.clientX - box.left - dest.x) / dest.width, y: (event.clientY - box.top - dest.y) / dest.height };
      return at.x >= 0 && at.x <= 1 && at.y >= 0 && at.y <= 1 ? at : null;
    },
    /** The backing's colour where it was clicked. */
    async pickAt(event: MouseEvent): Promise<void> {
      const at = this.picking ? this.pointOf(event) : null;
      if (!at) return;
      const side = 0.02;
      const part = { x: Math.max(0, at.x - side / 2), y: Math.max(0, at.y - side / 2), width: side, height: side };
      await this.ofBacking((data) => ({ patch: levelsIn(data, part) }), (colour) => ({ key: { colour } }));
      this.pick(false);
    },
    async sampleAgain(): Promise<void> {
      await this.ofBacking((data) => ({ again: cellsOf(data) }), (colour) => ({ key: { colour } }));
    },
    async flatBehind(): Promise<void> {
      await this.ofBacking((data) => ({ flat: cellsOf(data) }), (colour) => ({ behind: colour }));
    },
    async ofBacking(what: (data: ImageData) => Record<string, number[]>, wish: (colour: string) => Wish): Promise<void> {
      const data = scene.read();
      if (!data) {
        say('There is no picture to look at. This is done on the computer that holds the devices.');
        return;
      }
      try {
        const { colour } = await postJson<{ colour: string }>(`${path}/backing`, what(data));
        this.press(wish(colour));
      } catch (failure) {
        if (failure instanceof Error) say(failure.message);
      }
    },
    setKey(name: string, value: number, press: boolean): void {
      if (!Number.isFinite(value)) return;
      if (press) this.press({ key: { [name]: value } });
      else this.attempt({ key: { [name]: value } });
    },
    /** What the watch over the signals says of the key. */
    get warning(): string {
      void this.looks;
      const found = session.store.signals[source];
      if (found?.signal !== 'cut-off' && found?.signal !== 'backing') return '';
      return `${found.label.charAt(0).toUpperCase()}${found.label.slice(1)}: ${found.measured ?? ''}. ${found.todo}`;
    },
  };
}
