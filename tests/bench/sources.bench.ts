/** What the rig costs: measuring signals, a long deck, eight sources of mixed kinds at once. Prints, never asserts a time. */
import { execFileSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, type Page } from '@playwright/test';
import { FAKE_DEVICES, becomeHost, launch, test } from '../Browser/support/rhetorix';

/** Sixty pages as a talk has them: a heading, text, a drawing. */
async function longDeck(): Promise<string> {
  const file = join(mkdtempSync(join(tmpdir(), 'rhetorix-deck-')), 'sixty.pdf');
  const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu'] });
  const page = await browser.newPage();
  const words = 'A mineral is told by what it does to light, to steel and to a white plate. '.repeat(12);
  await page.setContent(
    `<style>@page{size:1280px 720px;margin:0}section{width:1280px;height:720px;padding:60px;box-sizing:border-box;break-after:page;font:24px sans-serif}</style>` +
      Array.from({ length: 60 }, (_, i) => `<section><h1>Page ${i + 1}</h1><p>${words}</p><svg width="400" height="120">${Array.from({ length: 40 }, (_, k) => `<circle cx="${10 * k}" cy="${60 + 40 * Math.sin(k + i)}" r="6" fill="hsl(${k * 9},60%,50%)"/>`).join('')}</svg></section>`).join(''),
  );
  await page.pdf({ path: file, width: '1280px', height: '720px', printBackground: true });
  await browser.close();
  return file;
}

async function measure(page: Page, seconds: number) {
  return page.evaluate(async (seconds) => {
    const session = window.rhetorix;
    if (!session?.rig || !session.sampler) throw new Error('This is not the host.');
    const { book } = session.store;
    const frames = new Map([...session.rig.feeds].map(([id, feed]) => [id, feed.frames]));
    const [passes, spent] = [session.painter.passes, session.sampler.spent];
    const began = performance.now();
    const gaps: number[] = [];
    let last = began;
    const count = (now: number): void => {
      gaps.push(now - last);
      last = now;
    };
    session.afterPass.add(count);
    await new Promise((resolve) => setTimeout(resolve, seconds * 1000));
    session.afterPass.delete(count);
    const passed = (performance.now() - began) / 1000;
    const watched = [...session.rig.feeds].filter(([id, feed]) => book.sources[id]?.watched && feed.state === 'live').length;
    return {
      fps: (session.painter.passes - passes) / passed,
      late: gaps.filter((gap) => gap > 50).length / Math.max(1, gaps.length),
      share: ((session.sampler.spent - spent) / passed / 1000 / Math.max(1, watched)) * 100,
      watched,
      rates: [...session.rig.feeds].filter(([id]) => book.sources[id]?.moving).map(([id, feed]) => `${book.sources[id]?.name ?? ''} ${((feed.frames - (frames.get(id) ?? 0)) / passed).toFixed(0)}`),
    };
  }, seconds);
}

test('bench of the rig', async ({ newDesk, api, baseURL }) => {
  const { page: host } = await newDesk();
  await becomeHost(host);
  await host.goto(`/shows/${api.id}/rig`);
  await becomeHost(host);

  const deck = await longDeck();
  await host.getByTestId('still-file').setInputFiles(deck);
  const card = host.locator('[data-testid=source-card]').filter({ has: host.getByRole('heading', { name: 'sixty', exact: true }) });
  await card.waitFor();
  const source = await api.sourceId('sixty');
  await host.reload();
  const opened = await host.evaluate(async (id) => {
    const began = performance.now();
    while (window.rhetorix?.rig?.feeds.get(id)?.state !== 'live') await new Promise((resolve) => setTimeout(resolve, 20));
    return performance.now() - began;
  }, source);
  await card.getByTestId('page-list').click();
  const listed = await host.evaluate(async () => {
    const began = performance.now();
    let first = 0;
    for (;;) {
      const done = document.querySelectorAll('[data-page] canvas').length;
      if (done > 0 && first === 0) first = performance.now() - began;
      if (done >= 60) return { first, all: performance.now() - began };
      await new Promise((resolve) => setTimeout(resolve, 20));
    }
  });
  await api.send('source.remove', { source });

  // eight of mixed kinds: four stand-ins, the network camera, two cameras, a phone; and two decks besides
  const devices = await host.evaluate(async () => {
    (await navigator.mediaDevices.getUserMedia({ video: true })).getTracks().forEach((track) => track.stop());
    return (await navigator.mediaDevices.enumerateDevices()).filter(({ kind }) => kind === 'videoinput').map(({ deviceId }) => deviceId);
  });
  for (const [i, device] of devices.slice(0, 2).entries()) await api.send('source.connect', { name: `Camera ${i}`, kind: 'camera', settings: { device, label: 'fake', width: 640, height: 360 } });
  await api.send('source.connect', { name: 'Roving phone', kind: 'phone', settings: {} });
  await host.locator('[data-testid=source-card]').filter({ has: host.getByRole('heading', { name: 'Roving phone', exact: true }) }).getByTestId('show-link').click();
  const url = (await host.getByTestId('join-url').getAttribute('href')) ?? '';
  const phoneBrowser = await launch(FAKE_DEVICES);
  const phone = await (await phoneBrowser.newContext({ ...(baseURL === undefined ? {} : { baseURL }) })).newPage();
  await phone.goto(url);
  await phone.getByTestId('join-start').click();
  const phoneId = await api.sourceId('Roving phone');
  await host.waitForFunction((id) => window.rhetorix?.rig?.feeds.get(id)?.state === 'live', phoneId);
  await api.begin('Bench + Lectern', 'Slides + Lectern');
  await host.bringToFront();
  await host.getByRole('link', { name: 'Desk' }).click();
  await host.waitForTimeout(4000);
  const eight = await measure(host, 12);
  await phoneBrowser.close();
  for (const name of ['Camera 0', 'Camera 1', 'Roving phone']) await api.send('source.remove', { source: await api.sourceId(name) });
  await host.waitForTimeout(2000);
  const demo = await measure(host, 10);

  const bytes = execFileSync('stat', ['-c', '%s', deck], { encoding: 'utf8' }).trim();
  const rows = [
    ['the demo show, five watched sources, 14 cards', `${demo.fps.toFixed(1)} fps, ${(100 * demo.late).toFixed(1)} % late; ${demo.rates.join(', ')} frames a second`, '30 fps'],
    ['measuring signals, share of a core for each source', `${demo.share.toFixed(2)} % (${demo.watched} sources)`, 'at most 2 %'],
    [`a deck of 60 pages (${bytes} bytes): its first page on the desk`, `${(opened / 1000).toFixed(2)} s`, 'within 3 s'],
    ['its page list: first page, all pages', `${(listed.first / 1000).toFixed(2)} s, ${(listed.all / 1000).toFixed(1)} s`, 'within 3 s, the rest goes on'],
    ['eight live sources of mixed kinds, with a phone in a browser of its own on the same machine', `${eight.fps.toFixed(1)} fps, ${(100 * eight.late).toFixed(1)} % late; ${eight.rates.join(', ')} frames a second`, '30 fps'],
  ] as const;
  for (const [what, got, aim] of rows) console.log(`${what.padEnd(92)} ${got}   [aim: ${aim}]`);
  const json = process.env.RHETORIX_BENCH_JSON;
  if (json) writeFileSync(json.replace(/\.json$/, '') + '.rig.json', JSON.stringify({ rows }, null, 2));
});
