/**
 * The sound of Lectern: a murmur with the rhythm of speech, made from a tone
 * through three moving resonances. It has no words; it is there to be metered,
 * heard and switched. Its peaks are near the alignment level.
 */
export function lecternVoice(audio: AudioContext): MediaStream {
  const out = audio.createMediaStreamDestination();
  const tone = audio.createOscillator();
  tone.type = 'sawtooth';
  tone.frequency.value = 118;

  const melody = slow(audio, 0.37, 14);
  melody.connect(tone.frequency);

  const syllables = audio.createGain();
  syllables.gain.value = 0.5;
  slow(audio, 3.7, 0.35).connect(syllables.gain);
  slow(audio, 0.23, 0.2).connect(syllables.gain);

  for (const [frequency, quality, wobble] of [[620, 6, 160], [1250, 8, 320], [2500, 9, 200]] as const) {
    const resonance = audio.createBiquadFilter();
    resonance.type = 'bandpass';
    resonance.frequency.value = frequency;
    resonance.Q.value = quality;
    slow(audio, 1.1 + frequency / 900, wobble).connect(resonance.frequency);
    tone.connect(resonance).connect(syllables);
  }
  const level = audio.createGain();
  level.gain.value = 0.32;
  syllables.connect(level).connect(out);
  tone.start();
  return out.stream;
}

/** A slow to and fro of this depth, for anything that may be moved. */
function slow(audio: AudioContext, hertz: number, depth: number): GainNode {
  const oscillator = audio.createOscillator();
  oscillator.frequency.value = hertz;
  const gain = audio.createGain();
  gain.gain.value = depth;
  oscillator.connect(gain);
  oscillator.start();
  return gain;
}
