/**
 * What this browser remembers of a show, so that a desk that is loaded while
 * the server is away begins where the last one ended.
 */
import type { DeskStore } from '../desk/store';
import type { PlanBook, Update } from '../plan/types';

type State = Update & { book: PlanBook };

interface Kept {
  update: Update;
  /** the server's clock less this computer's */
  epoch: number;
}

const book = (show: string): string => `rhetorix.book.${show}`;
const desk = (show: string): string => `rhetorix.desk.${show}`;

function read(key: string): unknown {
  try {
    return JSON.parse(localStorage.getItem(key) ?? 'null');
  } catch {
    return null;
  }
}

function keep(key: string, value: unknown): void {
  try {
    localStorage.setItem(key, JSON.stringify(value));
  } catch {
    // No room: the desk works, only a reload without the server would begin with the page as it was stored.
  }
}

/** Whether this page came out of the browser's own store, because the server did not answer. */
export function isKept(): boolean {
  return document.documentElement.dataset.kept === 'yes';
}

/** Where to begin: with what the page says, or with what is remembered where the page is an old one. */
export function begin(show: string, page: State): { state: State; offset?: number } {
  if (!isKept()) return { state: page };
  const remembered = read(desk(show)) as Kept | null;
  const plans = (read(book(show)) as PlanBook | null) ?? page.book;
  if (!remembered) return { state: page };
  const { update, epoch } = remembered;
  return { state: { ...update, book: plans }, offset: epoch + Date.now() - performance.now() };
}

export function remember(show: string, store: DeskStore): void {
  let plans: PlanBook | null = null;
  let revision = -1;
  const write = (): void => {
    if (store.book !== plans) keep(book(show), (plans = store.book));
    if (store.revision !== revision) {
      revision = store.revision;
      const update: Partial<State> = { ...store.last };
      delete update.book;
      keep(desk(show), { update, epoch: store.epoch });
    }
  };
  store.addEventListener('change', write);
  write();
}

/** Whoever signs out leaves nothing behind. */
export function forgetAll(): void {
  for (const key of Object.keys(localStorage)) if (/^rhetorix\.(book|desk|unsent|manners)\./.test(key)) localStorage.removeItem(key);
  sessionStorage.removeItem('rhetorix.host');
  if ('caches' in globalThis) void caches.keys().then((names) => Promise.all(names.map((name) => caches.delete(name))));
}
