import { type Message, msg } from '../message/message';
import type { BlockLine, BlockWish } from './block';
import type { BlockPlan } from './block-plan';

/** What a block is begun from: figures to change, and what it is for. Days are weekdays from 0, Monday. */
type Start = {
  label: Message;
  words: Message;
  weeks: number;
  perWeek: number;
  /** How often a day passive work is done; it is done daily in every block. */
  passiveADay: number;
  heavy: readonly number[];
  onHeavyDays: BlockLine['onHeavyDays'];
  deload: BlockWish['deload'];
};

const USUAL = {
  weeks: 8,
  perWeek: 2,
  passiveADay: 1,
  heavy: [],
  onHeavyDays: 'apart',
  deload: null,
} satisfies Omit<Start, 'label' | 'words'>;

/** Where a block may start from (rules PRO-3, PRO-4, PRO-6). */
export const BLOCK_STARTS = {
  'first-month': {
    ...USUAL,
    label: msg('First month'),
    words: msg('Isolated work at the school’s start pressures, twice a week, gradual (PRO-6).'),
    weeks: 4,
  },
  size: {
    ...USUAL,
    label: msg('Eight weeks of size'),
    words: msg('Growth may show from the third week; a deload every fourth.'),
    perWeek: 3,
    deload: { everyWeeks: 4, setsPercent: 50 },
  },
  'one-heavy-two-light': {
    ...USUAL,
    label: msg('One heavy day, two cuffed'),
    words: msg('A heavy day keeps strength, two cuffed days add volume at little strain (PRO-4).'),
    heavy: [0],
  },
  finishers: {
    ...USUAL,
    label: msg('Finishers on an upper/lower split'),
    words: msg(
      'After the main lifts: curl and triceps on upper days, quadriceps and hamstrings on lower days (PRO-4).',
    ),
    heavy: [0, 1, 3, 4],
    onHeavyDays: 'finisher',
    deload: { everyWeeks: 4, setsPercent: 60 },
  },
  deload: {
    ...USUAL,
    label: msg('Through a deload'),
    words: msg(
      'Cuffed work in the place of heavy sets, every fourth week up to 60 % of the heavy volume (PRO-4).',
    ),
    weeks: 4,
    perWeek: 3,
    deload: { everyWeeks: 4, setsPercent: 60 },
  },
  'in-season': {
    ...USUAL,
    label: msg('In season'),
    words: msg('Twice a week, apart from hard days; nothing rises.'),
    weeks: 12,
  },
  'after-operation': {
    ...USUAL,
    label: msg('After an operation'),
    words: msg(
      'Passive work twice a day, and what the ladder allows three times a week; the other side from day one (PRO-5).',
    ),
    weeks: 12,
    perWeek: 3,
    passiveADay: 2,
  },
  cycling: {
    ...USUAL,
    label: msg('Eight weeks of cycling'),
    words: msg('Ten to fifteen minutes at talking pace, three times a week.'),
    perWeek: 3,
  },
  'pain-limited-knee': {
    ...USUAL,
    label: msg('Pain-limited knee'),
    words: msg('Twice a week at a load that stays within pain of 3; nothing rises before it is easy.'),
  },
  'older-and-weak': {
    ...USUAL,
    label: msg('Older and weak'),
    words: msg('Twice a week for long, with a small rise of load.'),
    weeks: 12,
  },
} satisfies Record<string, Start>;
export type BlockStartId = keyof typeof BLOCK_STARTS;

const ANY_DAY = [0, 1, 2, 3, 4, 5, 6];
const WORKING_DAYS = [0, 1, 2, 3, 4];

/** A block of every plan of a person, from one of the starts. */
export function startBlock(
  id: BlockStartId,
  plans: readonly BlockPlan[],
  { startsOn, atTime }: Pick<BlockWish, 'startsOn' | 'atTime'>,
): BlockWish {
  const start: Start = BLOCK_STARTS[id];
  return {
    start: id,
    startsOn,
    weeks: start.weeks,
    lines: plans.map((plan): BlockLine => {
      const isPassive = plan.kinds.length === 0;
      return {
        coursePlanId: plan.id,
        perWeek: isPassive ? 7 : start.perWeek,
        timesADay: isPassive ? start.passiveADay : 1,
        available: isPassive ? ANY_DAY : WORKING_DAYS,
        onHeavyDays: isPassive ? 'either' : start.onHeavyDays,
      };
    }),
    heavy: [...start.heavy],
    deload: start.deload,
    season: [],
    atTime,
  };
}
