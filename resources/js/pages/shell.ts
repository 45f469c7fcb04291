/** What every page of a show has: who holds the devices, open microphones, whether the server is there. */
import { MeterBar } from '../sound/meter';
import type { ShowSession } from '../session';
import { announce, say } from './say';

function showHere(session: ShowSession): void {
  const chip = document.getElementById('here');
  if (!chip) return;
  const { people } = session.presence.here;
  const others = people.filter(({ tab }) => tab !== session.lease.id);
  const alone = session.presence.othersAlone;
  chip.textContent = alone ? `${alone.name} has the desk alone` : others.length === 0 ? 'Only you here' : `${others.length + 1} here`;
  chip.title = people.map(({ name, device }) => `${name} (${device})`).join(', ');
  chip.dataset.state = alone ? 'alone' : 'open';
}

/** A change by somebody else says who did it. */
function showWho(session: ShowSession): void {
  const { command } = session.store.last;
  const place = document.getElementById('who');
  if (!place || !command || command.id === lastShown) return;
  lastShown = command.id;
  const words = SAID[command.type];
  if (words === undefined) return;
  const mine = session.link.sent.has(command.id);
  place.textContent = mine || command.by === null ? '' : `${command.by}: ${words}`;
}

/** What somebody else did, in a word. */
const SAID: Record<string, string> = {
  arm: 'next', unarm: 'next', cut: 'cut', direct: 'straight to program', take: 'take', fade: 'fader', back: 'back',
  cover: 'cover', uncover: 'uncover', inset: 'inset', 'inset.place': 'inset', 'inset.source': 'inset',
};

let lastShown = '';

export function followShell(session: ShowSession): void {
  session.presence.addEventListener('change', () => showHere(session));
  session.store.addEventListener('change', () => showWho(session));
  showHere(session);
  session.link.addEventListener('refused', (event) => say((event as CustomEvent<string>).detail));
  const away = { server: false, channel: false };
  const showAway = (): void => {
    const notice = document.getElementById('away');
    if (!notice) return;
    notice.hidden = !(away.server || away.channel);
    notice.querySelector('[data-unsent]')?.replaceChildren(String(session.link.unsent));
  };
  session.link.addEventListener('away', (event) => {
    away.server = (event as CustomEvent<boolean>).detail;
    showAway();
  });
  session.store.addEventListener('change', showAway);
  session.channel.addEventListener('away', (event) => {
    away.channel = (event as CustomEvent<boolean>).detail;
    showAway();
  });
  session.addEventListener('host', () => showHost(session));
  session.store.addEventListener('change', () => showMicrophones(session));
  session.addEventListener('host', () => session.rig?.addEventListener('change', () => showMicrophones(session)));
  document.getElementById('hold-devices')?.addEventListener('click', () => void session.lease.takeOver());
  document.getElementById('theme')?.addEventListener('click', switchTheme);
  session.store.addEventListener('change', () => announceProgram(session));
  for (const event of ['signals', 'change']) session.store.addEventListener(event, () => showQuality(session));
  showQuality(session);
  showMicrophones(session);
  showHost(session);
  followMeters(session);
}

/** Only the page inside is swapped: the marked place and the title follow it. */
export function showPlace(): void {
  const page = document.getElementById('page');
  if (!page || page.dataset.here === shownPlace) return;
  shownPlace = page.dataset.here;
  document.title = page.dataset.title ?? document.title;
  for (const link of document.querySelectorAll<HTMLElement>('#places a')) {
    if (link.dataset.place === shownPlace) link.setAttribute('aria-current', 'page');
    else link.removeAttribute('aria-current');
  }
  scrollTo(0, 0);
}

function showHost(session: ShowSession): void {
  const chip = document.getElementById('host');
  const { host, holder } = session.lease.lease;
  if (chip) {
    chip.textContent = session.isHost ? 'Devices are held here' : holder === null ? 'No computer holds the devices' : `Panel · devices held by ${holder}`;
    chip.dataset.state = session.isHost ? 'host' : 'panel';
  }
  const take = document.getElementById('hold-devices');
  if (take) take.hidden = host || !session.mayOperate;
}

/** What is given up at the moment so that program goes on. */
function showQuality(session: ShowSession): void {
  const chip = document.getElementById('quality');
  if (!chip) return;
  const { quality } = session.store;
  chip.hidden = (quality?.level ?? 0) === 0;
  const words = `Late frames: ${quality?.said ?? ''}`;
  chip.firstElementChild?.replaceChildren(words);
  chip.title = words;
}

function showMicrophones(session: ShowSession): void {
  const place = document.getElementById('live-microphones');
  if (!place) return;
  const { sources } = session.store.book;
  const open = Object.entries(sources).filter(([id, source]) => {
    const feed = session.rig?.feeds.get(id);
    return source.kind === 'microphone' && (session.store.strips[id]?.gain ?? 1) > 0 && (feed === undefined || feed.state === 'live');
  });
  const names = open.map(([, source]) => source.name).join(', ');
  place.textContent = open.length === 0 ? 'No open microphone' : `Live: ${names}`;
  place.dataset.state = open.length === 0 ? 'closed' : 'open';
}

let lastAnnounced = '';
let shownPlace = document.getElementById('page')?.dataset.here;

function announceProgram(session: ShowSession): void {
  const { pictures } = session.store.onAir(performance.now());
  const name = session.store.book.pictures[pictures.at(-1) ?? '']?.name ?? 'Holding card';
  if (name === lastAnnounced) return;
  if (lastAnnounced !== '') announce(`On air: ${name}`);
  lastAnnounced = name;
}

function switchTheme(): void {
  const theme = document.documentElement.dataset.theme === 'dusk' ? 'day' : 'dusk';
  document.documentElement.dataset.theme = theme;
  localStorage.setItem('rhetorix.theme', theme);
}

/** Every element with data-meter shows a level: of the main mix, or of one source. */
function followMeters(session: ShowSession): void {
  const bars = new Map<HTMLElement, MeterBar>();
  let pass = 0;
  session.afterPass.add(() => {
    if (pass++ % 2 !== 0) return;
    for (const element of document.querySelectorAll<HTMLElement>('[data-meter]')) {
      let bar = bars.get(element);
      if (!bar) {
        bar = new MeterBar(element, element.parentElement?.querySelector<HTMLElement>('[data-meter-text]') ?? null, session.store.book.sound.meter.floor);
        bars.set(element, bar);
      }
      const source = element.dataset.meter ?? '';
      bar.show(source === 'main' ? session.mixer?.meter : session.mixer?.meterOf(source));
    }
    for (const element of bars.keys()) if (!element.isConnected) bars.delete(element);
  });
}
