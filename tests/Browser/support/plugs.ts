/**
 * A plug board in front of Chromium's fake cameras: the frames come through
 * the real capture path, only the plug is pulled and pushed by the test.
 */
import type { Page } from '@playwright/test';

export interface PlugBoard {
  pull(device: string): void;
  push(device: string): void;
  /** the device comes back under another identity */
  rename(device: string, as: string): void;
}

declare global {
  interface Window {
    plugs: PlugBoard;
  }
}

export async function installPlugBoard(page: Page): Promise<void> {
  await page.addInitScript(() => {
    if (!('mediaDevices' in navigator)) return;
    const media = navigator.mediaDevices;
    const enumerate = media.enumerateDevices.bind(media);
    const open = media.getUserMedia.bind(media);
    const pulled = new Set<string>();
    const names = new Map<string, string>();
    const tracks = new Map<string, Set<MediaStreamTrack>>();
    const changed = (): void => void media.dispatchEvent(new Event('devicechange'));
    const real = (id: string): string => [...names].find(([, as]) => as === id)?.[0] ?? id;

    media.enumerateDevices = async () =>
      (await enumerate())
        .filter(({ deviceId }) => !pulled.has(deviceId))
        .map((device) => {
          const as = names.get(device.deviceId);
          return as === undefined ? device : ({ ...device.toJSON(), deviceId: as } as MediaDeviceInfo);
        });
    media.getUserMedia = async (wish) => {
      const video = typeof wish?.video === 'object' ? wish.video : undefined;
      const asked = typeof video?.deviceId === 'object' && 'exact' in video.deviceId ? String(video.deviceId.exact) : undefined;
      if (asked === undefined) return open(wish);
      const id = real(asked);
      if (pulled.has(id) || names.has(asked)) throw new DOMException('Requested device not found', 'NotFoundError');
      const stream = await open({ ...wish, video: { ...video, deviceId: { exact: id } } });
      const track = stream.getVideoTracks()[0];
      // pulled while it was opening: such a track ends at once
      if (track && pulled.has(id)) {
        track.stop();
        throw new DOMException('Requested device not found', 'NotFoundError');
      }
      if (track) tracks.set(id, (tracks.get(id) ?? new Set<MediaStreamTrack>()).add(track));
      return stream;
    };
    window.plugs = {
      pull: (id) => {
        pulled.add(id);
        for (const track of tracks.get(id) ?? []) {
          track.stop();
          track.dispatchEvent(new Event('ended'));
        }
        tracks.delete(id);
        changed();
      },
      push: (id) => {
        pulled.delete(id);
        changed();
      },
      rename: (id, as) => {
        names.set(id, as);
        changed();
      },
    };
  });
}
