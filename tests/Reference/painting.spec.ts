/**
 * A frame plan of the core, painted by the browser, against the same plan
 * rendered by ffmpeg (crop, scale, transpose, overlay, masks of geq) from the same source stills.
 */
import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { FramePlan } from '../../resources/js/plan/types';
import { becomeHost, card, expect, test, type ShowApi } from '../Browser/support/rhetorix';
import { psnrOf } from './psnr';

const LEAST_PSNR = 35;
const folder = mkdtempSync(join(tmpdir(), 'rhetorix-painting-'));

const STILLS = [
  { name: 'Check wide', source: 'testsrc2=size=1280x720:rate=1', width: 1280, height: 720 },
  { name: 'Check four by three', source: 'smptehdbars=size=960x720:rate=1', width: 960, height: 720 },
  { name: 'Check upright', source: 'testsrc2=size=540x960:rate=1', width: 540, height: 960 },
];

/** Softened, as camera pictures are: at hard one-pixel edges two good scalers differ more than they agree. */
function makeStill(still: (typeof STILLS)[number]): string {
  const path = join(folder, `${still.name}.png`);
  execFileSync('ffmpeg', ['-v', 'error', '-y', '-f', 'lavfi', '-i', still.source, '-vf', 'gblur=sigma=2', '-frames:v', '1', path]);
  return path;
}

/** White inside a rectangle with round corners, by its distance to the rectangle of the corners' centres; soft over one pixel. */
function inside({ x, y, width, height, radius }: { x: number; y: number; width: number; height: number; radius: number }): string {
  const beyond = (at: string, from: number, length: number): string => `max(0,max(${from + radius}-(${at}+0.5),(${at}+0.5)-${from + length - radius}))`;
  const distance = `hypot(${beyond('X', x, width)},${beyond('Y', y, height)})`;
  const straight = `between(X+0.5,${x},${x + width})*between(Y+0.5,${y},${y + height})`;
  const level = `255*${straight}${radius > 0 ? `*clip(${radius}+0.5-${distance},0,1)` : ''}`.replaceAll(',', '\\,');
  return `geq=r='${level}':g='${level}':b='${level}'`;
}

function renderByFfmpeg(plan: FramePlan, stillOf: (source: string) => { path: string; width: number; height: number }): string {
  const inputs: string[] = [];
  const chain = [`color=${plan.background}:size=${plan.canvas.width}x${plan.canvas.height}:rate=1,format=rgb24[p0]`];
  plan.layers.forEach(({ source, crop, dest, turn, frame }, i) => {
    const still = stillOf(source ?? '');
    inputs.push('-i', still.path);
    const [w, h, x, y] = [crop.width * still.width, crop.height * still.height, crop.x * still.width, crop.y * still.height].map(Math.round);
    const turned = ['', 'transpose=clock,', 'hflip,vflip,', 'transpose=cclock,'][turn] ?? '';
    chain.push(`[${i}]format=rgb24,crop=${w}:${h}:${x}:${y},${turned}scale=${Math.round(dest.width)}:${Math.round(dest.height)}:flags=bilinear[s${i}]`);
    if (!frame) chain.push(`[p${i}][s${i}]overlay=${Math.round(dest.x)}:${Math.round(dest.y)}:format=rgb[p${i + 1}]`);
    else {
      // the window on a canvas of its own, cut out by a mask that is drawn point by point, and the same for its border
      const { outline, border, border_colour } = frame;
      const size = `${plan.canvas.width}x${plan.canvas.height}`;
      const inner = { x: outline.x + border, y: outline.y + border, width: outline.width - 2 * border, height: outline.height - 2 * border, radius: Math.max(0, outline.radius - border) };
      chain.push(`color=black:size=${size}:rate=1,format=rgb24[e${i}]`, `[e${i}][s${i}]overlay=${Math.round(dest.x)}:${Math.round(dest.y)}:format=rgb,format=gbrp[w${i}]`);
      chain.push(`color=${border_colour}:size=${size}:rate=1,format=gbrp[c${i}]`, `color=black:size=${size}:rate=1,format=gbrp,${inside(outline)}[mo${i}]`, `color=black:size=${size}:rate=1,format=gbrp,${inside(border > 0 ? inner : outline)}[mi${i}]`);
      chain.push(`[p${i}]format=gbrp[q${i}]`, `[q${i}][c${i}][mo${i}]maskedmerge[r${i}]`, `[r${i}][w${i}][mi${i}]maskedmerge,format=rgb24[p${i + 1}]`);
    }
  });
  const out = join(folder, 'by-ffmpeg.png');
  execFileSync('ffmpeg', ['-v', 'error', '-y', ...inputs, '-filter_complex', chain.join(';'), '-map', `[p${plan.layers.length}]`, '-frames:v', '1', out]);
  return out;
}

