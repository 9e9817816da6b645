import type { About } from '#contract/client';
import { type CoursePlan, type RungCheck, readBlock } from '#core/course';
import type { FitFact, TightnessFact } from '#core/cuff';
import { type Finding, guardFindings } from '#core/findings';
import type { OcclusionFact, Trial } from '#core/occlusion-pressure';
import { readPlan } from '#core/plan';
import { MS_PER_DAY } from '#core/quantity';
import {
  type BlockFact,
  type ClientFacts,
  type ComparisonFact,
  type FollowedFact,
  type Hold,
  type PrescriptionFact,
  SESSIONS_COUNT_MS,
  type SessionFact,
} from '#core/record';
import { RULES } from '#core/rules';
import {
  type Clearance,
  type Condition,
  type Consent,
  DAY_CHECK_HOLDS_MS,
  type DayCheck,
  type DayCheckAnswers,
  type Screening,
} from '#core/screening';
import type { HeavyWork, StrengthFact } from '#core/strength';
import { CONDITION, conditionOf } from './conditions';
import type { Prepare } from './dialect/connection';
import { AS_WRITTEN } from './dialect/sql';
import { holdOf } from './holds';
import type { PracticeFacts } from './read-practice';

/**
 * How rows of one kind are read for some people, and what a row says: one text, or several whose rows go together.
 * `sql` is before the condition that picks the people, `and` after it; `times` are asked for in `and`, given now.
 */
type Part = { sql: string; and?: string; times?: (nowMs: number) => number[] };
type Kind<Fact> = { parts: readonly Part[]; of: (row: Row) => Fact };

// biome-ignore lint/suspicious/noExplicitAny: a row is what its text selects; each kind names its own columns.
export type Row = Record<string, any>;

/** Of several with one time the later received counts: it comes last (rule START-4). */
const AS_RECEIVED = `order by ${AS_WRITTEN}`;

const newestOnly = (sql: string): Part => ({ sql, and: 'superseded = 0' });

export const SCREENING = `select client_id, at_ms as "atMs", version, yes, blood_pressures, note, procedures, places, medicines,
  adult_from_ms as "adultFromMs", "by" from screening`;

export const screeningOf = ({ atMs, version, note, adultFromMs, by, ...row }: Row): Screening => ({
  atMs,
  version,
  note,
  adultFromMs,
  yes: JSON.parse(row.yes),
  bloodPressures: JSON.parse(row.blood_pressures),
  procedures: JSON.parse(row.procedures),
  places: JSON.parse(row.places),
  medicines: JSON.parse(row.medicines),
  ...(by ? { by } : {}),
});

const SCREENINGS: Kind<Screening> = {
  parts: [
    // Those whose resting blood pressure still counts.
    {
      sql: SCREENING,
      and: `superseded = 1 and at_ms >= ? ${AS_RECEIVED}`,
      times: (nowMs) => [nowMs - RULES['SCR-1'].figures.shelfLifeDays * MS_PER_DAY],
    },
    newestOnly(SCREENING),
  ],
  of: screeningOf,
};

const CONDITIONS: Kind<Condition> = {
  parts: [{ sql: CONDITION, and: 'ended_at_ms is null' }],
  of: (row) => conditionOf(row as Parameters<typeof conditionOf>[0]),
};

const CLEARANCE = 'select client_id, clearance from clearance';

const CLEARANCES: Kind<Clearance> = {
  parts: [
    { sql: CLEARANCE, and: 'retracted = 0 and until_ms is null' },
    { sql: CLEARANCE, and: 'retracted = 0 and until_ms >= ?', times: (nowMs) => [nowMs] },
  ],
  of: ({ clearance }) => JSON.parse(clearance),
};

const HOLD = `select client_id, id, cause, words, rule, at_ms as "atMs", limb, subject, ends,
  lifted_at_ms as "liftedAtMs", lifted_by as "liftedBy", lift_reason as "liftReason",
  is_emergency as "isEmergency" from hold`;

