/** Keeps the desk page true to the store: tally, labels, the progress of a transition, the strips. */
import { say } from '../pages/say';
import { positionAt } from '../capture/clip';
import { clock } from '../pages/handling';
import type { ShowSession } from '../session';
import type { PlanBook, Tally, TallyState } from '../plan/types';
import { controls } from '../control/controls';
import { perform, takeFavourite } from './actions';
import { bindInsetDrag } from './inset-drag';
import { bindFader, faderAt, heldByAnother } from './fader';

const WORDS: Record<TallyState, string> = { program: 'On air', preview: 'Next', off: '' };

const LEVEL_EVERY_MS = 120;

/** Passes from one look at the clips to the next. */
const LEFT_EVERY = 8;

let bound: { root: HTMLElement; show: () => void; stop: () => void } | null = null;

export function bindDesk(session: ShowSession, document: Document): void {
  const root = document.querySelector<HTMLElement>('[data-desk]');
  // A part of the page was swapped: what came new does not show the state yet.
  if (bound && root === bound.root) return bound.show();
  bound?.stop();
  bound = null;
  if (!root) return;

  const show = (): void => showDesk(session, root);
  let passes = 0;
  const progress = (now: number): void => {
    showProgress(session, root, now);
    if (passes++ % LEFT_EVERY === 0) showLeft(session, root, now);
  };
  for (const event of ['change', 'signals']) session.store.addEventListener(event, show);
  session.addEventListener('host', show);
  session.afterPass.add(progress);
  const rail = root.querySelector<HTMLElement>('[data-rail]');
  if (rail) bindFader(session, rail);
  bindInsetDrag(session, root);
  session.presence.addEventListener('change', show);
  root.addEventListener('click', (event) => press(session, event));
  root.addEventListener('input', (event) => adjust(session, event));
  bound = {
    root,
    show,
    stop: () => {
      for (const event of ['change', 'signals']) session.store.removeEventListener(event, show);
      session.removeEventListener('host', show);
      session.presence.removeEventListener('change', show);
      session.afterPass.delete(progress);
    },
  };
  show();
}

function press(session: ShowSession, event: MouseEvent): void {
  const button = event.target instanceof Element ? event.target.closest<HTMLElement>('[data-press]') : null;
  if (!button || !session.mayOperate) return;
  const { press, pictureId, sourceId } = button.dataset;
  if (press === 'favourite') takeFavourite(session, Number(button.dataset.place));
  else if (press === 'try') session.painter.tryOut(session.store.chosen.kind, session.store.chosen.duration_ms);
  else if (press === 'picture' && pictureId !== undefined) session.link.press(event.shiftKey ? 'direct' : 'arm', { picture: pictureId });
  else if (press === 'mute' && sourceId !== undefined) {
    session.link.press('sound', { source: sourceId, muted: !(session.store.strips[sourceId]?.muted ?? false) });
  } else if (press === 'program-window') window.open(`/shows/${session.show}/program`, `program-${session.show}`, 'popup,width=1280,height=720');
  else if (press !== undefined) perform(session, press);
}

function adjust(session: ShowSession, event: Event): void {
  const input = event.target;
  if (input instanceof HTMLSelectElement && session.mayOperate) {
    if (input.dataset.adjust === 'kind') choose(session, { shape: input.value });
    if (input.dataset.adjust === 'easing') choose(session, { easing: input.value });
    if (input.dataset.adjust === 'clip') choose(session, { clip: input.value });
  }
  if (!(input instanceof HTMLInputElement) || !session.mayOperate) return;
  if (input.dataset.adjust === 'colour') return choose(session, { colour: input.value });
  const value = input.valueAsNumber;
  if (Number.isNaN(value)) return;
  if (input.dataset.adjust === 'level' && input.dataset.sourceId !== undefined) setLevel(session, input.dataset.sourceId, value);
  if (input.dataset.adjust === 'soft') choose(session, { soft: value });
  if (input.dataset.adjust === 'mark') choose(session, { mark: value });
  if (input.dataset.adjust === 'seconds' && input.checkValidity()) choose(session, { duration_ms: Math.round(value * 1000) });
  if (input.dataset.adjust === 'frames' && input.checkValidity()) choose(session, { frames: value });
}

const levels = new Map<string, { value: number }>();

/** A slider moves faster than it is worth telling: the newest value goes out a few times a second. */
function setLevel(session: ShowSession, source: string, level: number): void {
  const waiting = levels.get(source);
  if (waiting) {
    waiting.value = level;
    return;
  }
  setTimeout(() => {
    session.link.press('sound', { source, level: levels.get(source)?.value ?? level });
    levels.delete(source);
  }, LEVEL_EVERY_MS);
  levels.set(source, { value: level });
}

