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

function imageOf(source: string, name: string, seconds: number, frame: number): ImageBitmap {
  const canvas = canvases.get(source) ?? new OffscreenCanvas(WIDTH, HEIGHT);
  canvases.set(source, canvas);
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

onmessage = (event: MessageEvent<{ wanted: [source: string, name: string][]; seconds: number; frame: number }>) => {
  const { wanted, seconds, frame } = event.data;
  const images = wanted.map(([source, name]) => [source, imageOf(source, name, seconds, frame)] as const);
  postMessage(
    { images },
    { transfer: images.map(([, image]) => image) },
  );
};
