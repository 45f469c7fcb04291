/** Each person puts the actions of the desk where they want them: keys, notes and controls, buttons. */
import { capOf, controls, type ControlPage, type DeskAction } from '../control/controls';
import { learning } from '../control/devices';
import { sendJson } from '../link/http';
import type { ShowSession } from '../session';
import { say } from './say';

export function controlsPage(session: ShowSession) {
  return {
    page: controls.page,
    /** the action that waits for a key, or for something to be moved */
    waits: null as { action: string; what: 'key' | 'other' } | null,
    stop: (): void => undefined,
    init(): void {
      const hear = (event: KeyboardEvent): void => this.hearKey(event);
      addEventListener('keydown', hear, { capture: true });
      learning.heard = (binding, value) => this.hearOther(binding, value);
      this.stop = () => {
        removeEventListener('keydown', hear, { capture: true });
        learning.heard = null;
      };
    },
    destroy(): void {
      this.stop();
    },
    get groups(): { name: string; actions: DeskAction[] }[] {
      const names = [...new Set(this.page.actions.map(({ group }) => group))];
      return names.map((name) => ({ name, actions: this.page.actions.filter(({ group }) => group === name) }));
    },
    cap(action: string): string {
      return capOf(this.page.keys[action]) || 'no key';
    },
    other(action: string): string {
      return this.page.others[action] ?? '';
    },
    /** What else is on the same key or note. */
    conflict(action: string): string {
      const bindings = [this.page.keys[action], this.page.others[action]].filter((each) => typeof each === 'string');
      const shared = bindings.flatMap((binding) => (this.page.conflicts[binding] ?? []).filter((name) => name !== action));
      const labels = shared.map((name) => this.page.actions.find((each) => each.name === name)?.label ?? name);
      return labels.length === 0 ? '' : `Also: ${labels.join(', ')}. The upper one counts.`;
    },
    wait(action: string, what: 'key' | 'other'): void {
      this.waits = this.waits?.action === action && this.waits.what === what ? null : { action, what };
    },
    isWaiting(action: string, what: 'key' | 'other'): boolean {
      return this.waits?.action === action && this.waits.what === what;
    },
    hearKey(event: KeyboardEvent): void {
      if (this.waits?.what !== 'key' || ['ShiftLeft', 'ShiftRight', 'Tab'].includes(event.code)) return;
      event.preventDefault();
      event.stopPropagation();
      const { action } = this.waits;
      this.waits = null;
      if (event.code === 'Escape') return;
      void this.keep({ keys: { [action]: event.code === 'Backspace' ? null : `${event.shiftKey ? 'Shift+' : ''}${event.code}` } });
    },
    hearOther(binding: string, value: number): boolean {
      if (this.waits?.what !== 'other' || value === 0) return this.waits !== null;
      const { action } = this.waits;
      this.waits = null;
      void this.keep({ others: { [action]: binding } });
      return true;
    },
    forget(action: string): void {
      void this.keep({ others: { [action]: null } });
    },
    async keep(change: { keys?: Record<string, string | null>; others?: Record<string, string | null> }): Promise<void> {
      const keys = Object.fromEntries(this.page.actions.flatMap(({ name, key }) => ((this.page.keys[name] ?? null) === key ? [] : [[name, this.page.keys[name] ?? null]])));
      await this.send({ keys: { ...keys, ...change.keys }, others: { ...this.page.others, ...change.others } });
    },
    async usual(): Promise<void> {
      await this.send({ keys: {}, others: {} });
    },
    async send(wish: Record<string, unknown>): Promise<void> {
      try {
        this.page = await sendJson<ControlPage>('PUT', '/controls', wish);
        controls.read(this.page);
        session.store.dispatchEvent(new Event('change'));
      } catch (failure) {
        if (failure instanceof Error) say(failure.message);
      }
    },
  };
}
