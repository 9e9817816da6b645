import type { Finding } from '../findings/finding';
import { msg } from '../message/message';
import { newest } from '../quantity/newest';
import { RULES } from '../rules/catalogue';
import { checkConsent } from '../screening/consent';
import type { ClientFacts } from './facts';
import { dayCheckInForce, isMinor, needsBloodPressure } from './in-force';

const { guardFromPain } = RULES['SCR-3'].figures;

/**
 * What is found of a person before a session of theirs opens, whatever its plan: their consent (SCR-6), and their pain and blood
 * pressure today (SCR-3).
 */
export function checkToday(
  facts: Pick<ClientFacts, 'consents' | 'dayChecks' | 'conditions' | 'clearances'>,
  nowMs: number,
): Finding[] {
  const today = dayCheckInForce(facts, nowMs);
  const found = [...checkConsent(newest(facts.consents), isMinor(facts, nowMs), nowMs)];
  if (today && today.painNow >= guardFromPain) {
    found.push({
      rule: 'SCR-3',
      level: 'guard',
      subject: 'painNow',
      message: msg('Pain before the session is {painNow} of 10.', { painNow: today.painNow }),
      remedy: msg('Not today, or lighter; a clinician decides.'),
    });
  }
  // What is on record now counts, though it was not when the day's check was made.
  if (today && !today.bloodPressure && needsBloodPressure(facts, nowMs)) {
    found.push({
      rule: 'SCR-3',
      level: 'hard',
      subject: 'bloodPressure',
      message: msg(
        'No blood pressure of today is on record, and high blood pressure is, or a clearance asks for it.',
      ),
      remedy: msg('Measure it, and check again.'),
    });
  }
  return found;
}
