/** Whether the writing on a picture can be read at the far end: the picture is sent to the core, which measures it. */
import { postForm } from '../../link/http';
import { paintPlan } from '../../painter/frame';
import type { ShowSession } from '../../session';
import { say } from '../say';
import { open } from './adjust';

interface Line {
  x: number;
  y: number;
  width: number;
  height: number;
  x_height: number;
}

export interface Reading {
  readable: boolean;
  easy: boolean;
  far_height: number;
  factor: number;
  sentence: string;
  smallest: Line | null;
  width: number;
  height: number;
  writing: Line[];
}

const LARGEST_LOOK = 8;

/** Paints a plan at the canvas's own size and has it measured. */
export async function measure(session: ShowSession, plan: Parameters<typeof paintPlan>[1], farEnd: string): Promise<Reading> {
  const rig = session.rig;
  if (!rig) throw new Error('This is measured on the computer that holds the devices.');
  const { width, height } = plan.canvas;
  const canvas = new OffscreenCanvas(width, height);
  const context = canvas.getContext('2d', { alpha: false });
  if (!context) throw new Error('This browser cannot paint off the screen.');
  paintPlan(context, plan, width, height, rig.full);
  const form = new FormData();
  form.set('far_end', farEnd);
  form.set('image', await canvas.convertToBlob({ type: 'image/png' }), 'picture.png');
  return (await (await postForm(`/shows/${session.show}/reading`, form)).json()) as Reading;
}

export function adjustReading(session: ShowSession) {
  return {
    farEnd: 'window',
    busy: false,
    found: null as Reading | null,
    async look(): Promise<void> {
      const scene = open.scene;
      if (!scene) return;
      this.busy = true;
      try {
        this.found = await measure(session, scene.tried.plan, this.farEnd);
      } catch (failure) {
        if (failure instanceof Error) say(failure.message);
      }
      this.busy = false;
    },
    /** Boxes of the lines, in per cent of the picture. */
    style(line: Line): string {
      const { width = 1, height = 1 } = this.found ?? {};
      return `left:${(100 * line.x) / width}%;top:${(100 * line.y) / height}%;width:${(100 * line.width) / width}%;height:${(100 * line.height) / height}%`;
    },
    get tooSmall(): Line[] {
      const found = this.found;
      const limit = found?.smallest && !found.easy ? (found.smallest.x_height * found.factor) : 0;
      return found?.writing.filter((line) => line.x_height < limit).slice(0, 200) ?? [];
    },
    get proposes(): boolean {
      return this.found !== null && !this.found.easy && this.found.smallest !== null;
    },
    /** Closer at the smallest writing, as much as it takes. */
    magnify(): void {
      const { found } = this;
      const scene = open.scene;
      if (!found?.smallest || !scene) return;
      const { magnify } = scene.tried.handling.framing;
      const layer = scene.tried.plan.layers.find(({ source }) => source === scene.source);
      if (!layer) return;
      const at = {
        x: (found.smallest.x + found.smallest.width / 2 - layer.dest.x) / layer.dest.width,
        y: (found.smallest.y + found.smallest.height / 2 - layer.dest.y) / layer.dest.height,
      };
      const side = 1 / magnify.factor;
      const middle = (from: number, to: number): number => Math.max(0, Math.min(1, from - side / 2 + to * side));
      open.press({
        framing: { magnify: { x: middle(magnify.x, at.x), y: middle(magnify.y, at.y), factor: Math.min(LARGEST_LOOK, Math.ceil(magnify.factor * found.factor * 10) / 10) } },
      });
      this.found = null;
    },
  };
}
