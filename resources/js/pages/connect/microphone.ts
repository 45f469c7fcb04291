/** A microphone, seen to move before it is added, and a loudspeaker that is heard. */
import { openMicrophone } from '../../capture/microphone';
import type { ShowSession } from '../../session';
import { MeterBar } from '../../sound/meter';
import { playTone } from '../../sound/tone';
import { base, devices, plainName, stop, type Choice } from './base';

export function connectMicrophone(session: ShowSession) {
  let heard: MediaStream | null = null;
  let timer: ReturnType<typeof setInterval> | undefined;
  return {
    ...base(session),
    list: [] as Choice[],
    speakers: [] as Choice[],
    device: '',
    speaker: '',
    async begin(wanted = ''): Promise<void> {
      this.open = true;
      await this.guarded(async () => {
        this.mustHold();
        if (!('mediaDevices' in navigator)) throw new TypeError('no devices');
        if ((await devices('audioinput', 'Microphone')).length === 0) stop(await navigator.mediaDevices.getUserMedia({ audio: true }));
        this.list = (await devices('audioinput', 'Microphone')).filter(({ id }) => !this.isKnown(id));
        this.speakers = await devices('audiooutput', 'Loudspeaker');
        if (this.list.length === 0) throw new Error('Every microphone of this computer is connected already. Plug in another and press Microphone again.');
        await this.choose((this.list.find(({ id }) => id === wanted) ?? this.list[0])?.id ?? '');
      });
    },
    async choose(device: string): Promise<void> {
      this.device = device;
      this.name = plainName(this.list.find(({ id }) => id === device)?.label ?? '');
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
