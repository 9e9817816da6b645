import type { Cuff } from '../cuff/cuff';
import { checkLoad } from '../load/target-load';
import { checkExercisePercent, checkPassivePercent, checkPosition } from '../pressure/check-pressure';
import { PROTOCOLS } from '../protocol/protocols';
import { pacedReps } from '../protocol/set-work';
import { LIMB_LABELS, type Limb, limbKind, limbSide } from '../quantity/limb';
import type { Finding } from '../rules/finding';
import { LIMITS } from '../rules/limits';
import type { SchoolId } from '../rules/schools';
import type { ClearanceLimits } from '../screening/clearance';
import type { Basis, Resolved } from './compose';

/** Everything the rules find about one exercise by itself. */
export function checkExercise(one: Resolved, schoolId: SchoolId, basis: Basis): Finding[] {
  const passive = isPassive(one);
  const findings = [
    ...checkRole(one, basis),
    ...checkClearance(one, basis.limits),
    ...one.limbs.flatMap(({ choice, occlusion, cuff }) => [
      ...checkOwnLimb(choice.limb, occlusion.limb),
      ...checkLimbOfExercise(choice.limb, one),
      ...(passive
        ? checkPassivePercent(choice.percentLop, basis.postOperative)
        : checkExercisePercent(
            choice.limb,
            choice.percentLop,
            schoolId,
            PROTOCOLS[one.choice.protocolId].percentLop,
          )),
      ...checkPosition(occlusion.position, one.choice.position),
      ...checkCuff(cuff, occlusion.widthCm, (occlusion.pressure.value * choice.percentLop) / 100),
      ...checkSteady(occlusion.steady),
      ...checkDue(choice.limb, basis.due.get(occlusion.id)),
    ]),
    ...one.straps.flatMap(({ limb }) => checkLimbOfExercise(limb, one)),
    ...checkStraps(one, basis.limits),
    ...checkSides(one),
    ...checkPassive(one, passive),
    ...checkTest(one),
    ...checkTestDue(one, basis),
    ...(one.choice.load.kind === 'weighed' ? checkLoad(one.choice.load.percentOneRepMax, one.load) : []),
    ...checkProtocolChoices(one),
  ];
  // Two limbs at the same share say the same thing once.
  return findings.filter(
    (finding, i) => findings.findIndex((other) => other.message === finding.message) === i,
  );
}

/** Passive cycles only count as passive when nothing is exercised. */
const isPassive = ({ choice, exercise }: Resolved): boolean =>
  PROTOCOLS[choice.protocolId].mode === 'passive' && exercise.kind === 'passive';

function checkRole({ choice }: Resolved, { prescriber, postOperative }: Basis): Finding[] {
  if (prescriber === 'clinician') return [];
  const passive = PROTOCOLS[choice.protocolId].mode === 'passive';
  if (!passive && !postOperative) return [];
  return [
    {
      rule: 'SCR-4',
      level: 'hard',
      subject: 'protocolId',
      message: `${passive ? 'Passive' : 'Post-operative'} work is not prescribed by a coach.`,
      remedy: 'Ask a clinician to prescribe it.',
    },
  ];
}

function checkClearance({ choice, limbs }: Resolved, limits: ClearanceLimits): Finding[] {
  const findings: Finding[] = [];
  const add = (finding: Omit<Finding, 'rule' | 'level'>) =>
    findings.push({ rule: 'SCR-2', level: 'hard', ...finding });
  const percentLop = Math.max(...limbs.map((limb) => limb.choice.percentLop));
  if (limits.maxPercentLop !== null && percentLop > limits.maxPercentLop) {
    add({
      subject: 'percentLop',
      message: `${percentLop} % is above the ${limits.maxPercentLop} % of LOP that ${limits.capFrom} has cleared.`,
      remedy: `Set ${limits.maxPercentLop} % or lower, or have a clinician record a new clearance.`,
      fix: { set: 'percentLop', to: limits.maxPercentLop },
    });
  }
  if (limits.limbs && choice.limbs.some(({ limb }) => !limits.limbs?.includes(limb))) {
    const allowed = limits.limbs.map((id) => LIMB_LABELS[id].toLowerCase()).join(', ') || 'no limb';
    add({
      subject: 'limb',
      message: `The clearance allows ${allowed} only.`,
      remedy: 'Choose a limb that is cleared.',
    });
  }
  const { mode } = PROTOCOLS[choice.protocolId];
  if (limits.modes && !limits.modes.includes(mode)) {
    add({
      subject: 'protocolId',
      message: `The clearance allows ${limits.modes.join(', ') || 'no'} work only.`,
      remedy: 'Prescribe work that is cleared.',
    });
  }
  return findings;
}

