import { MS_PER_DAY } from '../quantity/units';

/** The state of a practitioner's certificate: `renew` from 60 days before its last day. */
export type CertificateStanding = { state: 'valid' | 'renew' | 'expired'; daysLeft: number };

const RENEW_FROM_DAYS = 60;

/**
 * @param untilMs the end of its last day
 * @example certificateStanding(Date.UTC(2026, 5, 30), Date.UTC(2026, 5, 20)) //=> { state: 'renew', daysLeft: 10 }
 */
export function certificateStanding(untilMs: number, nowMs: number): CertificateStanding {
  const daysLeft = Math.floor((untilMs - nowMs) / MS_PER_DAY);
  if (untilMs < nowMs) return { state: 'expired', daysLeft };
  return { state: daysLeft < RENEW_FROM_DAYS ? 'renew' : 'valid', daysLeft };
}
