/** Requests to our own server, with the page's token and answers as sentences. */

/** The server said no, and why; the sentence is for the person. */
export class Refused extends Error {
  constructor(
    readonly status: number,
    sentence: string,
  ) {
    super(sentence);
  }
}

/** The server did not answer at all, or not sensibly: worth trying again. */
export class Unreachable extends Error {}

function token(): string {
  return document.querySelector<HTMLMetaElement>('meta[name=csrf-token]')?.content ?? '';
}

async function freshToken(): Promise<void> {
  const answer = await fetch('/token', { headers: { Accept: 'application/json' } }).catch(() => null);
  const fresh = answer?.ok ? ((await answer.json()) as { token: string }).token : null;
  if (fresh !== null) document.querySelector('meta[name=csrf-token]')?.setAttribute('content', fresh);
}

async function ask(url: string, init: RequestInit, again = false): Promise<Response> {
  let response: Response;
  try {
    response = await fetch(url, {
      ...init,
      headers: { Accept: 'application/json', 'X-CSRF-TOKEN': token(), ...(init.headers as Record<string, string> | undefined) },
      signal: AbortSignal.timeout(10_000),
    });
  } catch {
    throw new Unreachable('The server does not answer.');
  }
  if (response.status === 419 && !again) {
    // The page is older than its token, as after a night or when it came out of the browser's store.
    await freshToken();
    return ask(url, init, true);
  }
  // Signed out meanwhile, or the token again: nothing is lost, it waits.
  if (response.status >= 500 || response.status === 429 || response.status === 419 || response.status === 401) throw new Unreachable(`The server answered ${response.status}.`);
  if (!response.ok) {
    const body = (await response.json().catch(() => ({}))) as { message?: string };
    throw new Refused(response.status, body.message ?? 'The server refused this.');
  }
  return response;
}

export function postJson<T>(url: string, body: unknown): Promise<T> {
  return sendJson<T>('POST', url, body);
}

export async function sendJson<T>(method: 'POST' | 'PUT', url: string, body: unknown): Promise<T> {
  const response = await ask(url, { method, body: JSON.stringify(body), headers: { 'Content-Type': 'application/json' } });
  return (await response.json()) as T;
}

/** A last word while the page is left; nobody hears the answer. */
export function sayGoodbye(url: string, body: unknown): void {
  void fetch(url, { method: 'POST', keepalive: true, body: JSON.stringify(body), headers: { 'Content-Type': 'application/json', Accept: 'application/json', 'X-CSRF-TOKEN': token() } }).catch(() => undefined);
}

export async function postForm(url: string, form: FormData): Promise<Response> {
  return ask(url, { method: 'POST', body: form });
}

export async function getJson<T>(url: string): Promise<T> {
  return (await (await ask(url, {})).json()) as T;
}

export async function get(url: string): Promise<Response> {
  return ask(url, {});
}
