/** What is tried and what is pressed on the Adjust page, and how both are seen. */
import { postJson } from '../../link/http';
import type { ShowSession } from '../../session';
import { say } from '../say';
import type { Scene, Tried } from './scene';
import { merged, type Wish } from './wish';

const TRY_EVERY_MS = 80;
const GIVE_UP_MS = 4000;

export class Attempts {
  private asked = 0;
  private next: Wish | null = null;
  private timer: ReturnType<typeof setTimeout> | undefined;
  private back: ReturnType<typeof setTimeout> | undefined;
  private known: string;

  constructor(
    private readonly session: ShowSession,
    private readonly scene: Scene,
    private readonly show: (tried: Tried) => void,
  ) {
    this.known = this.handled();
    for (const event of ['change', 'book']) session.store.addEventListener(event, this.follow);
  }

  stop(): void {
    for (const event of ['change', 'book']) this.session.store.removeEventListener(event, this.follow);
    clearTimeout(this.timer);
    clearTimeout(this.back);
  }

  /** Shows what would be. Asked for at most a dozen times a second; the newest wish wins. */
  attempt(wish: Wish): void {
    this.next = merged(this.next ?? {}, wish);
    this.timer ??= setTimeout(() => {
      const now = this.next ?? {};
      [this.timer, this.next] = [undefined, null];
      void this.ask(now, true);
    }, TRY_EVERY_MS);
  }

  /** Does it. */
  press(wish: Wish): void {
    clearTimeout(this.timer);
    [this.timer, this.next] = [undefined, null];
    this.session.link.press('handle', { source: this.scene.source, ...wish });
    void this.ask(wish, true);
    // A press that is not taken shows as it is again.
    clearTimeout(this.back);
    this.back = setTimeout(() => void this.ask({}, false), GIVE_UP_MS);
  }

  /** The desk has it otherwise now, by us or by somebody else. */
  private readonly follow = (): void => {
    const now = this.handled();
    if (now === this.known) return;
    this.known = now;
    if (this.timer === undefined) void this.ask({}, false);
  };

  private handled(): string {
    const { width, height } = this.session.store.book.sources[this.scene.source] ?? {};
    return JSON.stringify([this.session.store.handlings.of(this.scene.source), width, height]);
  }

  private async ask(wish: Wish, drafting: boolean): Promise<void> {
    const turn = ++this.asked;
    try {
      const tried = await postJson<Tried>(`/shows/${this.session.show}/sources/${this.scene.source}/try`, wish);
      if (turn !== this.asked) return;
      this.scene.drafting = drafting;
      this.scene.tried = tried;
      this.show(tried);
    } catch (failure) {
      if (turn === this.asked && failure instanceof Error) say(failure.message);
    }
  }
}
