import type { Finding } from '../findings/finding';
import { pressureInForce } from '../occlusion-pressure/in-force';
import { PROTOCOLS } from '../protocol/data/protocols';
import { RULES } from '../rules/catalogue';
import { testInForce } from '../strength/in-force';
import type { Basis } from './basis';
import { orderRank } from './check-session';
import { atMostArbitraryMmHg, changePercentLop, type ExerciseChoice, type SessionChoice } from './choices';
import { supersetsOf } from './set-order';
import { downInSuperset, keepSupersets } from './superset';

const FREE_MS = RULES['PRO-1'].figures.continuousOcclusionMs.freeFlowToRestart;

/** The session with the remedy of a finding applied; unchanged when the finding has none. */
export function applyFix(
  session: SessionChoice,
  { fix, exerciseIndex }: Finding,
  basis: Basis,
): SessionChoice {
  if (!fix) return session;
  if (fix.set === 'order') {
    const rank = ({ exerciseId }: ExerciseChoice) => {
      const exercise = basis.library[exerciseId];
      return exercise ? orderRank(exercise) : 0;
    };
    const sorted = [...session.exercises].sort((a, b) => rank(a) - rank(b));
    return keepSupersets(session.exercises, { ...session, exercises: sorted });
  }
  const mine = (place: number) => exerciseIndex === undefined || place === exerciseIndex;
  if (fix.set === 'release' && fix.to === 'after-exercise') {
    const superset = supersetsOf(session.exercises).find((one) => one.includes(exerciseIndex ?? Number.NaN));
    if (superset && superset.length > 1) return downInSuperset(session, superset);
  }
  if (fix.set === 'exercise') {
    const kept = session.exercises.filter((_, place) => !mine(place));
    return keepSupersets(session.exercises, { ...session, exercises: kept });
  }
  if (fix.set === 'rung') {
    const others = session.rungs?.others.filter(({ rung }) => rung !== fix.rung) ?? [];
    return session.rungs ? { ...session, rungs: { ...session.rungs, others } } : session;
  }
  return {
    ...session,
    exercises: session.exercises.map((choice, place) => (mine(place) ? changed(choice, fix, basis) : choice)),
  };
}

type ChoiceFix = Exclude<NonNullable<Finding['fix']>, { set: 'order' | 'exercise' | 'rung' }>;

function changed(choice: ExerciseChoice, fix: ChoiceFix, basis: Basis): ExerciseChoice {
  const inRests = (part: Partial<ExerciseChoice['sets'][number]>) =>
    choice.sets.map((set, place) => (place < choice.sets.length - 1 ? { ...set, ...part } : set));
  switch (fix.set) {
    case 'limbs':
      // One side goes by a test of its own, or by half of both (rule LOAD-3).
      return goByInForce({ ...choice, limbs: choice.limbs.slice(0, 1) }, basis);
    case 'percentLop':
      return {
        ...choice,
        limbs: changePercentLop(choice.limbs, (percentLop, limb) => {
          if (fix.limb !== undefined && fix.limb !== limb) return percentLop;
          return fix.as === 'most' ? Math.min(percentLop, fix.to) : Math.max(percentLop, fix.to);
        }),
      };
    case 'pressureMmHg':
      return { ...choice, limbs: atMostArbitraryMmHg(choice.limbs, fix.to) };
    case 'bound':
      return {
        ...choice,
        movements: (choice.movements ?? []).map((movement) =>
          movement.figure === fix.figure ? { ...movement, to: fix.to } : movement,
        ),
      };
    case 'percentOneRepMax':
      return choice.load.kind === 'weighed'
        ? { ...choice, load: { ...choice.load, percentOneRepMax: fix.to } }
        : choice;
    case 'weightKitId':
      return choice.load.kind === 'weighed'
        ? { ...choice, load: { ...choice.load, weightKitId: fix.to } }
        : choice;
    case 'restMs':
      return { ...choice, sets: inRests({ restMs: fix.to }) };
    case 'release':
      return fix.to === 'each-rest'
        ? {
            ...choice,
            sets: inRests({ release: true, restMs: FREE_MS + PROTOCOLS[choice.protocolId].reinflateLeadMs }),
          }
        : {
            ...choice,
            sets: choice.sets.map((set, place) =>
              place === choice.sets.length - 1
                ? { ...set, release: true, restMs: Math.max(set.restMs, FREE_MS) }
                : set,
            ),
          };
    case 'tempoId':
      return { ...choice, tempoId: fix.to };
    case 'position':
      return { ...choice, position: fix.to };
    case 'inForce':
      return goByInForce(choice, basis);
  }
}

/** The same choice on the pressures and the test in force now (rule START-2). */
export function goByInForce(choice: ExerciseChoice, basis: Basis): ExerciseChoice {
  const test =
    choice.load.kind === 'weighed' &&
    testInForce(
      basis,
      choice.exerciseId,
      choice.limbs.map(({ limb }) => limb),
    );
  return {
    ...choice,
    limbs: choice.limbs.map((limb) => {
      const inForce = limb.kind === 'measured' && pressureInForce(basis, limb.limb, choice.position);
      return inForce ? { ...limb, occlusionId: inForce.id } : limb;
    }),
    load:
      choice.load.kind === 'weighed' && test ? { ...choice.load, strengthTestId: test.fact.id } : choice.load,
  };
}
