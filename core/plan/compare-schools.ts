import { proposedPercent } from '../pressure/ramp';
import { PROTOCOLS } from '../protocol/data/protocols';
import { SCHOOLS } from '../protocol/data/schools';
import { type SchoolId, schoolIdSchema } from '../protocol/schools';
import type { Basis } from './basis';
import { type ExerciseChoice, type SessionChoice, setsOf } from './choices';
import { compile } from './compile';
import { composeSession } from './compose';
import { doseOf } from './dose';
import { plannedKg } from './planned-load';

/** What one school amounts to for one person. Pressure in mmHg, load in kg, both of the first exercise; times in ms. */
export type SchoolRow = {
  schoolId: SchoolId;
  session: SessionChoice;
  /** Null without a LOP. */
  pressure: { percentLop: number; pressureMmHg: number } | null;
  /** Null without kilograms. */
  loadKg: number | null;
  occludedMs: number;
  longestMs: number;
  lastsMs: number;
};

/**
 * A session as another school would begin it: its proposed pressure for now and, for resistance work, its
 * usual protocol (rules PRS-2, PRS-4). All else stays as chosen.
 */
export function underSchool(session: SessionChoice, schoolId: SchoolId, basis: Basis): SessionChoice {
  return {
    ...session,
    schoolId,
    exercises: session.exercises.map((choice) =>
      PROTOCOLS[choice.protocolId].mode === 'resistance'
        ? exerciseUnderSchool(choice, schoolId, basis)
        : choice,
    ),
  };
}

function exerciseUnderSchool(
  choice: ExerciseChoice,
  schoolId: SchoolId,
  { limits, done, today }: Basis,
): ExerciseChoice {
  const protocolId = SCHOOLS[schoolId].usualProtocol;
  const { tempos, restMs } = PROTOCOLS[protocolId];
  return {
    ...choice,
    protocolId,
    tempoId: tempos.includes(choice.tempoId) ? choice.tempoId : (tempos[0] ?? choice.tempoId),
    sets: setsOf(protocolId, restMs, choice.sets.at(-1)?.restMs ?? restMs),
    limbs: choice.limbs.map((limb) =>
      limb.kind === 'measured'
        ? {
            ...limb,
            percentLop: proposedPercent(limb.limb, schoolId, done, today, limits[limb.limb].maxPercentLop)
              .value,
          }
        : limb,
    ),
  };
}

/** The same person and exercises under each school, so that what differs is the school (rule PRS-2). */
export function compareSchools(session: SessionChoice, basis: Basis): SchoolRow[] {
  return schoolIdSchema.options.map((schoolId) => {
    const theirs = underSchool(session, schoolId, basis);
    const { plan } = composeSession(theirs, basis);
    const timeline = compile(plan);
    const dose = doseOf(timeline);
    const [exercise] = plan.exercises;
    const [target] = exercise?.limbs ?? [];
    return {
      schoolId,
      session: theirs,
      pressure:
        target?.kind === 'measured'
          ? { percentLop: target.percentLop, pressureMmHg: target.pressure.value }
          : null,
      loadKg: exercise ? plannedKg(exercise.load) : null,
      occludedMs: dose.occludedMs,
      longestMs: Math.max(0, ...dose.limbs.map(({ longestContinuousMs }) => longestContinuousMs)),
      lastsMs: timeline.endMs,
    };
  });
}
