import { hash, verify } from '@node-rs/argon2';
import { type Message, msg } from '#core/message';
import { sha256 } from '../sha256';
import { COMMON } from './common-passphrases';

/** OWASP's figures for argon2id: 19 MiB, two rounds, one lane. */
const COST = { memoryCost: 19_456, timeCost: 2, parallelism: 1 };
export const SHORTEST = 12;
export const LONGEST = 128;

/** A passphrase or PIN as it is kept: an argon2id hash with a salt of its own. */
export const hashSecret = (secret: string): Promise<string> => hash(normal(secret), COST);

// What no account has: so that an unknown name takes as long to refuse as a known one.
let noAccount: Promise<string> | undefined;

/** Whether a secret is the one that was kept; where none was kept it is not, and that takes as long. */
export async function isSecret(kept: string | null, secret: string): Promise<boolean> {
  noAccount ??= hashSecret(sha256(String(Math.random())));
  const same = await verify(kept ?? (await noAccount), normal(secret));
  return same && kept !== null;
}

/** The same letters typed on another keyboard are the same passphrase. */
const normal = (secret: string): string => secret.normalize('NFKC');

/**
 * Why a passphrase is not good enough; null for one that is. Length counts, not signs and figures.
 * @param known names that an attacker knows: of the person, of the practice
 */
export function whyWeak(passphrase: string, known: readonly string[]): Message | null {
  const text = normal(passphrase);
  if ([...text].length < SHORTEST)
    return msg('At least {shortest} characters: four or five words are easy to keep in mind.', {
      shortest: SHORTEST,
    });
  if (text.length > LONGEST) return msg('At most {longest} characters.', { longest: LONGEST });
  const plain = plainOf(text);
  if (COMMON.some((common) => plain === common || isRepeated(plain, common)) || new Set(plain).size < 5)
    return msg('Too many people have this one. Take words that are hard to guess.');
  const name = known.map(plainOf).find((word) => word.length >= 4 && plain.replaceAll(word, '').length < 6);
  return name === undefined ? null : msg('This is little more than a name. Take other words.');
}

const plainOf = (text: string): string => text.toLowerCase().replace(/[^\p{L}\p{N}]/gu, '');

/** Whether a text is another over and over, with some figures at its end. */
const isRepeated = (text: string, common: string): boolean =>
  common.length >= 4 && text.replaceAll(common, '').replace(/\d{1,4}$/, '') === '';
