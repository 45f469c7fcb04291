/** The row of sources in hand on the desk: the chosen one is opened with all that can be done to it. */
import type { ShowSession } from '../session';

export function inHand(session: ShowSession) {
  return {
    chosen: '',
    looks: 0,
    init(): void {
      session.store.addEventListener('change', () => void this.looks++);
    },
    toggle(source: string): void {
      this.chosen = this.chosen === source ? '' : source;
    },
    tally(source: string): string {
      void this.looks;
      return session.store.tally(performance.now()).sources[source] ?? 'off';
    },
    /** The canvas came after the page was bound. */
    attach(canvas: HTMLCanvasElement, id: string): void {
      session.painter.attach(canvas, { kind: 'source', id });
    },
  };
}
