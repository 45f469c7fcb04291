/** What is plugged into this computer, and what the core makes of it: here, missing, offered, waiting. */
import type { DeskStore } from '../desk/store';
import { postJson } from '../link/http';

export interface Plugged {
  kind: 'camera' | 'microphone';
  device: string;
  label: string;
}

export interface Matching {
  here: Record<string, string>;
  missing: string[];
  offers: Record<string, Plugged[]>;
  waiting: Plugged[];
}

/** Names that the browser adds for whatever is chosen in the system; they are no devices of their own. */
export const ALIASES = ['default', 'communications'];

export async function pluggedDevices(): Promise<Plugged[]> {
  if (!('mediaDevices' in navigator)) return [];
  const kinds: Partial<Record<MediaDeviceKind, Plugged['kind']>> = { videoinput: 'camera', audioinput: 'microphone' };
  return (await navigator.mediaDevices.enumerateDevices()).flatMap(({ kind, deviceId, label }) => {
    const plain = kinds[kind];
    return plain === undefined || deviceId === '' || ALIASES.includes(deviceId) ? [] : [{ kind: plain, device: deviceId, label }];
  });
}

export class Plugs extends EventTarget {
  matching: Matching = { here: {}, missing: [], offers: {}, waiting: [] };
  private asked = 0;
  private readonly look = (): void => void this.ask();

  constructor(
    private readonly show: string,
    private readonly store: DeskStore,
  ) {
    super();
    if ('mediaDevices' in navigator) navigator.mediaDevices.addEventListener('devicechange', this.look);
    this.store.addEventListener('book', this.look);
    void this.ask();
  }

  close(): void {
    if ('mediaDevices' in navigator) navigator.mediaDevices.removeEventListener('devicechange', this.look);
    this.store.removeEventListener('book', this.look);
  }

  async ask(): Promise<void> {
    const ask = ++this.asked;
    const devices = await pluggedDevices();
    const matching = await postJson<Matching>(`/shows/${this.show}/devices`, { devices }).catch(() => null);
    // An older answer may come later; only the newest says what is plugged in now.
    if (!matching || ask !== this.asked) return;
    this.matching = matching;
    this.dispatchEvent(new Event('change'));
  }
}
