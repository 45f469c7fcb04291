/** A camera of this computer, looked at before it is added. */
import type { ShowSession } from '../../session';
import { base, devices, plainName, stop, type Choice } from './base';

export function connectCamera(session: ShowSession) {
  let look: MediaStream | null = null;
  return {
    ...base(session),
    list: [] as Choice[],
    device: '',
    /** @param device the one that waits, when it was pressed there */
    async begin(device = ''): Promise<void> {
      this.open = true;
      await this.refresh(device);
      if ('mediaDevices' in navigator) navigator.mediaDevices.addEventListener('devicechange', () => void (this.open && this.refresh()));
    },
    async refresh(wanted = ''): Promise<void> {
      await this.guarded(async () => {
        this.mustHold();
        if (!('mediaDevices' in navigator)) throw new TypeError('no devices');
        // Names of cameras are told only after one was allowed.
        if ((await devices('videoinput', 'Camera')).length === 0) stop(await navigator.mediaDevices.getUserMedia({ video: true }));
        this.list = (await devices('videoinput', 'Camera')).filter(({ id }) => !this.isKnown(id));
        if (this.list.length === 0) throw new Error('Every camera of this computer is connected already. Plug in another; it appears here by itself.');
        const first = this.list.find(({ id }) => id === wanted) ?? this.list[0];
        if (!this.list.some(({ id }) => id === this.device)) await this.choose(first?.id ?? '');
      });
    },
    async choose(device: string): Promise<void> {
      this.device = device;
      this.name = plainName(this.list.find(({ id }) => id === device)?.label ?? '');
      await this.guarded(async () => {
        stop(look);
        look = await navigator.mediaDevices.getUserMedia({ video: { deviceId: { exact: device }, width: { ideal: 640 } } });
        const video = (this as unknown as { $refs: { look: HTMLVideoElement } }).$refs.look;
        video.srcObject = look;
        await video.play();
      });
    },
    async connect(): Promise<void> {
      await this.guarded(async () => {
        const label = this.list.find(({ id }) => id === this.device)?.label ?? this.name;
        // Let go first: some cameras can be held only once.
        stop(look);
        look = null;
        await session.link.edit('source.connect', { name: this.name, kind: 'camera', settings: { device: this.device, label } });
        this.end();
      });
    },
    end(): void {
      stop(look);
      look = null;
      this.device = '';
      this.open = false;
      this.wrong = '';
    },
  };
}
