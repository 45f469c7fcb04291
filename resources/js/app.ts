/** Where the pages of a show begin. */
import Alpine from 'alpinejs';
import htmx from 'htmx.org';
import { bindDesk } from './desk/view';
import { listenToKeys } from './desk/keys';
import { bindCanvases } from './pages/canvases';
import { inHand } from './pages/in-hand';
import { pictureCard } from './pages/picture-card';
import { pictureForm } from './pages/picture-form';
import { rigList } from './pages/rig-list';
import { connectCamera } from './pages/connect/camera';
import { connectFile } from './pages/connect/file';
import { connectMicrophone } from './pages/connect/microphone';
import { connectNetworkCamera, connectPlace } from './pages/connect/others';
import { connectScreen } from './pages/connect/screen';
import { budget } from './pages/budget';
import { adjust } from './pages/adjust/adjust';
import { deviceControls } from './pages/adjust/device';
import { adjustMatch } from './pages/adjust/match';
import { adjustReading } from './pages/adjust/reading';
import type { Tried } from './pages/adjust/scene';
import { deckPages } from './pages/deck-pages';
import { handling } from './pages/handling';
import { growParts } from './pages/morph';
import { drawCodes } from './pages/join-link';
import { plugList } from './pages/plug-list';
import { followShell, showPlace } from './pages/shell';
import { addShows } from './pages/shows';
import { ShowSession } from './session';
import type { PlanBook, Update } from './plan/types';

declare global {
  interface Window {
    /** For the program window, which is opened by this one, and for checks. */
    rhetorix?: ShowSession;
    Alpine: typeof Alpine;
  }
}

function beginSession(): ShowSession | undefined {
  const holder = document.getElementById('show-state');
  if (!holder?.dataset.show) return undefined;
  const state = JSON.parse(holder.textContent) as Update & { book: PlanBook };
  return new ShowSession(holder.dataset.show, holder.dataset.mayOperate === 'yes', state);
}

// Going back asks the server again: a stored copy of a page has no living canvases.
htmx.config.historyCacheSize = 0;
htmx.config.allowEval = false;
htmx.config.includeIndicatorStyles = false;
htmx.config.scrollIntoViewOnBoost = false;

growParts();
addShows();
const session = beginSession();
if (session) {
  window.rhetorix = session;
  Alpine.data('connectCamera', () => connectCamera(session));
  Alpine.data('connectScreen', () => connectScreen(session));
  Alpine.data('connectFile', () => connectFile(session));
  Alpine.data('connectNetworkCamera', () => connectNetworkCamera(session));
  Alpine.data('connectPlace', () => connectPlace(session));
  Alpine.data('inHand', () => inHand(session));
  Alpine.data('plugList', () => plugList(session));
  Alpine.data('handling', (source: unknown) => handling(session, String(source)));
  Alpine.data('budget', () => budget(session));
  Alpine.data('adjust', (source: unknown, tried: unknown) => adjust(session, String(source), tried as Tried));
  Alpine.data('deviceControls', (source: unknown) => deviceControls(session, String(source)));
  Alpine.data('adjustMatch', () => adjustMatch(session));
  Alpine.data('adjustReading', () => adjustReading(session));
  Alpine.data('deckPages', (source: unknown) => deckPages(session, String(source)));
  Alpine.data('connectMicrophone', () => connectMicrophone(session));
  Alpine.data('rigList', () => rigList(session));
  Alpine.data('pictureForm', (offered: unknown) => pictureForm(session, (offered ?? {}) as Parameters<typeof pictureForm>[1]));
  Alpine.data('pictureCard', (picture: unknown) => pictureCard(session, String(picture)));

  const bind = (): void => {
    bindCanvases(session, document);
    bindDesk(session, document);
    void drawCodes(document);
  };
  followShell(session);
  listenToKeys(session);
  document.body.addEventListener('htmx:afterSettle', bind);
  document.body.addEventListener('htmx:afterSettle', showPlace);
  session.store.addEventListener('book', () => htmx.trigger(document.body, 'show-changed', {}));
  session.store.addEventListener('change', () => htmx.trigger(document.body, 'show-moved', {}));
  bind();
}

window.Alpine = Alpine;
Alpine.start();