const HOLDS: Kind<Hold> = {
  // What has ended by its time, or by the review of a session that no longer counts, is left out.
  parts: [
    { sql: HOLD, and: 'lifted_at_ms is null and ends_at_ms > ?', times: (nowMs) => [nowMs] },
    {
      sql: HOLD,
      and: `lifted_at_ms is null and ends_at_ms is null and not exists (
        select 1 from session where session.id = ends_session_id and reviewed = 1 and opened_at_ms < ?)`,
      times: (nowMs) => [nowMs - SESSIONS_COUNT_MS],
    },
  ],
  of: (row) =>
    holdOf({
      ...row,
      words: JSON.parse(row.words),
      ends: JSON.parse(row.ends),
      liftReason: row.liftReason && JSON.parse(row.liftReason),
    } as Parameters<typeof holdOf>[0]),
};

const CONSENTS: Kind<Consent> = {
  parts: [newestOnly(`select client_id, at_ms as "atMs", version, decision, "read", guardian from consent`)],
  of: ({ client_id: _, ...consent }) => consent as Consent,
};

const DAY_CHECK = `select client_id, at_ms as "atMs", answers, "by" from day_check`;

const DAY_CHECKS: Kind<DayCheck> = {
  parts: [
    // Of several on one day the worst answer counts; swelling that rose takes a limb down its ladder, whatever was said later.
    {
      sql: DAY_CHECK,
      and: `superseded = 1 and at_ms > ? and (at_ms > ? or answers like '%"swelling"%') ${AS_RECEIVED}`,
      times: (nowMs) => [nowMs - SESSIONS_COUNT_MS, nowMs - DAY_CHECK_HOLDS_MS],
    },
    newestOnly(DAY_CHECK),
  ],
  of: ({ atMs, answers, by }) => ({
    atMs,
    ...(JSON.parse(answers) as DayCheckAnswers),
    ...(by ? { by } : {}),
  }),
};

const FITS: Kind<FitFact> = {
  parts: [
    newestOnly(`select client_id, limb, at_ms as "atMs", girth_cm as "girthCm", kind, kit_id as "kitId", label,
      width_cm as "widthCm" from girth`),
  ],
  of: ({ limb, atMs, girthCm, label, widthCm, kind, kitId }) => ({
    limb,
    atMs,
    girthCm,
    label,
    widthCm,
    ...(kind === 'cuff'
      ? { kind: 'cuff' as const, cuffId: kitId }
      : { kind: 'strap' as const, strapId: kitId }),
  }),
};

const TIGHTNESS: Kind<TightnessFact> = {
  parts: [
    newestOnly(`select client_id, limb, at_ms as "atMs", strap_id as "strapId", strap_label as "strapLabel", mark, counts, tension, felt
      from tightness`),
  ],
  of: ({ limb, atMs, strapId, strapLabel, mark, counts, tension, felt }) => ({
    limb,
    atMs,
    strapId,
    strapLabel,
    mark,
    felt,
    ...(counts === 'marks' ? {} : { counts }),
    ...(tension === null ? {} : { tension }),
  }),
};

const LOP = `select client_id, id, limb, position, cuff_id as "cuffId", cuff_label as "cuffLabel", width_cm as "widthCm",
  girth_cm as "girthCm", at_ms as "atMs", method, site, pressure, uncertainty_mm_hg as "uncertaintyMmHg", steady,
  trials_used as "trialsUsed", reading_school as "readingSchool", division_mm_hg as "divisionMmHg",
  gauge_error_mm_hg as "gaugeErrorMmHg" from lop`;

const OCCLUSIONS: Kind<OcclusionFact> = {
  parts: [newestOnly(LOP)],
  of: ({ client_id: _, pressure, steady, ...row }) => ({
    ...(row as Omit<OcclusionFact, 'pressure' | 'steady' | 'trials' | 'quickChecks'>),
    pressure: JSON.parse(pressure),
    steady: steady === 1,
    trials: [],
    quickChecks: [],
  }),
};

const TEST = `select client_id, id, exercise_id as "exerciseId", side, at_ms as "atMs", one_rep_max as "oneRepMax"
  from strength_test`;

const TESTS: Kind<StrengthFact> = {
  parts: [newestOnly(TEST)],
  of: ({ id, exerciseId, side, atMs, oneRepMax }) => ({
    id,
    exerciseId,
    side,
    atMs,
    oneRepMax: JSON.parse(oneRepMax),
  }),
};

/** Whose plan the block of an earlier release goes by: it named none. */
const ITS_PLAN =
  '(select min(course_plan.id) from course_plan where course_plan.client_id = block.client_id)';

