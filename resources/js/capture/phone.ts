/** A phone or another computer that joined by its link: picture and sound over WebRTC, words over a data channel. */
import { postJson } from '../link/http';
import type { TallyState } from '../plan/types';
import { Feed } from './feed';
import { TrackFrames } from './track-frames';

/** What the device says of itself. */
export interface PhoneAbout {
  /** what its owner calls it; empty if nothing was written */
  name: string;
  battery: number | null;
  charging: boolean;
  facing: string;
  can: { zoom?: { min: number; max: number; step: number }; torch?: boolean; exposure?: { min: number; max: number; step: number } };
  settings: { zoom?: number; torch?: boolean; exposure?: number };
}

export interface Offer {
  source: string;
  device: string;
  sdp: string;
}

/** Without outside servers the addresses of both ends are all that there is: they are gathered first, and sent at once. */
export async function gathered(connection: RTCPeerConnection): Promise<string> {
  if (connection.iceGatheringState !== 'complete') {
    await new Promise<void>((resolve) => {
      const look = (): void => {
        if (connection.iceGatheringState === 'complete') resolve();
      };
      connection.addEventListener('icegatheringstatechange', look);
      setTimeout(resolve, 2000);
    });
  }
  return connection.localDescription?.sdp ?? '';
}

const STATS_EVERY_MS = 2000;

export class PhoneFeed extends Feed {
  about: PhoneAbout | null = null;
  /** bits a second that arrive, measured */
  bitrate: number | null = null;
  private connection: RTCPeerConnection | undefined;
  private words: RTCDataChannel | undefined;
  private stream: TrackFrames | undefined;
  private told: TallyState | '' = '';
  private lastStats = { at: 0, bytes: 0 };

  constructor(
    private readonly source: string,
    private readonly show: string,
    private readonly tally: () => TallyState,
  ) {
    super();
  }

  open(): Promise<void> {
    if (this.state === 'opening') this.lose('not-yet', -Infinity);
    return Promise.resolve();
  }

  /** The device asks to be let in. */
  async answer(offer: Offer): Promise<void> {
    this.hangUp();
    const connection = new RTCPeerConnection();
    this.connection = connection;
    connection.addEventListener('track', ({ track }) => this.take(connection, track));
    connection.addEventListener('datachannel', ({ channel }) => this.listen(connection, channel));
    connection.addEventListener('connectionstatechange', () => {
      if (connection === this.connection && ['failed', 'disconnected', 'closed'].includes(connection.connectionState)) this.gone();
    });
    await connection.setRemoteDescription({ type: 'offer', sdp: offer.sdp });
    await connection.setLocalDescription(await connection.createAnswer());
    await postJson(`/shows/${this.show}/answers`, { source: this.source, device: offer.device, sdp: await gathered(connection) });
  }

  override beat(now: number): void {
    this.stream?.beat();
    const tally = this.tally();
    if (tally !== this.told && this.words?.readyState === 'open') {
      this.words.send(JSON.stringify({ type: 'tally', state: tally }));
      this.told = tally;
    }
    if (now - this.lastStats.at > STATS_EVERY_MS) void this.measure(now);
  }

  /** Zoom, torch and exposure are set on the device. */
  set(settings: PhoneAbout['settings']): void {
    this.words?.send(JSON.stringify({ type: 'set', settings }));
  }

  /** Its link was withdrawn. */
  leave(): void {
    this.hangUp();
    this.lose('not-yet');
  }

  close(): void {
    this.hangUp();
  }

  private hangUp(): void {
    const { connection } = this;
    this.connection = undefined;
    this.words = undefined;
    this.told = '';
    connection?.close();
    this.stream?.stop();
    this.stream = undefined;
  }

  private gone(): void {
    this.about = null;
    this.bitrate = null;
    this.lose('phone-away');
  }

  private take(connection: RTCPeerConnection, track: MediaStreamTrack): void {
    if (connection !== this.connection) return;
    if (track.kind === 'audio') {
      this.sound = new MediaStream([track]);
      this.dispatchEvent(new Event('sound'));
      return;
    }
    this.stream?.stop();
    const frames = new TrackFrames(track, () => {
      if (connection !== this.connection) return;
      this.image = { image: frames.canvas, width: frames.canvas.width, height: frames.canvas.height };
      this.live();
    });
    this.stream = frames;
  }

  private listen(connection: RTCPeerConnection, channel: RTCDataChannel): void {
    if (connection !== this.connection) return;
    this.words = channel;
    this.told = '';
    channel.addEventListener('close', () => {
      if (connection === this.connection) this.gone();
    });
    channel.addEventListener('message', (event: MessageEvent<string>) => {
      const said = JSON.parse(event.data) as { type: string; about?: PhoneAbout };
      if (said.type === 'about' && said.about) {
        this.about = said.about;
        this.dispatchEvent(new Event('change'));
      }
    });
  }

  private async measure(now: number): Promise<void> {
    this.lastStats.at = now;
    if (!this.connection || this.state !== 'live') return;
    let bytes = 0;
    (await this.connection.getStats()).forEach((report: { type: string; bytesReceived?: number }) => {
      if (report.type === 'inbound-rtp') bytes += report.bytesReceived ?? 0;
    });
    if (this.lastStats.bytes > 0 && bytes >= this.lastStats.bytes) this.bitrate = ((bytes - this.lastStats.bytes) * 8000) / STATS_EVERY_MS;
    this.lastStats.bytes = bytes;
    this.dispatchEvent(new Event('change'));
  }
}
