/** Small numbers about a picture, for the core to judge. Nothing here says what is well or not. */
import type { SampleWish } from '../plan/types';

/** 8 across and 4 down: the core's Sample::CELLS. */
const CELL_COLUMNS = 8;
const CELL_ROWS = 4;

export interface Look {
  mean: number;
  dark: number;
  spread: number;
  clipped: number;
  /** luma, Cb, Cr of each cell, in a row */
  cells: number[];
}

/** ITU-R BT.709 luma of each point, 0 to 255. */
export function lumaOf(rgba: Uint8ClampedArray | Uint8Array): Float32Array {
  const luma = new Float32Array(rgba.length / 4);
  for (let i = 0, p = 0; i < luma.length; i++, p += 4) {
    luma[i] = 0.2126 * (rgba[p] ?? 0) + 0.7152 * (rgba[p + 1] ?? 0) + 0.0722 * (rgba[p + 2] ?? 0);
  }
  return luma;
}

const BOXES = 8 * 256;
const counts = new Uint32Array(BOXES);
const sums = new Float64Array(BOXES);

/** Noise: mean difference of the half of the points that differ least, in levels. Moved: share of points that differ by more than noise does. */
export function compare(before: Float32Array, after: Float32Array, movedLuma: number): { noise: number; moved: number } {
  // Sorted into boxes of an eighth of a level: quicker than putting them in order.
  counts.fill(0);
  sums.fill(0);
  let moved = 0;
  for (let i = 0; i < after.length; i++) {
    const difference = Math.abs((after[i] ?? 0) - (before[i] ?? 0));
    if (difference > movedLuma) moved++;
    const box = Math.min(BOXES - 1, Math.floor(difference * 8));
    counts[box] = (counts[box] ?? 0) + 1;
    sums[box] = (sums[box] ?? 0) + difference;
  }
  const half = Math.max(1, after.length >> 1);
  let [taken, sum] = [0, 0];
  for (let box = 0; box < BOXES && taken < half; box++) {
    const count = counts[box] ?? 0;
    const share = Math.min(1, (half - taken) / Math.max(1, count));
    sum += share * (sums[box] ?? 0);
    taken += count;
  }
  return { noise: sum / half, moved: moved / after.length };
}

export function lookAt(rgba: Uint8ClampedArray | Uint8Array, luma: Float32Array, wish: SampleWish): Look {
  let [sum, dark, darkSum, darkSquares, clipped] = [0, 0, 0, 0, 0];
  for (const value of luma) {
    sum += value;
    if (value >= wish.clipped) clipped++;
    if (value <= wish.dark) {
      dark++;
      darkSum += value;
      darkSquares += value * value;
    }
  }
  const darkMean = dark > 0 ? darkSum / dark : 0;
  return {
    mean: round(sum / luma.length),
    dark: round(dark / luma.length),
    spread: round(dark > 0 ? Math.sqrt(Math.max(0, darkSquares / dark - darkMean * darkMean)) : 0),
    clipped: round(clipped / luma.length),
    cells: cellsOf(rgba, wish),
  };
}

/** Mean colour of each cell as luma and colour differences (BT.709: Cb = (B - Y) / 1.8556, Cr = (R - Y) / 1.5748), the differences around 128. */
function cellsOf(rgba: Uint8ClampedArray | Uint8Array, { columns, rows }: SampleWish): number[] {
  const sums = new Float64Array(CELL_COLUMNS * CELL_ROWS * 4);
  for (let y = 0, p = 0; y < rows; y++) {
    const row = Math.floor((y * CELL_ROWS) / rows) * CELL_COLUMNS;
    for (let x = 0; x < columns; x++, p += 4) {
      const cell = 4 * (row + Math.floor((x * CELL_COLUMNS) / columns));
      for (let c = 0; c < 3; c++) sums[cell + c] = (sums[cell + c] ?? 0) + (rgba[p + c] ?? 0);
      sums[cell + 3] = (sums[cell + 3] ?? 0) + 1;
    }
  }
  const cells: number[] = [];
  for (let i = 0; i < sums.length; i += 4) {
    const count = Math.max(1, sums[i + 3] ?? 1);
    const [r, g, b] = [(sums[i] ?? 0) / count, (sums[i + 1] ?? 0) / count, (sums[i + 2] ?? 0) / count];
    const y = 0.2126 * r + 0.7152 * g + 0.0722 * b;
    cells.push(round(y, 2), round(128 + (b - y) / 1.8556, 2), round(128 + (r - y) / 1.5748, 2));
  }
  return cells;
}

export function round(value: number, digits = 4): number {
  const factor = 10 ** digits;
  return Math.round(value * factor) / factor;
}
