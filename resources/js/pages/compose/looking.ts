/** What the core is shown of pictures: material, to see what is hidden of it, and frame art, to find its holes. */
import { postForm } from '../../link/http';
import { paintLayer, paintPlan } from '../../painter/frame';
import type { FramePlan, Rect } from '../../plan/types';
import type { ShowSession } from '../../session';
import type { Draft } from './document';

const LOOK_WIDTH = 640;

export interface Harm {
  windows: Record<string, { harm: number; better: { corner: string; label: string; rect: Rect; harm: number } | null }>;
  /** where something is, as fractions of the material */
  cells: Rect[];
  shown: Rect;
}

export interface Hole extends Rect {
  shape: string | null;
  radius: number;
}

async function blobOf(width: number, height: number, paint: (context: OffscreenCanvasRenderingContext2D) => void): Promise<Blob> {
  const canvas = new OffscreenCanvas(Math.round(width), Math.round(height));
  const context = canvas.getContext('2d');
  if (!context) throw new Error('This browser cannot paint off the screen.');
  paint(context);
  return canvas.convertToBlob({ type: 'image/png' });
}

/** The material alone, without what lies in front of it. */
export async function harmOf(session: ShowSession, draft: Draft, plan: FramePlan, material: string): Promise<Harm> {
  const layer = plan.layers.find(({ key }) => key === material);
  const rig = session.rig;
  if (!rig || !layer) throw new Error('There is no picture to look at. This is done on the computer that holds the devices.');
  const scale = Math.min(1, LOOK_WIDTH / layer.dest.width);
  const dest = { x: 0, y: 0, width: layer.dest.width * scale, height: layer.dest.height * scale };
  const image = await blobOf(dest.width, dest.height, (context) => paintLayer(context, { ...layer, frame: null, dest }, rig.full));
  const form = new FormData();
  form.set('picture', JSON.stringify({ layout: draft.layout, fills: draft.fills }));
  form.set('image', image, 'material.png');
  return (await (await postForm(`/shows/${session.show}/harm`, form)).json()) as Harm;
}

/** The art as it lies on the canvas. @param colour null: what is transparent is a hole */
export async function holesOf(session: ShowSession, art: string, canvas: { width: number; height: number }, colour: string | null): Promise<Hole[]> {
  const rig = session.rig;
  const image = rig?.full(art);
  if (!rig || !image || image.ground !== undefined) throw new Error('The frame art is not here yet. This is done on the computer that holds the devices.');
  const form = new FormData();
  form.set('image', await blobOf(canvas.width, canvas.height, (context) => context.drawImage(image.image, 0, 0, canvas.width, canvas.height)), 'art.png');
  if (colour !== null) form.set('colour', colour);
  return ((await (await postForm(`/shows/${session.show}/holes`, form)).json()) as { holes: Hole[] }).holes;
}

/** The colour of the picture at a point, "#rrggbb". */
export function colourAt(session: ShowSession, plan: FramePlan, x: number, y: number): string | null {
  const rig = session.rig;
  const context = new OffscreenCanvas(plan.canvas.width, plan.canvas.height).getContext('2d', { willReadFrequently: true });
  if (!rig || !context) return null;
  paintPlan(context, plan, plan.canvas.width, plan.canvas.height, rig.full);
  const [red, green, blue] = context.getImageData(Math.min(plan.canvas.width - 1, Math.round(x * plan.canvas.width)), Math.min(plan.canvas.height - 1, Math.round(y * plan.canvas.height)), 1, 1).data;
  return `#${[red, green, blue].map((level) => (level ?? 0).toString(16).padStart(2, '0')).join('')}`;
}
