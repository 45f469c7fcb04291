/** Exposure and white balance at the camera itself, where it offers them. */
import { CameraFeed, DEVICE } from '../../capture/camera';
import type { ShowSession } from '../../session';
import { say } from '../say';

interface Range {
  name: string;
  word: string;
  min: number;
  max: number;
  step: number;
  value: number;
}

const MODES: Record<string, string> = { exposure_mode: 'Exposure', white_balance_mode: 'White balance' };
const RANGES: Record<string, { word: string; mode: string }> = {
  exposure_time: { word: 'Exposure time', mode: 'exposure_mode' },
  exposure_compensation: { word: 'Exposure, more or less', mode: '' },
  colour_temperature: { word: 'Colour temperature', mode: 'white_balance_mode' },
};

export function deviceControls(session: ShowSession, source: string) {
  const feed = (): CameraFeed | null => {
    const found = session.rig?.feeds.get(source);
    return found instanceof CameraFeed && found.track ? found : null;
  };
  const can = (): Record<string, unknown> => (feed()?.capabilities ?? {}) as Record<string, unknown>;
  const is = (): Record<string, unknown> => (feed()?.track?.getSettings() ?? {}) as Record<string, unknown>;
  return {
    looks: 0,
    init(): void {
      const timer = setInterval(() => this.looks++, 1000);
      this.stop = (): void => clearInterval(timer);
    },
    stop: (): void => undefined,
    destroy(): void {
      this.stop();
    },
    get modes(): { name: string; word: string; manual: boolean }[] {
      void this.looks;
      return Object.entries(MODES)
        .filter(([name]) => Array.isArray(can()[DEVICE[name] ?? '']) && (can()[DEVICE[name] ?? ''] as string[]).includes('manual'))
        .map(([name, word]) => ({ name, word, manual: is()[DEVICE[name] ?? ''] === 'manual' }));
    },
    get ranges(): Range[] {
      void this.looks;
      return Object.entries(RANGES).flatMap(([name, { word, mode }]) => {
        const range = can()[DEVICE[name] ?? ''] as { min?: number; max?: number; step?: number } | undefined;
        if (range?.min === undefined || range.max === undefined || range.max <= range.min) return [];
        const byHand = mode === '' || is()[DEVICE[mode] ?? ''] === 'manual';
        return byHand ? [{ name, word, min: range.min, max: range.max, step: range.step ?? 1, value: Number(is()[DEVICE[name] ?? ''] ?? range.min) }] : [];
      });
    },
    set(settings: Record<string, string | number>): void {
      session.link.edit('source.set', { source, settings }).catch((failure: unknown) => say(failure instanceof Error ? failure.message : 'This could not be set.'));
    },
  };
}
