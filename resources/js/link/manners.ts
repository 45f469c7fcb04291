/**
 * The book has the plan of every kind of transition as it usually is. Where
 * something else was chosen about one, its plan is fetched once and kept.
 */
import type { DeskStore } from '../desk/store';
import type { TransitionPlan } from '../plan/types';
import { getJson } from './http';

export function followManners(show: string, store: DeskStore): void {
  const key = `rhetorix.manners.${show}`;
  const plans = new Map<string, TransitionPlan>(Object.entries(JSON.parse(localStorage.getItem(key) ?? '{}') as Record<string, TransitionPlan>));
  const asked = new Set<string>();
  const fetchPlan = async (kind: string): Promise<void> => {
    asked.add(kind);
    const plan = await getJson<TransitionPlan>(`/shows/${show}/transition?key=${encodeURIComponent(kind)}`).catch(() => null);
    asked.delete(kind);
    if (!plan) return;
    plans.set(kind, plan);
    store.book.transitions[kind] = plan;
    localStorage.setItem(key, JSON.stringify(Object.fromEntries([...plans].slice(-40))));
  };
  const follow = (): void => {
    const registers = store.registers(performance.now());
    const wanted = [store.chosen.kind, ...store.favourites.map(({ kind }) => kind), ...Object.values(store.book.pictures).map(({ comes }) => comes?.kind ?? ''), String(registers.kind ?? ''), String(registers.queued_kind ?? '')];
    for (const kind of wanted.filter((kind) => kind.includes('~') && !store.book.transitions[kind])) {
      const known = plans.get(kind);
      if (known) store.book.transitions[kind] = known;
      // Until it is here, the kind as it usually is stands in.
      else if (!asked.has(kind)) void fetchPlan(kind);
    }
  };
  store.addEventListener('change', follow);
  follow();
}
