/** What the browser tests are written with: a browser with fake devices, a signed-in page, shows of their own. */
import { execFileSync } from 'node:child_process';
import { test as base, chromium, type APIRequestContext, type Browser, type BrowserContext, type Page } from '@playwright/test';
import type { PlanBook, Update } from '../../../resources/js/plan/types';

export { expect } from '@playwright/test';

const QUIET = ['--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking', '--disable-component-update', '--disable-sync', '--autoplay-policy=no-user-gesture-required'];

/** Cameras, microphone and screens that Chromium makes up, allowed without asking. */
export const FAKE_DEVICES = ['--use-fake-device-for-media-stream=device-count=3,fps=30', '--use-fake-ui-for-media-stream', '--allow-loopback-in-peer-connection'];

export function launch(flags: string[] = FAKE_DEVICES): Promise<Browser> {
  return chromium.launch({ executablePath: '/usr/bin/chromium', args: [...QUIET, ...flags] });
}

export const DEMO = { email: 'demo@rhetorix.test', password: 'reading-stones' };

export async function signIn(page: Page): Promise<void> {
  await page.goto('/sign-in');
  await page.fill('#email', DEMO.email);
  await page.fill('#password', DEMO.password);
  await page.click('button:has-text("Sign in")');
  await page.waitForURL(/\/shows/);
}

/** An artisan command on the instance under test. */
export function artisan(...words: string[]): string {
  const data = process.env.RHETORIX_TEST_DATA ?? 'data';
  const command = ['env', `RHETORIX_DATA=${data}`, 'php', 'artisan', ...words];
  const [program = '', ...more] = process.getuid?.() === 0 ? ['runuser', '-u', 'www-data', '--', ...command] : command;
  return execFileSync(program, more, { encoding: 'utf8' }).trim();
}

export type State = Update & { book: PlanBook };

/** A show through its HTTP API, for setting up and for looking from outside. */
export class ShowApi {
  private constructor(
    private readonly request: APIRequestContext,
    readonly id: string,
    readonly token: string,
  ) {}

  static async demo(request: APIRequestContext, name = 'Reading Stones'): Promise<ShowApi> {
    const token = artisan('rhetorix:token', DEMO.email);
    const { shows } = (await (await request.get('/api/v1/shows', { headers: { Authorization: `Bearer ${token}` } })).json()) as { shows: { id: string; name: string }[] };
    const show = shows.find((show) => show.name === name);
    if (!show) throw new Error(`There is no show called ${name}.`);
    return new ShowApi(request, show.id, token);
  }

  async state(): Promise<State> {
    return (await (await this.request.get(`/api/v1/shows/${this.id}/state`, { headers: this.headers })).json()) as State;
  }

  async send(type: string, more: Record<string, unknown> = {}, id: string = crypto.randomUUID()): Promise<{ status: number; body: State & { message?: string } }> {
    const response = await this.request.post(`/api/v1/shows/${this.id}/commands`, { headers: this.headers, data: { id, type, ...more } });
    return { status: response.status(), body: (await response.json()) as State & { message?: string } };
  }

  async pictureId(name: string): Promise<string> {
    const found = Object.entries((await this.state()).book.pictures).find(([, page]) => page.name === name);
    if (!found) throw new Error(`There is no picture called ${name}.`);
    return found[0];
  }

  async sourceId(name: string): Promise<string> {
    const found = Object.entries((await this.state()).book.sources).find(([, source]) => source.name === name);
    if (!found) throw new Error(`There is no source called ${name}.`);
    return found[0];
  }

  /** A known beginning: not covered, no inset, this on program, that next. */
  async begin(program: string, preview: string): Promise<void> {
    await this.send('uncover');
    await this.send('inset', { mode: 'off' });
    await this.send('cut', { picture: await this.pictureId(program) });
    await this.send('arm', { picture: await this.pictureId(preview) });
  }

  private get headers(): Record<string, string> {
    return { Authorization: `Bearer ${this.token}`, Accept: 'application/json' };
  }
}

interface Fixtures {
  api: ShowApi;
  /** the desk of the demo show, as picture host, with fake devices */
  desk: Page;
  newDesk: (flags?: string[]) => Promise<{ page: Page; context: BrowserContext; browser: Browser }>;
}

export const test = base.extend<Fixtures>({
  api: async ({ request }, use) => use(await ShowApi.demo(request)),
  newDesk: async ({ api, baseURL, viewport }, use) => {
    const browsers: Browser[] = [];
    await use(async (flags) => {
      const browser = await launch(flags);
      browsers.push(browser);
      const context = await browser.newContext({ ...(baseURL === undefined ? {} : { baseURL }), viewport });
      const page = await context.newPage();
      await signIn(page);
      await page.goto(`/shows/${api.id}`);
      return { page, context, browser };
    });
    for (const browser of browsers) await browser.close();
  },
  desk: async ({ newDesk }, use) => {
    const { page } = await newDesk();
    await becomeHost(page);
    await use(page);
  },
});

