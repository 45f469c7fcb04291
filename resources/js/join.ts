/** The page that a phone, a tablet or another computer opens by its link: it sends its camera or screen to the desk. */
import { gathered, type PhoneAbout } from './capture/phone';
import { Refused, postJson } from './link/http';

type Stream = MediaStream | null;

const HERE_EVERY_MS = 3000;
/** How long an offer may go unanswered before it is made again. */
const PATIENCE_MS = 6000;
const MOST_BITS = 4_000_000;

const WORDS: Record<string, string> = { program: 'ON AIR', preview: 'NEXT', off: 'not on air' };

interface Battery extends EventTarget {
  level: number;
  charging: boolean;
}
type ExtendedCapabilities = MediaTrackCapabilities & { zoom?: { min: number; max: number; step: number }; torch?: boolean; exposureCompensation?: { min: number; max: number; step: number } };
type ExtendedSettings = MediaTrackSettings & { zoom?: number; torch?: boolean; exposureCompensation?: number };

function element<T extends HTMLElement = HTMLElement>(id: string, kind: new () => T = HTMLElement as new () => T): T {
  const found = document.getElementById(id);
  if (!(found instanceof kind)) throw new Error(`The page has no ${id}.`);
  return found;
}

class Joining {
  private readonly base = location.pathname.replace(/\/$/, '');
  private readonly device = sessionStorage.getItem('rhetorix.device') ?? crypto.randomUUID();
  private stream: Stream = null;
  private connection: RTCPeerConnection | null = null;
  private words: RTCDataChannel | null = null;
  private facing: 'user' | 'environment' | 'screen' = 'environment';
  private running = false;
  private offered = 0;
  private wake: WakeLockSentinel | null = null;

  constructor() {
    sessionStorage.setItem('rhetorix.device', this.device);
    element('start').addEventListener('click', () => void this.start());
    element('stop').addEventListener('click', () => this.stop('You have stopped. Press Start to go on.'));
    element('turn-round').addEventListener('click', () => void this.turnRound());
    if (!('getDisplayMedia' in (navigator.mediaDevices as MediaDevices | undefined ?? {}))) element('from-screen').hidden = true;
    for (const input of document.querySelectorAll<HTMLInputElement>('input[name=from]')) {
      input.addEventListener('change', () => (this.facing = input.value as typeof this.facing));
    }
    const events = new EventSource(`${this.base}/live`);
    events.onmessage = (event: MessageEvent<string>) => void this.hear(JSON.parse(event.data) as { type: string; device?: string; sdp?: string });
    document.addEventListener('visibilitychange', () => void this.keepAwake());
  }

  private async start(): Promise<void> {
    this.say('');
    try {
      await this.open();
      this.running = true;
      document.body.dataset.running = 'yes';
      await this.keepAwake();
      await this.stay();
    } catch (failure) {
      this.stop(this.sentence(failure));
    }
  }

  private async open(): Promise<void> {
    if (!('mediaDevices' in navigator)) throw new DOMException('', 'SecurityError');
    const sound = element('with-sound', HTMLInputElement).checked;
    const upright = document.querySelector<HTMLInputElement>('input[name=held]:checked')?.value === 'upright';
    const [width, height] = upright ? [720, 1280] : [1280, 720];
    const size = { width: { ideal: width }, height: { ideal: height }, aspectRatio: { ideal: width / height }, frameRate: { ideal: 30 } };
    const stream =
      this.facing === 'screen'
        ? await navigator.mediaDevices.getDisplayMedia({ video: { frameRate: { ideal: 30 } }, audio: sound })
        : await navigator.mediaDevices.getUserMedia({ video: { ...size, facingMode: { ideal: this.facing } }, audio: sound });
    this.stream?.getTracks().forEach((track) => track.stop());
    this.stream = stream;
    const track = stream.getVideoTracks()[0];
    if (track) {
      track.contentHint = 'detail';
      track.addEventListener('ended', () => this.stream === stream && this.stop('The camera or screen was taken away. Press Start to go on.'));
    }
    const look = element('look', HTMLVideoElement);
    look.srcObject = stream;
    look.classList.toggle('-scale-x-100', this.facing === 'user');
    await look.play();
  }

  /** Says again and again that this device is here, and offers its picture until the desk has it. */
  private async stay(): Promise<void> {
    while (this.isRunning()) {
      await postJson(`${this.base}/here`, { device: this.device }).catch((failure: unknown) => {
        if (failure instanceof Refused) this.stop(failure.message);
      });
      const state = this.connection?.connectionState ?? 'closed';
      const waits = state === 'new' || state === 'connecting';
      if (this.isRunning() && state !== 'connected' && !(waits && performance.now() - this.offered < PATIENCE_MS)) await this.offer().catch(() => undefined);
      if (state === 'connected') this.tellAbout();
      await new Promise((resolve) => setTimeout(resolve, state === 'connected' ? HERE_EVERY_MS : 1500));
    }
  }

  /** It may have been stopped while something was awaited. */
  private isRunning(): boolean {
    return this.running;
  }