type Wish = { duration_ms: number } | { frames: number } | { shape: string } | { easing: string } | { soft: number } | { colour: string } | { clip: string } | { mark: number };

/** Clips that can lie over a change. */
function clipsOf(session: ShowSession): string[] {
  const { sources } = session.store.book;
  return Object.keys(sources).filter((id) => sources[id]?.clip?.sound_only === false);
}

let choosing: ReturnType<typeof setTimeout> | undefined;
let wishes: Record<string, string | number> = {};

/** A slider moves faster than it is worth telling: what was wished for last counts. */
function choose(session: ShowSession, wish: Wish): void {
  wishes = { ...wishes, ...wish };
  clearTimeout(choosing);
  choosing = setTimeout(() => {
    const { shape, duration_ms, easing, soft, colour, clip: before, mark } = session.store.chosen;
    const { shape: kind = shape, ...more } = wishes;
    wishes = {};
    if (kind === 'clip') {
      const clip = String(more.clip ?? before ?? clipsOf(session)[0] ?? '');
      const lasts = session.store.book.sources[clip]?.clip?.covers_ms;
      if (lasts === undefined) {
        say('There is no clip in this show yet. Bring one on the rig first.');
        showDesk(session, document.querySelector<HTMLElement>('[data-desk]') ?? document.body);
        return;
      }
      void session.link.edit('choose', { transition: { kind, duration_ms: lasts, clip, mark: more.mark ?? mark } }).catch(() => undefined);
      return;
    }
    void session.link.edit('choose', { transition: { kind, ...('frames' in more ? {} : { duration_ms }), easing, soft, colour, ...more } }).catch(() => undefined);
  }, LEVEL_EVERY_MS);
}

function showDesk(session: ShowSession, root: HTMLElement): void {
  const now = performance.now();
  const registers = session.store.registers(now);
  const tally = session.store.tally(now);
  const { book, chosen } = session.store;
  showCards(root, tally);
  setText(root, '[data-testid=revision]', String(session.store.revision));
  setText(root, '[data-take-label]', session.store.takes.label);
  setText(root, '[data-program-name]', namesOf(session.store.onAir(now).pictures, book));
  setText(root, '[data-preview-name]', typeof registers.preview === 'string' ? namesOf([registers.preview], book) : 'nothing yet: press a picture');
  const covered = registers.covered === true;
  root.dataset.covered = covered ? 'yes' : 'no';
  setText(root, '[data-cover-label]', covered ? 'Uncover' : 'Cover');
  root.querySelector('[data-testid=cover]')?.setAttribute('aria-pressed', String(covered));
  setText(root, '[data-beneath]', covered ? `Beneath: ${namesOf([String(registers.program)], book)}` : '');
  showDuration(root, chosen.duration_ms, book.canvas.rate);
  for (const [name, value] of Object.entries({ kind: chosen.shape, easing: chosen.easing, soft: String(chosen.soft), colour: chosen.colour, clip: chosen.clip ?? '', mark: String(chosen.mark) })) {
    const field = root.querySelector<HTMLSelectElement | HTMLInputElement>(`[data-adjust=${name}]`);
    if (field && field !== document.activeElement) field.value = value;
  }
  showFavourites(session, root);
  showMay(session, root);
  for (const cap of root.querySelectorAll<HTMLElement>('[data-cap]')) setText(cap.parentElement ?? root, `[data-cap=${cap.dataset.cap ?? ''}]`, controls.capOf(cap.dataset.cap ?? ''));
  showStrips(session, root);
  showSignals(session, root);
}

/** What is wrong with a source is said on every picture in which it can be seen. */
function showSignals(session: ShowSession, root: HTMLElement): void {
  const { book, signals } = session.store;
  for (const card of root.querySelectorAll<HTMLElement>('[data-testid=picture-card]')) {
    const notes = (book.pictures[card.dataset.pictureId ?? '']?.visible ?? []).flatMap((source) => {
      const { frozen, blank } = session.store.handlings.of(source);
      const found = signals[source];
      const waits = session.rig?.feeds.get(source)?.problem === 'not-yet';
      const note = blank ? 'blanked' : frozen ? 'held still' : waits ? 'not here yet' : found && found.signal !== 'live' ? found.label : '';
      return note === '' ? [] : [`${book.sources[source]?.name ?? ''}: ${note}`];
    });
    setText(card, '[data-signal-note]', notes.join(', '));
  }
}

