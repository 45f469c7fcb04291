/** Paints the stand-ins that are asked for, one image each, and hands the images over. */
import { paintBench } from './bench';
import { paintFrameMark, type Paint } from './brush';
import { paintLectern } from './lectern';
import { paintSlides } from './slides';

const WIDTH = 1280;
const HEIGHT = 720;

const PAINTS: Record<string, { title: string; paint: Paint }> = {
  lectern: { title: 'Lectern', paint: paintLectern },
  bench: { title: 'Bench', paint: paintBench },
  slides: { title: 'Slides', paint: paintSlides },
};

const canvases = new Map<string, OffscreenCanvas>();

function imageOf(name: string, seconds: number, frame: number): ImageBitmap {
  const canvas = canvases.get(name) ?? new OffscreenCanvas(WIDTH, HEIGHT);
  canvases.set(name, canvas);
  const brush = canvas.getContext('2d', { alpha: false });
  if (!brush) throw new Error('No canvas to paint a stand-in on.');
  const standIn = PAINTS[name];
  if (standIn) {
    brush.save();
    standIn.paint(brush, seconds, WIDTH, HEIGHT);
    brush.restore();
  }
  paintFrameMark(brush, standIn?.title ?? name, frame, WIDTH, HEIGHT);
  return canvas.transferToImageBitmap();
}

onmessage = (event: MessageEvent<{ names: string[]; seconds: number; frame: number }>) => {
  const { names, seconds, frame } = event.data;
  const images = names.map((name) => [name, imageOf(name, seconds, frame)] as const);
  postMessage(
    { images },
    { transfer: images.map(([, image]) => image) },
  );
};
