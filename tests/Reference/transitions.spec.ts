/**
 * Moments of transitions, painted by the browser from the core's plan, against
 * ffmpeg: `xfade` for mix, bar wipes and push, `overlay` for slide, `blend`
 * with a colour for dip. The easing is linear for this, and the wipe's edge hard,
 * as ffmpeg has them.
 */
import { execFileSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { FramePlan, TransitionPlan } from '../../resources/js/plan/types';
import { asItWas, becomeHost, expect, test } from '../Browser/support/rhetorix';
import { psnrOf } from './psnr';

const LEAST_PSNR = 35;
/**
 * ffmpeg counts whole lines, so that the edge of a wipe or push may lie one
 * line of pixels beside ours: one line of 720 that is wholly wrong makes
 * 10·log10(720) = 28.6 dB, two make 25.6.
 */
const LEAST_AT_EDGES = 28.6;
const RATE = 20;
const folder = mkdtempSync(join(tmpdir(), 'rhetorix-transitions-'));
const [one, two] = ['one', 'two'].map((name) => join(folder, `Check ${name}.png`)) as [string, string];

const XFADE: Record<string, string> = {
  mix: 'fade', 'wipe-left': 'wipeleft', 'wipe-right': 'wiperight', 'wipe-up': 'wipeup', 'wipe-down': 'wipedown',
  'push-left': 'slideleft', 'push-right': 'slideright', 'push-up': 'slideup', 'push-down': 'slidedown',
};
const SLIDE: Record<string, (p: number) => string> = {
  'slide-left': (p) => `x=${Math.round(1280 * (1 - p))}:y=0`,
  'slide-right': (p) => `x=${Math.round(-1280 * (1 - p))}:y=0`,
  'slide-up': (p) => `x=0:y=${Math.round(720 * (1 - p))}`,
  'slide-down': (p) => `x=0:y=${Math.round(-720 * (1 - p))}`,
};

/** The core's plans with straight easing. */
function linearPlans(): Record<string, TransitionPlan> {
  const code = 'require "vendor/autoload.php"; use Rhetorix\\Core\\Switching\\Transition\\{TransitionKind, TransitionPlan, Easing}; $plans = []; foreach (TransitionKind::cases() as $kind) $plans[$kind->value] = TransitionPlan::of($kind, Easing::Linear)->toArray(); echo json_encode($plans);';
  return JSON.parse(execFileSync('php', ['-r', code], { encoding: 'utf8', maxBuffer: 1e8 })) as Record<string, TransitionPlan>;
}

function ffmpeg(filter: string, out: string): void {
  execFileSync('ffmpeg', ['-v', 'error', '-y', '-loop', '1', '-framerate', String(RATE), '-t', '2', '-i', one, '-loop', '1', '-framerate', String(RATE), '-t', '2', '-i', two, '-filter_complex', filter, '-map', '[v]', '-frames:v', '1', out]);
}

function byFfmpeg(kind: string, p: number): string {
  const out = join(folder, 'by-ffmpeg.png');
  if (XFADE[kind] !== undefined) ffmpeg(`[0]format=gbrp[a];[1]format=gbrp[b];[a][b]xfade=transition=${XFADE[kind]}:duration=1:offset=0,select=eq(n\\,${Math.round(p * RATE)}),format=rgb24[v]`, out);
  else if (SLIDE[kind]) ffmpeg(`[0]format=rgb24[a];[1]format=rgb24[b];[a][b]overlay=${SLIDE[kind](p)}:format=rgb,format=rgb24[v]`, out);
  else {
    const share = 1 - Math.abs(2 * p - 1);
    ffmpeg(`[${p < 0.5 ? 0 : 1}]format=gbrp,lutrgb=r=val*${1 - share}:g=val*${1 - share}:b=val*${1 - share},format=rgb24[v];[${p < 0.5 ? 1 : 0}]nullsink`, out);
  }
  return out;
}

test('paints moments of transitions as ffmpeg does', async ({ desk, api }) => {
  await asItWas(api);
  for (const [path, source] of [[one, 'testsrc2=size=1280x720:rate=1'], [two, 'smptehdbars=size=1280x720:rate=1']] as const) {
    execFileSync('ffmpeg', ['-v', 'error', '-y', '-f', 'lavfi', '-i', source, '-vf', 'gblur=sigma=2', '-frames:v', '1', path]);
  }
  await desk.goto(`/shows/${api.id}/rig`);
  await becomeHost(desk);
  for (const path of [one, two]) {
    const name = path.split('/').at(-1)?.replace('.png', '') ?? '';
    await desk.getByTestId('still-file').setInputFiles(path);
    await expect(desk.locator('[data-testid=source-card]', { hasText: name })).toHaveAttribute('data-state', 'live');
  }
  const plans = linearPlans();
  const { book } = await api.state();
  const pictures = [book.pictures[await api.pictureId('Check one')]?.plan, book.pictures[await api.pictureId('Check two')]?.plan];
  const painted = join(folder, 'painted.png');
  const paint = async (kind: string, p: number): Promise<string> => {
    const plan = plans[kind];
    if (!plan) throw new Error(`The core has no ${kind}.`);
    const hard = { ...plan, reveal: plan.reveal && { ...plan.reveal, soft: 0.0005 } };
    const png = await desk.evaluate(([pictures, plan, p]) => {
      const canvas = document.createElement('canvas');
      [canvas.width, canvas.height] = [1280, 720];
      const context = canvas.getContext('2d');
      if (context) window.rhetorix?.painter.paintMoment(context, pictures as [FramePlan, FramePlan], plan, p);
      return canvas.toDataURL('image/png').split(',')[1] ?? '';
    }, [pictures, hard, p] as const);
    writeFileSync(painted, Buffer.from(png, 'base64'));
    return painted;
  };
  const said: string[] = [];
  for (const kind of [...Object.keys(XFADE), ...Object.keys(SLIDE), 'dip']) {
    const worst = [];
    for (const p of [0.25, 0.5, 0.8]) worst.push(psnrOf(await paint(kind, p), byFfmpeg(kind, p)));
    said.push(`${kind} ${Math.min(...worst).toFixed(1)}`);
    expect(Math.min(...worst), kind).toBeGreaterThanOrEqual(/^(wipe|push)/.test(kind) ? LEAST_AT_EDGES : LEAST_PSNR);
  }
  console.log(`worst PSNR in dB of three moments each: ${said.join(', ')}`);
  // and the measure can fail
  expect(psnrOf(await paint('wipe-left', 0.5), byFfmpeg('wipe-right', 0.5))).toBeLessThan(25);
  // each begins as the old picture and ends as the new one, also those that ffmpeg has otherwise
  for (const kind of Object.keys(plans)) {
    expect(psnrOf(await paint(kind, 0), one), `${kind} at its beginning`).toBeGreaterThan(LEAST_PSNR);
    expect(psnrOf(await paint(kind, 1), two), `${kind} at its end`).toBeGreaterThan(LEAST_PSNR);
  }
  await asItWas(api);
});
