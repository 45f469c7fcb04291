/** Reads motion JPEG from a response, picture by picture. */

const HEAD_END = [13, 10, 13, 10];
const LARGEST_PICTURE = 20_000_000;

/** Where these bytes begin, or -1. */
function find(bytes: Uint8Array, wanted: number[], from = 0): number {
  outer: for (let i = from; i + wanted.length <= bytes.length; i++) {
    for (let j = 0; j < wanted.length; j++) if (bytes[i + j] !== wanted[j]) continue outer;
    return i;
  }
  return -1;
}

/** Takes the pictures out of what has come so far; what is left over waits for more. */
export class PictureCutter {
  private rest = new Uint8Array(0);

  push(chunk: Uint8Array): Uint8Array<ArrayBuffer>[] {
    const bytes = new Uint8Array(this.rest.length + chunk.length);
    bytes.set(this.rest);
    bytes.set(chunk, this.rest.length);
    const pictures: Uint8Array<ArrayBuffer>[] = [];
    let at = 0;
    for (;;) {
      const head = find(bytes, HEAD_END, at);
      if (head < 0) break;
      const begin = head + HEAD_END.length;
      const length = Number(/content-length:\s*(\d+)/i.exec(new TextDecoder('latin1').decode(bytes.subarray(at, head)))?.[1] ?? NaN);
      // Without a length a picture ends where JPEG says so: FF D9.
      const end = Number.isNaN(length) ? find(bytes, [0xff, 0xd9], begin) + 2 : begin + length;
      if (end > bytes.length || end < begin + 2) break;
      pictures.push(bytes.slice(begin, end));
      at = end;
    }
    if (bytes.length - at > LARGEST_PICTURE) throw new Error('This is no motion JPEG.');
    this.rest = bytes.slice(at);
    return pictures;
  }
}

/** Calls back with each picture until the stream ends or is aborted. */
export async function readMotionJpeg(url: string, signal: AbortSignal, onPicture: (jpeg: Blob) => Promise<void>): Promise<void> {
  const response = await fetch(url, { signal, cache: 'no-store' });
  if (!response.ok || !response.body) throw new Error(`The camera answered ${response.status}.`);
  const reader = response.body.getReader();
  const cutter = new PictureCutter();
  for (;;) {
    const { value, done } = await reader.read();
    if (done) return;
    const pictures = cutter.push(value);
    // If several have come at once, only the newest is worth showing.
    const newest = pictures.at(-1);
    if (newest) await onPicture(new Blob([newest], { type: 'image/jpeg' }));
  }
}
