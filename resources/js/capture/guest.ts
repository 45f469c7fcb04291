/** A place for somebody who is not there yet: its card stands in for them. */
import { Feed } from './feed';

export class GuestFeed extends Feed {
  open(): Promise<void> {
    this.lose('not-yet', -Infinity);
    return Promise.resolve();
  }

  close(): void {
    // nothing is open
  }
}
