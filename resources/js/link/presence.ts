/** Who is here, and whether somebody has the desk alone. */
import type { ShowChannel } from './channel';
import { postJson, sayGoodbye } from './http';

export interface Person {
  tab: string;
  user: number;
  name: string;
  role: string;
  device: string;
}

export interface Here {
  people: Person[];
  alone: { user: number; name: string; until: number } | null;
}

const EVERY_MS = 5000;

/** What somebody would call this device. */
function deviceName(): string {
  const agent = navigator.userAgent;
  const kind = /iPad|Tablet/.test(agent) || (navigator.maxTouchPoints > 1 && innerWidth >= 700) ? 'tablet' : /Mobi|Android|iPhone/.test(agent) ? 'phone' : 'computer';
  return `${kind}, ${innerWidth} × ${innerHeight}`;
}

export class Presence extends EventTarget {
  here: Here = { people: [], alone: null };
  private hurry: ReturnType<typeof setTimeout> | undefined;

  constructor(
    private readonly show: string,
    channel: ShowChannel,
    private readonly tab: string,
    readonly user: number,
  ) {
    super();
    channel.addEventListener('people', (event) => this.become((event as CustomEvent<Here>).detail));
    addEventListener('pagehide', () => sayGoodbye(`/shows/${show}/here`, this.word('leave')));
  }

  begin(): void {
    void this.beat();
  }

  nameOf(tab: string): string {
    return this.here.people.find((person) => person.tab === tab)?.name ?? 'held';
  }

  /** Who has the desk alone, if it is not this person. */
  get othersAlone(): Here['alone'] {
    const { alone } = this.here;
    return alone && alone.user !== this.user && alone.until > Date.now() ? alone : null;
  }

  async alone(minutes: number): Promise<void> {
    this.become(await postJson<Here>(`/shows/${this.show}/alone`, { minutes }));
  }

  private async beat(): Promise<void> {
    const here = await postJson<Here>(`/shows/${this.show}/here`, this.word('stay')).catch(() => null);
    if (here) this.become(here);
    setTimeout(() => void this.beat(), EVERY_MS);
  }

  private word(wish: 'stay' | 'leave'): Record<string, string> {
    return { tab: this.tab, device: deviceName(), wish };
  }

  private become(here: Here): void {
    this.here = { people: here.people, alone: here.alone };
    clearTimeout(this.hurry);
    if (here.alone) this.hurry = setTimeout(() => this.dispatchEvent(new Event('change')), Math.max(0, here.alone.until - Date.now()) + 50);
    this.dispatchEvent(new Event('change'));
  }
}
