/**
 * Keeps the pages of a show and their files, so that a reload works while the
 * server is away. It answers only when the server does not: what is shown is
 * never older than it has to be. The list of files (FILES) and the name of
 * this build (BUILD) are put in front by the server.
 */
(() => {
  interface Scope extends EventTarget {
    FILES: string[];
    BUILD: string;
    location: Location;
    skipWaiting(): Promise<void>;
    clients: { claim(): Promise<void> };
  }
  interface Waiting extends Event {
    waitUntil(work: Promise<unknown>): void;
  }
  interface Asked extends Waiting {
    request: Request;
    respondWith(answer: Promise<Response>): void;
  }

  const scope = self as unknown as Scope;
  const FILES = `rhetorix.files.${scope.BUILD}`;
  const PAGES = 'rhetorix.pages';
  const MEDIA = 'rhetorix.media';
  /** A server that does not answer a page in this time is away. */
  const PATIENCE_MS = 4000;
  const LARGEST_MEDIUM = 60_000_000;

  const isPage = (path: string): boolean => /^\/shows\/[0-9a-f-]{36}(\/(rig|pictures|program|panel|controls|line-up))?$/.test(path);
  const isMedium = (path: string): boolean => /^\/shows\/[0-9a-f-]{36}\/media\/[0-9a-f-]{36}$/.test(path);

  async function keepFiles(): Promise<void> {
    const files = await caches.open(FILES);
    await Promise.all(scope.FILES.map(async (file) => {
      if (!(await files.match(file))) await files.add(file).catch(() => undefined);
    }));
  }

  async function forgetOld(): Promise<void> {
    for (const name of await caches.keys()) if (name.startsWith('rhetorix.files.') && name !== FILES) await caches.delete(name);
  }

  async function fromFiles(request: Request): Promise<Response> {
    return (await caches.match(request, { ignoreVary: true })) ?? fetch(request);
  }

  async function page(request: Request): Promise<Response> {
    const pages = await caches.open(PAGES);
    const { pathname } = new URL(request.url);
    try {
      const answer = await fetch(request, { signal: AbortSignal.timeout(PATIENCE_MS) });
      if (answer.status >= 500) throw new Error('away');
      if (answer.ok && !answer.redirected && (answer.headers.get('Content-Type') ?? '').includes('html')) await pages.put(pathname, answer.clone());
      return answer;
    } catch (failure) {
      const kept = await pages.match(pathname);
      if (!kept) throw failure;
      const words = (await kept.text()).replace('<html ', '<html data-kept="yes" ');
      return new Response(words, { headers: { 'Content-Type': 'text/html; charset=utf-8' } });
    }
  }

  async function medium(request: Request): Promise<Response> {
    try {
      const answer = await fetch(request);
      if (answer.status < 500) return answer;
    } catch {
      // away: see below
    }
    const kept = await (await caches.open(MEDIA)).match(new URL(request.url).pathname);
    if (!kept) return Response.error();
    const range = /bytes=(\d+)-(\d*)/.exec(request.headers.get('Range') ?? '');
    if (!range) return kept;
    const whole = await kept.blob();
    const [from, to] = [Number(range[1]), range[2] ? Number(range[2]) : whole.size - 1];
    return new Response(whole.slice(from, to + 1), {
      status: 206,
      headers: { 'Content-Type': whole.type, 'Content-Range': `bytes ${from}-${to}/${whole.size}`, 'Content-Length': String(to - from + 1), 'Accept-Ranges': 'bytes' },
    });
  }

  async function keep(paths: string[]): Promise<void> {
    for (const path of paths.filter((path) => isPage(path) || isMedium(path))) {
      const cache = await caches.open(isPage(path) ? PAGES : MEDIA);
      if (isMedium(path) && (await cache.match(path))) continue;
      const answer = await fetch(path).catch(() => null);
      if (answer?.status !== 200 || answer.redirected || Number(answer.headers.get('Content-Length') ?? 0) > LARGEST_MEDIUM) continue;
      await cache.put(path, answer).catch(() => undefined);
    }
  }

  scope.addEventListener('install', (event) => (event as Waiting).waitUntil(keepFiles().then(() => scope.skipWaiting())));
  scope.addEventListener('activate', (event) => (event as Waiting).waitUntil(forgetOld().then(() => scope.clients.claim())));
  scope.addEventListener('message', (event) => {
    const { keep: paths } = (event as MessageEvent<{ keep?: string[] }>).data;
    if (Array.isArray(paths)) (event as unknown as Waiting).waitUntil(keep(paths));
  });
  scope.addEventListener('fetch', (event) => {
    const asked = event as Asked;
    const { request } = asked;
    const { origin, pathname } = new URL(request.url);
    if (request.method !== 'GET' || origin !== scope.location.origin) return;
    if (pathname.startsWith('/build/')) asked.respondWith(fromFiles(request));
    else if (isPage(pathname)) asked.respondWith(page(request));
    else if (isMedium(pathname)) asked.respondWith(medium(request));
  });
})();
