/**
 * Recognises the desk when it is shared into itself. A tab says so by its
 * capture handle; in a window or a whole screen a thin bar at the top of the
 * desk blinks for a moment in a code that only this desk knows, and the
 * picture that comes in is searched for it.
 */

interface CaptureHandles {
  setCaptureHandleConfig?(config: { handle: string; exposeOrigin: boolean; permittedOrigins: string[] }): void;
}
interface CapturedTab {
  getCaptureHandle?(): { handle?: string } | null;
}

const HANDLE = crypto.randomUUID();
const BITS = 18;
const BIT_MS = 110;
/** Correlation of a row of the picture with the code, from -1 to 1: chance stays under it. */
const FOUND = 0.8;
const GRID = { columns: 16, rows: 180 };

/** Says to whoever shares this tab which desk it is. */
export function markOwnTab(): void {
  if (!('mediaDevices' in navigator)) return;
  (navigator.mediaDevices as MediaDevices & CaptureHandles).setCaptureHandleConfig?.({ handle: HANDLE, exposeOrigin: false, permittedOrigins: [location.origin] });
}

export async function isOwnScreen(stream: MediaStream): Promise<boolean> {
  const track = stream.getVideoTracks()[0];
  if (!track) return false;
  const handle = (track as MediaStreamTrack & CapturedTab).getCaptureHandle?.();
  if (handle?.handle === HANDLE) return true;
  // Another tab of the browser is not this one, whatever it shows.
  if (track.getSettings().displaySurface === 'browser' && handle !== undefined) return false;
  // A moving picture may follow one code by chance, but hardly another one after it.
  return (await blinksInto(track)) && blinksInto(track);
}

async function blinksInto(track: MediaStreamTrack): Promise<boolean> {
  const video = document.createElement('video');
  video.muted = true;
  video.srcObject = new MediaStream([track]);
  const bar = document.createElement('div');
  Object.assign(bar.style, { position: 'fixed', inset: '0 0 auto 0', height: '8px', zIndex: '99', pointerEvents: 'none' });
  const code = Array.from(crypto.getRandomValues(new Uint8Array(BITS)), (byte, i) => (i < 2 ? i : byte & 1));
  const seen: Float32Array[] = [];
  try {
    await video.play();
    document.body.append(bar);
    for (const bit of code) {
      bar.style.background = bit ? '#fdfaf3' : '#1b2d47';
      await new Promise((resolve) => setTimeout(resolve, BIT_MS));
      seen.push(rowsOf(video));
    }
  } catch {
    return false;
  } finally {
    bar.remove();
    video.srcObject = null;
  }
  return bestCorrelation(code, seen) >= FOUND;
}

/** Mean luma of each row of the picture. */
function rowsOf(video: HTMLVideoElement): Float32Array {
  const canvas = new OffscreenCanvas(GRID.columns, GRID.rows);
  const context = canvas.getContext('2d', { willReadFrequently: true });
  const rows = new Float32Array(GRID.rows);
  if (!context || video.videoWidth === 0) return rows;
  context.drawImage(video, 0, 0, GRID.columns, GRID.rows);
  const { data } = context.getImageData(0, 0, GRID.columns, GRID.rows);
  for (let i = 0; i < data.length; i += 4) {
    const row = Math.floor(i / 4 / GRID.columns);
    rows[row] = (rows[row] ?? 0) + ((data[i] ?? 0) + (data[i + 1] ?? 0) + (data[i + 2] ?? 0)) / 3 / GRID.columns;
  }
  return rows;
}

/** How well the brightness of any row follows the code; the picture may come a bit late. */
export function bestCorrelation(code: number[], seen: Float32Array[]): number {
  let best = 0;
  for (let late = 0; late <= 2; late++) {
    for (let row = 0; row < GRID.rows; row++) {
      const values = seen.slice(late).map((rows) => rows[row] ?? 0);
      best = Math.max(best, correlation(code.slice(0, values.length), values));
    }
  }
  return best;
}

function correlation(a: number[], b: number[]): number {
  const mean = (values: number[]): number => values.reduce((sum, value) => sum + value, 0) / Math.max(1, values.length);
  const [ma, mb] = [mean(a), mean(b)];
  let [ab, aa, bb] = [0, 0, 0];
  a.forEach((value, i) => {
    const [da, db] = [value - ma, (b[i] ?? 0) - mb];
    ab += da * db;
    aa += da * da;
    bb += db * db;
  });
  // A row that hardly changes says nothing.
  return aa > 0 && bb > b.length * 0.5 ? ab / Math.sqrt(aa * bb) : 0;
}
