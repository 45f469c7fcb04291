/** The page list of a deck: small pictures that appear one after the other, the current one marked. */
import type { ShowSession } from '../session';
import { goToPosition } from './handling';

const THUMB = { width: 176, height: 132 };

export function deckPages(session: ShowSession, source: string) {
  return {
    open: false,
    done: 0,
    begun: false,
    looks: 0,
    init(): void {
      session.store.addEventListener('change', () => void this.looks++);
    },
    get count(): number {
      return session.store.book.sources[source]?.deck?.pages ?? 0;
    },
    get current(): number {
      void this.looks;
      const deck = session.store.book.sources[source]?.deck;
      return deck?.shows[session.store.handlings.position(deck.group) - 1] ?? 1;
    },
    goTo(page: number): void {
      goToPosition(session, source, (session.store.book.sources[source]?.deck?.shows.indexOf(page) ?? 0) + 1);
    },
    async toggle(): Promise<void> {
      this.open = !this.open;
      if (!this.open || this.begun) return;
      this.begun = true;
      const place = (this as unknown as { $refs: { list: HTMLElement } }).$refs.list;
      const medium = session.store.book.sources[source]?.settings.medium;
      const { openPdf, paintPage } = await import('../capture/pdf');
      const pdf = await openPdf(`/shows/${session.show}/media/${medium ?? ''}`);
      for (let page = 1; page <= pdf.numPages && place.isConnected; page++) {
        const canvas = await paintPage(pdf, page, THUMB.width, THUMB.height);
        canvas.className = 'block w-full rounded-sm';
        canvas.setAttribute('aria-hidden', 'true');
        place.querySelector(`[data-page="${page}"]`)?.prepend(canvas);
        this.done = page;
      }
      void pdf.loadingTask.destroy();
    },
  };
}
