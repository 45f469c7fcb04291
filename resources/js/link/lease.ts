/** Asks to be the picture host of the show, and says again and again that it still is. */
import type { HostMessage, ShowChannel } from './channel';
import { postJson } from './http';

export interface Lease {
  host: boolean;
  holder: string | null;
  stills_wanted: boolean;
}

const BEAT_MS = 2000;

export class HostLease extends EventTarget {
  lease: Lease = { host: false, holder: null, stills_wanted: false };
  private readonly tab = crypto.randomUUID();

  constructor(
    private readonly show: string,
    channel: ShowChannel,
  ) {
    super();
    channel.addEventListener('host', (event) => {
      const { tab, holder } = (event as CustomEvent<HostMessage>).detail;
      if (tab !== null && tab !== this.tab) this.become({ ...this.lease, host: false, holder });
      else void this.ask('keep');
    });
    // Gone at once rather than after the lease has run out.
    addEventListener('pagehide', () => {
      if (this.lease.host) void fetch(`/shows/${show}/host`, this.farewell());
    });
  }

  get id(): string {
    return this.tab;
  }

  begin(): void {
    void this.beat();
  }

  takeOver(): Promise<void> {
    return this.ask('take');
  }

  private async beat(): Promise<void> {
    await this.ask('keep');
    setTimeout(() => void this.beat(), BEAT_MS);
  }

  private async ask(wish: 'keep' | 'take'): Promise<void> {
    const lease = await postJson<Lease>(`/shows/${this.show}/host`, { tab: this.tab, wish }).catch(() => null);
    // While the server is away, the host goes on being the host.
    if (lease) this.become(lease);
  }

  private become(lease: Lease): void {
    const changed = lease.host !== this.lease.host || lease.holder !== this.lease.holder;
    this.lease = lease;
    if (changed) this.dispatchEvent(new Event('change'));
  }

  private farewell(): RequestInit {
    return {
      method: 'POST',
      keepalive: true,
      body: JSON.stringify({ tab: this.tab, wish: 'release' }),
      headers: {
        'Content-Type': 'application/json',
        Accept: 'application/json',
        'X-CSRF-TOKEN': document.querySelector<HTMLMetaElement>('meta[name=csrf-token]')?.content ?? '',
      },
    };
  }
}
