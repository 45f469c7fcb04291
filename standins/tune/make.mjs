/**
 * Makes the waiting music of the demo show: node standins/tune/make.mjs
 * A slow round of soft plucked tones, written as samples and coded by ffmpeg.
 */
import { execFileSync } from 'node:child_process';
import { writeFileSync } from 'node:fs';

const RATE = 48000;
const BEAT = 0.75;
const BEATS = 32;
const length = Math.round(RATE * BEAT * BEATS);
const left = new Float64Array(length);
const right = new Float64Array(length);

/** A string that is plucked and dies away; what rings past the end is heard at the beginning, so that it loops. */
function pluck(beat, note, loud, side) {
  const frequency = 220 * 2 ** (note / 12);
  const start = Math.round(beat * BEAT * RATE);
  for (let i = 0; i < RATE * 3.2; i++) {
    const t = i / RATE;
    const fade = Math.exp(-t * 1.9) * Math.min(1, t * 180);
    let value = 0;
    for (let h = 1; h <= 6; h++) value += (Math.sin(2 * Math.PI * frequency * h * t + h) * Math.exp(-t * h * 0.9)) / h ** 1.4;
    const at = (start + i) % length;
    left[at] += value * fade * loud * (1 - side);
    right[at] += value * fade * loud * (1 + side);
  }
}

const chords = [[0, 7, 12, 16], [-3, 4, 9, 12], [-7, 5, 9, 12], [-5, 2, 7, 11], [0, 7, 12, 16], [-3, 4, 9, 16], [-7, 5, 9, 14], [-5, 2, 7, 11]];
chords.forEach((chord, bar) => {
  pluck(bar * 4, chord[0] - 12, 0.11, 0);
  chord.forEach((note, i) => pluck(bar * 4 + i, note, 0.075, i % 2 ? 0.3 : -0.3));
  pluck(bar * 4 + 2.5, chord[(bar * 3) % 4] + 12, 0.045, 0.4);
  if (bar % 2) pluck(bar * 4 + 3.5, chord[(bar + 1) % 4] + 12, 0.04, -0.4);
});

const pcm = Buffer.alloc(length * 4);
for (let i = 0; i < length; i++) {
  pcm.writeInt16LE(Math.max(-32767, Math.min(32767, Math.round(left[i] * 20000))), i * 4);
  pcm.writeInt16LE(Math.max(-32767, Math.min(32767, Math.round(right[i] * 20000))), i * 4 + 2);
}
writeFileSync('/tmp/tune.raw', pcm);
execFileSync('ffmpeg', ['-v', 'error', '-y', '-f', 's16le', '-ar', String(RATE), '-ac', '2', '-i', '/tmp/tune.raw', '-c:a', 'libopus', '-b:a', '80k', 'standins/tune/tune.ogg']);
