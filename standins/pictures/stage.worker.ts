/** Paints the stand-ins that are asked for, one image each, and hands the images over. */
import { paintBench } from './bench';
import { paintFrameMark, type Paint } from './brush';
import { paintLectern } from './lectern';
import { paintRoving } from './roving';
import { paintScope } from './scope';
import { paintSlides } from './slides';

interface StandIn {
  title: string;
  paint: Paint;
  /** what it is drawn in, and how much smaller it is painted, so that several can run on a small computer */
  width: number;
  height: number;
  scale: number;
  /** painted at every so many frames: a microscope's camera is slower than others */
  every: number;
}

const WIDE = { width: 1280, height: 720, scale: 0.75, every: 1 };

const PAINTS: Record<string, StandIn> = {
  lectern: { title: 'Lectern', paint: paintLectern, ...WIDE },
  bench: { title: 'Bench', paint: paintBench, ...WIDE },
  scope: { title: 'Scope', paint: paintScope, width: 1280, height: 960, scale: 0.5, every: 2 },
  roving: { title: 'Phone', paint: paintRoving, width: 720, height: 1280, scale: 0.5, every: 2 },
  // for shows that were made before decks
  slides: { title: 'Slides', paint: paintSlides, ...WIDE },
};

const canvases = new Map<string, OffscreenCanvas>();

function imageOf(source: string, name: string, seconds: number, frame: number, lines: number | null): ImageBitmap {
  const standIn = PAINTS[name];
  const { width, height, scale: usual } = standIn ?? WIDE;
  const scale = Math.min(usual, (lines ?? Infinity) / height);
  const known = canvases.get(source);
  const canvas = known?.height === Math.round(height * scale) ? known : new OffscreenCanvas(Math.round(width * scale), Math.round(height * scale));
  canvases.set(source, canvas);
  const brush = canvas.getContext('2d', { alpha: false });
  if (!brush) throw new Error('No canvas to paint a stand-in on.');
  if (standIn) {
    brush.save();
    brush.scale(scale, scale);
    standIn.paint(brush, seconds, width, height);
    brush.restore();
  }
  paintFrameMark(brush, standIn?.title ?? name, frame, canvas.width, canvas.height);
  return canvas.transferToImageBitmap();
}

onmessage = (event: MessageEvent<{ wanted: [source: string, name: string][]; seconds: number; frame: number; lines: number | null }>) => {
  const { wanted, seconds, frame, lines } = event.data;
  const due = wanted.filter(([, name], i) => (frame + i) % (PAINTS[name]?.every ?? 1) === 0);
  const images = due.map(([source, name]) => [source, imageOf(source, name, seconds, frame, lines)] as const);
  postMessage(
    { images },
    { transfer: images.map(([, image]) => image) },
  );
};
