import { t } from '@lingui/core/macro';
import { certificateStanding } from '#core/learning';
import { serverNow } from '../../data/clock';
import { day, endOfDayMs } from '../../words/format';

/** Until when a certificate is valid, and that it runs out. @param untilDay an ISO day */
export function CertificateWords({ untilDay }: { untilDay: string | null }) {
  const untilMs = untilDay === null ? null : endOfDayMs(untilDay);
  if (untilMs === null) return null;
  const { state, daysLeft } = certificateStanding(untilMs, serverNow());
  const words = {
    valid: t`Certificate valid until ${day(untilMs)}.`,
    renew: t`Certificate valid until ${day(untilMs)}: ${daysLeft === 0 ? t`its last day` : t`${daysLeft} days left`}, renew it.`,
    expired: t`Certificate expired on ${day(untilMs)}.`,
  }[state];
  return <span className={state === 'valid' ? 'text-quiet' : 'font-semibold text-ochre'}>{words}</span>;
}
