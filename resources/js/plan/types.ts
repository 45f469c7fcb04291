/** The shapes that the core sends. core/Picture/PlanBook.php and app/Shows/Update.php make them. */

export interface Rect {
  x: number;
  y: number;
  width: number;
  height: number;
}

export interface TextLine {
  text: string;
  x: number;
  y: number;
  size: number;
  width: number;
  weight: number;
}

export interface Card {
  width: number;
  height: number;
  ground: string;
  ink: string;
  lines: TextLine[];
}

export interface Layer {
  key: string;
  source: string | null;
  card: Card | null;
  /** canvas pixels */
  dest: Rect;
  /** fractions of the source */
  crop: Rect;
  opacity: number;
}

export interface FramePlan {
  canvas: { width: number; height: number };
  background: string;
  layers: Layer[];
}

export interface Track {
  target: 'incoming' | 'outgoing';
  property: 'opacity' | 'gain';
  /** progress 0..1 and value */
  keyframes: [number, number][];
}

export interface TransitionPlan {
  label: string;
  tracks: Track[];
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
}

export interface PicturePage {
  name: string;
  group: string;
  key: string | null;
  plan: FramePlan;
  visible: string[];
  heard: string[];
}

export interface SourceEntry {
  name: string;
  kind: 'camera' | 'screen' | 'still' | 'microphone' | 'stand-in';
  hearing: 'always' | 'with-picture' | 'never';
  settings: Record<string, string>;
  width: number | null;
  height: number | null;
  placeholder: Card | null;
}

export interface MeterScale {
  floor: number;
  alignment: number;
  loud: number;
  marks: { db: number; at: number }[];
}

export interface PlanBook {
  canvas: { width: number; height: number; rate: number };
  pictures: Record<string, PicturePage>;
  sources: Record<string, SourceEntry>;
  transitions: Record<string, TransitionPlan>;
  rules: Rule[];
  showing: Showing[];
  signal: { hold_ms: number; retry_ms: number };
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
  kind: string;
  duration_ms: number;
  label: string;
}

export interface DeskState {
  chosen: ChosenTransition;
  strips: Record<string, Strip>;
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
}
