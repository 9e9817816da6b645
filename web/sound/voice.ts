import { storedValue } from '../state/stored-value';
import { muted } from './mute';

/** `yes` while this device also says what happens next. */
export const spoken = storedValue('nervato-spoken', 'no');

/** Says a few words aloud, in place of any still being said. */
export function say(words: string): void {
  if (spoken.get() !== 'yes' || muted.get() === 'yes' || !('speechSynthesis' in window)) return;
  window.speechSynthesis.cancel();
  const spokenWords = new SpeechSynthesisUtterance(words);
  // Else a device reads German aloud as if it were its own language.
  spokenWords.lang = document.documentElement.lang;
  window.speechSynthesis.speak(spokenWords);
}
