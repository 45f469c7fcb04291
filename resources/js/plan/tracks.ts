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

export interface Blend {
  outgoing: { opacity: number; gain: number };
  incoming: { opacity: number; gain: number };
}

export function blendAt(plan: TransitionPlan, progress: number): Blend {
  const blend: Blend = { outgoing: { opacity: 1, gain: 1 }, incoming: { opacity: 1, gain: 1 } };
  for (const track of plan.tracks) blend[track.target][track.property] = trackAt(track, progress);
  return blend;
}
