/**
 * x-shows="value": a field shows a value that may change at any time, but not
 * under the hand of somebody who is typing or dragging.
 */
import Alpine from 'alpinejs';

export function addShows(): void {
  Alpine.directive('shows', (element, { expression }, { effect, evaluateLater }) => {
    if (!(element instanceof HTMLInputElement || element instanceof HTMLSelectElement)) return;
    const value = evaluateLater<string | number>(expression);
    let editing = false;
    element.addEventListener('input', () => (editing = true));
    for (const end of ['change', 'blur']) element.addEventListener(end, () => (editing = false));
    effect(() => value((now) => {
      if (!editing) element.value = String(now);
    }));
  });
}