function checkOwnLimb(limb: Limb, measured: Limb): Finding[] {
  if (limb === measured) return [];
  return [
    {
      rule: 'LOP-4',
      level: 'hard',
      subject: 'limb',
      message: `The pressure was measured on the ${LIMB_LABELS[measured].toLowerCase()}; it is never copied to another limb.`,
      remedy: 'Measure this limb.',
    },
  ];
}

function checkLimbOfExercise(limb: Limb, { exercise }: Resolved): Finding[] {
  if (exercise.limbKind === limbKind(limb)) return [];
  return [
    {
      rule: 'FIT-1',
      level: 'hard',
      subject: 'exerciseId',
      message: `${exercise.label} works the ${exercise.limbKind === 'arm' ? 'arm' : 'leg'}, and the cuff is on the other kind of limb.`,
      remedy: 'Choose an exercise for the limb that wears the cuff.',
      fix: { set: 'exercise', to: 'remove' },
    },
  ];
}

function checkSides({ choice, exercise }: Resolved): Finding[] {
  const twice = new Set(choice.limbs.map(({ limb }) => limb)).size < choice.limbs.length;
  if (twice) {
    return [
      {
        rule: 'PRO-2',
        level: 'hard',
        subject: 'limb',
        message: 'The same limb is named twice.',
        remedy: 'Name the other limb, or one only.',
      },
    ];
  }
  if (exercise.sides !== 'one' || choice.limbs.length === 1) return [];
  return [
    {
      rule: 'PRO',
      level: 'note',
      subject: 'limb',
      message: `${exercise.label} is done with one limb at a time.`,
      remedy: 'Do the limbs one after the other.',
    },
  ];
}

function checkPassive({ choice, exercise }: Resolved, passive: boolean): Finding[] {
  const cycles = PROTOCOLS[choice.protocolId].mode === 'passive';
  if (cycles !== (exercise.kind === 'passive')) {
    return [
      {
        rule: 'PRS-3',
        level: 'hard',
        subject: 'protocolId',
        message: cycles
          ? `Passive cycles are without exercise, and ${exercise.label} is exercise.`
          : `${exercise.label} is passive and takes passive cycles.`,
        remedy: cycles ? 'Choose another protocol, or the cuff alone.' : 'Choose passive cycles.',
      },
    ];
  }
  if (!passive || choice.position !== 'standing') return [];
  return [
    {
      rule: 'PRS-3',
      level: 'hard',
      subject: 'position',
      message: 'Passive cycles are done lying or sitting.',
      remedy: 'Lie down.',
      fix: { set: 'position', to: 'lying' },
    },
  ];
}

function checkCuff(cuff: Cuff, measuredWidthCm: number, pressureMmHg: number): Finding[] {
  const findings: Finding[] = [];
  if (pressureMmHg > cuff.maxPressureMmHg) {
    findings.push({
      rule: 'FIT-2',
      level: 'hard',
      subject: 'percentLop',
      message: `${Math.floor(pressureMmHg)} mmHg is above the ${cuff.maxPressureMmHg} mmHg that ${cuff.label} can hold.`,
      remedy: 'Lower the share of LOP or measure with a wider cuff.',
    });
  }
  if (cuff.widthCm !== measuredWidthCm) {
    findings.push({
      rule: 'FIT-3',
      level: 'hard',
      subject: 'percentLop',
      message: `${cuff.label} is ${cuff.widthCm} cm wide; the pressure was measured with ${measuredWidthCm} cm and never carries over.`,
      remedy: 'Measure again with this cuff.',
    });
  }
  return findings;
}

