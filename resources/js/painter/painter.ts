/**
 * One pass per frame for program, preview and the miniatures. Program is
 * painted first, so that whatever else is slow, the audience is served.
 */
import type { FramePlan, Rect, TransitionPlan } from '../plan/types';
import type { DeskStore } from '../desk/store';
import { paintLayer, paintPlan, type Context, type ImageOf } from './frame';
import { paintInset } from './inset';
import { Flat, paintTransition } from './transition';

/** Where sources get their images from. */
export interface Images {
  /** Called once at the beginning of each pass. */
  beginPass(now: number): void;
  full: ImageOf;
  /** The same image, smaller, for miniatures. */
  small: ImageOf;
  /** A clip that lies over a change, with its transparency; null where there is none. */
  over(source: string): CanvasImageSource | null;
}

export type Show =
  | { kind: 'program' }
  | { kind: 'preview' }
  | { kind: 'picture'; id: string }
  | { kind: 'source'; id: string }
  /** painted by the page itself, at full rate */
  | { kind: 'own'; paint: (context: Context, canvas: HTMLCanvasElement, full: ImageOf) => void };

interface View {
  canvas: HTMLCanvasElement;
  context: CanvasRenderingContext2D;
  show: Show;
}

function contextOf(canvas: HTMLCanvasElement): CanvasRenderingContext2D {
  const context = canvas.getContext('2d', { alpha: false });
  if (!context) throw new Error('This browser cannot paint on a canvas.');
  return context;
}

export class Painter {
  /** The program itself, at full size; it lives as long as the tab, whichever page is shown. */
  readonly program = document.createElement('canvas');
  passes = 0;
  /** times a second that each miniature is painted */
  miniatures = 8;
  /** passes from one painting of preview to the next */
  previewEvery = 1;
  /** milliseconds of script that painting took so far, for bin/bench */
  spent = 0;
  private readonly context: CanvasRenderingContext2D;
  private readonly flat: Flat;
  private trial: { pictures: [string, string]; kind: string; began: number; duration: number; flat: Flat } | null = null;
  private readonly views = new Map<HTMLCanvasElement, View>();
  private previewFlat: Flat | null = null;
  private nextMiniature = 0;
  private dueMiniatures = 0;

  constructor(
    private readonly store: DeskStore,
    private readonly images: Images,
  ) {
    const { width, height } = store.book.canvas;
    this.program.width = width;
    this.program.height = height;
    this.context = contextOf(this.program);
    this.flat = new Flat(width, height);
  }

  /** Paints something on a canvas of the page, until release(). */
  attach(canvas: HTMLCanvasElement, show: Show): void {
    this.views.set(canvas, { canvas, context: contextOf(canvas), show });
  }

  release(canvas: HTMLCanvasElement): void {
    this.views.delete(canvas);
  }

  /** Canvases that left the page without saying so. */
  private releaseGone(): void {
    for (const canvas of this.views.keys()) if (!canvas.isConnected) this.views.delete(canvas);
  }

  pass(now: number): void {
    if (this.passes % 30 === 0) this.releaseGone();
    const began = performance.now();
    this.images.beginPass(now);
    this.paintProgram(now);
    const slow: View[] = [];
    for (const view of this.views.values()) {
      if (view.show.kind === 'preview' || view.show.kind === 'own') {
        if (this.passes % this.previewEvery === 0) this.paintView(view, now, this.images.full);
      } else if (view.show.kind === 'program') view.context.drawImage(this.program, 0, 0, view.canvas.width, view.canvas.height);
      else slow.push(view);
    }
    this.paintMiniatures(slow, now);
    this.passes++;
    this.spent += performance.now() - began;
  }

  /** The plan of a picture; the holding card for one that is not there. */
  planOf(picture: string): FramePlan | undefined {
    return (this.store.book.pictures[picture] ?? this.store.book.pictures.holding)?.plan;
  }

  private paintProgram(now: number): void {
    const { width, height } = this.program;
    const [outgoing, incoming] = this.store.onAir(now).pictures.map((picture) => this.planOf(picture));
    if (!outgoing) return;
    const transition = incoming && this.store.transition(String(this.store.registers(now).kind));
    if (incoming && transition) {
      paintTransition(this.context, this.flat, [outgoing, incoming], transition, this.store.progress(now) ?? 1, this.images.full);
      this.paintOver(this.context, transition, width, height);
    }
    else paintPlan(this.context, outgoing, width, height, this.images.full);
    this.paintInset(this.context, now, this.flat, this.images.full);
  }

  private paintOver(context: Context, { clip }: TransitionPlan, width: number, height: number): void {
    const image = clip === null ? null : this.images.over(clip);
    if (image) context.drawImage(image, 0, 0, width, height);
  }

