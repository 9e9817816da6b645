import { z } from 'zod';
import type { Finding } from '../findings/finding';
import { msg } from '../message/message';
import { MS_PER_DAY } from '../quantity/units';
import { RULES } from '../rules/catalogue';

/** Which text is read with a person now; `CONSENT_TEXTS` keeps every version that a person agreed to. */
export const CONSENT_VERSION = 1;

/** What a person, or who answers for them, said to the training after it was explained (rule SCR-6). */
export const consentSchema = z.object({
  version: z.number().int().min(1),
  decision: z.enum(['agreed', 'withdrawn']),
  /** How it was read with them. */
  read: z.enum(['on-screen', 'on-paper']),
  /** Null where the person said it themselves; else the name of the guardian. */
  guardian: z
    .string()
    .trim()
    .min(1, msg('Name the guardian.'))
    .max(120, msg('At most 120 characters.'))
    .nullable(),
});
export type ConsentGiven = z.infer<typeof consentSchema>;
export type Consent = ConsentGiven & { atMs: number };

const { heldDays } = RULES['SCR-6'].figures;

/** Until when a consent counts, in ms since 1970. */
export const consentEndsMs = ({ atMs }: Pick<Consent, 'atMs'>): number => atMs + heldDays * MS_PER_DAY;

/**
 * What keeps a session from opening without a word (rule SCR-6): no consent, or one too old, is a guard; a consent that was
 * withdrawn is never passed.
 * @param consent the newest on record @param isMinor under 18: a guardian agrees (rule SCR-1)
 */
export function checkConsent(consent: Consent | undefined, isMinor: boolean, nowMs: number): Finding[] {
  const common = { rule: 'SCR-6', subject: 'consent' } as const;
  if (consent?.decision === 'withdrawn') {
    return [
      {
        ...common,
        level: 'hard',
        message: msg('The consent was withdrawn.'),
        remedy: msg('Nothing is inflated. Explain it again if the person wishes, and record what they say.'),
      },
    ];
  }
  if (consent && isMinor && consent.guardian === null) {
    return [
      {
        ...common,
        level: 'guard',
        message: msg('Under 18, and no guardian has agreed.'),
        remedy: msg('Read it with the guardian too, and record who agreed.'),
      },
    ];
  }
  if (consent && nowMs < consentEndsMs(consent)) return [];
  return [
    {
      ...common,
      level: 'guard',
      message: consent ? msg('The consent is over a year old.') : msg('No consent is on record.'),
      remedy: msg('Read what it is and what it will feel like with the person, and record that they agree.'),
    },
  ];
}