/** A strap is second best: it keeps no cap, does no passive work, and is looked at after every set (rule TIGHT). */
function checkStraps({ choice, straps }: Resolved, { maxPercentLop, capFrom }: ClearanceLimits): Finding[] {
  if (straps.length === 0) return [];
  const findings: Finding[] = [
    {
      rule: 'TIGHT',
      level: 'note',
      subject: 'limb',
      message: 'By feel: people misjudge it, and nobody knows the pressure.',
      remedy: 'Start low, and check colour and tingling after every set; a measured cuff is better.',
    },
  ];
  if (maxPercentLop !== null) {
    findings.push({
      rule: 'SCR-2',
      level: 'hard',
      subject: 'limb',
      message: `${capFrom} has cleared ${maxPercentLop} % of LOP at most, which a strap cannot keep.`,
      remedy: 'Use a cuff that can be measured.',
    });
  }
  if (PROTOCOLS[choice.protocolId].mode === 'passive') {
    findings.push({
      rule: 'TIGHT',
      level: 'hard',
      subject: 'protocolId',
      message: 'Passive cycles need a pressure, and a strap has none.',
      remedy: 'Use a cuff that can be measured.',
    });
  }
  return findings;
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

/** It may be signed, but a session does not open on it: the chain asks for the measurement first. */
function checkDue(limb: Limb, reason: string | undefined): Finding[] {
  if (!reason) return [];
  return [
    {
      rule: 'LOP-6',
      level: 'note',
      subject: 'percentLop',
      message: `The pressure of the ${LIMB_LABELS[limb].toLowerCase()} is due: ${reason}.`,
      remedy: 'Measure again before it is run.',
    },
  ];
}

function checkTestDue({ test }: Resolved, { due }: Basis): Finding[] {
  const age = test && due.get(test.id);
  if (!age) return [];
  return [
    {
      rule: 'LOAD-2',
      level: 'note',
      subject: 'strengthTestId',
      message: `The strength test is ${age}; it holds 6 weeks.`,
      remedy: 'Test again before it is run.',
    },
  ];
}

/** The other side's 1RM may stand in for a side that is not tested, and is marked (rule LOAD-2). */
function checkTest({ choice, test, exercise }: Resolved): Finding[] {
  if (!test) return [];
  if (test.exerciseId !== choice.exerciseId) {
    return [
      {
        rule: 'LOAD-1',
        level: 'hard',
        subject: 'strengthTestId',
        message: `The test is of another exercise than ${exercise.label}.`,
        remedy: 'Test the one prescribed.',
      },
    ];
  }
  const side = choice.limbs.length > 1 ? 'both' : choice.limbs[0] && limbSide(choice.limbs[0].limb);
  if (test.side === side || (test.side === 'both' && side !== 'both' && exercise.sides !== 'one')) return [];
  return [
    {
      rule: 'LOAD-2',
      level: 'note',
      subject: 'strengthTestId',
      message: `The 1RM is of the ${test.side === 'both' ? 'two sides together' : `${test.side} side`}, standing in for ${side === 'both' ? 'both sides' : `the ${side}`}.`,
      remedy: 'Right for an injured or post-operative side; test this side once it may be tested.',
    },
  ];
}

function checkProtocolChoices({ choice, load }: Resolved): Finding[] {
  const protocol = PROTOCOLS[choice.protocolId];
  const findings: Finding[] = [];
  const [tempo] = protocol.tempos;
  if (tempo && !protocol.tempos.includes(choice.tempoId)) {
    findings.push({
      rule: 'LOAD-5',
      level: 'note',
      subject: 'tempoId',
      message: `${protocol.label} is usually paced ${protocol.tempos.join(' or ')}.`,
      remedy: `Choose ${protocol.tempos.join(' or ')}.`,
      fix: { set: 'tempoId', to: tempo },
    });
  }
  const [shortest, longest] = protocol.restRangeMs;
  const rests = choice.sets.slice(0, -1).map(({ restMs }) => restMs);
  if (rests.some((ms) => ms < shortest || ms > longest)) {
    const seconds = shortest === longest ? shortest / 1000 : `${shortest / 1000} to ${longest / 1000}`;
    findings.push({
      rule: 'PRO',
      level: 'note',
      subject: 'restMs',
      message: `${protocol.label} usually rests ${seconds} s.`,
      remedy: `Set ${seconds} s.`,
      fix: { set: 'restMs', to: protocol.restMs },
    });
  }
  const heavy = load.truePercent !== null && load.truePercent > LIMITS.percentOneRepMax.usualHigh;
  if (heavy && Math.max(0, ...choice.sets.map(({ work }) => pacedReps(work) ?? 0)) >= 30) {
    findings.push({
      rule: 'LOAD-5',
      level: 'note',
      subject: 'sets',
      message: `Thirty clean repetitions must be possible without the cuff; at ${load.truePercent} % of 1RM that is doubtful.`,
      remedy: 'Lower the load or the repetitions.',
    });
  }
  return findings;
}
