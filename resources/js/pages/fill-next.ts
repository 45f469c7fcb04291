/** On the desk: one press puts another source into a place of what is next. */
import type { ShowSession } from '../session';
import { say } from './say';

export function fillNext(session: ShowSession) {
  let follow = (): void => undefined;
  return {
    picture: '',
    /** the place that a press fills: the front one, until another is chosen */
    slot: '',
    /** what was changed, so that the page notices */
    count: 0,
    init(): void {
      follow = () => {
        const { preview } = session.store.registers(performance.now());
        const next = typeof preview === 'string' ? preview : '';
        if (next !== this.picture) {
          this.picture = next;
          this.slot = this.slots.at(-1)?.slot ?? '';
        }
        this.count++;
      };
      session.store.addEventListener('change', follow);
      follow();
    },
    destroy(): void {
      session.store.removeEventListener('change', follow);
    },
    get slots(): { slot: string; purpose: string; source: string | null }[] {
      return this.count >= 0 ? (session.store.book.pictures[this.picture]?.places ?? []) : [];
    },
    get now(): string | null {
      return this.slots.find(({ slot }) => slot === this.slot)?.source ?? null;
    },
    nameOf(source: string | null): string {
      return source === null ? 'empty' : (session.store.book.sources[source]?.name ?? 'empty');
    },
    async fill(source: string): Promise<void> {
      try {
        await session.link.edit('picture.fill', { picture: this.picture, slot: this.slot, source });
      } catch (failure) {
        if (failure instanceof Error) say(failure.message);
      }
    },
  };
}
