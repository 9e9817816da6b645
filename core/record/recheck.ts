import type { DaySession } from '../course/session-on';
import { markWords } from '../cuff/mark-words';
import type { Derived } from '../derivation/derived';
import type { Finding } from '../findings/finding';
import { targetLoad } from '../load/target-load';
import { mass, msg } from '../message/message';
import { goByInForce } from '../plan/apply-fix';
import type { Basis } from '../plan/basis';
import { changePercentLop, type ExerciseChoice, type SessionChoice } from '../plan/choices';
import { choicesOf } from '../plan/choices-of';
import { type Composed, composeSession, UnknownChoice } from '../plan/compose';
import { atBounds } from '../plan/compose-course';
import { setsInNumber } from '../plan/figures';
import type { Lighter } from '../plan/lighter-schema';
import { type Move, moveWords } from '../plan/move';
import type { Plan, PlannedExercise } from '../plan/plan';
import { changeEveryRung, ofOneRung } from '../plan/rungs';
import { type LimbTarget, type MeasuredTarget, measuredLimbs } from '../plan/target';
import { checkDailyExposure } from '../pressure/cycles';
import { shareMmHg } from '../pressure/target-pressure';
import { isEqual } from '../quantity/is-equal';
import { LIMB_NAMES } from '../quantity/limb';
import { RULES } from '../rules/catalogue';
import { serve, sideOf } from '../strength/in-force';
import { checkToday } from './check-today';
import { asKnownAt, courseToday } from './course-in-force';
import { dailyExposures } from './daily-exposure';
import type { ClientFacts, KitInUse, PassedGuard, PrescriptionFact } from './facts';
import { checkHowOften } from './how-often';
import { guardsThatStand, onItsRung } from './on-their-rungs';

/** A signed plan worked out again for today: what the rules find, and the plan a session would freeze. */
export type Recheck = {
  /** Null where it cannot even be composed any more. */
  plan: Plan | null;
  /** What moved, what waits and what was kept back (rule CRS-3). */
  day: DaySession;
  findings: Finding[];
  /** Whether only pressures measured again are in the way, so that one key re-targets it (rule PRS-8). */
  retargetable: boolean;
};

/** What is chosen on the day: nothing rises, or it is made lighter for that day alone (rules CRS-3, SCR-3). */
export type TodaysWish = { keepsBack?: boolean | undefined; lighter?: Lighter | null | undefined };

/**
 * The session of today by a signed plan (rule CRS-2), composed and checked again (rule START-1): on the pressures, tests, cuffs,
 * clearances and operations in force, with what is due held against it, how often the same limbs were trained, and how the
 * person is today. A guard that was passed when it was signed is passed; a new one needs a clinician and a reason.
 */
export function recheck(
  prescription: PrescriptionFact,
  facts: ClientFacts,
  kit: KitInUse,
  nowMs: number,
  { keepsBack = false, lighter = null }: TodaysWish = {},
): Recheck {
  const { day, basis } = courseToday(prescription, facts, kit, nowMs, { keepsBack });
  const todays = ofOneRung(onPressuresInForce(day.session, basis));
  const composed = composeAgain(lighterFor(todays, lighter), basis);
  if ('finding' in composed) return { plan: null, day, findings: [composed.finding], retargetable: false };
  const plan = asOfDay(composed.plan, day, lighter);
  const changed = changesOf(prescription.plan, plan, basis);
  const passed = new Set(guardsThatStand(prescription).map(guardKey));
  const others = [
    ...signedElsewhere(prescription),
    ...composed.findings,
    ...checkHowOften(plan, basis),
    ...checkDailyExposure(dailyExposures(plan, facts, nowMs)),
    ...checkToday(facts, nowMs),
  ]
    .filter((finding) => finding.level !== 'guard' || !passed.has(guardKey(finding)))
    .map(dueIsHard);
  return {
    plan,
    day,
    findings: [...changed, ...others],
    retargetable:
      changed.some(({ level }) => level === 'hard') &&
      changed.every(({ rule }) => rule === 'PRS-8') &&
      others.every(({ level }) => level !== 'hard'),
  };
}

const { lighterPoints } = RULES['SCR-3'].figures;

/** What is made lighter for that day alone (rule SCR-3). */
function lighterFor(session: SessionChoice, lighter: Lighter | null): SessionChoice {
  if (!lighter) return session;
  return {
    ...session,
    exercises: session.exercises.map((choice) =>
      lighter.how === 'sets'
        ? { ...choice, sets: setsInNumber(choice.sets, Math.max(1, choice.sets.length - 1)) }
        : {
            ...choice,
            limbs: changePercentLop(choice.limbs, (percentLop) => Math.max(1, percentLop - lighterPoints)),
          },
    ),
  };
}

