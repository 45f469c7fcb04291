/** What a key does to the chosen windows. */

type Pressed = { what: 'nudge' | 'resize'; dx: number; dy: number } | { what: 'remove' | 'duplicate' | 'undo' | 'redo' | 'nothing' };

const ARROWS: Record<string, [number, number]> = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] };

export function keyOf(event: KeyboardEvent): Pressed | null {
  const target = event.target as HTMLElement;
  if (target.matches('input, select, textarea')) return null;
  const step = ARROWS[event.key];
  if (step) {
    const far = event.shiftKey ? 10 : 1;
    return { what: event.altKey ? 'resize' : 'nudge', dx: step[0] * far, dy: step[1] * far };
  }
  const key = event.key.toLowerCase();
  if (event.ctrlKey || event.metaKey) {
    if (key === 'z') return { what: event.shiftKey ? 'redo' : 'undo' };
    if (key === 'y') return { what: 'redo' };
    return key === 'd' ? { what: 'duplicate' } : null;
  }
  if (key === 'delete' || key === 'backspace') return { what: 'remove' };
  return key === 'escape' ? { what: 'nothing' } : null;
}
