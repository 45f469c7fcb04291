/**
 * What the core wants done to a frame: colours put right, backing taken out.
 * The numbers are the core's (core/Colour/Correction.php, core/Key/ChromaKey.php);
 * here they are applied, pixel by pixel.
 */
import type { KeyPlan, LookPlan, Rect } from '../plan/types';

/** Pixels as 32-bit words, red lowest, as a canvas gives them. */
export type Pixels = Uint32Array<ArrayBuffer>;

const OPAQUE = 0xff000000;

export function applyLook(pixels: Pixels, width: number, height: number, look: LookPlan): void {
  if (look.colour) applyColour(pixels, look.colour);
  if (look.key) applyKey(pixels, width, height, look.key);
}

function applyColour(pixels: Pixels, { tables, matrix }: NonNullable<LookPlan['colour']>): void {
  const red = Uint8Array.from(tables[0]);
  const green = Uint8Array.from(tables[1]);
  const blue = Uint8Array.from(tables[2]);
  if (!matrix) {
    const highGreen = Uint32Array.from(green, (level) => level << 8);
    const highBlue = Uint32Array.from(blue, (level) => level << 16);
    for (let i = 0; i < pixels.length; i++) {
      const pixel = pixels[i] ?? 0;
      pixels[i] = ((red[pixel & 255] ?? 0) | (highGreen[(pixel >>> 8) & 255] ?? 0) | (highBlue[(pixel >>> 16) & 255] ?? 0) | (pixel & OPAQUE)) >>> 0;
    }
    return;
  }
  const m = Float64Array.from(matrix);
  const [m0 = 0, m1 = 0, m2 = 0, , m4 = 0, m5 = 0, m6 = 0, m7 = 0, , m9 = 0, m10 = 0, m11 = 0, m12 = 0, , m14 = 0] = m;
  const [o0, o1, o2] = [m4 * 255 + 0.5, m9 * 255 + 0.5, m14 * 255 + 0.5];
  for (let i = 0; i < pixels.length; i++) {
    const pixel = pixels[i] ?? 0;
    const r = red[pixel & 255] ?? 0;
    const g = green[(pixel >>> 8) & 255] ?? 0;
    const b = blue[(pixel >>> 16) & 255] ?? 0;
    const nr = m0 * r + m1 * g + m2 * b + o0;
    const ng = m5 * r + m6 * g + m7 * b + o1;
    const nb = m10 * r + m11 * g + m12 * b + o2;
    pixels[i] = (level(nr) | (level(ng) << 8) | (level(nb) << 16) | (pixel & OPAQUE)) >>> 0;
  }
}

function level(value: number): number {
  return value < 0 ? 0 : value > 255 ? 255 : value | 0;
}

/** The part that is keyed, in whole pixels; what lies outside is cut. */
export function insideOf({ x, y, width, height }: Rect, columns: number, rows: number): { left: number; top: number; right: number; bottom: number } {
  return { left: Math.round(x * columns), top: Math.round(y * rows), right: Math.round((x + width) * columns), bottom: Math.round((y + height) * rows) };
}