/** The plan with what the course and the day made of it, each figure with what moved it; as it was signed where that is nothing. */
function asOfDay(plan: Plan, { moves, keptBack, deloadPercent }: DaySession, lighter: Lighter | null): Plan {
  const isMoved = moves.length > 0 || keptBack.length > 0 || deloadPercent !== null;
  return {
    ...plan,
    exercises: plan.exercises.map((exercise, place) =>
      withMoves(
        exercise,
        moves.filter(({ exerciseIndex }) => exerciseIndex === place),
      ),
    ),
    ...(lighter ? { today: lighter } : {}),
    ...(isMoved
      ? {
          course: {
            moves,
            ...(keptBack.length > 0 ? { keptBack: true as const } : {}),
            ...(deloadPercent === null ? {} : { deloadPercent }),
          },
        }
      : {}),
  };
}

/** An exercise whose figures say in their working what moved them, and what held them (rules CRS-3, CRS-4). */
function withMoves(exercise: PlannedExercise, moves: readonly Move[]): PlannedExercise {
  if (moves.length === 0) return exercise;
  const moved = (derived: Derived, isOwn: (move: Move) => boolean): Derived => {
    const steps = moves.filter(isOwn).map((move) => ({ label: msg('Course'), detail: moveWords(move) }));
    return steps.length === 0
      ? derived
      : { ...derived, working: [...derived.working, ...steps], rules: [...derived.rules, 'CRS-3'] };
  };
  const { load } = exercise;
  return {
    ...exercise,
    limbs: exercise.limbs.map((target) =>
      target.kind === 'by-feel'
        ? target
        : { ...target, pressure: moved(target.pressure, ({ limb }) => limb === target.limb) },
    ),
    load:
      load.kind === 'weighed'
        ? { ...load, load: moved(load.load, ({ figure }) => figure === 'percent-1rm') }
        : load,
  };
}

/** The most that was signed, on what is in force: a session freezes nothing past it (rules CRS-4, START-5). */
export function boundsOfPlan(plan: Plan, basis: Basis): Plan {
  const session = onPressuresInForce(atBounds(choicesOf(plan)), basis);
  return composeSession(ofOneRung(session), basis).plan;
}

/** A plan as it was signed, on the measurements in force (rule PRS-8). @throws UnknownChoice where one is gone */
export const onMeasurements = (plan: Plan, basis: Basis): Plan =>
  composeSession(onPressuresInForce(choicesOf(plan), basis), basis).plan;

/** A signature that came from a file is a claim (rule START-3). */
const signedElsewhere = ({ isSignedElsewhere }: Pick<PrescriptionFact, 'isSignedElsewhere'>): Finding[] =>
  isSignedElsewhere
    ? [
        {
          rule: 'START-3',
          level: 'hard',
          subject: 'signature',
          message: msg('This plan was signed elsewhere.'),
          remedy: msg('Look through it, and sign it here.'),
        },
      ]
    : [];

/** What was signed, on the pressures in force now; its test stays the one it was signed on. */
export const onPressuresInForce = (session: SessionChoice, basis: Basis): SessionChoice =>
  changeEveryRung(session, (choice: ExerciseChoice) => ({
    ...goByInForce(choice, basis),
    load: choice.load,
  }));

function composeAgain(session: SessionChoice, basis: Basis): Composed | { finding: Finding } {
  try {
    return composeSession(session, basis);
  } catch (error) {
    if (!(error instanceof UnknownChoice)) throw error;
    const { says, remedy, path } = error;
    return { finding: { rule: 'START-1', level: 'hard', subject: path, message: says, remedy } };
  }
}

/** Which guard it is: a guard that was passed once stays passed at its place. */
export const guardKey = ({
  rule,
  subject,
  exerciseIndex,
}: Pick<PassedGuard, 'rule' | 'subject'> & { exerciseIndex?: number | null }): string =>
  `${rule} ${subject} ${exerciseIndex ?? ''}`;

/** What may be signed as due does not open: a measurement out of date is made again first (rule START-1). */
const dueIsHard = (finding: Finding): Finding =>
  finding.hardWhenRun ? { ...finding, level: 'hard' } : finding;

function changesOf(signed: Plan, now: Plan, basis: Basis): Finding[] {
  return signed.exercises.flatMap((exercise, exerciseIndex) => {
    const then = now.exercises[exerciseIndex];
    if (!then) return [];
    return [
      ...exercise.limbs.flatMap((target) => {
        const again = then.limbs.find(({ limb }) => limb === target.limb);
        return again ? targetChange(exercise, target, again, exerciseIndex) : [];
      }),
      ...loadChange(exercise, exerciseIndex, basis),
    ];
  });
}

