/** The shapes that the core sends. core/Picture/PlanBook.php and app/Shows/Update.php make them. */

export * from './picture';
import type { Card, FramePlan, LookPlan, Rect } from './picture';

export interface Track {
  target: 'incoming' | 'outgoing' | 'windows' | 'colour';
  property: 'opacity' | 'gain' | 'way' | 'edge' | 'x' | 'y';
  /** progress 0..1 and value */
  keyframes: [number, number][];
}

/** The edge of a wipe. core/Switching/Transition/Reveal.php */
export interface Reveal {
  by: 'line' | 'circle' | 'clock';
  /** fractions of the canvas */
  line: [number, number, number, number];
  soft: number;
}

export interface TransitionPlan {
  label: string;
  tracks: Track[];
  reveal: Reveal | null;
  /** of a dip */
  colour: string | null;
  /** source of the clip that lies over the change */
  clip: string | null;
}

export type Value = string | number | boolean | null;
export type Registers = Record<string, Value>;
export type Condition = [left: string, comparison: 'is' | 'is not', right: string];

export interface Rule {
  on: string;
  when: Condition[];
  set: Record<string, string>;
  result: string;
}

export interface Showing {
  when: Condition[];
  pictures: string[];
  sound: boolean;
  inset: boolean;
}

export interface PicturePage {
  name: string;
  group: string;
  key: string | null;
  plan: FramePlan;
  visible: string[];
  heard: string[];
  /** how a take brings it; null: as chosen on the desk */
  comes: ChosenTransition | null;
  /** what can be put into it, back to front; none where it is the full-screen picture of one source */
  places: { slot: string; purpose: string; label: string; source: string | null }[];
}

export type SourceKind =
  | 'camera' | 'screen' | 'still' | 'microphone' | 'stand-in' | 'network-camera' | 'phone' | 'guest' | 'deck' | 'clip' | 'colour' | 'test-picture';

export interface Patch extends Rect {
  colour: string;
  /** colour at the right edge, where it changes */
  to: string | null;
}

export interface Deck {
  /** decks of one group are turned together */
  group: string;
  pages: number;
  /** the page at each position, from 1 */
  shows: number[];
}

export interface Clip {
  length_ms: number;
  /** how long it lies over a change */
  covers_ms: number;
  cue_ms: number;
  end: 'hold' | 'loop' | 'next';
  sound_only: boolean;
}

export interface SourceEntry {
  name: string;
  kind: SourceKind;
  hearing: 'always' | 'with-picture' | 'never';
  settings: Record<string, string | number>;
  width: number | null;
  height: number | null;
  portrait: boolean;
  moving: boolean;
  watched: boolean;
  /** all of it as it is framed */
  seen: { crop: Rect; turn: number; mirror: boolean };
  /** what is done to each of its frames; null: nothing */
  look: LookPlan | null;
  placeholder: Card | null;
  blank: Card | null;
  deck: Deck | null;
  clip: Clip | null;
  art: { width: number; height: number; patches: Patch[] } | null;
}

export interface Magnify {
  x: number;
  y: number;
  factor: number;
}

export interface Framing {
  crop: Rect;
  orientation: string;
  magnify: Magnify;
  fit: string;
}

export interface Playback {
  playing: boolean;
  /** milliseconds from the beginning of the clip */
  position: number;
  /** when it stood there: server time as sent, this computer's clock in the store */
  since: number;
}

export interface Handling {
  framing: Framing;
  frozen: boolean;
  blank: boolean;
  playback: Playback | null;
  colour: Record<string, unknown>;
  key: Record<string, unknown> | null;
  behind: string | null;
}

export type Turn = 'right' | 'left' | 'mirror' | 'flip';

export interface SampleWish {
  every_ms: number;
  burst: number;
  columns: number;
  rows: number;
  dark: number;
  clipped: number;
  moved: number;
}

export interface SignalFinding {
  signal: string;
  label: string;
  /** server time in milliseconds */
  since: number;
  measured: string | null;
  todo: string;
}

export interface MeterScale {
  floor: number;
  alignment: number;
  loud: number;
  marks: { db: number; at: number }[];
}

/** core/Switching/Inset/Inset.php */
export interface InsetTool {
  /** a rectangle for each width, by corner */
  places: Record<string, Rect[]>;
  narrowest: number;
  /** whom it shows until somebody was chosen */
  first: string | null;
  travel_ms: number;
  curve: [number, number][];
  /** of the height of the inset */
  radius: number;
  /** of the height of the canvas */
  border: number;
  /** by source */
  shows: Record<string, { plan: FramePlan; heard: string[] }>;
}

export interface PlanBook {
  canvas: { width: number; height: number; rate: number };
  pictures: Record<string, PicturePage>;
  sources: Record<string, SourceEntry>;
  transitions: Record<string, TransitionPlan>;
  rules: Rule[];
  /** how long the fader stays with who moved it last */
  hold_ms: number;
  /** thousandths: a travelling control takes hold so near to where the fader stands */
  near: number;
  /** so many programs are remembered for the way back */
  past: number;
  inset: InsetTool;
  showing: Showing[];
  handling: { orientations: Record<string, Record<Turn, string>>; magnify: number[] };
  signal: { hold_ms: number; retry_ms: number; sample: SampleWish };
  sound: { declick_ms: number; meter: MeterScale };
  problems: { by_error: Record<string, string>; sentences: Record<string, string> };
}

export interface Strip {
  level: number;
  muted: boolean;
  /** amplitude ratio */
  gain: number;
}

export interface ChosenTransition {
  /** with everything that was chosen about it: the key of its plan */
  kind: string;
  /** the bare kind */
  shape: string;
  duration_ms: number;
  easing: string;
  soft: number;
  colour: string;
  /** source of the clip that lies over the change, and when it happens under it, in thousandths */
  clip: string | null;
  mark: number;
  label: string;
}

export interface DeskState {
  chosen: ChosenTransition;
  favourites: ChosenTransition[];
  /** pictures that were on program, the latest first */
  past: string[];
  strips: Record<string, Strip>;
  handlings: Record<string, Handling>;
  positions: Record<string, number>;
  [register: string]: unknown;
}

export type TallyState = 'program' | 'preview' | 'off';

export interface Tally {
  pictures: Record<string, TallyState>;
  sources: Record<string, TallyState>;
}

export interface Update {
  revision: number;
  /** server time in milliseconds */
  at: number;
  command: { id: string; type: string; by: string | null } | null;
  transition: { from: string; to: string; kind: string; duration_ms: number; label: string; elapsed_ms: number } | null;
  program: string[];
  preview: string | null;
  covered: boolean;
  tally: Tally;
  desk: DeskState;
  book?: PlanBook;
  /** pictures that look different now, while the rest of the book is the same */
  pages?: Record<string, PicturePage>;
  /** and sources */
  sources?: Record<string, Partial<SourceEntry>>;
  /** and what the inset shows of them */
  inset?: InsetTool['shows'];
  signals?: Record<string, SignalFinding>;
  quality?: Quality;
}

/** What is given up so that program goes on. core/Budget/Quality.php makes it. */
export interface Quality {
  level: number;
  /** a second */
  miniatures: number;
  /** passes from one painting of preview to the next */
  preview_every: number;
  /** most lines of a capture; null: as chosen */
  lines: number | null;
  /** share of program's rate */
  rate: number;
  said: string;
}
