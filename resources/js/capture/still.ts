/** An image file, fetched once and kept at most as large as it is ever painted. */
import { Feed } from './feed';

const LONGEST_SIDE = 1920;

export class StillFeed extends Feed {
  constructor(private readonly url: string) {
    super();
  }

  async open(): Promise<void> {
    try {
      const response = await fetch(this.url);
      if (!response.ok) throw new Error(`The still answered ${response.status}.`);
      const blob = await response.blob();
      const bitmap = blob.type.startsWith('image/svg') ? await drawing(this.url) : await createImageBitmap(blob);
      const scale = Math.min(1, LONGEST_SIDE / Math.max(bitmap.width, bitmap.height));
      const canvas = document.createElement('canvas');
      canvas.width = Math.max(1, Math.round(bitmap.width * scale));
      canvas.height = Math.max(1, Math.round(bitmap.height * scale));
      const context = canvas.getContext('2d');
      if (context) context.imageSmoothingQuality = 'high';
      context?.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
      if (bitmap instanceof ImageBitmap) bitmap.close();
      this.image = { image: canvas, width: canvas.width, height: canvas.height };
      this.live();
    } catch {
      this.lose('unreadable');
      setTimeout(() => void this.open(), 3000);
    }
  }

  close(): void {
    this.image = null;
  }

  /** The rows of the show know a still's size already, and its copy here may be smaller. */
  override get size(): null {
    return null;
  }
}

/** A drawing has no pixels of its own: the browser draws it as large as it says. */
async function drawing(url: string): Promise<HTMLImageElement> {
  const image = new Image();
  image.src = url;
  await image.decode();
  return image;
}
