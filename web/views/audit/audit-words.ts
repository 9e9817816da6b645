import type { AuditEntry } from '#contract/audit';

/** What an entry is called, as it was written, in words; one that is not here is said by its own name. */
const WORDS: Record<string, string> = {
  'looked-at': 'Looked at the record',
  refused: 'Was refused',
  'signed-in': 'Signed in',
  'switched-to': 'Came back by PIN',
  'signed-out': 'Signed out',
  'sign-in-refused': 'Was not let in',
  'occlusion-pressure-measured': 'Measured the occlusion pressure',
  fitted: 'Fitted a cuff or strap',
  screened: 'Screened',
  prescribed: 'Signed a plan',
  'prescribed-past-guard': 'Signed a plan past a guard',
  'session-opened': 'Opened a session',
  'session-opened-past-guard': 'Opened a session past a guard',
  'events-appended': 'Recorded in a session',
  're-targeted': 'Re-targeted a plan',
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
