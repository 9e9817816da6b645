import type { Cuff } from '../cuff/cuff';
import type { Finding, Fix } from '../findings/finding';
import { length, type Message, msg } from '../message/message';
import type { OcclusionFact } from '../occlusion-pressure/fact';
import { fitInForce, pressureInForce } from '../occlusion-pressure/in-force';
import { expectedOcclusionPressureMmHg } from '../occlusion-pressure/plausibility';
import { arbitraryLevelMmHg, checkArbitrary } from '../pressure/arbitrary';
import { checkExercisePercent, checkPassivePercent, checkPosition } from '../pressure/check-pressure';
import { rampLevel } from '../pressure/ramp';
import { shareMmHg } from '../pressure/target-pressure';
import { PROTOCOLS } from '../protocol/data/protocols';
import type { SchoolId } from '../protocol/schools';
import {
  LIMB_LABELS,
  LIMB_NAMES,
  type Limb,
  limbKind,
  POSITION_NAMES,
  type Position,
  uprightness,
} from '../quantity/limb';
import { type Basis, isPostOperativeWork, type Resolved } from './basis';

/** What the rules find about one limb under a measured cuff: its pressure, its position, its cuff, its age. */
export function checkLimb(
  one: Resolved,
  { choice, occlusion, cuff }: Resolved['limbs'][number],
  schoolId: SchoolId,
  passive: boolean,
  basis: Basis,
): Finding[] {
  const { limb, percentLop } = choice;
  const ramp = rampLevel(basis.done, limbKind(limb), schoolId, basis.today);
  return [
    ...checkOwnLimb(limb, occlusion.limb),
    ...checkLimbOfExercise(limb, one),
    ...(passive
      ? checkPassivePercent(percentLop, isPostOperativeWork([limb], basis))
      : checkExercisePercent(limb, percentLop, schoolId, {
          byProtocol: PROTOCOLS[one.choice.protocolId].percentLop,
          capPercentLop: basis.limits[limb].maxPercentLop,
          rampPercentLop: ramp.running ? ramp.percentLop : null,
        })),
    ...checkHeld(percentLop, occlusion),
    ...checkPosition(occlusion.position, one.choice.position),
    ...checkInForce(limb, one.choice.position, occlusion, basis),
    ...checkWorn(limb, cuff, occlusion, (occlusion.pressure.value * percentLop) / 100, basis),
    ...checkSteady(occlusion.steady),
    ...checkDue(limb, basis.due.get(occlusion.id)),
  ];
}

/** What the rules find about one limb under a cuff without a measured LOP (rules PRS-7, FIT-1, FIT-2). */
export function checkUnmeasured(
  one: Resolved,
  { choice, cuff }: Resolved['unmeasured'][number],
  basis: Basis,
): Finding[] {
  const { limb, pressureMmHg } = choice;
  const { arbitraryUpToMmHg, limits } = basis;
  const measured = pressureInForce(basis, limb, undefined);
  const worn = fitInForce(basis.fits, limb);
  return [
    ...checkLimbOfExercise(limb, one),
    ...checkArbitrary(pressureMmHg, {
      limb,
      mode: PROTOCOLS[one.choice.protocolId].mode,
      ceilingMmHg: arbitraryUpToMmHg,
      known: withoutLop(limb, cuff, basis),
      lopMmHg:
        measured && measured.widthCm === cuff.widthCm && !basis.due.has(measured.id)
          ? measured.pressure.value
          : null,
      operated: isPostOperativeWork([limb], basis),
      capPercentLop: limits[limb].maxPercentLop,
    }),
    ...(worn?.kind === 'cuff' && worn.cuffId === cuff.id
      ? checkCuff(limb, cuff, worn.girthCm, pressureMmHg, { set: 'pressureMmHg', to: cuff.maxPressureMmHg })
      : [
          misfit(
            'FIT-3',
            msg('{cuff} is not what the {limb} was last fitted with.', {
              cuff: cuff.label,
              limb: LIMB_NAMES[limb],
            }),
            msg('Fit it, and choose the pressure for it.'),
          ),
        ]),
  ];
}

/**
 * What is known of a limb under a cuff without a measured LOP, in mmHg: the least LOP to reckon with, that to expect or
 * any on record for the limb and the width, due or not; and what the millimetre ramp allows now, by the sessions its kind worked
 * in without a LOP (rules LOP-7, PRS-4, PRS-7). `null` where its girth under that cuff is not known.
 */