function applyKey(pixels: Pixels, width: number, height: number, key: KeyPlan): void {
  const { left, top, right, bottom } = insideOf(key.inside, width, height);
  const [toBlue, toRed] = key.along;
  const { across, low, high, spill } = key;
  // Along and across the backing's direction, straight from red, green and blue.
  const ar = toBlue * (-0.2126 / 1.8556) + toRed * ((1 - 0.2126) / 1.5748);
  const ag = toBlue * (-0.7152 / 1.8556) + toRed * (-0.7152 / 1.5748);
  const ab = toBlue * ((1 - 0.0722) / 1.8556) + toRed * (-0.0722 / 1.5748);
  const cr = across * (toBlue * ((1 - 0.2126) / 1.5748) - toRed * (-0.2126 / 1.8556));
  const cg = across * (toBlue * (-0.7152 / 1.5748) - toRed * (-0.7152 / 1.8556));
  const cb = across * (toBlue * (-0.0722 / 1.5748) - toRed * ((1 - 0.0722) / 1.8556));
  const [kr, kg, kb] = key.colour;
  const [xr, xg, xb] = key.axis;
  const scale = 1 / (high - low);
  const mostMixed = key.most_mixed;
  const part = 1 / key.full;
  const most = mostMixed * key.full;

  pixels.fill(0, 0, top * width);
  pixels.fill(0, bottom * width);
  for (let y = top; y < bottom; y++) {
    const row = y * width;
    pixels.fill(0, row, row + left);
    pixels.fill(0, row + right, row + width);
    for (let i = row + left; i < row + right; i++) {
      const pixel = pixels[i] ?? 0;
      const r = pixel & 255;
      const g = (pixel >>> 8) & 255;
      const b = (pixel >>> 16) & 255;
      let c = cr * r + cg * g + cb * b;
      if (c < 0) c = -c;
      const share = ar * r + ag * g + ab * b - c;
      if (share >= high) {
        pixels[i] = 0;
        continue;
      }
      if (share <= 0 && share <= low) continue;
      const alpha = share <= low ? 1 : (high - share) * scale;
      const mix = share > 0 ? (share < most ? share * part : mostMixed) : 0;
      const mixed = (spill * mix) / (1 - mix);
      let fr = r + mixed * (r - kr);
      let fg = g + mixed * (g - kg);
      let fb = b + mixed * (b - kb);
      fr = fr < 0 ? 0 : fr > 255 ? 255 : fr;
      fg = fg < 0 ? 0 : fg > 255 ? 255 : fg;
      fb = fb < 0 ? 0 : fb > 255 ? 255 : fb;
      c = cr * fr + cg * fg + cb * fb;
      const rest = ar * fr + ag * fg + ab * fb - (c < 0 ? -c : c);
      if (rest > 0) {
        fr -= spill * rest * xr;
        fg -= spill * rest * xg;
        fb -= spill * rest * xb;
      }
      const a = ((pixel >>> 24) * alpha + 0.5) | 0;
      pixels[i] = (level(fr + 0.5) | (level(fg + 0.5) << 8) | (level(fb + 0.5) << 16) | (a << 24)) >>> 0;
    }
  }
}

/** Alpha along the edges of the keyed part and how clean the matte is, for the core to judge. */
export interface Matte {
  /** mean alpha of each cell along the edge, 0 to 1 */
  left: number[];
  right: number[];
  top: number[];
  /** share of pixels that are neither kept nor cut */
  between: number;
}

const EDGE_CELLS = 24;
const EDGE_DEEP = 3;

export function measureMatte(pixels: Pixels, width: number, height: number, inside: Rect): Matte {
  const { left, top, right, bottom } = insideOf(inside, width, height);
  const alpha = (x: number, y: number): number => (pixels[y * width + x] ?? 0) >>> 24;
  const along = (length: number, at: (place: number, deep: number) => number): number[] =>
    Array.from({ length: EDGE_CELLS }, (_, cell) => {
      let [sum, count] = [0, 0];
      for (let place = Math.floor((cell * length) / EDGE_CELLS); place < Math.floor(((cell + 1) * length) / EDGE_CELLS); place++) {
        for (let deep = 0; deep < EDGE_DEEP; deep++, count++) sum += at(place, deep);
      }
      return count === 0 ? 0 : Math.round(sum / count / 2.55) / 100;
    });
  let [between, seen] = [0, 0];
  for (let y = top; y < bottom; y += 3) {
    for (let x = left; x < right; x += 3, seen++) {
      const a = alpha(x, y);
      if (a > 25 && a < 230) between++;
    }
  }
  return {
    left: along(bottom - top, (place, deep) => alpha(left + deep, top + place)),
    right: along(bottom - top, (place, deep) => alpha(right - 1 - deep, top + place)),
    top: along(right - left, (place, deep) => alpha(left + place, top + deep)),
    between: seen === 0 ? 0 : Math.round((1000 * between) / seen) / 1000,
  };
}
