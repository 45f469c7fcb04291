/** This tab has a name that a reload keeps, and that no other tab has at the same time. */

const KEY = 'rhetorix.tab';

function holdLock(id: string): Promise<boolean> {
  if (!('locks' in navigator)) return Promise.resolve(true);
  return new Promise((resolve) => {
    void navigator.locks.request(`rhetorix.tab.${id}`, { ifAvailable: true }, (lock) => {
      resolve(lock !== null);
      // kept until the tab is closed
      return lock === null ? undefined : new Promise<void>(() => undefined);
    });
  });
}

/** A tab that was duplicated has the name of the other one: it takes a new one. */
export async function nameTab(): Promise<string> {
  const kept = sessionStorage.getItem(KEY);
  if (kept !== null && (await holdLock(kept))) return kept;
  const id = crypto.randomUUID();
  await holdLock(id);
  sessionStorage.setItem(KEY, id);
  return id;
}

/** Whether no tab has this name now; then it is ours too, until this tab is closed. */
export function adopt(id: string): Promise<boolean> {
  return holdLock(id);
}
