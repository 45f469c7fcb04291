/** Where the pages of a show begin. */
import Alpine from 'alpinejs';
import htmx from 'htmx.org';
import { bindDesk } from './desk/view';
import { listenToKeys } from './desk/keys';
import { bindCanvases } from './pages/canvases';
import { fillNext } from './pages/fill-next';
import { controlsPage } from './pages/controls';
import { insetDesk } from './pages/inset-desk';
import { peoplePage } from './pages/people';
import { touchPanel } from './pages/touch-panel';
import { transitions } from './pages/transitions';
import { inHand } from './pages/in-hand';
import { pictureCard } from './pages/picture-card';
import { pictureLibrary, pictureShelf } from './pages/picture-shelf';
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
import { compose, composeArt, composeHidden } from './pages/compose/compose';
import type { Draft } from './pages/compose/document';
import { deckPages } from './pages/deck-pages';
import { handling } from './pages/handling';
import { growParts } from './pages/morph';
import { drawCodes } from './pages/join-link';
import { plugList } from './pages/plug-list';
import { followShell, showPlace } from './pages/shell';
import { addShows } from './pages/shows';
import { listenToMidi, listenToPads } from './control/devices';
import { controls, type ControlPage } from './control/controls';
import { forgetAll } from './link/memory';
import { nameTab } from './link/tab';
import { ShowSession } from './session';
import type { PlanBook, Update } from './plan/types';

declare global {
  interface Window {
    /** For the program window, which is opened by this one, and for checks. */
    rhetorix?: ShowSession;
    /** A message as if a MIDI device had sent it, for stand-ins. */
    rhetorixMidi?: (bytes: Uint8Array) => void;
    Alpine: typeof Alpine;
  }
}

async function beginSession(): Promise<ShowSession | undefined> {
  const holder = document.getElementById('show-state');
  if (!holder?.dataset.show) return undefined;
  const state = JSON.parse(holder.textContent) as Update & { book: PlanBook };
  controls.read(JSON.parse(document.getElementById('controls')?.textContent ?? '{}') as ControlPage);
  return new ShowSession(holder.dataset.show, holder.dataset.mayOperate === 'yes', state, await nameTab(), Number(holder.dataset.user));
}

// Going back asks the server again: a stored copy of a page has no living canvases.
htmx.config.historyCacheSize = 0;
htmx.config.allowEval = false;
htmx.config.includeIndicatorStyles = false;
htmx.config.scrollIntoViewOnBoost = false;

growParts();
addShows();
document.querySelector('form[action="/sign-out"]')?.addEventListener('submit', forgetAll);
const session = await beginSession();
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
  Alpine.data('compose', (start: unknown, purposes: unknown, limits: unknown) => compose(session, start as Draft, purposes as Record<string, string>, limits as { least: number; most: number }));
  Alpine.data('composeHidden', () => composeHidden(session));
  Alpine.data('composeArt', () => composeArt(session));
  Alpine.data('deckPages', (source: unknown) => deckPages(session, String(source)));
  Alpine.data('connectMicrophone', () => connectMicrophone(session));
  Alpine.data('rigList', () => rigList(session));
  Alpine.data('pictureForm', (offered: unknown) => pictureForm(session, (offered ?? {}) as Parameters<typeof pictureForm>[1]));
  Alpine.data('pictureShelf', () => pictureShelf(session));
  Alpine.data('pictureLibrary', () => pictureLibrary(session));
  Alpine.data('transitions', () => transitions(session));
  Alpine.data('insetDesk', () => insetDesk(session));
  Alpine.data('touchPanel', () => touchPanel(session));
  Alpine.data('controlsPage', () => controlsPage(session));
  Alpine.data('peoplePage', () => peoplePage(session));
  Alpine.data('fillNext', () => fillNext(session));
  Alpine.data('pictureCard', (picture: unknown) => pictureCard(session, String(picture)));

  const bind = (): void => {
    bindCanvases(session, document);
    bindDesk(session, document);
    void drawCodes(document);
  };
  followShell(session);
  listenToKeys(session);
  listenToPads(session);
  void listenToMidi(session);
  document.body.addEventListener('htmx:afterSettle', bind);
  document.body.addEventListener('htmx:afterSettle', showPlace);
  session.store.addEventListener('book', () => htmx.trigger(document.body, 'show-changed', {}));
  session.store.addEventListener('change', () => htmx.trigger(document.body, 'show-moved', {}));
  bind();
}

window.Alpine = Alpine;
Alpine.start();
