/** The pages of a deck: the one that is shown, and those that may be next, painted ahead. */
import type { PDFDocumentProxy } from 'pdfjs-dist';
import type { DeskStore } from '../desk/store';
import { Feed } from './feed';
/** Comes only when there is a deck: it is large. */
const pdf = () => import('./pdf');

const KEPT_PAGES = 10;

export class DeckFeed extends Feed {
  private pdf: PDFDocumentProxy | undefined;
  private readonly pages = new Map<number, HTMLCanvasElement>();
  private shown: HTMLCanvasElement | undefined;
  private painting = false;
  private closed = false;

  /** @param url of the PDF */
  constructor(
    private readonly source: string,
    private readonly url: string,
    private readonly store: DeskStore,
  ) {
    super();
  }

  async open(): Promise<void> {
    try {
      this.pdf = await (await pdf()).openPdf(this.url);
      await this.paintAhead();
    } catch {
      if (this.closed) return;
      this.lose('unreadable');
      setTimeout(() => void (this.closed || this.open()), 3000);
    }
  }

  /** The page that the desk says, counted from 1. */
  get page(): number {
    const deck = this.store.book.sources[this.source]?.deck;
    return deck?.shows[this.store.handlings.position(deck.group) - 1] ?? deck?.shows.at(-1) ?? 1;
  }

  /** Looks at each beat whether the page is another one; until it is painted, the page before stays. */
  override beat(): void {
    const wanted = this.pages.get(this.page);
    if (wanted && wanted !== this.shown) this.show(wanted);
    if (this.pdf && !this.painting && this.missing() !== undefined) void this.paintAhead();
  }

  close(): void {
    this.closed = true;
    void this.pdf?.loadingTask.destroy();
    this.pages.clear();
  }

  override get size(): null {
    return null; // known since the file came
  }

  /** The page that is needed, then the next ones, then the one before. */
  private missing(): number | undefined {
    const [now, last] = [this.page, this.pdf?.numPages ?? 0];
    return [now, now + 1, now - 1, now + 2].find((page) => page >= 1 && page <= last && !this.pages.has(page));
  }

  private async paintAhead(): Promise<void> {
    if (this.painting || !this.pdf) return;
    this.painting = true;
    try {
      for (let page = this.missing(); page !== undefined && !this.closed; page = this.missing()) {
        const { width, height } = this.store.book.canvas;
        this.pages.set(page, await (await pdf()).paintPage(this.pdf, page, Math.max(1280, width), Math.max(720, height)));
        this.forgetFarPages();
        this.beat();
      }
    } finally {
      this.painting = false;
    }
  }

  private forgetFarPages(): void {
    const far = [...this.pages.keys()].sort((a, b) => Math.abs(b - this.page) - Math.abs(a - this.page));
    for (const page of far.slice(0, Math.max(0, far.length - KEPT_PAGES))) this.pages.delete(page);
  }

  private show(canvas: HTMLCanvasElement): void {
    this.shown = canvas;
    this.image = { image: canvas, width: canvas.width, height: canvas.height };
    this.live();
    this.dispatchEvent(new Event('change'));
  }
}
