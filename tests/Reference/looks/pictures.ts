/** Pictures whose truth is known: scenes, the same scenes under another lamp, and people before a backing with their true matte. */
import { execFileSync } from 'node:child_process';

/** Red, green, blue of each pixel, coded, 0 to 255, not rounded. */
export interface Picture {
  width: number;
  height: number;
  rgb: Float64Array;
}

/** Asks the core; a question a line. */
export function ask<T>(questions: unknown[]): T[] {
  const input = questions.map((question) => JSON.stringify(question)).join('\n') + '\n';
  return execFileSync('php', ['tests/Reference/looks/ask.php'], { input, encoding: 'utf8', maxBuffer: 1e9 }).trim().split('\n').map((line) => JSON.parse(line) as T);
}

/** mulberry32: the same numbers for the same seed. */
export function chance(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

/** Normal, mean 0, spread 1. */
export function noise(next: () => number): number {
  return Math.sqrt(-2 * Math.log(1 - next())) * Math.cos(2 * Math.PI * next());
}

export function toLight(level: number): number {
  const coded = level / 255;
  return coded <= 0.04045 ? coded / 12.92 : ((coded + 0.055) / 1.055) ** 2.4;
}

export function toLevel(light: number): number {
  const held = Math.max(0, Math.min(1, light));
  return 255 * (held <= 0.0031308 ? 12.92 * held : 1.055 * held ** (1 / 2.4) - 0.055);
}

export function bytes(picture: Picture): Uint8ClampedArray<ArrayBuffer> {
  const rgba = new Uint8ClampedArray(picture.width * picture.height * 4);
  for (let i = 0; i < picture.rgb.length / 3; i++) rgba.set([picture.rgb[3 * i] ?? 0, picture.rgb[3 * i + 1] ?? 0, picture.rgb[3 * i + 2] ?? 0, 255], 4 * i);
  return rgba;
}

export function make(width: number, height: number, at: (x: number, y: number) => [number, number, number]): Picture {
  const rgb = new Float64Array(width * height * 3);
  for (let y = 0; y < height; y++) for (let x = 0; x < width; x++) rgb.set(at(x, y), 3 * (y * width + x));
  return { width, height, rgb };
}

/** Things of many colours on a lit ground, as on a bench. */
export function scene(seed: number, width = 192, height = 108): Picture {
  const next = chance(seed);
  const things = Array.from({ length: 26 }, () => ({ x: next() * width, y: next() * height, r: 4 + next() * 16, colour: [next(), next(), next()].map((v) => 30 + 190 * v) as [number, number, number] }));
  const ground = [120 + 80 * next(), 110 + 80 * next(), 90 + 80 * next()] as const;
  return make(width, height, (x, y) => {
    const lit = 0.75 + 0.25 * (x / width) + 0.05 * Math.sin(y / 5);
    let colour: [number, number, number] = [ground[0], ground[1], ground[2]];
    for (const thing of things) {
      const far = Math.hypot(x - thing.x, y - thing.y) / thing.r;
      if (far < 1) colour = thing.colour.map((v) => v * (1.05 - 0.4 * far)) as [number, number, number];
    }
    return colour.map((v) => v * lit) as [number, number, number];
  });
}

/** The same scene as another camera sees it: other light, other gain, other black, its own noise. */
export function otherCamera(picture: Picture, seed: number): Picture {
  const next = chance(seed + 7000);
  const [gain, offset] = [0.85 + 0.3 * next(), -10 + 20 * next()];
  const lamp = [0.75 + 0.5 * next(), 0.9 + 0.2 * next(), 0.75 + 0.5 * next()];
  return noisy({ ...picture, rgb: picture.rgb.map((v, i) => gain * toLevel((lamp[i % 3] ?? 1) * toLight(v)) + offset) }, seed + 1, 2);
}

export function noisy(picture: Picture, seed: number, spread: number): Picture {
  const next = chance(seed);
  return { ...picture, rgb: picture.rgb.map((v) => Math.round(Math.max(0, Math.min(255, v + spread * noise(next))))) };
}

export interface Keyed {
  picture: Picture;
  /** true alpha, 0 to 1 */
  matte: Float64Array;
  /** what stands in front, without the backing's light on it */
  front: Picture;
  /** colour of the backing where one would point */
  backing: [number, number, number];
}

/** Somebody with loose hair before an unevenly lit backing, with a shadow on it and its light on the edges. */
export function person(seed: number, width = 240, height = 135): Keyed {
  const next = chance(seed + 50);
  const backing = ([[30, 150, 90], [40, 80, 190], [43, 154, 128], [60, 190, 60]] as const)[Math.floor(next() * 4)] ?? [30, 150, 90];
  const skin = ([[185, 133, 99], [224, 172, 140], [110, 74, 56]] as const)[Math.floor(next() * 3)] ?? [185, 133, 99];
  const hair = ([[40, 28, 24], [120, 84, 50], [200, 180, 150]] as const)[Math.floor(next() * 3)] ?? [40, 28, 24];
  const coat = ([[91, 74, 125], [160, 60, 50], [225, 220, 210], [50, 52, 60]] as const)[Math.floor(next() * 4)] ?? [91, 74, 125];
  const [cx, cy] = [width * (0.42 + 0.16 * next()), height * 0.42];
  const strands = Array.from({ length: 46 }, () => {
    const angle = Math.PI * (1.02 + 0.96 * next());
    const far = 26 + 12 * next();
    return { x0: cx + 20 * Math.cos(angle), y0: cy + 24 * Math.sin(angle), x1: cx + far * Math.cos(angle + 0.25 * noise(next)), y1: cy + far * 1.1 * Math.sin(angle + 0.1 * noise(next)), thick: 0.35 + 0.5 * next() };
  });
  const matte = new Float64Array(width * height);
  const soft = (distance: number, blur: number): number => Math.max(0, Math.min(1, 0.5 - distance / blur));
  const inFront = make(width, height, (x, y) => {
    const head = Math.hypot((x - cx) / 20, (y - cy) / 25);
    const body = y > cy + 22 ? Math.abs(x - cx) - 22 - 0.9 * (y - cy - 22) : 99;
    // The right arm moves: its edge is blurred.
    const arm = Math.hypot(Math.max(0, Math.abs(x - cx - 62) - 12), Math.max(0, Math.abs(y - cy - 30) - 5)) - 5;
    let strand = 0;
    for (const { x0, y0, x1, y1, thick } of strands) {
      const t = Math.max(0, Math.min(1, ((x - x0) * (x1 - x0) + (y - y0) * (y1 - y0)) / ((x1 - x0) ** 2 + (y1 - y0) ** 2)));
      strand = Math.max(strand, Math.min(1, thick) * Math.max(0, 1 - Math.hypot(x - x0 - t * (x1 - x0), y - y0 - t * (y1 - y0)) / 1.1));
    }
    const [a1, a2, a3] = [soft((head - 1) * 22, 1.6), soft(body, 1.6), soft(arm, 7)];
    matte[y * width + x] = Math.max(a1, a2, a3, strand);
    const shade = 0.8 + 0.2 * Math.cos((x - cx) / 30);
    const colour = a1 > 0.5 ? (y < cy - 8 ? hair : skin) : a2 >= a3 && a2 > strand ? coat : a3 > strand ? skin : hair;
    return colour.map((v) => v * shade) as [number, number, number];
  });
  const inLight = next() > 0.5;
  const mix = (a: number, front: number, back: number): number => (inLight ? toLevel(a * toLight(front) + (1 - a) * toLight(back)) : a * front + (1 - a) * back);
  const spill = 0.05 + 0.1 * next();
  const composite = make(width, height, (x, y) => {
    const i = y * width + x;
    const shadow = 1 - 0.22 * soft(Math.hypot((x - cx - 34) / 1.4, y - cy - 10) - 22, 26);
    const lit = (1 - 0.18 * (x / width) - 0.08 * (y / height)) * shadow;
    const a = matte[i] ?? 0;
    const nearEdge = Math.max(0, 1 - Math.abs(Math.hypot((x - cx) / 20, (y - cy) / 25) - 1) * 3);
    return [0, 1, 2].map((c) => {
      const front = (inFront.rgb[3 * i + c] ?? 0) * (1 - spill * nearEdge) + spill * nearEdge * (backing[c] ?? 0);
      return mix(a, front, (backing[c] ?? 0) * lit);
    }) as [number, number, number];
  });
  return { picture: noisy(composite, seed, 1.5), matte, front: inFront, backing: [...backing].map((v) => Math.round(v * 0.92)) as [number, number, number] };
}