/** What the demo show has from the beginning. */
export const DEMO_SOURCES = ['Lectern', 'Room', 'Bench', 'Scope', 'Slides', 'Notes', 'Quarry', 'Phone', 'Tune', 'Sweep', 'Frame'];

/** Those that were composed by hand. */
const DEMO_COMPOSED = ['Bench, round Lectern', 'Slides, a guest later', 'Framed'];

/** Back to the demo show as it was: no other sources, nothing handled, decks at their first page. */
export async function asItWas(api: ShowApi): Promise<void> {
  await api.begin('Lectern', 'Bench');
  const { book, desk } = await api.state();
  for (const [id, page] of Object.entries(book.pictures)) {
    if (id !== 'holding' && !DEMO_COMPOSED.includes(page.name) && !page.name.split(' + ').every((name) => DEMO_SOURCES.includes(name))) await api.send('picture.remove', { picture: id });
  }
  for (const [id, source] of Object.entries(book.sources)) {
    if (!DEMO_SOURCES.includes(source.name) || source.kind === 'phone') await api.send('source.remove', { source: id });
    else if (desk.handlings[id]) {
      await api.send('handle', { source: id, frozen: false, blank: false, framing: { orientation: 'r0', magnify: { x: 0.5, y: 0.5, factor: 1 }, crop: { x: 0, y: 0, width: 1, height: 1 }, fit: 'auto' }, colour: false, key: false, behind: false });
      if (source.clip) await api.send('handle', { source: id, playback: { playing: false, position: 0 } });
    }
    if (source.deck) await api.send('page', { group: source.deck.group, position: 1 });
  }
}

/** Waits until the page holds the devices and its stand-ins move. */
export async function becomeHost(page: Page): Promise<void> {
  await page.waitForFunction(() => window.rhetorix !== undefined && window.rhetorix.lease.lease.holder !== null);
  if (!(await page.evaluate(() => window.rhetorix?.isHost))) await page.evaluate(() => window.rhetorix?.lease.takeOver());
  await page.waitForFunction(() => {
    const feeds = [...(window.rhetorix?.rig?.feeds.values() ?? [])];
    return feeds.length > 0 && feeds.some((feed) => feed.state === 'live');
  });
}

/** Waits until the server has everything that was pressed on the page. */
export async function isSent(page: Page): Promise<void> {
  await page.waitForFunction(() => window.rhetorix?.link.unsent === 0);
}

/** Waits until the browser has kept the desk for the time without a server. */
export async function isKept(page: Page, show: string): Promise<void> {
  await page.waitForFunction(async (path) => navigator.serviceWorker.controller !== null && (await (await caches.open('rhetorix.pages')).match(path)) !== undefined, `/shows/${show}`, { timeout: 120_000 });
}

export interface Pixel {
  r: number;
  g: number;
  b: number;
}

/** The mean colour of a part of a canvas, given in fractions. */
export function meanColour(page: Page, selector: string, part = { x: 0, y: 0, width: 1, height: 1 }): Promise<Pixel> {
  return page.evaluate(
    ([selector, part]) => {
      const canvas = document.querySelector<HTMLCanvasElement | HTMLVideoElement>(selector);
      if (!canvas) throw new Error(`There is no ${selector}.`);
      const small = new OffscreenCanvas(16, 16);
      const context = small.getContext('2d', { willReadFrequently: true });
      if (!context) throw new Error('No canvas to measure with.');
      const [w, h] = canvas instanceof HTMLVideoElement ? [canvas.videoWidth, canvas.videoHeight] : [canvas.width, canvas.height];
      context.drawImage(canvas, part.x * w, part.y * h, part.width * w, part.height * h, 0, 0, 16, 16);
      const { data } = context.getImageData(0, 0, 16, 16);
      const sum = [0, 0, 0];
      for (let i = 0; i < data.length; i += 4) for (const c of [0, 1, 2]) sum[c] = (sum[c] ?? 0) + (data[i + c] ?? 0);
      const [r = 0, g = 0, b = 0] = sum.map((total) => total / 256);
      return { r, g, b };
    },
    [selector, part] as const,
  );
}

/** How far two colours are apart, 0 to about 441. */
export function apart(a: Pixel, b: Pixel): number {
  return Math.hypot(a.r - b.r, a.g - b.g, a.b - b.b);
}

export const PROGRAM = '[data-testid=program]';
export const PREVIEW = '[data-testid=preview]';

export function card(page: Page, id: string) {
  return page.locator(`[data-testid=picture-card][data-picture-id="${id}"]`);
}
