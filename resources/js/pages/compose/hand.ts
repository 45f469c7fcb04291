/** A window held by the pointer: it comes to rest at the lines that the core sent ahead. */
import { snapped, type Guide, type Hold } from '../../plan/snap';
import type { Rect } from '../../plan/types';
import { stage, type Editor } from './editor';
import { withWindowAt } from './live';
import { follow, type Pull } from './pointer';

/** Pixels of the screen within which a line attracts. */
const REACH = 8;

export class Hand {
  guides: Guide[] = [];

  constructor(
    private readonly editor: Editor,
    private readonly least: number,
  ) {}

  /** With Shift one window more is chosen; with Alt no line attracts, and what is moved is a copy. */
  take(event: PointerEvent, element: HTMLElement, slot: string, hold: Hold): void {
    const { editor } = this;
    if (event.button !== 0) return;
    event.preventDefault();
    event.stopPropagation();
    if (event.shiftKey || event.ctrlKey || event.metaKey) {
      editor.choose(slot, true);
      return;
    }
    if (editor.chosen.at(-1) !== slot) editor.choose(slot);
    (event.currentTarget as HTMLElement).focus({ preventScroll: true });
    const place = editor.place(slot);
    const targets = editor.answer?.targets[slot];
    if (!place || place.locked || !targets) return;
    const from: Rect = { x: place.x, y: place.y, width: place.width, height: place.height };
    const ratio = editor.answer?.ratios[slot] ?? null;
    const { width, height } = editor.draft.layout.canvas;
    const reach = event.altKey ? 0 : (REACH * width) / element.getBoundingClientRect().width;
    const copies = event.altKey && hold === 'middle';
    const base = stage.plan;
    follow(event, element, ({ dx, dy }) => {
      const rest = snapped(from, hold, dx * width, dy * height, ratio, this.least, targets, reach);
      editor.held = { slot, ...rest.rect };
      this.guides = rest.guides;
      if (base) stage.shown = withWindowAt(base, slot, from, rest.rect);
    }, (pull) => void this.drop(pull && { dx: pull.dx * width, dy: pull.dy * height }, slot, hold, reach, copies));
  }

  /** At the drop the core's answer counts. */
  private async drop(pull: Pull | null, slot: string, hold: Hold, reach: number, copies: boolean): Promise<void> {
    this.guides = [];
    if (pull && copies) {
      stage.shown = stage.plan;
      await this.editor.duplicate(slot, Math.round(pull.dx), Math.round(pull.dy));
    } else if (pull) await this.editor.step(null, { drop: { slot, hold, ...pull, reach } });
    this.editor.held = null;
    stage.shown = stage.plan;
  }
}
