/** The four ways to connect something on the rig page. Each shows or plays it before it is added. */
import { openMicrophone } from '../capture/microphone';
import { problemOf, sentenceOf } from '../capture/problems';
import { chooseScreen } from '../capture/screen';
import { Unreachable, postForm } from '../link/http';
import type { ShowSession } from '../session';
import { MeterBar } from '../sound/meter';
import { playTone } from '../sound/tone';

interface Choice {
  id: string;
  label: string;
}

async function devices(kind: MediaDeviceKind, plain: string): Promise<Choice[]> {
  if (!('mediaDevices' in navigator)) return [];
  const all = (await navigator.mediaDevices.enumerateDevices()).filter((device) => device.kind === kind && device.deviceId !== '');
  return all.map((device, i) => ({ id: device.deviceId, label: device.label === '' ? `${plain} ${i + 1}` : device.label }));
}

function stop(stream: MediaStream | null): void {
  stream?.getTracks().forEach((track) => track.stop());
}

function sentence(session: ShowSession, failure: unknown): string {
  if (failure instanceof Unreachable) return 'The server does not answer at the moment. It is tried again by itself.';
  if (failure instanceof DOMException || failure instanceof TypeError) return sentenceOf(session.store.book, problemOf(session.store.book, failure));
  return failure instanceof Error ? failure.message : String(failure);
}

/** What the parts have in common: a sentence when something is wrong, and one connection at a time. */
function base(session: ShowSession) {
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

export function connectCamera(session: ShowSession) {
  let look: MediaStream | null = null;
  return {
    ...base(session),
    list: [] as Choice[],
    device: '',
    async begin(): Promise<void> {
      this.open = true;
      await this.refresh();
      if ('mediaDevices' in navigator) navigator.mediaDevices.addEventListener('devicechange', () => void (this.open && this.refresh()));
    },
    async refresh(): Promise<void> {
      await this.guarded(async () => {
        this.mustHold();
        if (!('mediaDevices' in navigator)) throw new TypeError('no devices');
        // Names of cameras are told only after one was allowed.
        if ((await devices('videoinput', 'Camera')).length === 0) stop(await navigator.mediaDevices.getUserMedia({ video: true }));
        this.list = (await devices('videoinput', 'Camera')).filter(({ id }) => !this.isKnown(id));
        if (this.list.length === 0) throw new Error('Every camera of this computer is connected already. Plug in another; it appears here by itself.');
        if (!this.list.some(({ id }) => id === this.device)) await this.choose(this.list[0]?.id ?? '');
      });
    },
    async choose(device: string): Promise<void> {
      this.device = device;
      this.name = this.list.find(({ id }) => id === device)?.label.replace(/\s*\([^)]*\)$/, '') ?? '';
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

export function connectScreen(session: ShowSession) {
  return {
    ...base(session),
    begin(): void {
      this.open = true;
      this.name = 'Screen';
    },
    async connect(): Promise<void> {
      await this.guarded(async () => {
        this.mustHold();
        const stream = await chooseScreen();
        session.rig?.offerScreen(this.name, stream);
        await session.link.edit('source.connect', { name: this.name, kind: 'screen', settings: {} });
        this.end();
      });
    },
    end(): void {
      this.open = false;
      this.wrong = '';
    },
  };
}

export function connectStill(session: ShowSession) {
  return {
    ...base(session),
    async begin(file: File | undefined): Promise<void> {
      if (!file) return;
      this.open = true;
      await this.guarded(async () => {
        const form = new FormData();
        form.set('file', file);
        const medium = (await (await postForm(`/shows/${session.show}/media`, form)).json()) as { medium: string; name: string };
        await session.link.edit('source.connect', { name: medium.name.slice(0, 80) || 'Still', kind: 'still', settings: { medium: medium.medium } });
        this.open = false;
      });
    },
    end(): void {
      this.open = false;
      this.wrong = '';
    },
  };
}

export function connectMicrophone(session: ShowSession) {
  let heard: MediaStream | null = null;
  let timer: ReturnType<typeof setInterval> | undefined;
  return {
    ...base(session),
    list: [] as Choice[],
    speakers: [] as Choice[],
    device: '',
    speaker: '',
    async begin(): Promise<void> {
      this.open = true;
      await this.guarded(async () => {
        this.mustHold();
        if (!('mediaDevices' in navigator)) throw new TypeError('no devices');
        if ((await devices('audioinput', 'Microphone')).length === 0) stop(await navigator.mediaDevices.getUserMedia({ audio: true }));
        this.list = (await devices('audioinput', 'Microphone')).filter(({ id }) => !this.isKnown(id));
        this.speakers = await devices('audiooutput', 'Loudspeaker');
        if (this.list.length === 0) throw new Error('Every microphone of this computer is connected already. Plug in another and press Microphone again.');
        await this.choose(this.list[0]?.id ?? '');
      });
    },
    async choose(device: string): Promise<void> {
      this.device = device;
      this.name = this.list.find(({ id }) => id === device)?.label.replace(/\s*\([^)]*\)$/, '') ?? '';
      await this.guarded(async () => {
        stop(heard);
        heard = await openMicrophone(device);
        await session.audio.resume();
        const meter = session.audio.createAnalyser();
        session.audio.createMediaStreamSource(heard).connect(meter);
        const { bar, level } = (this as unknown as { $refs: { bar: HTMLElement; level: HTMLElement } }).$refs;
        const shown = new MeterBar(bar, level, session.store.book.sound.meter.floor);
        clearInterval(timer);
        timer = setInterval(() => shown.show(meter), 60);
      });
    },
    async tone(): Promise<void> {
      await this.guarded(() => playTone(session.audio, this.speaker, session.store.book.sound.meter.alignment));
    },
    async connect(): Promise<void> {
      await this.guarded(async () => {
        const label = this.list.find(({ id }) => id === this.device)?.label ?? this.name;
        this.quiet();
        await session.link.edit('source.connect', { name: this.name, kind: 'microphone', settings: { device: this.device, label } });
        this.end();
      });
    },
    quiet(): void {
      clearInterval(timer);
      stop(heard);
      heard = null;
    },
    end(): void {
      this.quiet();
      this.open = false;
      this.wrong = '';
    },
  };
}
