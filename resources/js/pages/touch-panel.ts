/** Large labelled buttons for a tablet: each says what a press on it does now. */
import { controls } from '../control/controls';
import { perform, take } from '../desk/actions';
import type { ShowSession } from '../session';

interface Button {
  id: string;
  name: string;
  tally: string;
  does: string;
}

const GROUPS: Record<string, string> = { people: 'People', material: 'Material', together: 'Together', waiting: 'Waiting' };

/** Pixels of a picture on a button, whatever the shape of program. */
const LONGER_SIDE = 320;

export function touchPanel(session: ShowSession) {
  return {
    looks: 0,
    page: sessionStorage.getItem('rhetorix.panel') ?? 'together',
    pages: { ...GROUPS, more: 'Inset and transitions' },
    init(): void {
      for (const event of ['change', 'book']) session.store.addEventListener(event, () => void this.looks++);
      session.presence.addEventListener('change', () => void this.looks++);
    },
    open(page: string): void {
      this.page = page;
      sessionStorage.setItem('rhetorix.panel', page);
    },
    get may(): boolean {
      void this.looks;
      return session.mayOperate;
    },
    get alone(): string {
      void this.looks;
      const alone = session.presence.othersAlone;
      return alone ? `${alone.name} has the desk alone at the moment.` : '';
    },
    get pictures(): Button[] {
      void this.looks;
      const { book, takes } = session.store;
      const tally = session.store.tally(performance.now()).pictures;
      return Object.entries(book.pictures)
        .filter(([, { group }]) => group === this.page)
        .map(([id, { name }]) => {
          const state = tally[id] ?? 'off';
          return { id, name, tally: state, does: state === 'preview' ? `Take: ${takes.label}` : state === 'program' ? 'On air' : 'Make it next' };
        });
    },
    attach(canvas: HTMLCanvasElement, id: string): void {
      const { width, height } = session.store.book.canvas;
      const scale = LONGER_SIDE / Math.max(width, height);
      [canvas.width, canvas.height] = [Math.round(width * scale), Math.round(height * scale)];
      session.painter.attach(canvas, { kind: 'picture', id });
    },
    press(button: Button): void {
      if (!session.mayOperate) return;
      if (button.tally === 'preview') take(session);
      else if (button.tally === 'off') session.link.press('arm', { picture: button.id });
    },
    get others(): { name: string; label: string; on: boolean }[] {
      void this.looks;
      const registers = session.store.registers(performance.now());
      const favourites = session.store.favourites.map(({ label }, i) => ({ name: `favourite-${i + 1}`, label, on: false }));
      const inset = controls.page.actions.filter(({ name }) => name.startsWith('inset-')).map(({ name, label }) => ({ name, label, on: name === `inset-${String(registers.inset)}` }));
      return [...favourites, ...inset];
    },
    run(name: string): void {
      if (session.mayOperate) perform(session, name);
    },
    get words(): Record<'program' | 'next' | 'take' | 'cover', string> {
      void this.looks;
      const { book, takes } = session.store;
      const now = performance.now();
      const names = (ids: string[]): string => ids.map((id) => book.pictures[id]?.name ?? 'Holding card').join(' → ');
      const { preview, covered } = session.store.registers(now);
      return { program: names(session.store.onAir(now).pictures), next: typeof preview === 'string' ? names([preview]) : 'nothing yet', take: takes.label, cover: covered === true ? 'Uncover' : 'Cover' };
    },
  };
}