export function withoutLop(
  limb: Limb,
  { id, widthCm }: Pick<Cuff, 'id' | 'widthCm'>,
  { done, arbitraryUpToMmHg, today, fits, occlusions, resting }: Basis,
): { leastLopMmHg: number; levelMmHg: number } | null {
  const worn = fitInForce(fits, limb);
  if (worn?.kind !== 'cuff' || worn.cuffId !== id) return null;
  const { girthCm } = worn;
  const leastLopMmHg = Math.min(
    expectedOcclusionPressureMmHg({ girthCm, widthCm, resting: resting ?? undefined }),
    ...occlusions
      .filter((fact) => fact.limb === limb && fact.widthCm === widthCm)
      .map(({ pressure }) => pressure.value),
  );
  const soDone = done.flatMap(({ atMs, day, tolerated, worked }) => {
    const so = worked.filter(
      ({ arbitrary, limbs }) => arbitrary && limbs.some((other) => limbKind(other) === limbKind(limb)),
    );
    const setMmHg = so.flatMap(({ arbitraryMmHg }) => arbitraryMmHg ?? []);
    const pressureMmHg = setMmHg.length > 0 ? Math.max(...setMmHg) : null;
    return so.length > 0 ? [{ atMs, day, tolerated, pressureMmHg }] : [];
  });
  return {
    leastLopMmHg,
    levelMmHg: arbitraryLevelMmHg(soDone, arbitraryUpToMmHg ?? 0, leastLopMmHg, today),
  };
}

const misfit = (rule: 'FIT-2' | 'FIT-3' | 'FIT-5', message: Message, remedy: Message): Finding => ({
  rule,
  level: 'hard',
  subject: 'percentLop',
  message,
  remedy,
});

/** Whether a cuff goes round a limb and holds what is asked of it (rule FIT-2). @param toHold what it would hold */
const checkCuff = (
  limb: Limb,
  cuff: Cuff,
  girthCm: number,
  pressureMmHg: number,
  toHold: Fix | undefined,
): Finding[] => [
  ...(cuff.limbKind !== limbKind(limb) || girthCm < cuff.girthLowCm || girthCm > cuff.girthHighCm
    ? [
        misfit(
          'FIT-2',
          msg('{cuff} is for {girthLowCm}–{girthHighCm}; this limb is {girthCm}.', {
            cuff: cuff.label,
            girthLowCm: cuff.girthLowCm,
            girthHighCm: length(cuff.girthHighCm),
            girthCm: length(girthCm),
          }),
          msg('Fit a cuff that goes round it, and measure with it.'),
        ),
      ]
    : []),
  ...(pressureMmHg > cuff.maxPressureMmHg
    ? [
        {
          ...misfit(
            'FIT-2',
            msg('{pressureMmHg} mmHg is above the {maxPressureMmHg} mmHg that {cuff} can hold.', {
              pressureMmHg: Math.floor(pressureMmHg),
              maxPressureMmHg: cuff.maxPressureMmHg,
              cuff: cuff.label,
            }),
            msg('Lower the pressure or use a wider cuff.'),
          ),
          ...(toHold ? { fix: toHold } : {}),
        },
      ]
    : []),
];

/** A share that the gauge rounds down to nothing is no work under a cuff (rule PRS-1). */
function checkHeld(percentLop: number, { pressure, divisionMmHg }: OcclusionFact): Finding[] {
  if (shareMmHg(pressure.value, percentLop, divisionMmHg) > 0) return [];
  return [
    {
      rule: 'PRS-1',
      level: 'hard',
      subject: 'percentLop',
      message: msg('{percentLop} % of {pressure} mmHg comes to 0 mmHg on a gauge of {divisionMmHg}.', {
        percentLop,
        pressure: pressure.value,
        divisionMmHg,
      }),
      remedy: msg('Set a share that the gauge can show, or work without a cuff.'),
    },
  ];
}

function checkOwnLimb(limb: Limb, measured: Limb): Finding[] {
  if (limb === measured) return [];
  return [
    {
      rule: 'LOP-4',
      level: 'hard',
      subject: 'limb',
      message: msg('The pressure was measured on the {measured}; it is never copied to another limb.', {
        measured: LIMB_NAMES[measured],
      }),
      remedy: msg('Measure this limb.'),
    },
  ];
}

