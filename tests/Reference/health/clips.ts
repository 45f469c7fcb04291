/**
 * Clips of a camera, with faults put in at known times. It knows nothing of
 * the thresholds: scenes, noise and faults are drawn from a seed, and the
 * seeds of the report are others than those that were looked at while tuning.
 */
import { execFileSync } from 'node:child_process';

export const COLUMNS = 96;
export const ROWS = 54;
/** Frames in a row that are looked at in each second, of 30. */
export const BURST = 6;

export type Fault = 'noisy freeze' | 'black with a logo' | 'slow frames' | 'colour drift';

export interface Clip {
  name: string;
  seconds: number;
  fault: { kind: Fault; from: number; to: number } | null;
  /** RGBA of the points of frame `index` (30 a second) */
  frame(index: number): Uint8ClampedArray;
}

/** mulberry32: small, and the same everywhere. */
export function randomOf(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

type Colour = [number, number, number];

interface Scene {
  name: string;
  /** the colour of a point at a time */
  at(column: number, row: number, seconds: number): Colour;
}

const mix = (a: Colour, b: Colour, share: number): Colour => [a[0] + (b[0] - a[0]) * share, a[1] + (b[1] - a[1]) * share, a[2] + (b[2] - a[2]) * share];

/** What the camera looks at: some of it stands perfectly still. */
function sceneOf(random: () => number): Scene {
  const colour = (): Colour => [60 + 150 * random(), 60 + 150 * random(), 60 + 150 * random()];
  const [wall, floor, thing, shirt] = [colour(), colour(), colour(), colour()];
  const blobs = Array.from({ length: 5 }, () => ({ x: random(), y: random(), r: 0.05 + 0.12 * random(), c: colour() }));
  // What stands still is worked out once.
  const table: Colour[] = [];
  for (let row = 0; row < ROWS; row++) {
    for (let column = 0; column < COLUMNS; column++) {
      const [x, y] = [column / COLUMNS, row / ROWS];
      let seen = y > 0.7 ? floor : mix(wall, [wall[0] * 0.7, wall[1] * 0.7, wall[2] * 0.75], x);
      for (const blob of blobs) if (Math.hypot(x - blob.x, (y - blob.y) * 0.56) < blob.r) seen = mix(blob.c, thing, y);
      table.push(seen);
    }
  }
  const still = (column: number, row: number): Colour => table[row * COLUMNS + column] ?? wall;
  const pace = 0.4 + random();
  const kinds: Scene[] = [
    { name: 'a still thing', at: still },
    {
      name: 'somebody who talks',
      at: (column, row, t) => {
        const [x, y] = [column / COLUMNS, row / ROWS];
        const [cx, cy] = [0.5 + 0.02 * Math.sin(t * pace), 0.45 + 0.01 * Math.sin(t * pace * 2.3)];
        if (Math.hypot(x - cx, (y - cy) * 0.56) < 0.09) return mix([190, 140, 110], [150, 100, 80], x);
        if (y > cy + 0.15 && Math.abs(x - cx) < 0.2 + 0.03 * Math.sin(t * 3 * pace)) return shirt;
        return still(column, row);
      },
    },
    {
      // comes in, stands there, goes out: a quarter of the picture changes its colour
      name: 'somebody who walks through',
      at: (column, row, t) => {
        const at = ((t * 0.02 * pace) % 1.6) - 0.3;
        return row / ROWS > 0.25 && Math.abs(column / COLUMNS - at) < 0.13 ? shirt : still(column, row);
      },
    },
    {
      // clouds: the light goes slowly up and down by a fifth
      name: 'light that changes',
      at: (column, row, t) => {
        const light = 0.9 + 0.1 * Math.sin(t * 0.13 * pace);
        const [r, g, b] = still(column, row);
        return [r * light, g * light, b * light];
      },
    },
    {
      // every now and then the camera is turned to another place
      name: 'a camera that is moved',
      at: (column, row, t) => {
        const place = Math.floor(t / 37);
        return still((column + place * 35) % COLUMNS, (row + place * 11) % ROWS);
      },
    },
  ];
  return kinds[Math.floor(random() * kinds.length)] ?? (kinds[0] as Scene);
}

/** Noise that depends on nothing but seed, frame and point. */
function noiseAt(seed: number, frame: number, point: number): number {
  let h = Math.imul(seed ^ Math.imul(frame + 1, 0x9e3779b1) ^ Math.imul(point + 1, 0x85ebca6b), 0xc2b2ae35);
  h ^= h >>> 15;
  h = Math.imul(h, 0x27d4eb2f);
  h ^= h >>> 13;
  const a = (h >>> 0) / 4294967296;
  h = Math.imul(h ^ 0x165667b1, 0x9e3779b1);
  const b = ((h ^ (h >>> 16)) >>> 0) / 4294967296;
  // the sum of two is near enough to a bell: standard deviation 1
  return (a + b - 1) * 2.449;
}

export function clipOf(seed: number, fault: Fault | null, seconds = 120): Clip {
  const random = randomOf(seed);
  const scene = sceneOf(random);
  const sigma = 1.1 + 3.2 * random();
  const from = 50 + Math.floor(20 * random());
  const to = fault === 'colour drift' ? seconds : from + 25 + Math.floor(15 * random());
  const shimmer = 0.08 + 0.14 * random();
  const repeats = 3 + Math.floor(4 * random());
  const [logoX, logoY, logoSize] = [0.7 + 0.1 * random(), 0.05 + 0.1 * random(), 0.14 + 0.05 * random()];
  const logo: Colour = [120 + 130 * random(), 120 + 130 * random(), 120 + 130 * random()];
  const tint: Colour = random() > 0.5 ? [22, 2, -20] : [-18, 3, 22];
  const pixels = new Uint8ClampedArray(COLUMNS * ROWS * 4);

  return {
    name: `${scene.name}, noise ${sigma.toFixed(1)}${fault === null ? '' : `, ${fault}`}`,
    seconds,
    fault: fault === null ? null : { kind: fault, from, to },
    frame(index) {
      const now = index / 30;
      const faulty = fault !== null && now >= from && now < to;
      let [shown, noise, residue] = [index, sigma, 0];
      if (faulty && fault === 'noisy freeze') [shown, residue] = [Math.floor(from * 30), sigma * shimmer];
      if (faulty && fault === 'slow frames') shown = Math.floor(index / repeats) * repeats;
      const black = faulty && fault === 'black with a logo';
      // the white balance wanders within ten seconds
      const drift = faulty && fault === 'colour drift' ? Math.min(1, (now - from) / 10) : 0;
      if (black) noise = 0.9;
      for (let y = 0, p = 0, point = 0; y < ROWS; y++) {
        for (let x = 0; x < COLUMNS; x++, p += 4, point++) {
          const [fx, fy] = [x / COLUMNS, y / ROWS];
          let [r, g, b] = black ? (Math.abs(fx - logoX) < logoSize && Math.abs(fy - logoY) < logoSize * 0.7 ? logo : ([15, 15, 15] as Colour)) : scene.at(x, y, shown / 30);
          r += tint[0] * drift;
          g += tint[1] * drift;
          b += tint[2] * drift;
          const grain = noise * noiseAt(seed, shown, point) + residue * noiseAt(seed + 7, index, point);
          pixels[p] = r + grain;
          pixels[p + 1] = g + grain * 0.9;
          pixels[p + 2] = b + grain * 1.1;
          pixels[p + 3] = 255;
        }
      }
      return pixels;
    },
  };
}

/** The same clip as a network camera or a cheap capture device sends it: each frame is a JPEG of its own. */
export function codedAsJpeg(clip: Clip, quality: number): Clip {
  const size = COLUMNS * ROWS;
  const raw = Buffer.alloc(clip.seconds * BURST * size * 4);
  for (let second = 0, at = 0; second < clip.seconds; second++) {
    for (let i = 0; i < BURST; i++, at += size * 4) raw.set(clip.frame(second * 30 + i), at);
  }
  const picture = ['-f', 'rawvideo', '-pix_fmt', 'rgba', '-s', `${COLUMNS}x${ROWS}`];
  const options = { maxBuffer: raw.length * 2 };
  const jpegs = execFileSync('ffmpeg', ['-v', 'error', ...picture, '-r', '30', '-i', '-', '-c:v', 'mjpeg', '-q:v', String(quality), '-f', 'avi', '-'], { input: raw, ...options });
  const back = execFileSync('ffmpeg', ['-v', 'error', '-f', 'avi', '-i', '-', '-f', 'rawvideo', '-pix_fmt', 'rgba', '-'], { input: jpegs, ...options });
  return {
    ...clip,
    name: `${clip.name}, JPEG`,
    frame: (index) => {
      const at = (Math.floor(index / 30) * BURST + (index % 30)) * size * 4;
      return new Uint8ClampedArray(back.buffer, back.byteOffset + at, size * 4);
    },
  };
}
