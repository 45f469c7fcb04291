/**
 * What this computer can do, measured on it in a few seconds while the show
 * goes on: how long single pieces of the painter's work take, and how busy the
 * painter's thread is now. The core makes a forecast of it.
 */
import type { Image } from '../painter/frame';
import { Looks } from '../painter/looks';
import { busyFrom, lateness } from './lateness';
import type { LookPlan } from '../plan/types';

export interface Measured {
  /** milliseconds for a million pixels of a camera's frame, and for each frame besides */
  copy: number;
  each: number;
  /** milliseconds beside the painter for a million pixels with a look */
  look: number;
  /** share of the time in which this thread is at work */
  busy: number;
}

const LARGE = { width: 1280, height: 720 };
const SMALL = { width: 320, height: 180 };
const TIMES = 16;
const BUSY_MS = 2500;

const A_KEY: LookPlan = {
  colour: null,
  key: { colour: [43, 154, 128], along: [0.1, -0.99], across: 0.6, full: 60, most_mixed: 0.9, low: 3, high: 40, spill: 1, axis: [-1.56, 0.44, 0.19], inside: { x: 0, y: 0, width: 1, height: 1 } },
};

export async function measureComputer(progress: (share: number) => void): Promise<Measured> {
  const busy = await busyShare(BUSY_MS);
  progress(0.4);
  const large = await quarter(TIMES, copying(LARGE));
  const small = await quarter(TIMES, copying(SMALL));
  progress(0.7);
  const look = await lookCost();
  progress(1);
  const [most, least] = [millions(LARGE), millions(SMALL)];
  const copy = Math.max(0.05, (large - small) / (most - least));
  return { copy: rounded(copy), each: rounded(Math.max(0, small - copy * least)), look: rounded(look), busy: rounded(busy) };
}

function millions({ width, height }: { width: number; height: number }): number {
  return (width * height) / 1e6;
}

function rounded(value: number): number {
  return Math.round(value * 1000) / 1000;
}

function contextOf(width: number, height: number): CanvasRenderingContext2D {
  const canvas = document.createElement('canvas');
  [canvas.width, canvas.height] = [width, height];
  const context = canvas.getContext('2d', { alpha: false });
  if (!context) throw new Error('This browser cannot paint on a canvas.');
  return context;
}

/** Makes the browser finish what it was told: it paints later otherwise. */
function finish(context: CanvasRenderingContext2D): void {
  context.getImageData(0, 0, 1, 1);
}

function copying({ width, height }: { width: number; height: number }): () => number {
  const context = contextOf(width, height);
  const data = new Uint8Array((width * height * 3) / 2).map((_, i) => (i * 31) & 255);
  finish(context);
  return () => {
    const frame = new VideoFrame(data, { format: 'I420', codedWidth: width, codedHeight: height, timestamp: 0 });
    const began = performance.now();
    context.drawImage(frame, 0, 0, width, height);
    finish(context);
    frame.close();
    return performance.now() - began;
  };
}

/** The quarter mark of some single turns, with room for the show between them: what other work came in between in the rest is no cost of this. */
async function quarter(times: number, once: () => number): Promise<number> {
  const took: number[] = [];
  once();
  for (let i = 0; i < times; i++) {
    await new Promise((resolve) => setTimeout(resolve, 25));
    took.push(once());
  }
  return took.sort((a, b) => a - b)[times >> 2] ?? 0;
}

async function lookCost(): Promise<number> {
  const context = contextOf(640, 360);
  const raw: Image = { image: context.canvas, width: 640, height: 360 };
  const looks = new Looks(640);
  let warm = { spent: 0, frames: 0 };
  for (let turn = 0; turn < 14; turn++) {
    looks.of('measure', A_KEY, raw, turn, 0);
    const frames = looks.frames;
    for (let wait = 0; wait < 40 && looks.frames === frames; wait++) await new Promise((resolve) => setTimeout(resolve, 5));
    if (turn === 3) warm = { spent: looks.spent, frames: looks.frames };
  }
  const took = (looks.spent - warm.spent) / Math.max(1, looks.frames - warm.frames);
  looks.close();
  return Math.max(0.1, took / millions({ width: 640, height: 360 }));
}

async function busyShare(ms: number): Promise<number> {
  const worker = new Worker(new URL('./lateness.worker.ts', import.meta.url), { type: 'module' });
  const idle = new Promise<number>((resolve) => {
    worker.onmessage = (event: MessageEvent<number>) => resolve(event.data);
  });
  worker.postMessage(ms);
  const own = await lateness(ms);
  const busy = busyFrom(own, await idle);
  worker.terminate();
  return busy;
}
