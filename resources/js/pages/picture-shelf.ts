/** The pictures of a group: found by their names, put in order by dragging, also into another group. */
import Sortable from 'sortablejs';
import type { ShowSession } from '../session';
import { say } from './say';

export function pictureShelf(session: ShowSession) {
  let sorting: Sortable | null = null;
  return {
    init(): void {
      const shelf = (this as unknown as { $root: HTMLElement }).$root;
      if (!session.mayOperate) return;
      sorting = Sortable.create(shelf, {
        group: 'pictures',
        handle: '.drag-handle',
        draggable: '[data-testid=picture]',
        animation: 150,
        onEnd: ({ item, to }) => {
          const next = item.nextElementSibling;
          const before = next instanceof HTMLElement && next.dataset.grow !== undefined ? next.dataset.grow : null;
          void session.link.edit('picture.place', { picture: item.dataset.grow, group: to.dataset.group, before })
            .catch((failure: unknown) => say(failure instanceof Error ? failure.message : ''));
        },
      });
    },
    destroy(): void {
      sorting?.destroy();
    },
  };
}

/** Search, and files of pictures. */
export function pictureLibrary(session: ShowSession) {
  return {
    search: '',
    finds(name: string): boolean {
      return name.toLowerCase().includes(this.search.trim().toLowerCase());
    },
    async bring(input: HTMLInputElement): Promise<void> {
      const file = input.files?.[0];
      input.value = '';
      if (!file) return;
      try {
        const data = JSON.parse(await file.text()) as unknown;
        const before = session.store.revision;
        await session.link.edit('picture.bring', { file: data });
        if (session.store.revision > before) say(`The pictures of ${file.name} are here. A place whose source is not in this show is empty.`);
      } catch (failure) {
        say(failure instanceof SyntaxError ? `“${file.name}” is not a JSON file. Choose one that was saved here.` : failure instanceof Error ? failure.message : '');
      }
    },
  };
}