const BLOCKS: Kind<BlockFact | null> = {
  parts: [
    newestOnly(
      `select client_id, id, at_ms as "atMs", wish, sessions, ${ITS_PLAN} as "coursePlanId" from block`,
    ),
  ],
  of: ({ id, atMs, wish, sessions, coursePlanId }) => {
    const block = readBlock({ wish: JSON.parse(wish), sessions: JSON.parse(sessions) }, coursePlanId);
    return block && { id, atMs, ...block };
  },
};

const COURSE_PLANS: Kind<CoursePlan> = {
  parts: [
    {
      sql: `select client_id, id, name, occasion, state, until_ms as "untilMs" from course_plan`,
      and: `state <> 'ended'`,
    },
  ],
  of: ({ id, name, occasion, state, untilMs }) => ({
    id,
    name,
    occasion: JSON.parse(occasion),
    state,
    untilMs,
  }),
};

const RUNG_CHECKS: Kind<RungCheck> = {
  parts: [
    {
      sql: `select client_id, id, limb, at_ms as "atMs", practitioner_id as "by", answers, rung, reason from rung_check`,
      // The last of a limb counts however old it is: a ladder does not end by its age.
      and: `(at_ms >= ? or not exists (select 1 from rung_check as later
        where later.client_id = rung_check.client_id and later.limb = rung_check.limb and later.at_ms > rung_check.at_ms))
        ${AS_RECEIVED}`,
      times: (nowMs) => [nowMs - SESSIONS_COUNT_MS],
    },
  ],
  of: ({ client_id: _, answers, ...row }) => ({
    ...(row as Omit<RungCheck, 'answers'>),
    answers: JSON.parse(answers),
  }),
};

const HEAVY_WORK: Kind<HeavyWork> = {
  parts: [
    {
      sql: `select client_id, id, at_ms as "atMs", exercise_id as "exerciseId", side, sets, reps, load_kg as "loadKg", effort,
          pain
        from heavy_work`,
      and: 'retracted = 0 and at_ms >= ?',
      times: (nowMs) => [nowMs - SESSIONS_COUNT_MS],
    },
  ],
  of: ({ client_id: _, ...row }) => row as HeavyWork,
};

const FOLLOWED: Kind<FollowedFact> = {
  parts: [
    {
      sql: 'select client_id, measure_id as "measureId", limb, max(setting) as setting, max(at_ms) as "atMs" from outcome',
      and: 'withdrawn is null and at_ms >= ? group by client_id, measure_id, limb, lower(setting)',
      times: (nowMs) => [nowMs - SESSIONS_COUNT_MS],
    },
  ],
  of: ({ client_id: _, ...row }) => row as FollowedFact,
};

const COMPARISONS: Kind<ComparisonFact> = {
  parts: [
    {
      sql: 'select client_id, id, at_ms as "atMs", design from comparison',
      and: 'ended_at_ms is null order by at_ms desc',
    },
  ],
  of: ({ id, atMs, design }) => ({ id, atMs, design: JSON.parse(design) }),
};

const SESSION = `select client_id, id, prescription_id as "prescriptionId",
  (select course_plan_id from prescription where prescription.id = prescription_id) as "coursePlanId",
  opened_at_ms as "startedAtMs",
  finished_at_ms as "finishedAtMs", summary from session`;

const SESSIONS: Kind<SessionFact> = {
  parts: [
    {
      sql: SESSION,
      and: `superseded = 1 and opened_at_ms >= ? ${AS_RECEIVED}`,
      times: (nowMs) => [nowMs - SESSIONS_COUNT_MS],
    },
    newestOnly(SESSION),
  ],
  of: ({ id, prescriptionId, coursePlanId, startedAtMs, finishedAtMs, summary }) => ({
    id,
    prescriptionId,
    coursePlanId,
    startedAtMs,
    finishedAtMs,
    // Sessions of earlier releases say neither what their answers change, nor what they gave, nor for which limbs they were too much.
    answered: [],
    given: [],
    stepsDown: [],
    ...JSON.parse(summary),
  }),
};

const PRESCRIPTIONS: Kind<Row> = {
  parts: [
    {
      sql: `select client_id, id, at_ms as "atMs", signed_by as "signedBy", plan, findings,
        override_reason as "overrideReason", retargets, course_plan_id as "coursePlanId", changes,
        exists (select 1 from import_row join import_batch on import_batch.id = import_id
          where kind = 'prescription' and row_id = prescription.id and is_move = 0) as "isSignedElsewhere"
        from prescription`,
      and: `superseded = 0 and exists (select 1 from course_plan where course_plan.id = course_plan_id and state <> 'ended')`,
    },
  ],
  of: (row) => row,
};

