/** The frames of sources whose look is not as they come. One pass of work per new frame, however many windows show it. */
import type { LookPlan } from '../plan/types';
import type { Image } from './frame';
import type { Matte } from './look';
import type { Treated, Wanted } from './look.worker';

interface Slot {
  look: LookPlan;
  /** which frame was asked for last */
  frame: unknown;
  busy: boolean;
  sent: boolean;
  image: Image | null;
  matte: Matte | null;
  measured: number;
}

const MEASURE_EVERY_MS = 400;

export class Looks {
  /** milliseconds of work in the worker so far, and frames, for bin/bench */
  spent = 0;
  frames = 0;
  private worker: Worker | undefined;
  private readonly slots = new Map<string, Slot>();

  /** @param widest frames are worked on at most as wide as this */
  constructor(public widest: number) {}

  /**
   * The newest frame with its look. Until the first is ready, a source that is keyed shows as it comes.
   *
   * @param frame tells one frame from the next
   */
  of(name: string, look: LookPlan, raw: Image, frame: unknown, now: number): Image {
    let slot = this.slots.get(name);
    if (!slot) {
      slot = { look, frame: undefined, busy: false, sent: false, image: null, matte: null, measured: 0 };
      this.slots.set(name, slot);
    }
    if (slot.look !== look) {
      slot.sent = slot.sent && JSON.stringify(slot.look) === JSON.stringify(look);
      slot.look = look;
      if (!slot.sent) slot.frame = undefined;
    }
    if (!slot.busy && slot.frame !== frame) void this.ask(name, slot, raw, frame, now);
    return slot.image ?? raw;
  }

  matteOf(name: string): Matte | null {
    return this.slots.get(name)?.matte ?? null;
  }

  /** It comes as it is again, or is gone. */
  forget(name: string): void {
    const slot = this.slots.get(name);
    if (!slot) return;
    this.slots.delete(name);
    this.worker?.postMessage({ forget: name });
    if (slot.image?.image instanceof ImageBitmap) slot.image.image.close();
  }

  close(): void {
    this.worker?.terminate();
    this.slots.clear();
  }

  private async ask(name: string, slot: Slot, raw: Image, frame: unknown, now: number): Promise<void> {
    slot.busy = true;
    slot.frame = frame;
    const scale = Math.min(1, this.widest / raw.width);
    try {
      const bitmap = scale < 1
        ? await createImageBitmap(raw.image, { resizeWidth: Math.round(raw.width * scale), resizeHeight: Math.round(raw.height * scale), resizeQuality: 'low' })
        : await createImageBitmap(raw.image);
      const measure = now - slot.measured >= MEASURE_EVERY_MS;
      if (measure) slot.measured = now;
      const wanted: Wanted = { slot: name, bitmap, measure, ...(slot.sent ? {} : { look: slot.look }) };
      slot.sent = true;
      this.work().postMessage(wanted, [bitmap]);
    } catch {
      slot.busy = false; // a frame that was just given back: the next one is there soon
    }
  }

  private work(): Worker {
    if (this.worker) return this.worker;
    this.worker = new Worker(new URL('./look.worker.ts', import.meta.url), { type: 'module' });
    this.worker.onmessage = (event: MessageEvent<Treated>) => {
      const { slot: name, bitmap, matte, took } = event.data;
      this.spent += took;
      this.frames++;
      const slot = this.slots.get(name);
      if (!slot) {
        bitmap.close();
        return;
      }
      slot.busy = false;
      if (matte) slot.matte = matte;
      if (slot.image?.image instanceof ImageBitmap) slot.image.image.close();
      slot.image = { image: bitmap, width: bitmap.width, height: bitmap.height };
    };
    return this.worker;
  }
}
