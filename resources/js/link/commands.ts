/**
 * Sends commands one after the other, in the order in which they were pressed.
 * What the server has not taken yet waits here and survives a reload; its id
 * makes it harmless to send it twice.
 */
import type { DeskStore, LiveCommand } from '../desk/store';
import type { Update } from '../plan/types';
import { Refused, postJson } from './http';

const RETRY_MS = 1000;

export class CommandLink extends EventTarget {
  private queue: LiveCommand[];
  private busy = false;
  private readonly waiting = new Map<string, { resolve: (update: Update) => void; reject: (reason: Error) => void }>();

  constructor(
    private readonly show: string,
    private readonly store: DeskStore,
  ) {
    super();
    this.queue = JSON.parse(localStorage.getItem(this.storeKey()) ?? '[]') as LiveCommand[];
    for (const command of this.queue) this.store.press(command);
    void this.flush();
  }

  get unsent(): number {
    return this.queue.length;
  }

  /** A live command: shown at once, never waits for the server. */
  press(type: string, more: Omit<LiveCommand, 'id' | 'type'> = {}): void {
    const command: LiveCommand = { ...more, id: crypto.randomUUID(), type };
    this.store.press(command);
    this.enqueue(command);
  }

  /** An edit: resolves with the update, or rejects with the sentence of the refusal. */
  edit(type: string, more: Record<string, unknown>): Promise<Update> {
    const command: LiveCommand = { ...more, id: crypto.randomUUID(), type };
    const answer = new Promise<Update>((resolve, reject) => this.waiting.set(command.id, { resolve, reject }));
    this.enqueue(command);
    return answer;
  }

  private enqueue(command: LiveCommand): void {
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

  private done(command: LiveCommand): void {
    this.queue = this.queue.filter(({ id }) => id !== command.id);
    this.remember();
  }

  private say(away: boolean): void {
    this.dispatchEvent(new CustomEvent('away', { detail: away }));
  }

  private remember(): void {
    localStorage.setItem(this.storeKey(), JSON.stringify(this.queue));
  }

  private storeKey(): string {
    return `rhetorix.unsent.${this.show}`;
  }
}
