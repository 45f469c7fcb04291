/** Asks to be the picture host of the show, and says again and again that it still is. */
import type { HostMessage, ShowChannel } from './channel';
import { Unreachable, postJson, sayGoodbye } from './http';

export interface Lease {
  host: boolean;
  holder: string | null;
  stills_wanted: boolean;
}

const BEAT_MS = 2000;

/** In the session storage: this tab holds the devices of this show. */
const HOST = 'rhetorix.host';

export class HostLease extends EventTarget {
  lease: Lease = { host: false, holder: null, stills_wanted: false };

  constructor(
    private readonly show: string,
    channel: ShowChannel,
    private readonly tab: string,
  ) {
    super();
    channel.addEventListener('host', (event) => {
      const { tab, holder } = (event as CustomEvent<HostMessage>).detail;
      if (tab !== null && tab !== this.tab) this.become({ ...this.lease, host: false, holder });
      else void this.ask('keep');
    });
    // Gone soon rather than after the lease has run out; loaded again, it is kept.
    addEventListener('pagehide', () => {
      if (this.lease.host) sayGoodbye(`/shows/${show}/host`, { tab, wish: 'release' });
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
    try {
      this.become(await postJson<Lease>(`/shows/${this.show}/host`, { tab: this.tab, wish }));
    } catch (failure) {
      // While the server is away, the host goes on being the host, also after a reload.
      if (failure instanceof Unreachable && !this.lease.host && sessionStorage.getItem(HOST) === this.show) this.become({ host: true, holder: this.lease.holder, stills_wanted: false });
    }
  }

  private become(lease: Lease): void {
    const changed = lease.host !== this.lease.host || lease.holder !== this.lease.holder;
    this.lease = lease;
    if (lease.host) sessionStorage.setItem(HOST, this.show);
    else sessionStorage.removeItem(HOST);
    if (changed) this.dispatchEvent(new Event('change'));
  }
}
