/** A test tone from a chosen loudspeaker: 440 Hz at the alignment level, for a moment. */
const SECONDS = 1.5;

export async function playTone(audio: AudioContext, speaker: string, levelDb: number): Promise<void> {
  await audio.resume();
  const oscillator = audio.createOscillator();
  const gain = audio.createGain();
  const out = audio.createMediaStreamDestination();
  oscillator.frequency.value = 440;
  const [start, loud] = [audio.currentTime, 10 ** (levelDb / 20)];
  gain.gain.setValueAtTime(0, start);
  gain.gain.linearRampToValueAtTime(loud, start + 0.03);
  gain.gain.setValueAtTime(loud, start + SECONDS - 0.05);
  gain.gain.linearRampToValueAtTime(0, start + SECONDS);
  oscillator.connect(gain).connect(out);

  const player = new Audio();
  player.srcObject = out.stream;
  if (speaker !== '' && speaker !== 'default' && 'setSinkId' in player) await player.setSinkId(speaker);
  await player.play();
  oscillator.start(start);
  oscillator.stop(start + SECONDS);
  await new Promise((resolve) => oscillator.addEventListener('ended', resolve, { once: true }));
  player.srcObject = null;
}
