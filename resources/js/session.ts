/**
 * One show in this tab. It lives as long as the tab: pages are swapped inside
 * it, so that going from the desk to the rig does not close a camera.
 */
import { markOwnTab } from './capture/own-screen';
import { PhoneFeed, type Offer } from './capture/phone';
import { Plugs } from './capture/plugs';
import { Rig } from './capture/rig';
import { DeskStore } from './desk/store';
import { ShowChannel } from './link/channel';
import { CommandLink } from './link/commands';
import { HostLease } from './link/lease';
import { beginKeeping } from './link/away';
import { followManners } from './link/manners';
import { begin, remember } from './link/memory';
import { Presence } from './link/presence';
import { StillsSender, StillsViewer } from './link/stills';
import { Clock } from './painter/clock';
import { Painter, type Images } from './painter/painter';
import type { PlanBook, Update } from './plan/types';
import { SignalSampler } from './signals/sampler';
import { Mixer } from './sound/mixer';

/** A panel has nothing that moves faster than its stills and a mix. */
const PANEL_RATE = 12;

/** With more unsent presses than this the desk is behind the server, not just on the way to it. */
const BEHIND = 3;

type SessionState = Update & { book: PlanBook };

/** Gives the painter whichever images this tab has at the moment: its own rig's, or the host's stills. */
class SwitchedImages implements Images {
  constructor(public now: Images) {}

  beginPass(time: number): void {
    this.now.beginPass(time);
  }

  full: Images['full'] = (source) => this.now.full(source);

  small: Images['small'] = (source) => this.now.small(source);

  over(source: string): CanvasImageSource | null {
    return this.now.over(source);
  }
}

export class ShowSession extends EventTarget {
  readonly store: DeskStore;
  readonly link: CommandLink;
  readonly channel: ShowChannel;
  readonly lease: HostLease;
  readonly presence: Presence;
  readonly audio = new AudioContext({ latencyHint: 'interactive' });
  readonly painter: Painter;
  rig: Rig | null = null;
  mixer: Mixer | null = null;
  plugs: Plugs | null = null;
  sampler: SignalSampler | null = null;
  /** picture and sound of program, for the program window; null on a panel */
  programStream: MediaStream | null = null;
  /** called after each pass of the painter */
  readonly afterPass = new Set<(now: number) => void>();
  private readonly images: SwitchedImages;
  private viewer: StillsViewer | null;
  private sender: StillsSender | null = null;
  private clock: Clock;
  private rate = PANEL_RATE;

  constructor(
    readonly show: string,
    private readonly mayEver: boolean,
    page: SessionState,
    tab: string,
    user: number,
  ) {
    super();
    const { state, offset } = begin(show, page);
    this.store = new DeskStore(state, offset);
    remember(show, this.store);
    this.link = new CommandLink(show, this.store, tab);
    this.channel = new ShowChannel(show, this.store);
    this.lease = new HostLease(show, this.channel, tab);
    this.presence = new Presence(show, this.channel, tab, user);
    this.viewer = new StillsViewer(show, this.store);
    this.images = new SwitchedImages(this.viewer);
    this.painter = new Painter(this.store, this.images);
    this.clock = this.newClock(PANEL_RATE);

    this.store.addEventListener('book', () => this.rig?.follow());
    this.store.addEventListener('signals', () => this.followQuality());
    this.lease.addEventListener('change', () => this.lease.lease.host ? this.beginHosting() : this.endHosting());
    const wake = (): void => void this.audio.resume();
    for (const event of ['pointerdown', 'keydown']) addEventListener(event, wake, { capture: true });
    this.channel.addEventListener('offer', (event) => void this.letIn((event as CustomEvent<Offer>).detail));
    this.channel.addEventListener('withdrawn', (event) => this.phone((event as CustomEvent<{ source: string }>).detail.source)?.leave());
    markOwnTab();
    this.channel.open();
    this.presence.begin();
    // A touch panel is in somebody's hand: it never takes the devices by itself.
    if (mayEver && document.querySelector('[data-panel]') === null) this.lease.begin();
    beginKeeping(show, this.store);
    followManners(show, this.store);
  }

  /** Whether presses of this person do anything now. */
  get mayOperate(): boolean {
    return this.mayEver && this.presence.othersAlone === null;
  }

  get isHost(): boolean {
    return this.rig !== null;
  }

  /** Whether pictures arrive: our own, or stills of a host. */
  get hasPictures(): boolean {
    return this.isHost || (this.viewer?.fresh ?? false);
  }

  private beginHosting(): void {
    if (this.rig) return;
    this.viewer?.stop();
    this.viewer = null;
    this.rig = new Rig(this.show, this.store, this.link, this.audio);
    this.mixer = new Mixer(this.audio, this.store, this.rig);
    this.images.now = this.rig;
    this.rig.addEventListener('clip-end', (event) => this.afterClip((event as CustomEvent<string>).detail));
    this.rig.follow();
    this.plugs = new Plugs(this.show, this.store);
    this.sampler = new SignalSampler(this.show, this.store, this.rig, this.mixer, this.lease, () => this.link.unsent > BEHIND);
    this.sender = new StillsSender(this.show, this.store, this.rig, this.lease);
    this.programStream = new MediaStream([
      ...this.painter.program.captureStream(this.store.book.canvas.rate).getTracks(),
      ...this.mixer.output.stream.getTracks(),
    ]);
    this.changeClock(this.store.book.canvas.rate);
  }

  private endHosting(): void {
    if (!this.rig) return this.tell();
    this.sender?.stop();
    this.sender = null;
    this.plugs?.close();
    this.plugs = null;
    this.sampler = null;
    this.rig.closeAll();
    this.rig = null;
    this.mixer = null;
    this.programStream?.getTracks().forEach((track) => track.stop());
    this.programStream = null;
    this.viewer = new StillsViewer(this.show, this.store);
    this.images.now = this.viewer;
    this.changeClock(PANEL_RATE);
  }

  private phone(source: string): PhoneFeed | null {
    const feed = this.rig?.feeds.get(source);
    return feed instanceof PhoneFeed ? feed : null;
  }

  private async letIn(offer: Offer): Promise<void> {
    await this.phone(offer.source)?.answer(offer).catch(() => undefined); // the device asks again
  }

  /** A clip that takes what is next has run out: only if the audience sees it. */
  private afterClip(source: string): void {
    const now = performance.now();
    const { preview } = this.store.registers(now);
    if (this.store.tally(now).sources[source] !== 'program' || typeof preview !== 'string') return;
    const { kind, duration_ms } = this.store.takes;
    this.link.press('take', { picture: preview, transition: { kind, duration_ms } });
  }

  /** Gives up what the core says, so that program and sound go on. */
  private followQuality(): void {
    const { quality } = this.store;
    if (!quality || !this.rig) return;
    this.painter.miniatures = quality.miniatures;
    this.painter.previewEvery = quality.preview_every;
    this.rig.limit(quality.lines);
    const rate = this.store.book.canvas.rate * quality.rate;
    if (rate !== this.rate) this.changeClock(rate);
  }

  private changeClock(rate: number): void {
    this.rate = rate;
    this.clock.stop();
    this.clock = this.newClock(rate);
    this.tell();
  }

  private newClock(rate: number): Clock {
    return new Clock(rate, (now) => {
      this.painter.pass(now);
      this.mixer?.beat(now);
      this.sampler?.beat(now);
      for (const callback of this.afterPass) callback(now);
    });
  }

  private tell(): void {
    this.dispatchEvent(new Event('host'));
  }
}
