import { daysAhead } from '../course/ahead';
import type { Block } from '../course/block';
import type { MeantDay } from '../course/block-weeks';
import type { BlockEntry } from '../course/follow-block';
import type { OnDay } from '../course/on-day';
import { sessionOn } from '../course/session-on';
import { compile } from '../plan/compile';
import { unlessUnknown } from '../plan/compose';
import { doseOf } from '../plan/dose';
import type { Plan } from '../plan/plan';
import { type Day, dayAt } from '../quantity/days';
import { newest } from '../quantity/newest';
import { MS_PER_DAY } from '../quantity/units';
import { figuresOf, openedAt } from '../review/opened';
import { asKnownAt, courseRecordOf } from './course-in-force';
import type { ClientFacts, KitInUse, SessionFact } from './facts';
import { onItsRung } from './on-their-rungs';
import { versionInForce } from './version-in-force';

/** A session of a block as one answer says it: what it was opened at, was meant to be, or is to be (rule CRS-2). */
export type CourseDay = MeantDay &
  (
    | { state: 'done'; doneOn: Day; sessionId: string }
    | { state: 'missed' }
    | { state: 'to-come'; makesUp: boolean; plan: Plan | null }
  );

/** A block and its sessions as they stand, kept or only wished for. */
type Standing = { block: Pick<Block, 'wish'>; entries: readonly BlockEntry[] };

/**
 * Every session of a block: the past as it was opened or, where it was missed, as it was meant that morning by what was known then;
 * days to come as they open if every session before them is tolerated (rule CRS-2).
 */
export function courseDays(
  { block, entries }: Standing,
  facts: ClientFacts,
  kit: KitInUse,
  nowMs: number,
): CourseDay[] {
  const plans = [...new Set(entries.map(({ coursePlanId }) => coursePlanId))];
  return plans
    .flatMap((coursePlanId) => {
      const own = entries.filter((entry) => entry.coursePlanId === coursePlanId);
      const ahead = daysToCome(own, coursePlanId, block, facts, kit, nowMs);
      const sessions = finishedOf(facts, coursePlanId);
      return own.map((entry): CourseDay => {
        if (entry.state === 'done') return doneDay(entry, sessions, facts.zoneOffsetMs);
        if (entry.state === 'missed') return missedDay(entry, facts, kit);
        return ahead.shift() ?? { ...entry, ...UNKNOWN, plan: null };
      });
    })
    .sort((a, b) => a.day - b.day);
}

const UNKNOWN = { figures: null, sets: 0, occludedMs: 0, isDeload: false };

const finishedOf = ({ sessions }: ClientFacts, coursePlanId: string): SessionFact[] =>
  sessions.filter(
    (one) => one.coursePlanId === coursePlanId && one.finishedAtMs !== null && one.worked.length > 0,
  );

function doneDay(
  entry: Extract<BlockEntry, { state: 'done' }>,
  sessions: SessionFact[],
  zoneOffsetMs: number,
): CourseDay {
  // Of several on one day each is taken once.
  const at = sessions.findIndex(({ startedAtMs }) => dayAt(startedAtMs, zoneOffsetMs) === entry.doneOn);
  const [session] = at < 0 ? [] : sessions.splice(at, 1);
  return {
    ...entry,
    sessionId: session?.id ?? '',
    figures: session && session.exercises.length > 0 ? session.exercises : null,
    sets: (session?.exercises ?? []).reduce((sum, { figures }) => sum + (figures.sets ?? 0), 0),
    occludedMs: Math.max(0, ...(session?.given ?? []).map(({ occludedMs }) => occludedMs)),
    isDeload: session?.wasDeload === true,
  };
}

/** What was meant that morning, by the version and the record as they were known then. */
function missedDay(entry: OnDay & { state: 'missed' }, facts: ClientFacts, kit: KitInUse): CourseDay {
  const morningMs = entry.day * MS_PER_DAY - facts.zoneOffsetMs;
  const versions = [...facts.prescriptions, ...facts.formerVersions].filter(
    ({ coursePlanId, atMs }) => coursePlanId === entry.coursePlanId && atMs <= morningMs,
  );
  const signed = newest(versions);
  if (!signed) return { ...entry, ...UNKNOWN };
  const then = asKnownAt(facts, morningMs);
  const version = onItsRung(signed, then);
  const { record } = courseRecordOf(version, then, kit, morningMs);
  const { session, deloadPercent } = sessionOn(version.plan, record, entry.day);
  const { occludedMs } = doseOf(compile(version.plan));
  const sets = setsIn(session.exercises);
  return {
    ...entry,
    figures: figuresOf(session.exercises, null),
    sets,
    occludedMs: Math.round((occludedMs * sets) / Math.max(1, setsIn(version.plan.exercises))),
    isDeload: deloadPercent !== null,
  };
}

const setsIn = (exercises: readonly { sets: readonly unknown[] }[]): number =>
  exercises.reduce((sum, { sets }) => sum + sets.length, 0);

/** Days to come, in their order. */
function daysToCome(
  own: readonly BlockEntry[],
  coursePlanId: string,
  block: Standing['block'],
  facts: ClientFacts,
  kit: KitInUse,
  nowMs: number,
): CourseDay[] {
  const entries = own.filter((entry) => entry.state === 'to-come');
  const prescription = versionInForce(facts, coursePlanId);
  if (!prescription) return [];
  const { record } = courseRecordOf(prescription, facts, kit, nowMs);
  const ahead = unlessUnknown(
    () =>
      daysAhead(
        prescription.plan,
        { ...record, deload: record.deload ?? block.wish.deload },
        entries.map(({ day }) => day),
      ),
    null,
  );
  return entries.flatMap((entry, place): CourseDay[] => {
    const one = ahead?.[place];
    if (!one) return [];
    return [
      {
        ...entry,
        figures: openedAt(one.plan),
        plan: one.plan,
        sets: setsIn(one.plan.exercises),
        occludedMs: doseOf(compile(one.plan)).occludedMs,
        isDeload: one.of.deloadPercent !== null,
      },
    ];
  });
}
