/**
 * MIDI devices and game pads: what they send becomes a binding ("note 1 60",
 * "control 1 7", "pad 3") with a value from 0 to 1, and the binding an action.
 */
import { Message, WebMidi, type MessageEvent } from 'webmidi';
import { perform } from '../desk/actions';
import type { ShowSession } from '../session';
import { controls } from './controls';

export type Heard = (binding: string, value: number) => boolean;

/** A button of a game pad counts as pressed from here. */
const PRESSED = 0.5;

/** Who wants to hear what comes next, instead of the desk: the page where it is learned. */
export const learning: { heard: Heard | null } = { heard: null };

const held = new Map<string, boolean>();

/** Something moved. A button acts when it goes down; what travels acts all the time. */
export function hear(session: ShowSession, binding: string, value: number): void {
  if (learning.heard?.(binding, value)) return;
  const action = controls.actionOf(binding);
  if (action === undefined || !session.mayOperate) return;
  const travels = controls.page.actions.find(({ name }) => name === action)?.travels ?? false;
  const down = value >= PRESSED;
  const before = held.get(binding) ?? false;
  held.set(binding, down);
  if (travels) perform(session, action, value);
  else if (down && !before) perform(session, action);
}

/** One message of MIDI 1.0, as bytes: notes are buttons, controls travel. A note on without velocity is a note off. */
export function hearMidi(session: ShowSession, bytes: Uint8Array): void {
  const { type, channel, dataBytes } = new Message(bytes);
  const [number = 0, value = 0] = dataBytes;
  if (type === 'noteon' || type === 'noteoff') hear(session, `note ${channel} ${number}`, type === 'noteon' && value > 0 ? 1 : 0);
  else if (type === 'controlchange') hear(session, `control ${channel} ${number}`, value / 127);
}

export async function listenToMidi(session: ShowSession): Promise<void> {
  window.rhetorixMidi = (bytes) => hearMidi(session, bytes);
  try {
    await WebMidi.enable();
  } catch {
    return; // this browser has none, or the person said no
  }
  const follow = (): void => {
    for (const input of WebMidi.inputs) {
      input.removeListener();
      input.addListener('midimessage', ({ message }: MessageEvent) => hearMidi(session, message.rawData));
    }
  };
  WebMidi.addListener('portschanged', follow);
  follow();
}

/** Game pads say nothing by themselves: they are asked at every pass. */
export function listenToPads(session: ShowSession): void {
  if (!('getGamepads' in navigator)) return;
  const before = new Map<number, number>();
  session.afterPass.add(() => {
    for (const pad of navigator.getGamepads()) {
      pad?.buttons.forEach(({ value }, i) => {
        if ((before.get(i) ?? 0) === value) return;
        before.set(i, value);
        hear(session, `pad ${i}`, value);
      });
    }
  });
}