  private paintInset(context: Context, now: number, flat: Flat, imageOf: ImageOf): void {
    const look = this.store.inset(now);
    const shown = look && this.store.book.inset.shows[look.source];
    if (look && shown) paintInset(context, flat, look, shown.plan, this.store.book.inset, imageOf);
  }

  /** Shows a transition in preview, from program to what is next, once; nothing of it reaches program. */
  tryOut(kind: string, duration: number): void {
    const now = performance.now();
    const from = this.store.onAir(now).pictures.at(-1);
    const { preview } = this.store.registers(now);
    const canvas = [...this.views.values()].find(({ show }) => show.kind === 'preview')?.canvas;
    if (from === undefined || typeof preview !== 'string' || !canvas) return;
    const clip = this.store.transition(kind)?.clip ?? null;
    this.store.triedClip = clip === null ? null : { source: clip, since: now };
    this.trial = { pictures: [from, preview], kind, began: now, duration, flat: new Flat(canvas.width, canvas.height) };
  }

  /** Whether preview shows a trial now, and has been painted. */
  private paintTrial(context: Context, now: number, imageOf: ImageOf): boolean {
    const { trial } = this;
    const [from, to] = trial?.pictures.map((picture) => this.planOf(picture)) ?? [];
    const transition = this.store.transition(trial?.kind ?? '');
    if (!trial || !from || !to || !transition || now - trial.began > trial.duration) {
      this.trial = null;
      this.store.triedClip = null;
      return false;
    }
    paintTransition(context, trial.flat, [from, to], transition, (now - trial.began) / trial.duration, imageOf);
    this.paintOver(context, transition, trial.flat.canvas.width, trial.flat.canvas.height);
    return true;
  }

  /** Any moment of any transition, on a canvas of its own; for checks. */
  paintMoment(context: Context, pictures: [FramePlan, FramePlan], transition: TransitionPlan, progress: number): void {
    const { width, height } = this.program;
    paintTransition(context, new Flat(width, height), pictures, transition, progress, this.images.full);
  }

  private paintView(view: View, now: number, imageOf: ImageOf): void {
    const { context, canvas, show } = view;
    if (show.kind === 'source') return this.paintSource(context, canvas, show.id);
    if (show.kind === 'own') {
      show.paint(context, canvas, imageOf);
      return;
    }
    if (show.kind === 'preview' && this.trial && this.paintTrial(context, now, imageOf)) return;
    const plan = this.planOf(show.kind === 'picture' ? show.id : String(this.store.registers(now).preview ?? ''));
    const nothingNext = show.kind === 'preview' && this.store.registers(now).preview === null;
    if (nothingNext || !plan) {
      context.fillStyle = '#8a8577';
      context.fillRect(0, 0, canvas.width, canvas.height);
      return;
    }
    paintPlan(context, plan, canvas.width, canvas.height, imageOf);
    // Next, as it will be: what lies over program will lie over it.
    if (show.kind === 'preview') this.paintInset(context, now, this.flatOf(canvas), imageOf);
  }

  private flatOf({ width, height }: HTMLCanvasElement): Flat {
    if (this.previewFlat?.canvas.width !== width || this.previewFlat.canvas.height !== height) this.previewFlat = new Flat(width, height);
    return this.previewFlat;
  }

  /** A source by itself, as it is framed. */
  private paintSource(context: Context, canvas: HTMLCanvasElement, source: string): void {
    context.fillStyle = '#14181f';
    context.fillRect(0, 0, canvas.width, canvas.height);
    const seen = this.store.book.sources[source]?.seen;
    const dest = this.placeOfSource(source, canvas.width, canvas.height);
    if (seen && dest) paintLayer(context, { key: source, source, card: null, fill: null, lets_through: true, opacity: 1, frame: null, glide: source, dest, ...seen }, this.images.small);
  }

  /** Where a source lies when all of it is shown in a box of this size. */
  placeOfSource(source: string, width: number, height: number): Rect | null {
    const seen = this.store.book.sources[source]?.seen;
    const image = this.images.small(source);
    if (!image || !seen) return null;
    const part = [seen.crop.width * image.width, seen.crop.height * image.height] as const;
    const [w, h] = seen.turn % 2 === 0 || image.ground !== undefined ? part : [part[1], part[0]];
    const scale = Math.min(width / w, height / h);
    return { x: (width - w * scale) / 2, y: (height - h * scale) / 2, width: w * scale, height: h * scale };
  }

  /** A few in each pass, so that each is painted about eight times a second and no pass is long. */
  private paintMiniatures(views: View[], now: number): void {
    this.dueMiniatures += (views.length * this.miniatures) / this.store.book.canvas.rate;
    for (; this.dueMiniatures >= 1 && views.length > 0; this.dueMiniatures--) {
      const view = views[this.nextMiniature++ % views.length];
      if (view) this.paintView(view, now, this.images.small);
    }
  }
}
