/** Sentences to the person: a message that stays until it is read, and words for the screen reader. */

export function say(sentence: string): void {
  const region = document.getElementById('messages');
  if (!region) return;
  const message = document.createElement('div');
  message.className = 'message';
  const text = document.createElement('p');
  text.textContent = sentence;
  const close = document.createElement('button');
  close.type = 'button';
  close.textContent = 'Got it';
  close.className = 'button-quiet';
  close.addEventListener('click', () => message.remove());
  message.append(text, close);
  region.append(message);
  setTimeout(() => message.remove(), 12_000);
}

export function announce(words: string): void {
  const region = document.getElementById('announcements');
  if (region && region.textContent !== words) region.textContent = words;
}