/** What is left of the clips that run, on every card that shows one. */
function showLeft(session: ShowSession, root: HTMLElement, now: number): void {
  const { book, handlings } = session.store;
  for (const card of root.querySelectorAll<HTMLElement>('[data-testid=picture-card]')) {
    const clip = (book.pictures[card.dataset.pictureId ?? '']?.visible ?? []).find((source) => book.sources[source]?.clip && handlings.of(source).playback?.playing);
    const plan = clip === undefined ? null : book.sources[clip]?.clip;
    const left = clip === undefined || !plan ? null : plan.length_ms - positionAt(handlings.of(clip).playback, plan, now);
    setText(card, '[data-left]', left === null || left <= 0 ? '' : clock(left));
  }
}

function showCards(root: HTMLElement, tally: Tally): void {
  for (const card of root.querySelectorAll<HTMLElement>('[data-testid=picture-card]')) {
    const state = tally.pictures[card.dataset.pictureId ?? ''] ?? 'off';
    if (card.dataset.tally === state) continue;
    card.dataset.tally = state;
    setText(card, '[data-tally-word]', WORDS[state]);
  }
}

function showStrips(session: ShowSession, root: HTMLElement): void {
  for (const strip of root.querySelectorAll<HTMLElement>('[data-strip]')) {
    const { muted, level } = session.store.strips[strip.dataset.strip ?? ''] ?? { muted: false, level: 0 };
    strip.dataset.muted = muted ? 'yes' : 'no';
    const button = strip.querySelector('[data-press=mute]');
    button?.setAttribute('aria-pressed', String(muted));
    setText(strip, '[data-mute-label]', muted ? 'Muted' : 'Mute');
    const slider = strip.querySelector<HTMLInputElement>('[data-adjust=level]');
    if (slider && slider !== document.activeElement) slider.valueAsNumber = level;
  }
}

function showDuration(root: HTMLElement, ms: number, rate: number): void {
  for (const [name, value] of [
    ['seconds', ms / 1000],
    ['frames', Math.round((ms * rate) / 1000)],
  ] as const) {
    const input = root.querySelector<HTMLInputElement>(`[data-adjust=${name}]`);
    if (input && input !== document.activeElement) input.value = String(value);
  }
}

/** A row of transitions, each labelled by its result. */
function showFavourites(session: ShowSession, root: HTMLElement): void {
  const place = root.querySelector<HTMLElement>('[data-favourites]');
  const labels = session.store.favourites.map(({ label }) => label);
  if (!place || place.dataset.shows === labels.join('|')) return;
  place.dataset.shows = labels.join('|');
  place.replaceChildren(
    ...labels.map((label, i) => {
      const button = document.createElement('button');
      Object.assign(button, { type: 'button', className: 'favourite', textContent: label.replace(/ s$/, '\u00a0s'), title: `Takes what is next: ${label}` });
      Object.assign(button.dataset, { press: 'favourite', place: String(i + 1), testid: 'favourite' });
      return button;
    }),
  );
}

/** While somebody else has the desk alone, its buttons say so. */
function showMay(session: ShowSession, root: HTMLElement): void {
  const { mayOperate } = session;
  if (root.dataset.may === String(mayOperate)) return;
  root.dataset.may = String(mayOperate);
  for (const button of root.querySelectorAll<HTMLButtonElement>('[data-press], [data-testid=inset] button')) if (button.dataset.press !== 'program-window') button.disabled = !mayOperate;
}

function showProgress(session: ShowSession, root: HTMLElement, now: number): void {
  const rail = root.querySelector<HTMLElement>('[data-rail]');
  if (!rail) return;
  const progress = session.store.progress(now);
  const { way, heading } = session.store.registers(now);
  const other = heldByAnother(session);
  rail.style.setProperty('--at', faderAt(session, now).toFixed(3));
  rail.dataset.way = String(way);
  rail.dataset.moving = progress === null ? 'no' : 'yes';
  rail.dataset.holder = other === null ? 'none' : 'other';
  setText(rail, '[data-fader-holder]', other === null ? '' : session.presence.nameOf(other));
  const percent = String(Math.round(100 * (progress ?? 0)));
  const words = progress === null ? `At its end, goes ${String(way)}` : `${percent} % ${heading === 'hand' ? 'by hand' : heading === 'back' ? 'going back' : 'going on'}`;
  if (rail.getAttribute('aria-valuetext') !== words) rail.setAttribute('aria-valuetext', words);
  if (rail.getAttribute('aria-valuenow') !== percent) {
    rail.setAttribute('aria-valuenow', percent);
  }
}

function namesOf(pictures: string[], book: PlanBook): string {
  return pictures.map((id) => book.pictures[id]?.name ?? 'Holding card').join(' → ');
}

function setText(root: ParentNode, selector: string, text: string): void {
  const element = root.querySelector(selector);
  if (element && element.textContent !== text) element.textContent = text;
}

