/** What composing costs: the plan book in PHP, dragging in the editor, a question to the core, a glide. Prints, never asserts a time. */
import { execFileSync } from 'node:child_process';
import type { Page } from '@playwright/test';
import { becomeHost, test } from '../Browser/support/rhetorix';

const middle = (values: number[]): number => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? NaN;

/** Frames that were painted a second, and the share that came late, while something goes on. */
async function while_(page: Page, work: () => Promise<void>): Promise<string> {
  await page.evaluate(() => {
    const session = window.rhetorix;
    const gaps: number[] = [];
    let last = performance.now();
    const count = (): void => {
      const now = performance.now();
      gaps.push(now - last);
      last = now;
    };
    session?.afterPass.add(count);
    (window as unknown as { gaps: number[]; stopGaps: () => void }).gaps = gaps;
    (window as unknown as { stopGaps: () => void }).stopGaps = () => session?.afterPass.delete(count);
  });
  await work();
  const gaps = await page.evaluate(() => {
    const holder = window as unknown as { gaps: number[]; stopGaps: () => void };
    holder.stopGaps();
    return holder.gaps;
  });
  const fps = (1000 * gaps.length) / gaps.reduce((sum, gap) => sum + gap, 0);
  return `${fps.toFixed(1)} fps, ${((100 * gaps.filter((gap) => gap > 50).length) / gaps.length).toFixed(1)} % late (over 50 ms)`;
}

test('composing', async ({ newDesk, api, baseURL }) => {
  const book = JSON.parse(execFileSync('php', ['tests/bench/plan-book.php'], { encoding: 'utf8' })) as Record<string, number>;
  console.log(`a plan book of 40 pictures with 4 windows each: composed in ${book.compose} ms (p95 ${book.compose_p95}), as JSON with all else ${book.whole} ms; so many bare objects ${book.bare} ms   [aim: at most 10 ms]`);

  const { page } = await newDesk();
  await becomeHost(page);
  await page.goto(`/shows/${api.id}/compose/${await api.pictureId('Bench, round Lectern')}`);
  await becomeHost(page);
  await page.waitForTimeout(4000);
  console.log(`the compose page at rest: ${await while_(page, () => page.waitForTimeout(6000))}`);
  const window = page.locator('[data-testid=compose-window][data-slot=presenter]');
  const box = await window.boundingBox();
  if (!box) throw new Error('There is no window.');
  console.log(`dragging a round window with a shadow: ${await while_(page, async () => {
    await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
    await page.mouse.down();
    for (let i = 0; i < 200; i++) {
      await page.mouse.move(box.x + box.width / 2 - 150 + 150 * Math.cos(i / 12), box.y + box.height / 2 - 100 + 100 * Math.sin(i / 9));
      await page.waitForTimeout(20);
    }
    await page.mouse.up();
  })}   [aim: 30 fps]`);

  const asked = await page.evaluate(async ([show]) => {
    const token = document.querySelector<HTMLMetaElement>('meta[name=csrf-token]')?.content ?? '';
    const layout = { layout: 'free', canvas: { width: 1280, height: 720 }, windows: [0, 1, 2, 3].map((i) => ({ slot: `w${i}`, x: 100 * i, y: 80 * i, width: 400, height: 300 })) };
    const took: { compose: number[]; bare: number[] } = { compose: [], bare: [] };
    for (let i = 0; i < 40; i++) {
      let began = performance.now();
      await fetch('/ping').then((response) => response.text());
      took.bare.push(performance.now() - began);
      began = performance.now();
      await fetch(`/shows/${show}/compose`, { method: 'POST', headers: { 'Content-Type': 'application/json', 'X-CSRF-TOKEN': token, Accept: 'application/json' }, body: JSON.stringify({ layout, fills: {} }) }).then((response) => response.text());
      took.compose.push(performance.now() - began);
    }
    return took;
  }, [api.id]);
  console.log(`a question to the core while the show goes on: ${middle(asked.compose).toFixed(0)} ms; a bare route ${middle(asked.bare).toFixed(0)} ms (${baseURL ?? ''})`);

  await page.goto(`/shows/${api.id}`);
  await becomeHost(page);
  await api.begin('Bench + Lectern', 'Bench, round Lectern');
  await page.waitForTimeout(3000);
  for (const kind of ['mix', 'glide']) {
    const from = kind === 'mix' ? 'Bench, round Lectern' : 'Lectern + Bench';
    console.log(`${kind} of 8 s on the desk: ${await while_(page, async () => {
      await api.send('take', { picture: await api.pictureId(from), transition: { kind, duration_ms: 8000 } });
      await page.waitForTimeout(7500);
    })}   [aim: at least 28 fps]`);
    await page.waitForTimeout(1500);
  }
  await api.begin('Lectern', 'Bench');
});
