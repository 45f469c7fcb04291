/** Gives each canvas of a page to the painter, and takes back those of a page that was left. */
import type { Show } from '../painter/painter';
import type { ShowSession } from '../session';

const attached = new Set<HTMLCanvasElement>();

function showOf(canvas: HTMLCanvasElement): Show | null {
  const { view, id } = canvas.dataset;
  if (view === 'program' || view === 'preview') return { kind: view };
  if ((view === 'picture' || view === 'source') && id !== undefined) return { kind: view, id };
  return null;
}

/** As many pixels as the screen shows, so that no pass paints more than can be seen. */
export function fitPixels(canvas: HTMLCanvasElement): void {
  const width = Math.round(canvas.clientWidth * Math.min(2, devicePixelRatio));
  const height = Math.round(canvas.clientHeight * Math.min(2, devicePixelRatio));
  if (width > 0 && height > 0 && (canvas.width !== width || canvas.height !== height)) {
    canvas.width = width;
    canvas.height = height;
  }
}

export function bindCanvases(session: ShowSession, root: ParentNode): void {
  for (const canvas of attached) {
    if (canvas.isConnected) continue;
    session.painter.release(canvas);
    attached.delete(canvas);
  }
  const slot = root.querySelector('[data-program-slot]');
  if (slot && !slot.contains(session.painter.program)) {
    const { program } = session.painter;
    program.dataset.testid = 'program';
    program.setAttribute('role', 'img');
    program.setAttribute('aria-label', 'Program');
    program.className = 'block h-full w-full';
    slot.prepend(program);
  }
  for (const canvas of root.querySelectorAll<HTMLCanvasElement>('canvas[data-view]')) {
    const show = showOf(canvas);
    if (!show || attached.has(canvas)) continue;
    fitPixels(canvas);
    session.painter.attach(canvas, show);
    attached.add(canvas);
  }
}
