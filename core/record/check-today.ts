import type { Finding } from '../findings/finding';
import { newest } from '../quantity/newest';
import { RULES } from '../rules/catalogue';
import { checkConsent } from '../screening/consent';
import type { ClientFacts } from './facts';
import { dayCheckInForce } from './in-force';

const { guardFromPain } = RULES['SCR-3'].figures;

/** Whether somebody answers for them, by their last screening (rules SCR-1, SCR-6). */
export const isMinor = ({ screenings }: Pick<ClientFacts, 'screenings'>): boolean =>
  newest(screenings)?.yes.includes('under-18') ?? false;

/** What is found of a person before a session of theirs opens, whatever its plan: their consent (SCR-6) and their pain today (SCR-3). */
export function checkToday(
  facts: Pick<ClientFacts, 'consents' | 'dayChecks' | 'screenings'>,
  nowMs: number,
): Finding[] {
  const painNow = dayCheckInForce(facts, nowMs)?.painNow ?? 0;
  const pain: Finding[] =
    painNow < guardFromPain
      ? []
      : [
          {
            rule: 'SCR-3',
            level: 'guard',
            subject: 'painNow',
            message: `Pain before the session is ${painNow} of 10.`,
            remedy: 'Not today, or lighter; a clinician decides.',
          },
        ];
  return [...checkConsent(newest(facts.consents), isMinor(facts), nowMs), ...pain];
}
