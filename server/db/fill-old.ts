import { holdsOfScreening } from '#core/record';
import { RULES } from '#core/rules';
import {
  conditionsOfScreening,
  type FoundSubject,
  type Screening,
  type Stricter,
  subjectOf,
} from '#core/screening';
import type { SessionEvent } from '#core/session';
import { beginConditions } from '../record/commands/begin-conditions';
import { holdsOfEvents, raiseHolds } from '../record/commands/raise-holds';
import { fillSummaries } from '../record/commands/summarise-session';
import { wornIn } from '../record/commands/take-events';
import type { Row } from '../record/read';
import { screeningFacts } from '../record/screening';
import { chainOld } from './audit';
import type { Prepare } from './dialect/connection';

const FILLED = 5;

type ScreeningRow = { id: string; clientId: string; atMs: number; yes: string; bloodPressures: string };
type EventRow = { sessionId: string; clientId: string; event: string; receivedAtMs: number };

/**
 * What a file kept by an older release does not have yet, made once from what it has: summaries and lines of its
 * sessions, its holds, its conditions, and the chain of its audit. A file says in its version that this was done, so that a start looks through nothing.
 */
export function fillOld(prepare: Prepare): void {
  const mark = prepare('pragma user_version').get() as { user_version: number };
  if (mark.user_version >= FILLED) return;
  fillSummaries(prepare);
  prepare('drop trigger if exists audit_no_update').run();
  chainOld(prepare);
  // What an entry says may go where its person is forgotten, and nothing else of it.
  prepare(`create trigger audit_no_update before update on audit
    when new.detail <> '' or new.salt <> '' or new.id <> old.id or new.at_ms <> old.at_ms
      or new.practitioner_id <> old.practitioner_id or new.action <> old.action or new.subject <> old.subject
      or new.detail_sha256 <> old.detail_sha256 or new.hash <> old.hash
      or not exists (select 1 from erased where client_id = old.subject)
        and not exists (select 1 from erased_session where session_id = old.subject)
    begin select raise(abort, 'audit is append-only'); end`).run();
  // Holds were filled by the release before; what was lifted since stays lifted.
  if (mark.user_version < 1) fillHolds(prepare);
  if (mark.user_version < 4) fillConditions(prepare);
  prepare(`pragma user_version = ${FILLED}`).run();
}

/**
 * What the newest screening of each person stops, and what was noted in and after their last session; a clinician lifts what
 * has long been settled (rule SCR-5).
 */
function fillHolds(prepare: Prepare): void {
  const practice = prepare('select stricter from practice').get() as { stricter: string } | undefined;
  const stricter: Stricter = practice ? JSON.parse(practice.stricter) : [];
  const screenings = prepare(
    `select id, client_id as "clientId", at_ms as "atMs", yes, blood_pressures as "bloodPressures"
     from screening where superseded = 0`,
  ).all() as ScreeningRow[];
  for (const { id, clientId, atMs, yes, bloodPressures } of screenings) {
    const screening = { yes: JSON.parse(yes), bloodPressures: JSON.parse(bloodPressures) };
    raiseHolds(prepare, clientId, holdsOfScreening(id, screening, stricter, atMs));
  }
  const events = prepare(
    `select session_id as "sessionId", client_id as "clientId", event, received_at_ms as "receivedAtMs"
     from session_event join session on session.id = session_id
     where superseded = 0 and type in ('sign-noted', 'followed-up')`,
  ).all() as EventRow[];
  for (const { sessionId, clientId, event, receivedAtMs } of events) {
    const noted = [JSON.parse(event) as SessionEvent];
    raiseHolds(
      prepare,
      clientId,
      holdsOfEvents(noted, wornIn(prepare, sessionId), () => RULES['RUN-8'].figures.stopAbove, receivedAtMs),
    );
  }
}

const SCREENING_WITH_ID = screeningFacts.select.replace('select ', 'select id, ');

/**
 * What each person has, by all their screenings: a later "no" ended it where a clinician asked, or where it was not kept who asked,
 * since nothing else ended it then; one by another person did not (rule SCR-1).
 */
function fillConditions(prepare: Prepare): void {
  const people = prepare('select id from client where merged_into is null').all() as { id: string }[];
  for (const { id } of people) fillConditionsOf(prepare, id, 'ended-by-a-later-no');
}

/** Letters of an earlier release limit neither a rung nor a range: those of a person say so from now on. */
export const fillLettersOf = (prepare: Prepare, clientId: string): unknown =>
  prepare(
    `update clearance set clearance = json_set(clearance, '$.highestRung', null, '$.ranges', json('[]'))
     where json_type(clearance, '$.ranges') is null and client_id = ?`,
  ).run(clientId);

/** @param later whether a later "no" of a clinician ends what was there, or what a file says stays until a clinician ends it here */
export function fillConditionsOf(
  prepare: Prepare,
  clientId: string,
  later: 'ended-by-a-later-no' | 'ended-here-only',
): void {
  const rows = prepare(
    `${SCREENING_WITH_ID} where client_id = ? and superseded <> 2 order by at_ms, rowid`,
  ).all(clientId) as Row[];
  const screenings = rows.map((row) => ({ id: String(row.id), ...screeningFacts.of(row) }));
  for (const [place, screening] of screenings.entries()) {
    const begun = conditionsOfScreening(screening.id, screening, screening.atMs);
    beginConditions(prepare, clientId, begun);
    if (later === 'ended-here-only') continue;
    const after = screenings.slice(place + 1).filter(({ by }) => by === undefined || by === 'clinician');
    for (const { cause, detail } of begun) {
      const ends = after.find((next) => !saysAgain(next, subjectOf(detail)));
      if (!ends) continue;
      prepare(
        `update condition set ended_at_ms = ?, end_reason = 'Screened again'
         where client_id = ? and cause = ? and ended_at_ms is null`,
      ).run(ends.atMs, clientId, cause);
    }
  }
}

/** Whether a screening finds the same again. */
const saysAgain = (screening: Screening, subject: FoundSubject): boolean =>
  conditionsOfScreening('', screening, screening.atMs).some(({ detail }) => subjectOf(detail) === subject);
