/** A deck in a window of its own: it shows the page that the desk is at, on any computer of the show. */
import { DeskStore } from './desk/store';
import { DeckFeed } from './capture/deck';
import { ShowChannel } from './link/channel';
import type { PlanBook, Update } from './plan/types';

const canvas = document.querySelector('canvas');
const context = canvas?.getContext('2d', { alpha: false });
const { show = '', deck = '' } = document.body.dataset;
const store = new DeskStore(JSON.parse(document.getElementById('show-state')?.textContent ?? '') as Update & { book: PlanBook });
const feed = new DeckFeed(deck, `/shows/${show}/media/${store.book.sources[deck]?.settings.medium ?? ''}`, store);

function paint(): void {
  feed.beat();
  const image = feed.current(performance.now(), Infinity);
  if (!image || !canvas || !context) return;
  if (canvas.width !== image.width || canvas.height !== image.height) {
    canvas.width = image.width;
    canvas.height = image.height;
  }
  context.drawImage(image.image, 0, 0);
  document.body.dataset.page = String(feed.page);
}

new ShowChannel(show, store).open();
for (const event of ['change', 'book']) store.addEventListener(event, paint);
feed.addEventListener('change', paint);
void feed.open();
addEventListener('dblclick', () => void document.documentElement.requestFullscreen());
