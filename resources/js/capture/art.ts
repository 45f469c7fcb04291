/** Colours and test pictures: painted once from the patches of the core. */
import { paintPatches } from '../painter/frame';
import type { SourceEntry } from '../plan/types';
import { Feed } from './feed';

export class ArtFeed extends Feed {
  private readonly canvas = document.createElement('canvas');
  private painted = '';

  constructor(private readonly entry: () => SourceEntry | undefined) {
    super();
  }

  open(): Promise<void> {
    this.follow();
    return Promise.resolve();
  }

  /** Another colour may have been chosen. */
  override follow(): void {
    const art = this.entry()?.art;
    const wanted = JSON.stringify(art);
    if (!art || wanted === this.painted) return;
    this.painted = wanted;
    this.canvas.width = art.width;
    this.canvas.height = art.height;
    const context = this.canvas.getContext('2d', { alpha: false });
    if (context) paintPatches(context, art.patches);
    this.image = { image: this.canvas, width: art.width, height: art.height };
    this.live();
  }

  close(): void {
    this.image = null;
  }

  override get size(): null {
    return null;
  }
}
