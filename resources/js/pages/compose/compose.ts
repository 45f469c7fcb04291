/** Composes a picture by hand. The core lays it out, says what windows come to rest at and what is hidden; here it is shown and held. */
import Sortable from 'sortablejs';
import { Refused } from '../../link/http';
import { paintPlan } from '../../painter/frame';
import type { Hold } from '../../plan/snap';
import type { Rect } from '../../plan/types';
import type { ShowSession } from '../../session';
import { announce, say } from '../say';
import type { Draft, Place } from './document';
import { Editor, stage, type Side } from './editor';
import { Hand } from './hand';
import { keyOf } from './keys';
import { colourAt, harmOf, holesOf, type Harm, type Hole } from './looking';

type PartName = 'canvas' | 'surface' | 'list' | 'back';

/** A part of the page by its mark; the parts lie in components of their own. */
function part(name: PartName): HTMLElement {
  const found = document.querySelector<HTMLElement>(`[data-compose] [data-part=${name}]`);
  if (!found) throw new Error(`The page has no ${name}.`);
  return found;
}

const HOLDS: Hold[] = ['top left', 'top', 'top right', 'right', 'bottom right', 'bottom', 'bottom left', 'left'];

/** The editor of the page that is open, for its parts. */
const open: { editor: Editor | null } = { editor: null };

function editor(): Editor {
  if (!open.editor) throw new Error('No picture is composed here.');
  return open.editor;
}

export function compose(session: ShowSession, start: Draft, purposes: Record<string, string>, limits: { least: number; most: number }) {
  let sorting: Sortable | null = null;
  let follow = (): void => undefined;
  return {
    e: new Editor(session, start, purposes),
    hand: null as Hand | null,
    holds: HOLDS,
    unit: 'px' as 'px' | '%',
    safe: true,
    onAir: false,
    note: '',

    init(): void {
      open.editor = this.e;
      this.hand = new Hand(this.e, limits.least);
      stage.shown = null;
      session.painter.attach(part('canvas') as HTMLCanvasElement, {
        kind: 'own',
        paint: (context, { width, height }, full) => {
          if (stage.shown) paintPlan(context, stage.shown, width, height, full);
        },
      });
      follow = () => {
        this.onAir = this.e.draft.picture !== '' && session.store.tally(performance.now()).pictures[this.e.draft.picture] === 'program';
      };
      session.store.addEventListener('change', follow);
      follow();
      void this.e.ask();
      sorting = this.sortable(part('list'));
    },
    destroy(): void {
      session.store.removeEventListener('change', follow);
      sorting?.destroy();
    },
    /** The list is in the order of what lies in front, so that up is to the front. */
    sortable(list: HTMLElement): Sortable {
      return Sortable.create(list, {
        handle: '.drag-handle',
        draggable: '[data-slot]',
        animation: 120,
        onEnd: ({ oldDraggableIndex: from, newDraggableIndex: to, item }) => {
          if (from === undefined || to === undefined || from === to) return;
          // The list belongs to Alpine: it puts the rows in order itself.
          const rows = [...list.querySelectorAll('[data-slot]')].filter((row) => row !== item);
          list.insertBefore(item, rows[from] ?? null);
          this.e.order(item.dataset.slot ?? '', from - to);
        },
      });
    },

    take(event: PointerEvent, slot: string, hold: Hold): void {
      this.hand?.take(event, part('surface'), slot, hold);
    },
    key(event: KeyboardEvent): void {
      const pressed = keyOf(event);
      if (!pressed || (this.e.chosen.length === 0 && pressed.what !== 'undo' && pressed.what !== 'redo')) return;
      event.preventDefault();
      event.stopPropagation();
      const { e } = this;
      if (pressed.what === 'nudge') e.nudge(pressed.dx, pressed.dy);
      else if (pressed.what === 'resize') e.pull(pressed.dx === 0 ? 'bottom' : 'right', pressed.dx, pressed.dy);
      else if (pressed.what === 'remove') e.remove();
      else if (pressed.what === 'duplicate' && e.one) void e.duplicate(e.one.slot);
      else if (pressed.what === 'undo') e.undo();
      else if (pressed.what === 'redo') e.redo();
      else if (pressed.what === 'nothing') e.chosen = [];
    },
    /** Where a window lies on the stage. */
    style(rect: Rect): Record<string, string> {
      const { width, height } = this.e.draft.layout.canvas;
      return { left: `${(100 * rect.x) / width}%`, top: `${(100 * rect.y) / height}%`, width: `${(100 * rect.width) / width}%`, height: `${(100 * rect.height) / height}%` };
    },
    styleOf(place: Place): Record<string, string> {
      const { held } = this.e;
      return this.style(held?.slot === place.slot ? held : place);
    },
    guideStyle({ axis, at, from, to }: { axis: 'x' | 'y'; at: number; from: number; to: number }): Record<string, string> {
      return this.style(axis === 'x' ? { x: at, y: from, width: 0, height: to - from } : { x: from, y: at, width: to - from, height: 0 });
    },

    number(side: Side): string {
      const { one, held } = this.e;
      const rect = held?.slot === one?.slot && held ? held : one;
      if (!rect) return '';
      return String(Math.round(this.unit === 'px' ? rect[side] * 100 : (rect[side] / this.e.along(side)) * 10_000) / 100);
    },
    setNumber(side: Side, text: string): void {
      const { one } = this.e;
      const value = Number(text) * (this.unit === 'px' ? 1 : this.e.along(side) / 100);
      if (!one || text.trim() === '' || !Number.isFinite(value)) return;
      const by = value - one[side];
      const hold = { x: 'middle', y: 'middle', width: 'right', height: 'bottom' }[side];
      this.e.pull(hold, side === 'x' || side === 'width' ? by : 0, side === 'y' || side === 'height' ? by : 0);
    },

    wish() {
      const { layout, fills, group, name } = this.e.draft;
      return { layout, fills, group, ...(name.trim() === '' ? {} : { name: name.trim() }) };
    },
    async make(): Promise<void> {
      const { e } = this;
      await this.send(() => session.link.edit('picture.make', this.wish()), () => {
        e.forget();
        part('back').click();
      });
    },
    async change(when: 'at-once' | 'glide' | 'next-take'): Promise<void> {
      const said = { 'at-once': 'Changed.', glide: 'Changed; program glides there.', 'next-take': 'Changed. It is next; program stays as it was until you take it.' }[when];
      await this.send(() => session.link.edit('picture.change', { picture: this.e.draft.picture, ...this.wish(), when, expect: session.store.revision }), () => {
        this.e.settle();
        this.note = said;
        announce(said);
      });
    },
    async send(edit: () => Promise<unknown>, done: () => void): Promise<void> {
      if (this.e.windows.length === 0) {
        this.e.wrong = 'There is no window in it yet. Add one first.';
        return;
      }
      try {
        await edit();
        done();
      } catch (failure) {
        this.e.wrong = failure instanceof Refused ? failure.message : 'The server does not answer. It is tried again by itself.';
      }
    },
  };
}

