import type { Finding } from '../findings/finding';
import { msg } from '../message/message';
import { PROTOCOLS } from '../protocol/data/protocols';
import { EXERCISES, type Library } from '../protocol/exercises';
import type { Limits } from '../screening/clearance';
import type { Resolved } from './basis';

/** No pump, gauge or tube goes into water, by what every practice starts with too (rule TIGHT: straps by feel). */
export function checkWater({ choice, exercise }: Resolved): Finding[] {
  const inWater = exercise.inWater || (EXERCISES as Library)[choice.exerciseId]?.inWater;
  if (!inWater || choice.limbs.every(({ kind }) => kind === 'by-feel')) return [];
  return [
    {
      rule: 'TIGHT',
      level: 'hard',
      subject: 'exerciseId',
      message: msg(
        '{exercise}: no pump, gauge or tube goes into water, so a cuff at a pressure cannot be held there.',
        { exercise: exercise.label },
      ),
      remedy: msg('Use a strap by feel, or walk on land.'),
    },
  ];
}

export function checkSides({ choice, exercise }: Resolved): Finding[] {
  const twice = new Set(choice.limbs.map(({ limb }) => limb)).size < choice.limbs.length;
  if (twice) {
    return [
      {
        rule: 'PRO-2',
        level: 'hard',
        subject: 'limb',
        message: msg('The same limb is named twice.'),
        remedy: msg('Name the other limb, or one only.'),
      },
    ];
  }
  if (exercise.sides !== 'one' || choice.limbs.length === 1) return [];
  return [
    {
      rule: 'PRO',
      level: 'note',
      subject: 'limb',
      message: msg('{exercise} is done with one limb at a time.', { exercise: exercise.label }),
      remedy: msg('Do the limbs one after the other.'),
    },
  ];
}

/** A strap is second best: it keeps no cap, does no passive work, and is looked at after every set (rule TIGHT). */
export function checkStraps({ choice, straps }: Resolved, limits: Limits): Finding[] {
  if (straps.length === 0) return [];
  const findings: Finding[] = [
    {
      rule: 'TIGHT',
      level: 'note',
      subject: 'limb',
      message: msg('By feel: people misjudge it, and the pressure is not known.'),
      remedy: msg('Start low, and check colour and tingling after every set; a measured cuff is better.'),
    },
  ];
  for (const { maxPercentLop, capFrom } of straps.map(({ choice }) => limits[choice.limb])) {
    if (maxPercentLop === null) continue;
    findings.push({
      rule: 'SCR-2',
      level: 'hard',
      subject: 'limb',
      message: msg('{capFrom} has cleared {maxPercentLop} % of LOP at most, which a strap cannot keep.', {
        capFrom: capFrom ?? '',
        maxPercentLop,
      }),
      remedy: msg('Use a cuff that can be measured.'),
    });
  }
  if (PROTOCOLS[choice.protocolId].mode === 'passive') {
    findings.push({
      rule: 'TIGHT',
      level: 'hard',
      subject: 'protocolId',
      message: msg('Passive cycles need a pressure, and a strap has none.'),
      remedy: msg('Use a cuff that can be measured.'),
    });
  }
  return findings;
}
