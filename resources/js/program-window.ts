/**
 * Program and its sound and nothing else. It takes the stream from the window
 * that opened it, and takes it again when that window was loaded anew.
 */
import { paintPlan } from './painter/frame';
import type { FramePlan } from './plan/types';
import type { ShowSession } from './session';

const LOOK_EVERY_MS = 300;

const video = document.querySelector('video');
const canvas = document.querySelector('canvas');
const notice = document.getElementById('notice');
const holding = JSON.parse(document.getElementById('holding')?.textContent ?? 'null') as FramePlan | null;

/** What the audience sees until program is there: never blank. */
function paintHolding(): void {
  const context = canvas?.getContext('2d', { alpha: false });
  if (!canvas || !context || !holding) return;
  canvas.width = holding.canvas.width;
  canvas.height = holding.canvas.height;
  paintPlan(context, holding, canvas.width, canvas.height, () => null);
}

function streamOfOpener(): MediaStream | null {
  try {
    const session = (window.opener as (Window & { rhetorix?: ShowSession }) | null)?.rhetorix;
    return session?.show === document.body.dataset.show ? (session?.programStream ?? null) : null;
  } catch {
    return null; // the opener went to another site
  }
}

async function play(stream: MediaStream): Promise<void> {
  if (!video) return;
  video.srcObject = stream;
  video.muted = false;
  try {
    await video.play();
  } catch {
    // Without a press in this window the browser gives no sound: picture first, sound at the first press.
    video.muted = true;
    await video.play().catch(() => undefined);
    addEventListener('pointerdown', () => (video.muted = false), { once: true });
    addEventListener('keydown', () => (video.muted = false), { once: true });
  }
}

function look(): void {
  const stream = streamOfOpener();
  const alive = stream?.active ?? false;
  document.body.dataset.started = alive ? 'yes' : 'no';
  if (notice) notice.hidden = alive;
  if (stream && alive && video && video.srcObject !== stream) void play(stream);
}

void document.fonts.ready.then(paintHolding);
paintHolding();
look();
setInterval(look, LOOK_EVERY_MS);
addEventListener('dblclick', () => void document.documentElement.requestFullscreen());
