/**
 * Sends commands one after the other, in the order in which they were pressed,
 * each with the time of its press. What the server has not taken yet waits
 * here and survives a reload; its id makes it harmless to send it twice.
 */
import type { DeskStore, LiveCommand } from '../desk/store';
import type { Update } from '../plan/types';
import { Refused, postJson } from './http';
import { adopt } from './tab';

const RETRY_MS = 1000;

/** So many ids are enough to know one's own presses again. */
const SENT_KEPT = 1000;

/** A hand on the fader says more than is worth sending: of what waits, one position in so many milliseconds. */
const FADER_EVERY_MS = 80;

export class CommandLink extends EventTarget {
  /** ids of what was pressed in this tab */
  readonly sent = new Set<string>();
  private queue: LiveCommand[] = [];
  private busy = false;
  private away = false;
  private readonly waiting = new Map<string, { resolve: (update: Update) => void; reject: (reason: Error) => void }>();

  constructor(
    private readonly show: string,
    private readonly store: DeskStore,
    private readonly tab: string,
  ) {
    super();
    this.queue = this.stored(this.storeKey(tab));
    for (const command of this.queue) this.store.press(command);
    void this.flush();
    void this.adoptOrphans();
  }

  get unsent(): number {
    return this.queue.length;
  }

  /** A live command: shown at once, never waits for the server. */
  press(type: string, more: Omit<LiveCommand, 'id' | 'type'> = {}): void {
    const command: LiveCommand = { ...more, id: crypto.randomUUID(), type };
    this.store.press(command);
    this.passOver(command);
    this.enqueue(command);
  }

  /** An edit: resolves with the update, or rejects with the sentence of the refusal. */
  edit(type: string, more: Record<string, unknown>): Promise<Update> {
    const command: LiveCommand = { ...more, id: crypto.randomUUID(), type, at: this.store.serverNow };
    const answer = new Promise<Update>((resolve, reject) => this.waiting.set(command.id, { resolve, reject }));
    this.enqueue(command);
    return answer;
  }

  /** A position of the fader, or of a dragged inset, that waits is passed over by the next one soon after it. */
  private passOver(command: LiveCommand): void {
    const last = this.queue.at(-1);
    // The first of the queue may be on its way already.
    if (!last || this.queue.length < 2 || last.type !== command.type || Number(command.at) - Number(last.at) > FADER_EVERY_MS) return;
    const within = ({ position }: LiveCommand): boolean => Number(position) > 0 && Number(position) < 1000;
    const moves = (command.type === 'fade' && within(last) && within(command) && last.picture === command.picture) || (command.type === 'inset.place' && last.dragged === true);
    if (!moves) return;
    this.queue.pop();
    this.store.drop(last.id);
  }

  private enqueue(command: LiveCommand): void {
    this.sent.add(command.id);
    for (const old of this.sent) if (this.sent.size > SENT_KEPT) this.sent.delete(old);
    this.queue.push(command);
    this.remember();
    void this.flush();
  }

  private async flush(): Promise<void> {
    if (this.busy) return;
    this.busy = true;
    for (let command = this.queue[0]; command !== undefined; command = this.queue[0]) {
      try {
        const update = await postJson<Update>(`/shows/${this.show}/commands`, command);
        this.done(command);
        this.store.receive(update);
        this.waiting.get(command.id)?.resolve(update);
      } catch (failure) {
        if (!(failure instanceof Refused)) {
          this.say(true);
          await new Promise((resolve) => setTimeout(resolve, RETRY_MS));
          continue;
        }
        this.done(command);
        this.store.drop(command.id);
        const wait = this.waiting.get(command.id);
        if (wait) wait.reject(failure);
        else this.dispatchEvent(new CustomEvent('refused', { detail: failure.message }));
      }
      this.waiting.delete(command.id);
      this.say(false);
    }
    this.busy = false;
  }

  /** What a tab that is gone had not sent any more. */
  private async adoptOrphans(): Promise<void> {
    const prefix = this.storeKey('');
    for (const key of Object.keys(localStorage).filter((key) => key.startsWith(prefix) && key !== this.storeKey(this.tab))) {
      if (!(await adopt(key.slice(prefix.length)))) continue;
      const orphans = this.stored(key);
      localStorage.removeItem(key);
      for (const command of orphans) this.store.press(command);
      this.queue.push(...orphans);
      this.remember();
      void this.flush();
    }
  }

  private done(command: LiveCommand): void {
    this.queue = this.queue.filter(({ id }) => id !== command.id);
    this.remember();
  }

  private say(away: boolean): void {
    if (away === this.away && !away) return;
    this.away = away;
    this.dispatchEvent(new CustomEvent('away', { detail: away }));
  }

  private stored(key: string): LiveCommand[] {
    try {
      return JSON.parse(localStorage.getItem(key) ?? '[]') as LiveCommand[];
    } catch {
      return [];
    }
  }

  private remember(): void {
    if (this.queue.length === 0) localStorage.removeItem(this.storeKey(this.tab));
    else localStorage.setItem(this.storeKey(this.tab), JSON.stringify(this.queue));
  }

  private storeKey(tab: string): string {
    return `rhetorix.unsent.${this.show}.${tab}`;
  }
}