function share(value: number): string {
  return `${value > 0 && value < 0.1 ? (100 * value).toFixed(1) : Math.round(100 * value)} %`;
}

/** What of the material is hidden. */
export function composeHidden(session: ShowSession) {
  return {
    harm: null as Harm | null,
    /** of which step the harm was looked at */
    looked: -1,
    get said(): string {
      const coverage = editor().answer?.coverage;
      if (!coverage) return 'No place for material: nothing has to stay readable.';
      const material = editor().place(coverage.slot);
      const words = coverage.with_words > coverage.hidden + 0.0005 ? `, ${share(coverage.with_words)} with the words` : '';
      return `Hidden of ${material ? editor().nameOf(material) : 'the material'}: ${share(coverage.hidden)}${words}.`;
    },
    get words(): string[] {
      return Object.values(editor().answer?.coverage?.words_hidden ?? {}).map((hidden) => `${share(hidden)} of the place for words lies under other windows. Move one of them.`);
    },
    async look(): Promise<void> {
      const material = editor().answer?.coverage?.slot;
      if (!stage.plan || material === undefined) return;
      try {
        this.harm = await harmOf(session, editor().draft, stage.plan, material);
        this.looked = editor().count;
      } catch (failure) {
        if (failure instanceof Error) say(failure.message);
      }
    },
    get now(): Harm | null {
      return this.looked === editor().count ? this.harm : null;
    },
    get lines(): { slot: string; said: string; better: { label: string; rect: Rect } | null }[] {
      return Object.entries(this.now?.windows ?? {}).map(([slot, { harm, better }]) => {
        const place = editor().place(slot);
        return { slot, better, said: `${place ? editor().nameOf(place) : slot} hides ${share(harm)} of what is on it${better ? `; ${better.label} would hide ${share(better.harm)}` : ''}.` };
      });
    },
    move(slot: string, rect: Rect): void {
      void editor().edit(slot, (place) => Object.assign(place, rect));
    },
    /** Where something is, on the stage. */
    cellStyle(cell: Rect): string {
      const shown = this.now?.shown ?? { x: 0, y: 0, width: 0, height: 0 };
      const { width, height } = editor().draft.layout.canvas;
      return `left:${(100 * (shown.x + cell.x * shown.width)) / width}%;top:${(100 * (shown.y + cell.y * shown.height)) / height}%;width:${(100 * cell.width * shown.width) / width}%;height:${(100 * cell.height * shown.height) / height}%`;
    },
  };
}

/** The places of frame art. */
export function composeArt(session: ShowSession) {
  return {
    holes: [] as Hole[],
    art: '',
    picking: false,
    plain: false,
    async find(colour: string | null = null): Promise<void> {
      const slot = colour === null ? (editor().one?.slot ?? '') : this.art;
      this.art = slot;
      this.plain = colour !== null;
      try {
        this.holes = await holesOf(session, editor().draft.fills[slot] ?? '', editor().draft.layout.canvas, colour);
        if (this.holes.length === 0) say(colour === null ? 'This frame art has no transparent place. Point at the colour of its places instead.' : 'There is no place of this colour. Point at the middle of one.');
      } catch (failure) {
        if (failure instanceof Error) say(failure.message);
      }
    },
    /** Its outline as it was found, on the stage. */
    outline(hole: Hole): Record<string, string> {
      const round = (hole.shape === 'circle' ? 0.5 : hole.radius) * Math.min(hole.width, hole.height);
      return { 'border-radius': `${(100 * round) / hole.width}% / ${(100 * round) / hole.height}%` };
    },
    point(): void {
      this.art = editor().one?.slot ?? '';
      this.picking = true;
    },
    async pick(event: MouseEvent): Promise<void> {
      this.picking = false;
      const box = (event.currentTarget as HTMLElement).getBoundingClientRect();
      const colour = stage.shown && colourAt(session, stage.shown, (event.clientX - box.left) / box.width, (event.clientY - box.top) / box.height);
      if (colour !== null) await this.find(colour);
    },
    /** A window for each: behind the art where it is transparent, in front of it where it is plain. */
    async fit(): Promise<void> {
      const { holes, art, plain } = this;
      this.holes = [];
      for (const { shape, radius, ...rect } of holes) await editor().addFitted(rect, plain ? shape : null, radius, plain ? null : art);
    },
  };
}
