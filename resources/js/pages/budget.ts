/** The strip on the rig page that says what this computer can hold. */
import { postJson } from '../link/http';
import type { ShowSession } from '../session';
import { measureComputer } from '../signals/computer';
import { say } from './say';

export function budget(session: ShowSession) {
  return {
    share: 0,
    busy: false,
    held: session.isHost,
    stop: (): void => undefined,
    init(): void {
      const look = (): void => void (this.held = session.isHost);
      session.addEventListener('host', look);
      this.stop = () => session.removeEventListener('host', look);
    },
    destroy(): void {
      this.stop();
    },
    async measure(): Promise<void> {
      this.busy = true;
      try {
        const measured = await measureComputer((share) => (this.share = share));
        await postJson(`/shows/${session.show}/budget`, { tab: session.lease.id, ...measured });
        document.body.dispatchEvent(new Event('budget-measured'));
      } catch (failure) {
        if (failure instanceof Error) say(failure.message);
      }
      this.busy = false;
      this.share = 0;
    },
    lower(source: string, width: number, height: number): void {
      session.link.edit('source.set', { source, settings: { width, height }, expect: session.store.revision }).catch((failure: unknown) => say(failure instanceof Error ? failure.message : 'This could not be set.'));
    },
  };
}
