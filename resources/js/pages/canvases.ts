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

/** The boxes of the pages have the shape of most shows; a show of another shape stands in the middle of them. */
const BOX = 16 / 9;
const OTHER_SHAPE = 0.02;

const isOther = (aspect: number, box: number): boolean => Math.abs(box / aspect - 1) > OTHER_SHAPE;

/**
 * As many pixels as the screen shows, so that no pass paints more than can be seen.
 *
 * @param aspect width by height of what is painted, when it is not whatever the box is
 */
export function fitPixels(canvas: HTMLCanvasElement, aspect?: number): void {
  const scale = Math.min(2, devicePixelRatio);
  // On a part of the page that is not shown yet it has no size on the screen.
  const box = canvas.clientWidth > 0 ? { width: canvas.clientWidth, height: canvas.clientHeight } : { width: canvas.width / scale, height: canvas.height / scale };
  const other = aspect !== undefined && isOther(aspect, box.width / box.height);
  canvas.style.objectFit = other ? 'contain' : '';
  const width = Math.round(scale * (other ? Math.min(box.width, box.height * aspect) : box.width));
  const height = Math.round(scale * (other ? Math.min(box.height, box.width / aspect) : box.height));
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
    program.className = `block h-full w-full ${isOther(program.width / program.height, BOX) ? 'object-contain' : ''}`;
    slot.prepend(program);
  }
  for (const canvas of root.querySelectorAll<HTMLCanvasElement>('canvas[data-view]')) {
    const show = showOf(canvas);
    if (!show || attached.has(canvas)) continue;
    const { width, height } = session.store.book.canvas;
    fitPixels(canvas, show.kind === 'source' ? undefined : width / height);
    session.painter.attach(canvas, show);
    attached.add(canvas);
  }
}
