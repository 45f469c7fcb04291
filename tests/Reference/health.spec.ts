/** How well the watch over the signals does on clips that its thresholds were not tuned on. */
import { execFileSync } from 'node:child_process';
import { expect, test } from '@playwright/test';
import { compare, lookAt, lumaOf } from '../../resources/js/signals/measure';
import { BURST, COLUMNS, ROWS, clipOf, codedAsJpeg, type Clip, type Fault } from './health/clips';

const WISH = { every_ms: 1000, burst: BURST, columns: COLUMNS, rows: ROWS, dark: 30, clipped: 250, moved: 20 };
const SIGNALS: Record<Fault, string> = { 'noisy freeze': 'frozen', 'black with a logo': 'black', 'slow frames': 'slow', 'colour drift': 'colour-shift' };
/** Seconds. A colour is off only when it has wandered for a while; the others are there at once. */
const PATIENCE: Record<Fault, number> = { 'noisy freeze': 6, 'black with a logo': 4, 'slow frames': 8, 'colour drift': 20 };
/** Taking a fault back takes some seconds too: what is said until then is no false alarm. */
const AFTERMATH = 8;

/** What the picture host would send of a clip, a sample a second. */
function samplesOf(clip: Clip): unknown[] {
  let before: Float32Array | null = null;
  return Array.from({ length: clip.seconds }, (_, second) => {
    const noise: number[] = [];
    const moved: number[] = [];
    let since: number | null = null;
    let look: ReturnType<typeof lookAt> | null = null;
    for (let i = 0; i < BURST; i++) {
      const rgba = clip.frame(second * 30 + i);
      const luma = lumaOf(rgba);
      if (before && i === 0) since = compare(before, luma, WISH.moved).noise;
      else if (before) {
        const difference = compare(before, luma, WISH.moved);
        noise.push(difference.noise);
        moved.push(difference.moved);
      }
      look ??= lookAt(rgba, luma, WISH);
      before = luma;
    }
    return { lost: false, fps: 30, width: 1280, height: 720, noise, moved, since, ...look };
  });
}

function judged(clips: Clip[], moving = true): string[][][] {
  const lines = clips.map((clip) => JSON.stringify({ moving, samples: samplesOf(clip) })).join('\n');
  return JSON.parse(execFileSync('php', ['tests/Reference/health/judge.php'], { input: lines, encoding: 'utf8', maxBuffer: 1e9 })) as string[][][];
}

interface Report {
  found: Record<string, number[]>;
  missed: string[];
  falseAlarms: string[];
  hours: number;
}

function report(clips: Clip[], said: string[][][]): Report {
  const result: Report = { found: {}, missed: [], falseAlarms: [], hours: 0 };
  clips.forEach((clip, c) => {
    const signal = clip.fault && SIGNALS[clip.fault.kind];
    const seconds = said[c] ?? [];
    const first = seconds.findIndex((signals, second) => clip.fault !== null && second >= clip.fault.from && signals.includes(signal ?? ''));
    if (clip.fault) {
      if (first >= 0 && first < clip.fault.to) (result.found[clip.fault.kind] ??= []).push(first - clip.fault.from);
      else result.missed.push(clip.name);
    }
    let last = '';
    seconds.forEach((signals, second) => {
      const excused = clip.fault !== null && second >= clip.fault.from && second < clip.fault.to + AFTERMATH;
      if (!excused) result.hours += 1 / 3600;
      const wrong = signals.filter((other) => !(excused && (other === signal || clip.fault?.kind === 'colour drift'))).join();
      // one alarm is one however long it lasts
      if (wrong !== '' && wrong !== last) result.falseAlarms.push(`${clip.name}: ${wrong} at ${second} s`);
      last = wrong;
    });
  });
  return result;
}

const FAULTS = Object.keys(SIGNALS) as Fault[];

test('finds faults in time, and hardly ever one that is none', () => {
  test.setTimeout(300_000);
  // Seeds from 5000 were never looked at while tuning.
  const clips: Clip[] = [];
  FAULTS.forEach((fault, f) => {
    for (let i = 0; i < 8; i++) clips.push(clipOf(5000 + 100 * f + i, fault));
  });
  for (let i = 0; i < 24; i++) clips.push(clipOf(5900 + i, null));
  const coded: Clip[] = [];
  FAULTS.forEach((fault, f) => {
    for (let i = 0; i < 2; i++) coded.push(codedAsJpeg(clipOf(6000 + 100 * f + i, fault), 3));
  });
  for (let i = 0; i < 4; i++) coded.push(codedAsJpeg(clipOf(6900 + i, null), 3));

  // JPEG makes a shimmer coarser, so that a noisy freeze is found less surely there.
  for (const [what, set, mayMiss] of [['as it comes', clips, 0.05], ['coded as JPEG', coded, 0.2]] as const) {
    const { found, missed, falseAlarms, hours } = report(set, judged(set));
    const rate = falseAlarms.length / hours;
    console.log(`${what}: ${set.length} clips; ${FAULTS.map((fault) => `${fault} after ${[...(found[fault] ?? [])].sort((a, b) => a - b).join(' ')} s`).join('; ')}; missed ${missed.length}; ${falseAlarms.length} false alarms in ${hours.toFixed(2)} h (${rate.toFixed(1)} an hour)`);
    for (const alarm of [...missed.map((name) => `missed: ${name}`), ...falseAlarms]) console.log(`  ${alarm}`);
    for (const fault of FAULTS) for (const seconds of found[fault] ?? []) expect(seconds, fault).toBeLessThanOrEqual(PATIENCE[fault]);
    expect(missed.length, 'missed').toBeLessThanOrEqual(mayMiss * set.filter(({ fault }) => fault !== null).length);
    expect(rate, 'false alarms an hour').toBeLessThanOrEqual(2);
  }
});

test('never calls a slide or a still frozen, dark or bright', () => {
  const page = (luma: number): Clip => {
    const pixels = new Uint8ClampedArray(COLUMNS * ROWS * 4).map((_, i) => (i % 4 === 3 ? 255 : luma + (Math.floor(i / 400) % 7 === 0 ? -luma / 2 : 0)));
    return { name: `a page of ${luma}`, seconds: 600, fault: null, frame: () => pixels };
  };
  for (const seconds of judged([page(0), page(20), page(120), page(255)], false)) expect(new Set(seconds.flat())).toEqual(new Set());
});
