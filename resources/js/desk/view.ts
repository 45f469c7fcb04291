/** Keeps the desk page true to the store: tally, labels, the progress of a transition, the strips. */
import type { ShowSession } from '../session';
import type { PlanBook, Tally, TallyState } from '../plan/types';
import { cut, take, toggleCover } from './actions';

const WORDS: Record<TallyState, string> = { program: 'On air', preview: 'Next', off: '' };

const LEVEL_EVERY_MS = 120;

let bound: { root: HTMLElement; show: () => void; stop: () => void } | null = null;

export function bindDesk(session: ShowSession, document: Document): void {
  const root = document.querySelector<HTMLElement>('[data-desk]');
  // A part of the page was swapped: what came new does not show the state yet.
  if (bound && root === bound.root) return bound.show();
  bound?.stop();
  bound = null;
  if (!root) return;

  const show = (): void => showDesk(session, root);
  const progress = (now: number): void => showProgress(session, root, now);
  for (const event of ['change', 'signals']) session.store.addEventListener(event, show);
  session.addEventListener('host', show);
  session.afterPass.add(progress);
  root.addEventListener('click', (event) => press(session, event));
  root.addEventListener('input', (event) => adjust(session, event));
  bound = {
    root,
    show,
    stop: () => {
      for (const event of ['change', 'signals']) session.store.removeEventListener(event, show);
      session.removeEventListener('host', show);
      session.afterPass.delete(progress);
    },
  };
  show();
}

function press(session: ShowSession, event: MouseEvent): void {
  const button = event.target instanceof Element ? event.target.closest<HTMLElement>('[data-press]') : null;
  if (!button || !session.mayOperate) return;
  const { press, pictureId, sourceId } = button.dataset;
  if (press === 'cut') cut(session);
  else if (press === 'take') take(session);
  else if (press === 'cover') toggleCover(session);
  else if (press === 'picture' && pictureId !== undefined) session.link.press(event.shiftKey ? 'direct' : 'arm', { picture: pictureId });
  else if (press === 'mute' && sourceId !== undefined) {
    session.link.press('sound', { source: sourceId, muted: !(session.store.strips[sourceId]?.muted ?? false) });
  } else if (press === 'program-window') window.open(`/shows/${session.show}/program`, `program-${session.show}`, 'popup,width=1280,height=720');
}

function adjust(session: ShowSession, event: Event): void {
  const input = event.target;
  if (!(input instanceof HTMLInputElement) || !session.mayOperate) return;
  const value = input.valueAsNumber;
  if (Number.isNaN(value)) return;
  if (input.dataset.adjust === 'level' && input.dataset.sourceId !== undefined) setLevel(session, input.dataset.sourceId, value);
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

function choose(session: ShowSession, duration: { duration_ms: number } | { frames: number }): void {
  void session.link.edit('choose', { transition: { kind: session.store.chosen.kind, ...duration } }).catch(() => undefined);
}

function showDesk(session: ShowSession, root: HTMLElement): void {
  const now = performance.now();
  const registers = session.store.registers(now);
  const tally = session.store.tally(now);
  const { book, chosen } = session.store;
  showCards(root, tally);
  setText(root, '[data-testid=revision]', String(session.store.revision));
  setText(root, '[data-take-label]', chosen.label);
  setText(root, '[data-program-name]', namesOf(session.store.onAir(now).pictures, book));
  setText(root, '[data-preview-name]', typeof registers.preview === 'string' ? namesOf([registers.preview], book) : 'nothing yet: press a picture');
  const covered = registers.covered === true;
  root.dataset.covered = covered ? 'yes' : 'no';
  setText(root, '[data-cover-label]', covered ? 'Uncover' : 'Cover');
  root.querySelector('[data-testid=cover]')?.setAttribute('aria-pressed', String(covered));
  setText(root, '[data-beneath]', covered ? `Beneath: ${namesOf([String(registers.program)], book)}` : '');
  showDuration(root, chosen.duration_ms, book.canvas.rate);
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

function showProgress(session: ShowSession, root: HTMLElement, now: number): void {
  const rail = root.querySelector<HTMLElement>('[data-rail]');
  const progress = session.store.progress(now);
  rail?.style.setProperty('--progress', (progress ?? 0).toFixed(3));
  if (rail) rail.dataset.moving = progress === null ? 'no' : 'yes';
}

function namesOf(pictures: string[], book: PlanBook): string {
  return pictures.map((id) => book.pictures[id]?.name ?? 'Holding card').join(' → ');
}

function setText(root: ParentNode, selector: string, text: string): void {
  const element = root.querySelector(selector);
  if (element && element.textContent !== text) element.textContent = text;
}

