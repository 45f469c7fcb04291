/**
 * New parts of a page are grown into what is there, so that an open form, a
 * half-typed name and a painted canvas stay while somebody else changes the show.
 */
import morph from '@alpinejs/morph';
import Alpine from 'alpinejs';
import htmx from 'htmx.org';

/** What the page itself has put there since the server wrote it. */
const OURS = ['data-tally', 'data-state', 'data-muted', 'style'];

interface Morphing {
  morph(from: Element, to: string, options: { key?(element: Element): string; updating?(from: Node, to: Node, childrenOnly: () => void, skip: () => void): void }): void;
}

export function growParts(): void {
  Alpine.plugin(morph);
  htmx.defineExtension('grow', {
    isInlineSwap: (style: string) => style === 'grow',
    handleSwap: (style: string, target: Element, fragment: Element | DocumentFragment) => {
      const next = fragment instanceof DocumentFragment ? fragment.firstElementChild : fragment;
      if (style !== 'grow' || !next) return false;
      (Alpine as unknown as Morphing).morph(target, next.outerHTML, { key: (element) => element.getAttribute('data-grow') ?? element.id, updating });
      return [target];
    },
  } as never);
}

function updating(from: Node, to: Node, _childrenOnly: () => void, skip: () => void): void {
  if (!(from instanceof Element) || !(to instanceof Element)) return;
  const isSameCanvas = from instanceof HTMLCanvasElement && from.dataset.id === (to as HTMLElement).dataset.id;
  if (isSameCanvas || from === document.activeElement || from.matches('[data-tally-word], [data-signal-note], [data-page], [data-testid=join-link]')) {
    skip();
    return;
  }
  if (from instanceof HTMLDetailsElement) to.toggleAttribute('open', from.open);
  for (const name of OURS) {
    const value = from.getAttribute(name);
    if (value !== null && to.hasAttribute(name)) to.setAttribute(name, value);
  }
}
