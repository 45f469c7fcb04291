/** What the Adjust page shows of one source, and what it reads from its picture. */
import { paintFitted, paintLayer, type Context, type Image, type ImageOf } from '../../painter/frame';
import { applyLook } from '../../painter/look';
import type { FramePlan, LookPlan, Rect } from '../../plan/types';
import type { ShowSession } from '../../session';

export interface Edges {
  left: number;
  top: number;
  right: number;
  bottom: number;
  width: number;
  height: number;
}

/** How the source is, or would be: the core's answer. */
export interface Tried {
  plan: FramePlan;
  seen: { crop: Rect; turn: number; mirror: boolean };
  look: LookPlan | null;
  handling: {
    framing: { crop: Rect; orientation: string; magnify: { x: number; y: number; factor: number }; fit: string };
    colour: Record<string, number | false | Record<string, number>>;
    key: { colour: string; tolerance: number; softness: number; spill: number; inside: Rect } | null;
    behind: string | null;
  };
  edges: Edges;
  key_edges: Edges;
}

const GROUND = '#14181f';
const READ_WIDTH = 640;
const WHOLE: Rect = { x: 0, y: 0, width: 1, height: 1 };

export class Scene {
  /** something is shown that was not pressed yet */
  drafting = false;
  matte = false;
  /** where the picture goes over from before to after, as a fraction of its width; null: only after */
  split: number | null = null;
  /** the picture as it comes, for pointing at the backing */
  asItComes = false;
  private readonly spare = new OffscreenCanvas(2, 2);

  constructor(
    private readonly session: ShowSession,
    readonly source: string,
    public tried: Tried,
  ) {}

  /** Where the whole picture lies in a box of this size. */
  place(width: number, height: number, edges = this.tried.edges): Rect {
    return placed(edges, width, height);
  }

  /** All of the source, upright, with what is behind it. */
  paintWhole = (context: Context, canvas: { width: number; height: number }, full: ImageOf): void => {
    context.fillStyle = GROUND;
    context.fillRect(0, 0, canvas.width, canvas.height);
    const dest = this.place(canvas.width, canvas.height);
    if (this.asItComes) this.layer(context, dest, this.before(full));
    else if (this.matte) this.paintMatte(context, canvas, dest, full);
    else {
      this.behind(context, dest, full);
      this.layer(context, dest, this.after(full));
    }
    if (this.split === null || this.matte) return;
    context.save();
    context.beginPath();
    context.rect(dest.x, dest.y, dest.width * this.split, dest.height);
    context.clip();
    this.layer(context, dest, this.before(full));
    context.restore();
  };

  /** The source on a picture of its own, as the audience would see it. */
  paintResult = (context: Context, canvas: { width: number; height: number }, full: ImageOf): void => {
    paintFitted(context, this.tried.plan, canvas.width, canvas.height, this.after(full));
  };

  /** Its pixels, upright and whole, with its colours put right but nothing keyed; null without a picture. */
  read(colour: LookPlan['colour'] = this.tried.look?.colour ?? null, width = READ_WIDTH): ImageData | null {
    const raw = this.session.rig?.raw(this.source) ?? null;
    return raw?.ground === undefined ? readUpright(raw && (() => raw), this.source, { ...this.tried, crop: WHOLE }, colour, width) : null;
  }

  private before(full: ImageOf): ImageOf {
    return (id) => (id === this.source ? (this.session.rig?.raw(id) ?? full(id)) : full(id));
  }

  private after(full: ImageOf): ImageOf {
    return (id) => (id === this.source && this.drafting ? (this.session.rig?.tried(id, this.tried.look) ?? full(id)) : full(id));
  }

  private behind(context: Context, dest: Rect, full: ImageOf): void {
    const layer = this.tried.plan.layers.find(({ key }) => key.endsWith(' behind'));
    if (layer) paintLayer(context, { ...layer, dest }, full);
  }