export function checkLimbOfExercise(limb: Limb, { exercise }: Resolved): Finding[] {
  if (exercise.limbKind === limbKind(limb)) return [];
  return [
    {
      rule: 'FIT-1',
      level: 'hard',
      subject: 'exerciseId',
      message: msg('{exercise} works the {limbKind}, and the cuff is on the other kind of limb.', {
        exercise: exercise.label,
        limbKind: exercise.limbKind === 'arm' ? msg('arm') : msg('leg'),
      }),
      remedy: msg('Choose an exercise for the limb that wears the cuff.'),
      fix: { set: 'exercise', to: 'remove' },
    },
  ];
}

/** A plan goes by the pressure in force, never by one that was measured again since (rules START-1, START-2). */
function checkInForce(limb: Limb, position: Position, occlusion: OcclusionFact, basis: Basis): Finding[] {
  const inForce = pressureInForce(basis, limb, position);
  // Measured more upright than it is used: the finding on the position says so.
  if (!inForce || inForce.id === occlusion.id || uprightness(position, occlusion.position) < 0) return [];
  return [
    {
      rule: 'START-2',
      level: 'hard',
      subject: 'percentLop',
      message: msg(
        '{limb}: {pressure} mmHg, {position}, is not in force any more; {inForceMmHg} mmHg, {inForcePosition}, is.',
        {
          limb: LIMB_LABELS[limb],
          pressure: occlusion.pressure.value,
          position: POSITION_NAMES[occlusion.position],
          inForceMmHg: inForce.pressure.value,
          inForcePosition: POSITION_NAMES[inForce.position],
        },
      ),
      remedy: msg('Re-target it to the pressure in force.'),
      fix: { set: 'inForce', to: 'pressure' },
    },
  ];
}

/** The cuff as it is now: worn there, fitting, able to occlude, strong enough, as wide as measured with (FIT-2, FIT-3). */
function checkWorn(
  limb: Limb,
  cuff: Cuff,
  occlusion: OcclusionFact,
  pressureMmHg: number,
  basis: Basis,
): Finding[] {
  const worn = fitInForce(basis.fits, limb);
  const girthCm = worn?.girthCm ?? occlusion.girthCm;
  const findings: Finding[] = [];
  const add = (...of: Parameters<typeof misfit>) => findings.push(misfit(...of));
  if (worn?.kind === 'strap') {
    add(
      'FIT-5',
      msg('{limb} was last fitted with a strap.', { limb: LIMB_LABELS[limb] }),
      msg('Fit the cuff again, or go by the strap.'),
    );
  } else if (worn && worn.widthCm !== occlusion.widthCm) {
    add(
      'FIT-3',
      msg('{worn} is {width} wide; the pressure was measured with {measuredWith} and never carries over.', {
        worn: worn.label,
        width: length(worn.widthCm),
        measuredWith: length(occlusion.widthCm),
      }),
      msg('Measure again with the cuff that is worn now.'),
    );
  }
  if (cuff.widthCm !== occlusion.widthCm) {
    add(
      'FIT-3',
      msg('{cuff} is {width} wide; the pressure was measured with {measuredWith} and never carries over.', {
        cuff: cuff.label,
        width: length(cuff.widthCm),
        measuredWith: length(occlusion.widthCm),
      }),
      msg('Measure again with this cuff.'),
    );
  }
  if (!cuff.canOcclude) {
    add(
      'FIT-2',
      msg('{cuff} cannot stop the flow.', { cuff: cuff.label }),
      msg('Fit a cuff that can, and measure with it.'),
    );
  }
  const held = Math.floor((100 * cuff.maxPressureMmHg) / occlusion.pressure.value);
  const toHold = held >= 1 ? ({ set: 'percentLop', to: held, as: 'most', limb } as const) : undefined;
  return [...findings, ...checkCuff(limb, cuff, girthCm, pressureMmHg, toHold)];
}

function checkSteady(steady: boolean): Finding[] {
  if (steady) return [];
  return [
    {
      rule: 'LOP-3',
      level: 'note',
      subject: 'percentLop',
      message: msg('The occlusion pressure is unsteady: its trials ranged over more than 10 mmHg.'),
      remedy: msg('Re-fit the cuff and measure again before relying on it.'),
    },
  ];
}

/** It may be signed, but a session does not open on it: the measurement is asked for first (rule START-1). */
function checkDue(limb: Limb, reason: Message | undefined): Finding[] {
  if (!reason) return [];
  return [
    {
      rule: 'LOP-6',
      level: 'note',
      subject: 'percentLop',
      message: msg('The pressure of the {limb} is due: {reason}.', { limb: LIMB_NAMES[limb], reason }),
      remedy: msg('Measure again before it is run.'),
      hardWhenRun: true,
    },
  ];
}