  private async offer(): Promise<void> {
    if (!this.stream) return;
    this.connection?.close();
    const connection = new RTCPeerConnection();
    this.connection = connection;
    this.offered = performance.now();
    const words = connection.createDataChannel('words');
    this.words = words;
    words.addEventListener('open', () => {
      this.show('linked');
      this.tellAbout();
    });
    words.addEventListener('close', () => connection === this.connection && this.show('waiting'));
    words.addEventListener('message', (event: MessageEvent<string>) => this.obey(JSON.parse(event.data) as { type: string; state?: string; settings?: PhoneAbout['settings'] }));
    for (const track of this.stream.getTracks()) {
      const sender = connection.addTrack(track, this.stream);
      if (track.kind === 'video') {
        const parameters = sender.getParameters();
        parameters.degradationPreference = 'maintain-resolution';
        parameters.encodings = parameters.encodings.length > 0 ? parameters.encodings.map((encoding) => ({ ...encoding, maxBitrate: MOST_BITS })) : [{ maxBitrate: MOST_BITS }];
        await sender.setParameters(parameters).catch(() => undefined);
      }
    }
    await connection.setLocalDescription(await connection.createOffer());
    this.show('waiting');
    await postJson(`${this.base}/offer`, { device: this.device, sdp: await gathered(connection) });
  }

  private async hear(message: { type: string; device?: string; sdp?: string }): Promise<void> {
    if (message.type === 'withdrawn') this.stop('This link was withdrawn. Ask for a new one.');
    if (message.type !== 'answer' || message.device !== this.device || message.sdp === undefined) return;
    if (this.connection?.signalingState === 'have-local-offer') await this.connection.setRemoteDescription({ type: 'answer', sdp: message.sdp }).catch(() => undefined);
  }

  private obey(said: { type: string; state?: string; settings?: PhoneAbout['settings'] }): void {
    if (said.type === 'tally') {
      document.body.dataset.tally = said.state ?? 'off';
      element('tally').textContent = WORDS[said.state ?? 'off'] ?? '';
    }
    const track = this.stream?.getVideoTracks()[0];
    if (said.type !== 'set' || !said.settings || !track) return;
    const { zoom, torch, exposure } = said.settings;
    const wish = { ...(zoom === undefined ? {} : { zoom }), ...(torch === undefined ? {} : { torch }), ...(exposure === undefined ? {} : { exposureCompensation: exposure }) };
    void track.applyConstraints({ advanced: [wish as MediaTrackConstraintSet] }).catch(() => undefined).then(() => this.tellAbout());
  }

  private tellAbout(): void {
    void this.about().then((about) => {
      if (this.words?.readyState === 'open') this.words.send(JSON.stringify({ type: 'about', about }));
    });
  }

  private async about(): Promise<PhoneAbout> {
    const battery = await (navigator as Navigator & { getBattery?: () => Promise<Battery> }).getBattery?.().catch(() => null);
    const track = this.stream?.getVideoTracks()[0];
    const can = (track && 'getCapabilities' in track ? track.getCapabilities() : {}) as ExtendedCapabilities;
    const settings = (track?.getSettings() ?? {}) as ExtendedSettings;
    return {
      name: element('device-name', HTMLInputElement).value.trim().slice(0, 40),
      battery: battery ? Math.round(battery.level * 100) : null,
      charging: battery?.charging ?? false,
      facing: this.facing,
      can: { ...(can.zoom ? { zoom: can.zoom } : {}), ...(can.torch ? { torch: true } : {}), ...(can.exposureCompensation ? { exposure: can.exposureCompensation } : {}) },
      settings: {
        ...(settings.zoom === undefined ? {} : { zoom: settings.zoom }),
        ...(settings.torch === undefined ? {} : { torch: settings.torch }),
        ...(settings.exposureCompensation === undefined ? {} : { exposure: settings.exposureCompensation }),
      },
    };
  }

  /** Front to back and the other way, without losing the place. */
  private async turnRound(): Promise<void> {
    this.facing = this.facing === 'environment' ? 'user' : 'environment';
    try {
      await this.open();
      const track = this.stream?.getVideoTracks()[0];
      await this.connection?.getSenders().find((sender) => sender.track?.kind === 'video')?.replaceTrack(track ?? null);
    } catch (failure) {
      this.stop(this.sentence(failure));
    }
  }

  private stop(sentence: string): void {
    this.running = false;
    this.connection?.close();
    this.connection = null;
    this.stream?.getTracks().forEach((track) => track.stop());
    this.stream = null;
    void this.wake?.release();
    document.body.dataset.running = 'no';
    document.body.dataset.tally = 'off';
    this.say(sentence);
  }

  private show(state: 'waiting' | 'linked'): void {
    document.body.dataset.link = state;
    element('link-state').textContent = state === 'linked' ? 'The desk has your picture.' : 'Waiting for the desk…';
  }

  private say(sentence: string): void {
    const place = element('wrong');
    place.textContent = sentence;
    place.hidden = sentence === '';
  }

  private sentence(failure: unknown): string {
    const name = failure instanceof Error ? failure.name : '';
    const words: Record<string, string> = {
      NotAllowedError: 'This browser was told not to use the camera. Allow it for this page in the browser’s settings and press Start.',
      NotFoundError: 'This device has no such camera. Choose another one and press Start.',
      NotReadableError: 'Another app holds the camera. Close it and press Start.',
      SecurityError: 'The camera is given only to secure pages. Open the link that begins with https.',
    };
    return words[name] ?? 'The camera did not start. Close other apps that use it and press Start.';
  }

  /** A phone that falls asleep is a black picture. */
  private async keepAwake(): Promise<void> {
    if (this.running && document.visibilityState === 'visible' && 'wakeLock' in navigator) this.wake = await navigator.wakeLock.request('screen').catch(() => null);
  }
}

new Joining();
