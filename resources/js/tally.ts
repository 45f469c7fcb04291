/** A plain tally for any spare phone or screen: one source, large; by colour, word and shape. */
import { DeskStore } from './desk/store';
import { ShowChannel } from './link/channel';
import type { PlanBook, TallyState, Update } from './plan/types';

const WORDS: Record<TallyState | 'away', string> = { program: 'On air', preview: 'Next', off: 'Off air', away: 'No connection' };

const { show = '', source = '' } = document.body.dataset;
const store = new DeskStore(JSON.parse(document.getElementById('show-state')?.textContent ?? '') as Update & { book: PlanBook });
const channel = new ShowChannel(show, store);
const word = document.querySelector('[data-word]');
let away = false;

function showTally(): void {
  const state = away ? 'away' : (store.tally(performance.now()).sources[source] ?? 'off');
  if (document.body.dataset.tally === state) return;
  document.body.dataset.tally = state;
  if (word) word.textContent = WORDS[state];
  document.title = `${WORDS[state]} · ${store.book.sources[source]?.name ?? ''}`;
}

for (const event of ['change', 'book']) store.addEventListener(event, showTally);
channel.addEventListener('away', (event) => {
  away = (event as CustomEvent<boolean>).detail;
  showTally();
});
channel.open();
// A transition ends by itself, without a message.
setInterval(showTally, 50);
showTally();

/** The screen of a phone stays on while it is a tally. */
async function stayAwake(): Promise<void> {
  if (document.visibilityState === 'visible') await navigator.wakeLock.request('screen').catch(() => undefined);
}
if ('wakeLock' in navigator) {
  document.addEventListener('visibilitychange', () => void stayAwake());
  void stayAwake();
}
