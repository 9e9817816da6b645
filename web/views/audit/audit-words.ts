import { t } from '@lingui/core/macro';
import type { AuditEntry } from '#contract/audit';

/** What an entry is called, as it was written, in words; one that is not here is said by its own name. */
const WORDS: Record<string, string> = {
  'looked-at': t`Looked at the record`,
  refused: t`Was refused`,
  'signed-in': t`Signed in`,
  'switched-to': t`Came back by PIN`,
  'signed-out': t`Signed out`,
  'sign-in-refused': t`Was not let in`,
  'occlusion-pressure-measured': t`Measured the occlusion pressure`,
  fitted: t`Fitted a cuff or strap`,
  screened: t`Screened`,
  prescribed: t`Signed a plan`,
  'prescribed-past-guard': t`Signed a plan past a guard`,
  'session-opened': t`Opened a session`,
  'session-opened-past-guard': t`Opened a session past a guard`,
  'events-appended': t`Recorded in a session`,
  're-targeted': t`Re-targeted a plan`,
};

/** @example actionWords({ action: 'clearance-recorded' }) //=> 'Clearance recorded' */
export const actionWords = ({ action }: Pick<AuditEntry, 'action'>): string =>
  WORDS[action] ?? (action[0] ?? '').toUpperCase() + action.slice(1).replaceAll('-', ' ');

const MOST = 160;

/** What an entry says besides, on one line; null where it says nothing. */
export function detailWords({ detail }: Pick<AuditEntry, 'detail'>): string | null {
  const said = Object.entries(detail).map(
    ([name, value]) => `${name}: ${typeof value === 'string' ? value : JSON.stringify(value)}`,
  );
  return said.length === 0 ? null : said.join(' · ').slice(0, MOST);
}
