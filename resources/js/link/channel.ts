/** Listens to the show. After every gap it asks for the state as it is now. */
import type { DeskStore } from '../desk/store';
import type { Offer } from '../capture/phone';
import type { PlanBook, Quality, SignalFinding, Update } from '../plan/types';
import { getJson } from './http';
import type { Here } from './presence';

export interface HostMessage {
  tab: string | null;
  holder: string | null;
}

type Message =
  | ({ type: 'update' } & Update)
  | ({ type: 'host' } & HostMessage)
  | ({ type: 'people' } & Here)
  | { type: 'signals'; signals: Record<string, SignalFinding>; quality?: Quality }
  | ({ type: 'offer' } & Offer)
  | { type: 'withdrawn'; source: string };

export class ShowChannel extends EventTarget {
  private source: EventSource | undefined;

  constructor(
    private readonly show: string,
    private readonly store: DeskStore,
  ) {
    super();
  }

  open(): void {
    const source = new EventSource(`/shows/${this.show}/live`);
    this.source = source;
    source.onopen = () => {
      this.dispatchEvent(new CustomEvent('away', { detail: false }));
      void this.catchUp();
    };
    source.onerror = () => {
      this.dispatchEvent(new CustomEvent('away', { detail: true }));
      // The browser tries again by itself, except after an answer that it takes as final.
      if (source.readyState === EventSource.CLOSED) setTimeout(() => this.open(), 2000);
    };
    source.onmessage = (event: MessageEvent<string>) => this.take(JSON.parse(event.data) as Message);
  }

  close(): void {
    this.source?.close();
  }

  async catchUp(): Promise<void> {
    const state = await getJson<Update & { book: PlanBook }>(`/shows/${this.show}/state`).catch(() => null);
    if (state) this.store.receive(state);
  }

  private take(message: Message): void {
    if (message.type === 'signals') this.store.hear(message.signals, message.quality);
    else if (message.type !== 'update') this.dispatchEvent(new CustomEvent(message.type, { detail: message }));
    else if (!this.store.receive(message)) void this.catchUp();
  }
}