/** So many people are read at once: as many as are worked out in a short wait. */
export const READ_AT_ONCE = 10;

/** Measurements and tests by their ids. */
export type Named = { occlusionIds: readonly string[]; testIds: readonly string[] };
export const NAMED_BY_NOBODY: Named = { occlusionIds: [], testIds: [] };

/** A person as the roster names them. */
export type ClientRow = {
  id: string;
  name: string;
  story: string;
  about: About;
  shelfLife: ClientFacts['shelfLife'];
  limbShelfLives: ClientFacts['limbShelfLives'];
};

/**
 * What is on record for some people that anything now rests on; the cost grows neither with the people who are not asked for
 * nor with the years that no longer count.
 * @param clients at most `READ_AT_ONCE` @param naming for the sheet of one person, what else is asked for by its id
 * and the single trials of pressures; null for the roster, which shows neither
 * @returns in the order of the people
 */
export function readFacts(
  prepare: Prepare,
  practice: PracticeFacts,
  clients: readonly ClientRow[],
  nowMs: number,
  naming: Named | null,
): ClientFacts[] {
  const [first] = clients;
  if (!first) return [];
  // Two lengths only, so that each text is prepared twice and no more.
  const places = clients.length === 1 ? 1 : READ_AT_ONCE;
  const asked = Array.from({ length: places }, (_, place) => (clients[place] ?? first).id);
  const marks = asked.map(() => '?').join(', ');
  const read = <Fact>({ parts, of }: Kind<Fact>) => {
    const groups = new Map<string, Fact[]>();
    for (const { sql, and, times } of parts) {
      const text = `${sql} where client_id in (${marks}) ${and ? `and ${and}` : ''}`;
      for (const row of prepare(text).all(...asked, ...(times?.(nowMs) ?? [])) as Row[]) {
        const group = groups.get(row.client_id);
        if (group) group.push(of(row));
        else groups.set(row.client_id, [of(row)]);
      }
    }
    return (clientId: string): Fact[] => groups.get(clientId) ?? [];
  };
  const of = {
    screenings: read(SCREENINGS),
    conditions: read(CONDITIONS),
    clearances: read(CLEARANCES),
    holds: read(HOLDS),
    consents: read(CONSENTS),
    dayChecks: read(DAY_CHECKS),
    fits: read(FITS),
    tightness: read(TIGHTNESS),
    occlusions: read(OCCLUSIONS),
    strengthTests: read(TESTS),
    coursePlans: read(COURSE_PLANS),
    prescriptions: read(PRESCRIPTIONS),
    rungChecks: read(RUNG_CHECKS),
    heavyWork: read(HEAVY_WORK),
    followed: read(FOLLOWED),
    comparisons: read(COMPARISONS),
    blocks: read(BLOCKS),
    sessions: read(SESSIONS),
  };
  return clients.map(({ id, shelfLife, limbShelfLives }) => {
    const prescriptions = of.prescriptions(id).map((row) => prescriptionOf(prepare, practice, row));
    const named = namedBy(prescriptions, naming ?? NAMED_BY_NOBODY);
    return {
      shelfLife,
      limbShelfLives,
      units: practice.units,
      stricter: practice.stricter,
      arbitraryUpToMmHg: practice.arbitraryUpToMmHg,
      ownExercises: practice.ownExercises,
      ownMeasures: practice.ownMeasures,
      zoneOffsetMs: practice.zoneOffsetMs,
      screenings: of.screenings(id),
      conditions: of.conditions(id),
      clearances: of.clearances(id),
      holds: of.holds(id),
      consents: of.consents(id),
      dayChecks: of.dayChecks(id),
      fits: of.fits(id),
      tightness: of.tightness(id),
      occlusions: withNamed(prepare, id, of.occlusions(id), named.occlusionIds, LOP, OCCLUSIONS.of).map(
        (fact) => ({
          ...fact,
          quickChecks: readQuickChecks(prepare, fact.id),
          trials: naming ? readTrials(prepare, fact.id) : [],
        }),
      ),
      strengthTests: withNamed(prepare, id, of.strengthTests(id), named.testIds, TEST, TESTS.of),
      coursePlans: of.coursePlans(id),
      prescriptions,
      rungChecks: of.rungChecks(id),
      heavyWork: of.heavyWork(id),
      followed: of.followed(id),
      comparisons: of.comparisons(id),
      blocks: of.blocks(id).filter((block) => block !== null),
      sessions: of.sessions(id),
      sessionsFinished: countFinished(prepare, id),
    };
  });
}

