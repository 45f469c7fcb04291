/** Who is here, and taking the desk alone. */
import type { Person } from '../link/presence';
import type { ShowSession } from '../session';
import { say } from './say';

export function peoplePage(session: ShowSession) {
  return {
    looks: 0,
    init(): void {
      session.presence.addEventListener('change', () => void this.looks++);
    },
    get here(): Person[] {
      void this.looks;
      return session.presence.here.people;
    },
    get alone(): string {
      void this.looks;
      const { alone } = session.presence.here;
      return alone && alone.until > Date.now() ? `${alone.name} has the desk alone until ${new Date(alone.until).toLocaleTimeString([], { hour: '2-digit', minute: '2-digit' })}.` : '';
    },
    async take(minutes: number): Promise<void> {
      await session.presence.alone(minutes).catch((failure: unknown) => failure instanceof Error && say(failure.message));
    },
  };
}
