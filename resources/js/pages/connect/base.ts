/** What the parts for connecting something have in common. */
import { ALIASES } from '../../capture/plugs';
import { problemOf, sentenceOf } from '../../capture/problems';
import { OwnScreen } from '../../capture/screen';
import { Unreachable } from '../../link/http';
import type { ShowSession } from '../../session';

export interface Choice {
  id: string;
  label: string;
}

export async function devices(kind: MediaDeviceKind, plain: string): Promise<Choice[]> {
  if (!('mediaDevices' in navigator)) return [];
  const all = (await navigator.mediaDevices.enumerateDevices()).filter((device) => device.kind === kind && device.deviceId !== '' && !ALIASES.includes(device.deviceId));
  return all.map((device, i) => ({ id: device.deviceId, label: device.label === '' ? `${plain} ${i + 1}` : device.label }));
}

/** A device's name without the maker's numbers behind it. */
export function plainName(label: string): string {
  return label.replace(/\s*\([^)]*\)$/, '');
}

export function stop(stream: MediaStream | null): void {
  stream?.getTracks().forEach((track) => track.stop());
}

function sentence(session: ShowSession, failure: unknown): string {
  const { book } = session.store;
  if (failure instanceof Unreachable) return 'The server does not answer at the moment. It is tried again by itself.';
  if (failure instanceof OwnScreen) return sentenceOf(book, 'own-screen');
  if (failure instanceof DOMException || failure instanceof TypeError) return sentenceOf(book, problemOf(book, failure));
  return failure instanceof Error ? failure.message : String(failure);
}

/** A sentence when something is wrong, and one connection at a time. */
export function base(session: ShowSession) {
  return {
    open: false,
    busy: false,
    wrong: '',
    name: '',
    /** Devices belong to the computer that holds them; from a panel they cannot be reached. */
    mustHold(): void {
      if (!session.isHost) throw new Error('Devices are connected on the computer that holds them. Go there, or press “Hold devices here” first.');
    },
    async guarded(work: () => Promise<void>): Promise<void> {
      this.wrong = '';
      this.busy = true;
      try {
        await work();
      } catch (failure) {
        this.wrong = sentence(session, failure);
      } finally {
        this.busy = false;
      }
    },
    /** A device that this show already has is not offered again: one capture each. */
    isKnown(device: string): boolean {
      return Object.values(session.store.book.sources).some((source) => source.settings.device === device);
    },
  };
}
