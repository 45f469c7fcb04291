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
      const bitmap = await createImageBitmap(await response.blob());
      const scale = Math.min(1, LONGEST_SIDE / Math.max(bitmap.width, bitmap.height));
      const canvas = document.createElement('canvas');
      canvas.width = Math.max(1, Math.round(bitmap.width * scale));
      canvas.height = Math.max(1, Math.round(bitmap.height * scale));
      const context = canvas.getContext('2d');
      if (context) context.imageSmoothingQuality = 'high';
      context?.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
      bitmap.close();
      this.image = { image: canvas, width: canvas.width, height: canvas.height };
      this.live();
    } catch {
      this.lose('other');
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
