/** What is done to sources by hand, as this screen knows it: the server's word, and presses on top that it has not answered. */
import type { DeskState, Handling, Playback } from '../plan/types';
import type { LiveCommand } from './store';

const WHOLE: Handling = { framing: { crop: { x: 0, y: 0, width: 1, height: 1 }, orientation: 'r0', magnify: { x: 0.5, y: 0.5, factor: 1 }, fit: 'auto' }, frozen: false, blank: false, playback: null, colour: {}, key: null, behind: null };

export class Handlings {
  private constructor(
    private readonly handlings: Record<string, Handling>,
    private readonly positions: Record<string, number>,
  ) {}

  /** @param offset the server's clock less this computer's, in milliseconds */
  static of({ handlings, positions }: DeskState, offset: number): Handlings {
    const local = Object.entries(handlings).map(([source, handling]) => [source, { ...handling, playback: inLocalTime(handling.playback, offset) }] as const);
    return new Handlings(Object.fromEntries(local), { ...positions });
  }

  of(source: string): Handling {
    return this.handlings[source] ?? WHOLE;
  }

  position(group: string): number {
    return this.positions[group] ?? 1;
  }

  /** Freezing, blanking, pages and playing are seen at once; framing waits for the plans of the core. */
  after(command: LiveCommand, pressed: number): Handlings {
    if (command.type === 'page' && command.group !== undefined && command.position !== undefined) {
      return new Handlings(this.handlings, { ...this.positions, [command.group]: command.position });
    }
    if (command.type !== 'handle' || command.source === undefined) return this;
    const before = this.of(command.source);
    const after: Handling = {
      ...before,
      frozen: command.frozen ?? before.frozen,
      blank: command.blank ?? before.blank,
      playback: command.playback ? { ...command.playback, since: pressed } : before.playback,
    };
    return new Handlings({ ...this.handlings, [command.source]: after }, this.positions);
  }
}

function inLocalTime(playback: Playback | null, offset: number): Playback | null {
  return playback && { ...playback, since: playback.since - offset };
}
