import type { Cuff } from '../cuff/cuff';
import type { Derived } from '../derivation/derived';
import { checkLoad, type TargetLoad, targetLoad } from '../load/target-load';
import type { WeightKit } from '../load/weight-kit';
import { checkExercisePercent, checkPosition } from '../pressure/check-pressure';
import { targetPressure } from '../pressure/target-pressure';
import { EXERCISES, type ExerciseId } from '../protocol/exercises';
import { PROTOCOLS, type ProtocolId, TEMPOS, type TempoId } from '../protocol/protocols';
import { LIMB_LABELS, type Limb, limbKind, limbSide, type Position } from '../quantity/limb';
import type { DisplayUnits } from '../quantity/units';
import type { Finding } from '../rules/finding';
import type { SchoolId } from '../rules/schools';
import type { ClearanceLimits } from '../screening/clearance';
import type { Side } from '../strength/side';
import { checkTimeline } from './check-timeline';
import { compile } from './compile';
import type { Plan } from './plan';

/** What the practitioner chose. Percentages of LOP and of 1RM; rest in ms. */
export type Choices = {
  limb: Limb;
  position: Position;
  exerciseId: ExerciseId;
  schoolId: SchoolId;
  protocolId: ProtocolId;
  tempoId: TempoId;
  restMs: number;
  percentLop: number;
  percentOneRepMax: number;
};

/** What was measured before, that the choices are applied to. Pressures in mmHg, 1RM in kg. */
export type Measurements = {
  cuff: Cuff;
  occlusion: Derived;
  uncertaintyMmHg: number;
  steady: boolean;
  measuredPosition: Position;
  oneRepMax: Derived;
  testedSide: Side;
  weightKit: WeightKit;
  massUnit: DisplayUnits['mass'];
  gaugeDivisionMmHg: number;
  /** What the clearances in force limit (rule SCR-2). */
  limits: ClearanceLimits;
};

/**
 * A one-exercise session from choices and measurements, with everything the rules find about it
 * (rules SCR-2, PRS-1 to PRS-3, LOP-5, LOAD-3, LOAD-4, PRO-1, PRO-2).
 * A plan with a hard finding is for showing why, never for running.
 */
export function composePlan(
  choices: Choices,
  measured: Measurements,
): { plan: Plan; load: TargetLoad; findings: Finding[] } {
  const exercise = EXERCISES[choices.exerciseId];
  const protocol = PROTOCOLS[choices.protocolId];
  const { target, trueRange } = targetPressure(
    { value: measured.occlusion.value, uncertainty: measured.uncertaintyMmHg },
    choices.percentLop,
    measured.gaugeDivisionMmHg,
  );
  const load = targetLoad(
    measured.oneRepMax.value,
    choices.percentOneRepMax,
    measured.weightKit,
    measured.massUnit,
  );
  const plan: Plan = {
    schoolId: choices.schoolId,
    gaugeDivisionMmHg: measured.gaugeDivisionMmHg,
    exercises: [
      {
        exerciseId: choices.exerciseId,
        label: exercise.label,
        cue: exercise.cue,
        position: choices.position,
        limbs: [
          {
            limb: choices.limb,
            cuffId: measured.cuff.id,
            cuffLabel: measured.cuff.label,
            occlusion: measured.occlusion,
            uncertaintyMmHg: measured.uncertaintyMmHg,
            measuredPosition: measured.measuredPosition,
            percentLop: choices.percentLop,
            pressure: target,
            trueRange,
          },
        ],
        oneRepMax: measured.oneRepMax,
        load: load.load,
        loadRecipe: load.recipe,
        trueLoadPercent: load.truePercent,
        protocolId: choices.protocolId,
        protocolLabel: protocol.label,
        reps: [...protocol.reps],
        restMs: choices.restMs,
        inflation: protocol.inflation,
        reinflateLeadMs: protocol.reinflateLeadMs,
        tempoId: choices.tempoId,
        tempo: TEMPOS[choices.tempoId],
      },
    ],
  };
  const findings = [
    ...checkClearance(choices, measured.limits),
    ...checkLimbOfExercise(choices),
    ...checkProtocolChoices(choices),
    ...checkExercisePercent(choices.limb, choices.percentLop, choices.schoolId),
    ...checkPosition(measured.measuredPosition, choices.position),
    ...checkCuffPressure(measured.cuff, target.value),
    ...checkSteady(measured.steady),
    ...checkTestedSide(choices.limb, measured.testedSide),
    ...checkLoad(choices.percentOneRepMax, load),
    ...checkTimeline(compile(plan)),
  ];
  return { plan, load, findings };
}