/** What a plan names stays on record with it, though something newer has taken its place; not what was retracted. */
function withNamed<Fact extends { id: string }>(
  prepare: Prepare,
  clientId: string,
  facts: readonly Fact[],
  ids: readonly string[],
  sql: string,
  of: (row: Row) => Fact,
): Fact[] {
  const missing = ids.filter((id) => !facts.some((fact) => fact.id === id));
  const rows = missing.map(
    (id) =>
      prepare(`${sql} where id = ? and client_id = ? and superseded <> 2`).get(id, clientId) as
        | Row
        | undefined,
  );
  // Of two with one time what has taken its place comes last, and counts.
  return [...rows.flatMap((row) => (row ? [of(row)] : [])), ...facts];
}

function namedBy(prescriptions: readonly PrescriptionFact[], also: Named): Named {
  const exercises = prescriptions.flatMap(({ plan }) => plan.exercises);
  const targets = exercises.flatMap(({ limbs }) => limbs);
  return {
    occlusionIds: [
      ...new Set([
        ...targets.flatMap((target) => (target.kind === 'measured' ? [target.occlusionId] : [])),
        ...also.occlusionIds,
      ]),
    ],
    testIds: [
      ...new Set([
        ...exercises.flatMap(({ load }) => (load.kind === 'weighed' ? [load.testId] : [])),
        ...also.testIds,
      ]),
    ],
  };
}

const readQuickChecks = (prepare: Prepare, lopId: string): OcclusionFact['quickChecks'] =>
  (
    prepare(
      'select at_ms, gone_mm_hg, step_mm_hg from lop_quick_check where lop_id = ? and retracted = 0',
    ).all(lopId) as Row[]
  ).map((row) => ({
    atMs: row.at_ms,
    goneMmHg: row.gone_mm_hg,
    ...(row.step_mm_hg === null ? {} : { stepMmHg: row.step_mm_hg }),
  }));

export const readTrials = (prepare: Prepare, lopId: string): Trial[] =>
  (prepare('select readings from lop_trial where lop_id = ? order by place').all(lopId) as Row[]).map(
    ({ readings }) => JSON.parse(readings),
  );

const countFinished = (prepare: Prepare, clientId: string): number =>
  (
    prepare(
      'select count(*) as finished from session where client_id = ? and finished_at_ms is not null and superseded <> 2',
    ).get(clientId) as { finished: number }
  ).finished;

function prescriptionOf(prepare: Prepare, { roles }: PracticeFacts, row: Row): PrescriptionFact {
  const { versions, signedBy } = signatureOf(prepare, row);
  return {
    id: row.id,
    coursePlanId: row.coursePlanId,
    versions,
    changes: JSON.parse(row.changes),
    atMs: row.atMs,
    signedBy: row.signedBy,
    role: roles.get(signedBy) ?? 'coach',
    ...(row.isSignedElsewhere === 1 ? { isSignedElsewhere: true } : {}),
    guards: guardFindings(JSON.parse(row.findings) as Finding[]).map(({ rule, subject, exerciseIndex }) => ({
      rule,
      subject,
      exerciseIndex: exerciseIndex ?? null,
    })),
    overrideReason: row.overrideReason,
    plan: readPlan(JSON.parse(row.plan)),
  };
}

/**
 * Who signed what a prescription rests on, and the versions that rest on that signature: a re-target rests on the
 * signature of the one it re-targets (rule PRS-8).
 */
function signatureOf(prepare: Prepare, row: Row): { versions: string[]; signedBy: string } {
  const before =
    row.retargets &&
    prepare('select id, signed_by as "signedBy", retargets from prescription where id = ?').get(
      row.retargets,
    );
  if (!before) return { versions: [row.id], signedBy: row.signedBy };
  const { versions, signedBy } = signatureOf(prepare, before as Row);
  return { versions: [row.id, ...versions], signedBy };
}