function targetChange(
  { label }: PlannedExercise,
  signed: LimbTarget,
  now: LimbTarget,
  exerciseIndex: number,
): Finding[] {
  const common = { rule: 'PRS-8', subject: 'percentLop', exerciseIndex } as const;
  const limb = LIMB_NAMES[signed.limb];
  if (signed.kind === 'by-feel' && now.kind === 'by-feel') {
    return now.isMarkChosen || isEqual(markWords(signed), markWords(now))
      ? []
      : [
          {
            ...common,
            level: 'hard',
            message: msg('{label}, {limb}: signed at {signed}, now felt right at {now}.', {
              label,
              limb,
              signed: markWords(signed),
              now: markWords(now),
            }),
            remedy: msg('Re-target the plan, or sign another.'),
          },
        ];
  }
  // An arbitrary pressure is what was chosen: no measurement changes it.
  if (signed.kind !== 'measured' || now.kind !== 'measured') return [];
  const verdict = measuredAgain(signed, now);
  if (verdict === 'confirms') return [];
  const values = {
    label,
    limb,
    was: signed.occlusion.value,
    is: now.occlusion.value,
    wasMmHg: atShareOf(signed, now.percentLop),
    isMmHg: now.pressure.value,
  };
  return [
    verdict === 'asks'
      ? {
          ...common,
          level: 'hard',
          message: msg(
            '{label}, {limb}: its LOP was {was} and is {is}: {wasMmHg} would become {isMmHg} mmHg.',
            values,
          ),
          remedy: msg('Measure again, or take it: re-target the plan.'),
        }
      : {
          ...common,
          level: 'note',
          message: msg('{label}, {limb}: LOP {was} → {is}: {wasMmHg} → {isMmHg} mmHg.', values),
          remedy: msg('Nothing to do: the share that was signed stays.'),
        },
  ];
}

/** The pressure a share of a measured LOP comes to, in mmHg. */
const atShareOf = ({ occlusion, divisionMmHg }: MeasuredTarget, percentLop: number): number =>
  shareMmHg(occlusion.value, percentLop, divisionMmHg);

const { asksFromPercent } = RULES['PRS-8'].figures;

/**
 * What a measurement in force says of the one a plan was signed on (rule PRS-8): it confirms it, no further away than both
 * uncertainties together and with the same rounded pressure; the plan's share follows it; or it is so much higher that it is asked
 * first.
 */
export function measuredAgain(signed: MeasuredTarget, now: MeasuredTarget): 'confirms' | 'follows' | 'asks' {
  if (signed.occlusionId === now.occlusionId) return 'confirms';
  const higherMmHg = now.occlusion.value - signed.occlusion.value;
  const uncertaintyMmHg = Math.hypot(signed.uncertaintyMmHg, now.uncertaintyMmHg);
  if (higherMmHg > uncertaintyMmHg || higherMmHg > (signed.occlusion.value * asksFromPercent) / 100)
    return 'asks';
  const isSame = atShareOf(signed, now.percentLop) === atShareOf(now, now.percentLop);
  return isSame && Math.abs(higherMmHg) <= uncertaintyMmHg ? 'confirms' : 'follows';
}

/** Whether the test and the kit still make the load that was signed. */
function loadChange(
  { label, limbs, load }: PlannedExercise,
  exerciseIndex: number,
  { weightKits, strengthTests }: Basis,
): Finding[] {
  if (load.kind !== 'weighed') return [];
  const kit = weightKits.find(({ id }) => id === load.weightKitId);
  const test = strengthTests.find(({ id }) => id === load.testId);
  if (!kit || !test) return [];
  const { oneRepMax } = serve(test, sideOf(limbs.map(({ limb }) => limb)));
  const is = targetLoad(oneRepMax.value, load.percentOneRepMax, kit).load.value;
  if (is === load.load.value) return [];
  return [
    {
      rule: 'START-1',
      level: 'hard',
      subject: 'weightKitId',
      exerciseIndex,
      message: msg('{exercise}: signed at {was}, and the kit and the test now make {is}.', {
        exercise: label,
        was: mass(load.load.value),
        is: mass(is),
      }),
      remedy: msg('Sign it again.'),
    },
  ];
}

/**
 * What a version asked for on a day that is over, by what was known then (rule CRS-2); as it was signed where that cannot be said any
 * more.
 */
export function planOfDay(
  { id, plan }: Pick<PrescriptionFact, 'id' | 'plan'>,
  facts: ClientFacts,
  kit: KitInUse,
  atMs: number,
): Plan {
  const then = asKnownAt(facts, atMs);
  const prescription = facts.prescriptions.find((one) => one.id === id);
  return (prescription && recheck(onItsRung(prescription, then), then, kit, atMs).plan) ?? plan;
}

/** Whether ten points less is anything for a plan: under a strap no pressure is known. */
export const hasPressure = ({ exercises }: Pick<Plan, 'exercises'>): boolean =>
  exercises.some((exercise) => measuredLimbs(exercise).length > 0);
