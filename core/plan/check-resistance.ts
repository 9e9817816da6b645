import type { Finding } from '../findings/finding';
import { checkLoad } from '../load/target-load';
import { EQUIPMENT_KITS } from '../load/weight-kit';
import { equipmentWords } from '../protocol/equipment-words';
import { isWeighed } from '../protocol/exercise';
import type { Intensity } from '../protocol/intensity';
import { RULES } from '../rules/catalogue';
import { testInForce } from '../strength/in-force';
import { type Basis, isPostOperativeWork, type Resolved } from './basis';

const MOST_PERCENT_VO2MAX = RULES.PRO.figures.mostPercentVo2max;

/** What the rules find about what resists: the test, the kit, the share of 1RM (rules LOAD-1 to LOAD-4). */
export const checkResistance = (one: Resolved, basis: Basis): Finding[] => [
  ...checkTest(one, basis),
  ...checkTestDue(one, basis),
  ...(one.choice.load.kind === 'weighed' ? checkLoad(one.choice.load.percentOneRepMax, one.load) : []),
  ...checkKit(one, basis),
];

/** Right exercise, in force, and never one side's for two or both sides' for one (rules LOAD-1 to LOAD-3, START-2). */
function checkTest({ choice, test, exercise }: Resolved, basis: Basis): Finding[] {
  if (!test) return [];
  const common = { subject: 'strengthTestId' } as const;
  if (test.fact.exerciseId !== choice.exerciseId) {
    return [
      {
        ...common,
        rule: 'LOAD-1',
        level: 'hard',
        message: `The test is of another exercise than ${exercise.label}.`,
        remedy: 'Test the one prescribed.',
      },
    ];
  }
  const limbs = choice.limbs.map(({ limb }) => limb);
  if (limbs.length > 1 && test.fact.side !== 'both') {
    return [
      {
        ...common,
        rule: 'LOAD-3',
        level: 'hard',
        message: `The 1RM is of the ${test.fact.side} side alone, and both limbs lift together.`,
        remedy: 'Test both together, or do one limb after the other.',
      },
    ];
  }
  const inForce = testInForce(basis, choice.exerciseId, limbs);
  if (inForce && inForce.fact.id !== test.fact.id) {
    return [
      {
        ...common,
        rule: 'START-2',
        level: 'hard',
        message: `A 1RM of ${test.oneRepMax.value} kg is not in force any more; ${inForce.oneRepMax.value} kg is.`,
        remedy: 'Go by the test in force.',
        fix: { set: 'inForce', to: 'test' },
      },
    ];
  }
  if (test.stands === 'itself') return [];
  const isOperated = isPostOperativeWork(limbs, basis);
  if (test.stands === 'half-of-both' && isOperated) {
    return [
      {
        ...common,
        rule: 'LOAD-3',
        level: 'hard',
        message:
          'Half of the 1RM of both sides is not for a limb that was operated on: it gave less than its half.',
        remedy: 'Test the other side, which stands in with a mark.',
      },
    ];
  }
  return [
    test.stands === 'half-of-both'
      ? {
          ...common,
          rule: 'LOAD-3',
          level: 'note',
          message: `The 1RM is half of that of both sides together: ${test.oneRepMax.value} kg.`,
          remedy: 'Test this side by itself.',
        }
      : {
          ...common,
          rule: isOperated ? 'LOAD-2' : 'LOAD-3',
          level: 'note',
          message: `The 1RM is from the ${test.fact.side} side.`,
          remedy: isOperated ? 'Test this side once it may be tested.' : 'Test this side.',
        },
  ];
}

function checkTestDue({ test }: Resolved, { due }: Basis): Finding[] {
  const age = test && due.get(test.fact.id);
  if (!age) return [];
  return [
    {
      rule: 'LOAD-2',
      level: 'note',
      subject: 'strengthTestId',
      message: `The strength test is ${age}; it holds ${RULES['LOAD-2'].figures.shelfLifeDays / 7} weeks.`,
      remedy: 'Test again before it is run.',
      hardWhenRun: true,
    },
  ];
}

/** The kit must suit the exercise; a stack or a bar is never "without kilograms" (rule LOAD-4). */
function checkKit({ choice, exercise, kit }: Resolved, basis: Basis): Finding[] {
  const common = { rule: 'LOAD-4', subject: 'weightKitId' } as const;
  const suits = EQUIPMENT_KITS[exercise.equipment];
  if (kit && kit.kind !== suits) {
    return [
      {
        ...common,
        level: 'guard',
        message: `${kit.label} does not suit ${exercise.label}, which is loaded by ${equipmentWords(exercise.equipment)}.`,
        remedy: 'Choose weights that suit it, or another exercise.',
      },
    ];
  }
  if (choice.load.kind === 'weighed' || !isWeighed(exercise)) return [];
  const tested = basis.strengthTests.some(({ exerciseId }) => exerciseId === choice.exerciseId);
  return [
    {
      ...common,
      level: 'note',
      message: `${exercise.label} has weights, and this goes without kilograms: ${choice.load.with}.`,
      remedy: tested ? 'Load it by its 1RM.' : 'Test it, and load it by its 1RM.',
    },
  ];
}

/** Aerobic work under a cuff is light: above half of VO2max it is said (rule PRO). */
export function checkIntensity(intensity: Intensity | undefined): Finding[] {
  if (intensity?.by !== 'vo2max' || intensity.percent < MOST_PERCENT_VO2MAX) return [];
  return [
    {
      rule: 'PRO',
      level: 'note',
      subject: 'intensity',
      message: `Aerobic work under a cuff is done below ${MOST_PERCENT_VO2MAX} % of VO2max, or at talking pace.`,
      remedy: 'Go by less, or by talking.',
    },
  ];
}
