/** The numbers of a transition at a progress: straight lines between the keyframes of the core. */
import type { Track, TransitionPlan } from './types';

export function trackAt(track: Track, progress: number): number {
  let before = track.keyframes[0];
  if (before === undefined) return 0;
  for (const after of track.keyframes) {
    if (progress <= after[0]) {
      const span = after[0] - before[0];
      return span > 0 ? before[1] + ((after[1] - before[1]) * (Math.max(progress, before[0]) - before[0])) / span : after[1];
    }
    before = after;
  }
  return before[1];
}

/** One moment of a transition; core/Switching/Transition/Blend.php says what each is. */
export interface Blend {
  'outgoing.opacity': number;
  'incoming.opacity': number;
  'outgoing.gain': number;
  'incoming.gain': number;
  'outgoing.x': number;
  'outgoing.y': number;
  'incoming.x': number;
  'incoming.y': number;
  'incoming.edge': number | null;
  'windows.way': number | null;
  'colour.opacity': number;
}

const REST: Blend = {
  'outgoing.opacity': 1, 'incoming.opacity': 1, 'outgoing.gain': 1, 'incoming.gain': 1,
  'outgoing.x': 0, 'outgoing.y': 0, 'incoming.x': 0, 'incoming.y': 0,
  'incoming.edge': null, 'windows.way': null, 'colour.opacity': 0,
};

export function blendAt(plan: TransitionPlan, progress: number): Blend {
  const blend = { ...REST };
  for (const track of plan.tracks) blend[`${track.target}.${track.property}` as keyof Blend] = trackAt(track, progress);
  return blend;
}