function checkClearance({ limb, percentLop }: Choices, limits: ClearanceLimits): Finding[] {
  const findings: Finding[] = [];
  const add = (subject: string, message: string, remedy: string) =>
    findings.push({ rule: 'SCR-2', level: 'hard', subject, message, remedy });
  if (limits.maxPercentLop !== null && percentLop > limits.maxPercentLop) {
    add(
      'percentLop',
      `${percentLop} % is above the ${limits.maxPercentLop} % of LOP that ${limits.capFrom} has cleared.`,
      `Set ${limits.maxPercentLop} % or lower, or have a clinician record a new clearance.`,
    );
  }
  if (limits.limbs && !limits.limbs.includes(limb)) {
    const allowed = limits.limbs.map((id) => LIMB_LABELS[id].toLowerCase()).join(', ') || 'no limb';
    add('limb', `The clearance allows ${allowed} only.`, 'Choose a limb that is cleared.');
  }
  if (limits.modes && !limits.modes.includes('resistance')) {
    add(
      'protocolId',
      `The clearance allows ${limits.modes.join(', ') || 'no'} work only.`,
      'Prescribe work that is cleared.',
    );
  }
  return findings;
}

function checkLimbOfExercise({ exerciseId, limb }: Choices): Finding[] {
  const exercise = EXERCISES[exerciseId];
  if (exercise.limbKind === limbKind(limb)) return [];
  return [
    {
      rule: 'FIT-1',
      level: 'hard',
      subject: 'exerciseId',
      message: `${exercise.label} works the ${exercise.limbKind === 'arm' ? 'arm' : 'leg'}, and the cuff is on the other kind of limb.`,
      remedy: 'Choose an exercise for the limb that wears the cuff.',
    },
  ];
}

function checkProtocolChoices({ protocolId, tempoId, restMs }: Choices): Finding[] {
  const protocol = PROTOCOLS[protocolId];
  const findings: Finding[] = [];
  if (!protocol.tempos.includes(tempoId)) {
    findings.push({
      rule: 'LOAD-5',
      level: 'note',
      subject: 'tempoId',
      message: `${protocol.label} is usually paced ${protocol.tempos.join(' or ')}.`,
      remedy: `Choose ${protocol.tempos.join(' or ')}.`,
    });
  }
  if (!protocol.restChoicesMs.includes(restMs)) {
    const seconds = protocol.restChoicesMs.map((ms) => ms / 1000).join(' or ');
    findings.push({
      rule: 'PRO-1',
      level: 'note',
      subject: 'restMs',
      message: `${protocol.label} usually rests ${seconds} s.`,
      remedy: `Set ${seconds} s.`,
    });
  }
  return findings;
}

function checkCuffPressure(cuff: Cuff, pressureMmHg: number): Finding[] {
  if (pressureMmHg <= cuff.maxPressureMmHg) return [];
  return [
    {
      rule: 'FIT-2',
      level: 'hard',
      subject: 'percentLop',
      message: `${pressureMmHg} mmHg is above the ${cuff.maxPressureMmHg} mmHg that ${cuff.label} can hold.`,
      remedy: 'Lower the share of LOP or measure with a wider cuff.',
    },
  ];
}

/** The other side's 1RM may stand in for a side that is not tested, and is marked (rule LOAD-2). */
function checkTestedSide(limb: Limb, testedSide: Side): Finding[] {
  if (testedSide === 'both' || testedSide === limbSide(limb)) return [];
  return [
    {
      rule: 'LOAD-2',
      level: 'note',
      subject: 'strengthTestId',
      message: `The 1RM is of the ${testedSide} side, standing in for the ${limbSide(limb)}.`,
      remedy: 'Right for an injured or post-operative side; test this side once it may be tested.',
    },
  ];
}

function checkSteady(steady: boolean): Finding[] {
  if (steady) return [];
  return [
    {
      rule: 'LOP-3',
      level: 'note',
      subject: 'percentLop',
      message: 'The occlusion pressure is unsteady: its trials ranged over more than 10 mmHg.',
      remedy: 'Re-fit the cuff and measure again before relying on it.',
    },
  ];
}