  private layer(context: Context, dest: Rect, imageOf: ImageOf): void {
    const { turn, mirror } = this.tried.seen;
    paintLayer(context, { key: 'whole', source: this.source, card: null, fill: null, lets_through: true, opacity: 1, frame: null, glide: '', dest, crop: WHOLE, turn, mirror }, imageOf);
  }

  /** White is kept, black is cut. */
  private paintMatte(context: Context, canvas: { width: number; height: number }, dest: Rect, full: ImageOf): void {
    this.spare.width = canvas.width;
    this.spare.height = canvas.height;
    const spare = this.spare.getContext('2d');
    if (!spare) return;
    this.layer(spare, dest, this.after(full));
    spare.globalCompositeOperation = 'source-in';
    spare.fillStyle = '#fff';
    spare.fillRect(0, 0, canvas.width, canvas.height);
    context.fillStyle = '#000';
    context.fillRect(0, 0, canvas.width, canvas.height);
    context.drawImage(this.spare, 0, 0);
  }
}

/** Where all of a picture lies in a box. */
export function placed({ width, height }: Edges, boxWidth: number, boxHeight: number): Rect {
  const scale = Math.min(boxWidth / width, boxHeight / height);
  return { x: (boxWidth - width * scale) / 2, y: (boxHeight - height * scale) / 2, width: width * scale, height: height * scale };
}

/** @param image null: there is no picture */
export function readUpright(image: (() => Image) | null, source: string, { edges, seen, crop }: Pick<Tried, 'edges' | 'seen'> & { crop: Rect }, colour: LookPlan['colour'], width: number): ImageData | null {
  if (!image) return null;
  const height = Math.max(2, Math.round((width * edges.height) / edges.width));
  const context = new OffscreenCanvas(width, height).getContext('2d', { willReadFrequently: true });
  if (!context) return null;
  context.imageSmoothingQuality = 'medium';
  const layer = { key: 'read', source, card: null, fill: null, lets_through: true, opacity: 1, frame: null, glide: '', dest: { x: 0, y: 0, width, height }, crop, turn: seen.turn, mirror: seen.mirror };
  paintLayer(context, layer, image);
  const data = context.getImageData(0, 0, width, height);
  if (colour) applyLook(new Uint32Array(data.data.buffer), width, height, { colour, key: null });
  return data;
}

/** Levels of the pixels in a part, at most so many across and down. */
export function levelsIn(data: ImageData, part: Rect, most = 24): number[] {
  const [left, top] = [Math.floor(part.x * data.width), Math.floor(part.y * data.height)];
  const [width, height] = [Math.max(1, Math.round(part.width * data.width)), Math.max(1, Math.round(part.height * data.height))];
  const levels: number[] = [];
  const [columns, rows] = [Math.min(most, width), Math.min(most, height)];
  for (let row = 0; row < rows; row++) {
    for (let column = 0; column < columns; column++) {
      const x = Math.min(data.width - 1, left + Math.floor(((column + 0.5) * width) / columns));
      const y = Math.min(data.height - 1, top + Math.floor(((row + 0.5) * height) / rows));
      const i = 4 * (y * data.width + x);
      levels.push(data.data[i] ?? 0, data.data[i + 1] ?? 0, data.data[i + 2] ?? 0);
    }
  }
  return levels;
}

/** The whole picture as a few mean colours. */
export function cellsOf(data: ImageData, columns = 48, rows = 27): number[] {
  const levels: number[] = [];
  for (let row = 0; row < rows; row++) {
    for (let column = 0; column < columns; column++) {
      const part = levelsIn(data, { x: column / columns, y: row / rows, width: 1 / columns, height: 1 / rows }, 4);
      for (const channel of [0, 1, 2]) {
        let sum = 0;
        for (let i = channel; i < part.length; i += 3) sum += part[i] ?? 0;
        levels.push(Math.round((3 * sum) / part.length));
      }
    }
  }
  return levels;
}
