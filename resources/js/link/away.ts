/** Tells the worker what to keep for the time without a server. */
import type { DeskStore } from '../desk/store';

export function beginKeeping(show: string, store: DeskStore): void {
  if (!('serviceWorker' in navigator)) return;
  const kept = new Set<string>();
  const keep = async (): Promise<void> => {
    const media = Object.entries(store.book.sources).flatMap(([id, { settings, kind }]) => (['still', 'clip', 'deck'].includes(kind) ? [`/shows/${show}/media/${settings.medium ?? id}`] : []));
    const paths = [`/shows/${show}`, `/shows/${show}/program`, ...media].filter((path) => !kept.has(path));
    if (paths.length === 0) return;
    for (const path of paths) kept.add(path);
    (await navigator.serviceWorker.ready).active?.postMessage({ keep: paths });
  };
  void navigator.serviceWorker.register('/away.js', { scope: '/' }).then(keep, () => undefined);
  store.addEventListener('book', () => void keep());
}
