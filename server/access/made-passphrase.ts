import { randomInt } from 'node:crypto';

// Short words that are not misheard; 64 of them, so that each of the seven says six bits.
const WORDS =
  'anchor basket bridge butter candle canvas cedar chalk cherry copper corner cotton cousin dinner engine feather fiddle finger flower forest garden garlic ginger hammer harbor helmet honey jacket kettle ladder lantern lemon linen magnet marble meadow mirror morning mustard needle olive orange paper parrot pebble pencil pepper pillow planet pocket rabbit ribbon river rocket saddle salmon silver spider sugar summer tunnel velvet walnut window'.split(
    ' ',
  );
const LENGTH = 7;

/** A passphrase that the app makes for a person, to be read aloud once: 42 bits, and changed at the first sign-in. */
export const madePassphrase = (): string =>
  Array.from({ length: LENGTH }, () => WORDS[randomInt(WORDS.length)] ?? '').join(' ');
