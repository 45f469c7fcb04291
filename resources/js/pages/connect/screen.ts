/** A screen, window or tab: the browser asks which one, and only a press may ask. */
import { chooseScreen } from '../../capture/screen';
import type { ShowSession } from '../../session';
import { base } from './base';

export function connectScreen(session: ShowSession) {
  return {
    ...base(session),
    detail: 'sharp',
    begin(): void {
      this.open = true;
      this.name = 'Screen';
      this.detail = 'sharp';
    },
    async connect(): Promise<void> {
      await this.guarded(async () => {
        this.mustHold();
        const stream = await chooseScreen();
        session.rig?.offerScreen(this.name, stream);
        await session.link.edit('source.connect', { name: this.name, kind: 'screen', settings: { detail: this.detail } });
        this.end();
      });
    },
    end(): void {
      this.open = false;
      this.wrong = '';
    },
  };
}