async function cleanUp(api: ShowApi): Promise<void> {
  await api.begin('Lectern', 'Bench');
  const { book } = await api.state();
  for (const [id, page] of Object.entries(book.pictures)) if (page.name.startsWith('Check ') && page.plan.layers.length > 1) await api.send('picture.remove', { picture: id });
  for (const [id, source] of Object.entries(book.sources)) if (source.name.startsWith('Check ')) await api.send('source.remove', { source: id });
}

test('paints the plans of the core as ffmpeg renders them', async ({ desk, api }) => {
  await cleanUp(api);
  await desk.goto(`/shows/${api.id}/rig`);
  await becomeHost(desk);
  for (const still of STILLS) {
    await desk.getByTestId('still-file').setInputFiles(makeStill(still));
    await expect(desk.locator('[data-testid=source-card]', { hasText: still.name })).toHaveAttribute('data-state', 'live');
  }
  const [wide, four, upright] = await Promise.all(STILLS.map(({ name }) => api.sourceId(name)));
  for (const [corner, large, inset, size] of [
    ['top-left', wide, four, 0.25], ['top-right', four, upright, 0.3], ['bottom-left', upright, wide, 0.5], ['bottom-right', wide, upright, 0.35],
  ] as const) {
    const made = await api.send('picture.make', { name: `Check ${corner}`, layout: { layout: 'inset', corner, size }, fills: { large, inset } });
    expect(made.status).toBe(200);
  }
  for (const [name, layout, fills] of [
    ['Check side by side', { layout: 'side-by-side', split: 0.6, gap: 0.025 }, { first: wide, second: four }],
    ['Check strip', { layout: 'strip', people: 2, share: 0.25 }, { large: four, 'person 1': upright, 'person 2': wide }],
    ['Check two boxes', { layout: 'two-boxes', shape: '4:3' }, { first: four, second: wide }],
  ] as const) {
    expect((await api.send('picture.make', { name, layout, fills })).status).toBe(200);
  }
  const composed = (windows: Record<string, unknown>[]) => ({ layout: 'free', canvas: { width: 1280, height: 720 }, windows: windows.map((window, i) => ({ slot: ['large', 'small', 'third'][i], fit: 'cover', ...window })) });
  for (const [name, layout] of [
    ['Check circle', composed([{ x: 0, y: 0, width: 1280, height: 720 }, { x: 900, y: 380, width: 280, height: 280, shape: 'circle', border: { width: 10, colour: '#f0e020' } }])],
    ['Check rounded', composed([{ x: 40, y: 60, width: 800, height: 600, shape: 'rounded', radius: 0.1 }, { x: 700, y: 100, width: 480, height: 300, shape: 'rounded', radius: 0.2, border: { width: 6, colour: '#ffffff' }, view: { zoom: 1.5, x: 0.4, y: 0.6 } }, { x: 880, y: 440, width: 300, height: 240, border: { width: 14, colour: '#204060' }, turn: 1 }])],
  ] as const) {
    expect((await api.send('picture.make', { name, layout, fills: { large: four, small: wide, third: wide } })).status).toBe(200);
  }
  await desk.getByRole('link', { name: 'Desk' }).click();

  const { book } = await api.state();
  const checked: string[] = [];
  for (const [id, page] of Object.entries(book.pictures)) {
    if (!page.name.startsWith('Check ')) continue;
    await api.send('cut', { picture: id });
    await expect(card(desk, id)).toHaveAttribute('data-tally', 'program');
    await desk.waitForTimeout(400);
    const png = await desk.evaluate(() => window.rhetorix?.painter.program.toDataURL('image/png').split(',')[1] ?? '');
    const painted = join(folder, 'painted.png');
    writeFileSync(painted, Buffer.from(png, 'base64'));
    const rendered = renderByFfmpeg(page.plan, (source) => {
      const still = STILLS.find(({ name }) => name === book.sources[source]?.name);
      if (!still) throw new Error('This plan shows something else.');
      return { path: join(folder, `${still.name}.png`), ...still };
    });
    expect(readFileSync(painted).length).toBeGreaterThan(1000);
    const similarity = psnrOf(painted, rendered);
    checked.push(`${page.name}: ${similarity.toFixed(1)} dB`);
    expect(similarity, page.name).toBeGreaterThanOrEqual(LEAST_PSNR);
  }
  console.log(checked.join(', '));
  expect(checked).toHaveLength(12);
  // and the measure can fail: another picture is not similar at all
  expect(psnrOf(join(folder, `${STILLS[0]?.name ?? ''}.png`), join(folder, 'painted.png'))).toBeLessThan(25);
  await cleanUp(api);
});
