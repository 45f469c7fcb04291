/** What the core computes, held against published definitions as other people's programs carry them out. */
import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { Validator } from '@seriousme/openapi-schema-validator';
import bezier from 'bezier-easing';
import { launch } from '../Browser/support/rhetorix';
import { expect, test } from '@playwright/test';

interface Rect {
  x: number;
  y: number;
  width: number;
  height: number;
}

interface Tables {
  fits: { fit: 'contain' | 'cover' | 'stretch'; source: [number, number]; box: [number, number]; dest: Rect; crop: Rect }[];
  easings: Record<string, number[]>;
}

const tables = JSON.parse(execFileSync('php', ['tests/Reference/tables.php'], { encoding: 'utf8' })) as Tables;

// Control points as W3C CSS Easing Functions Level 1 lists them for its keywords; curves by npm bezier-easing.
const CURVES: Record<string, [number, number, number, number]> = {
  linear: [0, 0, 1, 1],
  ease: [0.25, 0.1, 0.25, 1],
  'ease-in': [0.42, 0, 1, 1],
  'ease-out': [0, 0, 0.58, 1],
  'ease-in-out': [0.42, 0, 0.58, 1],
};

for (const [name, points] of Object.entries(CURVES)) {
  test(`eases like bezier-easing: ${name}`, () => {
    const easing = bezier(...points);
    expect(tables.easings[name]).toHaveLength(201);
    tables.easings[name]?.forEach((value, i) => expect(Math.abs(value - easing(i / 200)), `at ${i / 200}`).toBeLessThan(1e-5));
  });
}

// W3C CSS Images Module Level 3, object-fit and object-position 50% 50%, as Chromium lays them out.
test('fits as Chromium lays out object-fit', async () => {
  const browser = await launch([]);
  const page = await browser.newPage({ viewport: { width: 700, height: 400 } });
  for (const { fit, source, box, dest, crop } of tables.fits) {
    // Red runs with x and green with y, so a pixel of the screen tells which point of the source it shows.
    const seen = await page.evaluate(
      async ({ fit, source: [w, h], box: [bw, bh] }) => {
        const canvas = document.createElement('canvas');
        [canvas.width, canvas.height] = [w, h];
        const context = canvas.getContext('2d');
        if (!context) throw new Error('no canvas');
        const pixels = context.createImageData(w, h);
        for (let y = 0; y < h; y++) for (let x = 0; x < w; x++) pixels.data.set([(255 * (x + 0.5)) / w, (255 * (y + 0.5)) / h, 0, 255], (y * w + x) * 4);
        context.putImageData(pixels, 0, 0);
        document.body.style.cssText = 'margin:0;background:#00f';
        document.body.innerHTML = `<img style="display:block;width:${bw}px;height:${bh}px;object-fit:${fit === 'stretch' ? 'fill' : fit}" src="${canvas.toDataURL()}">`;
        await document.querySelector('img')?.decode();
        return true;
      },
      { fit, source, box },
    );
    expect(seen).toBe(true);
    const shot = await page.screenshot({ clip: { x: 0, y: 0, width: box[0], height: box[1] } });
    const measured = await page.evaluate(async (png) => {
      const bitmap = await createImageBitmap(await (await fetch(`data:image/png;base64,${png}`)).blob(), { colorSpaceConversion: 'none' });
      const context = new OffscreenCanvas(bitmap.width, bitmap.height).getContext('2d');
      context?.drawImage(bitmap, 0, 0);
      const { data } = context?.getImageData(0, 0, bitmap.width, bitmap.height) ?? { data: new Uint8ClampedArray() };
      const isSource = (x: number, y: number): boolean => (data[(y * bitmap.width + x) * 4 + 2] ?? 255) < 128;
      const xs: number[] = [];
      const ys: number[] = [];
      for (let y = 0; y < bitmap.height; y++) for (let x = 0; x < bitmap.width; x++) if (isSource(x, y)) { xs.push(x); ys.push(y); }
      const [left, right] = [Math.min(...new Set(xs)), Math.max(...new Set(xs))];
      const [top, bottom] = [Math.min(...new Set(ys)), Math.max(...new Set(ys))];
      const at = (x: number, y: number): [number, number] => [(data[(y * bitmap.width + x) * 4] ?? 0) / 255, (data[(y * bitmap.width + x) * 4 + 1] ?? 0) / 255];
      return { x: left, y: top, width: right - left + 1, height: bottom - top + 1, first: at(left, top), last: at(right, bottom) };
    }, shot.toString('base64'));
    const name = `${fit} ${source.join('x')} in ${box.join('x')}`;
    for (const side of ['x', 'y', 'width', 'height'] as const) expect(Math.abs(measured[side] - dest[side]), `${name}: ${side} ${measured[side]} against ${dest[side]}`).toBeLessThanOrEqual(1);
    // half a screen pixel in from each corner of the crop, to within 1.5 levels and a pixel
    const [stepX, stepY] = [crop.width / dest.width, crop.height / dest.height];
    const points: [number, number][] = [
      [measured.first[0], crop.x + stepX / 2], [measured.first[1], crop.y + stepY / 2],
      [measured.last[0], crop.x + crop.width - stepX / 2], [measured.last[1], crop.y + crop.height - stepY / 2],
    ];
    for (const [got, wanted] of points) expect(Math.abs(got - wanted), `${name}: ${got} against ${wanted}`).toBeLessThan(0.008 + Math.max(stepX, stepY));
  }
  await browser.close();
});

test('describes its API as OpenAPI 3.1 says, by an independent validator', async ({ request }) => {
  const served = (await (await request.get('/api/v1/openapi.json')).json()) as Record<string, unknown>;
  expect(served).toEqual(JSON.parse(readFileSync('docs/api/openapi.json', 'utf8')));
  const result = await new Validator().validate(served);
  expect(result.errors ?? []).toEqual([]);
  expect(result.valid).toBe(true);
  expect(Object.keys(served.paths as object).sort()).toEqual(['/shows', '/shows/{show}/commands', '/shows/{show}/events', '/shows/{show}/state']);
});
