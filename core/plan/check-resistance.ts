import type { Finding } from '../findings/finding';
import { checkLoad } from '../load/target-load';
import { EQUIPMENT_KITS, resistanceText } from '../load/weight-kit';
import { mass, msg } from '../message/message';
import { EQUIPMENT_NAMES } from '../protocol/equipment-words';
import { isWeighed } from '../protocol/exercise';
import { SIDE_NAMES } from '../quantity/limb';
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
        message: msg('The test is of another exercise than {exercise}.', { exercise: exercise.label }),
        remedy: msg('Test the one prescribed.'),
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
        message: msg('The 1RM is of the {side} side alone, and both limbs lift together.', {
          side: SIDE_NAMES[test.fact.side],
        }),
        remedy: msg('Test both together, or do one limb after the other.'),
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
        message: msg('A 1RM of {old} is not in force any more; {now} is.', {
          old: mass(test.oneRepMax.value),
          now: mass(inForce.oneRepMax.value),
        }),
        remedy: msg('Go by the test in force.'),
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
        message: msg(
          'Half of the 1RM of both sides is not for a limb that was operated on: it gave less than its half.',
        ),
        remedy: msg('Test the other side, which stands in with a mark.'),
      },
    ];
  }
  return [
    test.stands === 'half-of-both'
      ? {
          ...common,
          rule: 'LOAD-3',
          level: 'note',
          message: msg('The 1RM is half of that of both sides together: {oneRepMax}.', {
            oneRepMax: mass(test.oneRepMax.value),
          }),
          remedy: msg('Test this side by itself.'),
        }
      : {
          ...common,
          rule: isOperated ? 'LOAD-2' : 'LOAD-3',
          level: 'note',
          message: msg('The 1RM is from the {side} side.', { side: SIDE_NAMES[test.fact.side] }),
          remedy: isOperated ? msg('Test this side once it may be tested.') : msg('Test this side.'),
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
      message: msg('The strength test is {age}; it holds {shelfLifeDays} weeks.', {
        age,
        shelfLifeDays: RULES['LOAD-2'].figures.shelfLifeDays / 7,
      }),
      remedy: msg('Test again before it is run.'),
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
        message: msg('{kit} does not suit {exercise}, which is loaded by {equipment}.', {
          kit: kit.label,
          exercise: exercise.label,
          equipment: EQUIPMENT_NAMES[exercise.equipment],
        }),
        remedy: msg('Choose weights that suit it, or another exercise.'),
      },
    ];
  }
  if (choice.load.kind === 'weighed' || !isWeighed(exercise)) return [];
  const tested = basis.strengthTests.some(({ exerciseId }) => exerciseId === choice.exerciseId);
  return [
    {
      ...common,
      level: 'note',
      message: msg('{exercise} has weights, and this goes without kilograms: {resistance}.', {
        exercise: exercise.label,
        resistance: resistanceText(choice.load.with),
      }),
      remedy: tested ? msg('Load it by its 1RM.') : msg('Test it, and load it by its 1RM.'),
    },
  ];
}

/** Aerobic work under a cuff is light: above half of VO2max it is said (rule PRO). */
export function checkIntensity(
  { choice: { intensity }, estimate }: Pick<Resolved, 'choice' | 'estimate'>,
  { fitness }: Pick<Basis, 'fitness'>,
): Finding[] {
  const common = { rule: 'PRO', level: 'note', subject: 'intensity' } as const;
  if (intensity?.by === 'vo2max' && !fitness.vo2max)
    return [
      {
        ...common,
        message: msg('A share of VO2max, and no VO2max is on record: the machine cannot be set by it.'),
        remedy: msg('Record a test in Outcomes, or go by watts, speed or talking pace.'),
      },
    ];
  const percent = intensity?.by === 'vo2max' ? intensity.percent : (estimate.percentVo2max?.value ?? 0);
  if (percent < MOST_PERCENT_VO2MAX) return [];
  return [
    {
      ...common,
      message: msg(
        'Aerobic work under a cuff is done below {mOST_PERCENT_VO2MAX} % of VO2max, or at talking pace.',
        { mOST_PERCENT_VO2MAX: MOST_PERCENT_VO2MAX },
      ),
      remedy: msg('Go by less, or by talking.'),
    },
  ];
}
