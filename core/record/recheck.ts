import { markWords } from '../cuff/mark-words';
import type { Finding } from '../findings/finding';
import { mass, msg } from '../message/message';
import { goByInForce } from '../plan/apply-fix';
import type { Basis } from '../plan/basis';
import type { SessionChoice } from '../plan/choices';
import { choicesOf } from '../plan/choices-of';
import { type Composed, composeSession, UnknownChoice } from '../plan/compose';
import type { Plan, PlannedExercise } from '../plan/plan';
import { plannedKg } from '../plan/planned-load';
import type { LimbTarget, MeasuredTarget } from '../plan/target';
import { checkDailyExposure } from '../pressure/cycles';
import { isEqual } from '../quantity/is-equal';
import { LIMB_NAMES } from '../quantity/limb';
import { basisOf } from './basis';
import { checkToday } from './check-today';
import { dailyExposures } from './daily-exposure';
import type { ClientFacts, KitInUse, PassedGuard, PrescriptionFact } from './facts';
import { checkHowOften } from './how-often';

/** A signed plan worked out again from what is in force now: what the rules find, and the plan a session would freeze. */
export type Recheck = {
  /** Null where it cannot even be composed any more. */
  plan: Plan | null;
  findings: Finding[];
  /** Whether only pressures measured again are in the way, so that one key re-targets it (rule PRS-8). */
  retargetable: boolean;
};

/**
 * Composes and checks a signed plan again (rule START-1): on the pressures, tests, cuffs, clearances and operations in
 * force, with what is due held against it, how often the same limbs were trained, and how the person is today.
 * A guard that was passed when it was signed is passed; a new one needs a clinician and a reason.
 */
export function recheck(
  prescription: Pick<PrescriptionFact, 'plan' | 'role' | 'guards' | 'isSignedElsewhere'>,
  facts: ClientFacts,
  kit: KitInUse,
  nowMs: number,
): Recheck {
  const basis = basisOf(facts, kit, prescription.role, nowMs);
  const composed = composeAgain(onPressuresInForce(prescription.plan, basis), basis);
  if ('finding' in composed) return { plan: null, findings: [composed.finding], retargetable: false };
  const { plan } = composed;
  const changed = changesOf(prescription.plan, plan);
  const passed = new Set(prescription.guards.map(guardKey));
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
    findings: [...changed, ...others],
    retargetable:
      changed.length > 0 &&
      changed.every(({ rule }) => rule === 'PRS-8') &&
      others.every(({ level }) => level !== 'hard'),
  };
}

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
export function onPressuresInForce(plan: Plan, basis: Basis): SessionChoice {
  const session = choicesOf(plan);
  return {
    ...session,
    exercises: session.exercises.map((choice) => ({ ...goByInForce(choice, basis), load: choice.load })),
  };
}

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

function changesOf(signed: Plan, now: Plan): Finding[] {
  return signed.exercises.flatMap((exercise, exerciseIndex) => {
    const then = now.exercises[exerciseIndex];
    if (!then) return [];
    return [
      ...exercise.limbs.flatMap((target) => {
        const again = then.limbs.find(({ limb }) => limb === target.limb);
        return again ? targetChange(exercise, target, again, exerciseIndex) : [];
      }),
      ...loadChange(exercise, then, exerciseIndex),
    ];
  });
}

function targetChange(
  { label }: PlannedExercise,
  signed: LimbTarget,
  now: LimbTarget,
  exerciseIndex: number,
): Finding[] {
  const common = {
    rule: 'PRS-8',
    level: 'hard',
    subject: 'percentLop',
    exerciseIndex,
    remedy: msg('Re-target the plan, or sign another.'),
  } as const;
  const limb = LIMB_NAMES[signed.limb];
  if (signed.kind === 'by-feel' && now.kind === 'by-feel') {
    return isEqual(markWords(signed), markWords(now))
      ? []
      : [
          {
            ...common,
            message: msg('{label}, {limb}: signed at {signed}, now felt right at {now}.', {
              label,
              limb,
              signed: markWords(signed),
              now: markWords(now),
            }),
          },
        ];
  }
  // An arbitrary pressure is what was chosen: no measurement changes it.
  if (signed.kind !== 'measured' || now.kind !== 'measured') return [];
  if (confirms(signed, now)) return [];
  return [
    {
      ...common,
      message: msg(
        '{label}, {limb}: signed on an LOP of {signedLop} for {signedMmHg} mmHg; in force is {lop}, which makes {mmHg} mmHg.',
        {
          label,
          limb,
          signedLop: signed.occlusion.value,
          signedMmHg: signed.pressure.value,
          lop: now.occlusion.value,
          mmHg: now.pressure.value,
        },
      ),
    },
  ];
}

/**
 * Whether a measurement in force confirms a signed target: the same one, or one no further away than both uncertainties
 * together, with the same rounded pressures (rule PRS-8).
 */
export function confirms(signed: MeasuredTarget, now: MeasuredTarget): boolean {
  const samePressures =
    signed.pressure.value === now.pressure.value && signed.primingMmHg.join() === now.primingMmHg.join();
  if (signed.occlusionId === now.occlusionId) return samePressures;
  const apart = Math.abs(now.occlusion.value - signed.occlusion.value);
  return samePressures && apart <= Math.hypot(signed.uncertaintyMmHg, now.uncertaintyMmHg);
}

function loadChange(signed: PlannedExercise, now: PlannedExercise, exerciseIndex: number): Finding[] {
  const [was, is] = [plannedKg(signed.load), plannedKg(now.load)];
  if (was === is) return [];
  return [
    {
      rule: 'START-1',
      level: 'hard',
      subject: 'weightKitId',
      exerciseIndex,
      message: msg('{exercise}: signed at {was}, and the kit and the test now make {is}.', {
        exercise: signed.label,
        was: was === null ? signed.load.recipe : mass(was),
        is: is === null ? now.load.recipe : mass(is),
      }),
      remedy: msg('Sign it again.'),
    },
  ];
}
