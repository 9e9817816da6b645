import type { Finding } from '../findings/finding';
import { msg } from '../message/message';
import { muscleOf } from '../protocol/muscles';
import { type Day, isoOf } from '../quantity/days';
import { RULES } from '../rules/catalogue';
import { type Block, onDays } from './block';
import { type BlockPlan, share } from './block-plan';
import type { OnDay } from './on-day';
import { whyFree } from './season';

const { leastPerWeek: LEAST, mostPerWeek: MOST } = RULES['PRO-3'].figures;

/**
 * What the rules find about a block: sessions of the same limbs too close, a muscle too often or too seldom, and that heavy
 * work is needed for maximal strength, sessions on days that the calendar keeps free (rules PRO-3, PRO-4, CRS-5). Without a finding of level hard or guard, each of its sessions
 * opens as far as how often goes, if nothing else is done (rule START-1).
 */
export function checkBlock(block: Block, plans: readonly BlockPlan[]): Finding[] {
  const sessions = onDays(block);
  const planOf = ({ coursePlanId }: OnDay) => plans.find(({ id }) => id === coursePlanId);
  return [
    ...checkKnown(block, plans),
    ...checkSameDay(sessions, planOf),
    ...checkOften(sessions, planOf),
    ...checkSeldom(block, plans),
    ...checkHeavy(block, plans),
    ...checkSeason(sessions, block),
  ];
}

type PlanOf = (session: OnDay) => BlockPlan | undefined;

function checkKnown({ sessions }: Block, plans: readonly BlockPlan[]): Finding[] {
  const unknown = sessions.find(({ coursePlanId }) => !plans.some(({ id }) => id === coursePlanId));
  if (!unknown) return [];
  return [
    {
      rule: 'START-2',
      level: 'hard',
      subject: 'sessions',
      message: msg('A plan of {day} is not in force.', { day: { isoDay: unknown.day } }),
      remedy: msg('Choose one that is, or take it up again.'),
    },
  ];
}

function checkSameDay(sessions: readonly OnDay[], planOf: PlanOf): Finding[] {
  const clash = sessions.flatMap((one, place) => {
    const a = planOf(one);
    const other = sessions.find((two, at) => {
      const b = planOf(two);
      return at > place && two.day === one.day && a && b && share(a, b);
    });
    return other && a
      ? [{ day: one.day, isSame: other.coursePlanId === one.coursePlanId, name: a.name }]
      : [];
  })[0];
  if (!clash) return [];
  return [
    {
      rule: 'PRO-3',
      level: clash.isSame ? 'hard' : 'guard',
      subject: 'sessions',
      message: clash.isSame
        ? msg('Two sessions of {name} on {day} are less than 24 h apart.', {
            name: clash.name,
            day: { isoDay: isoOf(clash.day) },
          })
        : msg('Two plans for the same limbs fall on {day}, less than 24 h apart.', {
            day: { isoDay: isoOf(clash.day) },
          }),
      remedy: msg('Move one to another day.'),
    },
  ];
}

function checkOften(sessions: readonly OnDay[], planOf: PlanOf): Finding[] {
  const days = new Map<string, Day[]>();
  for (const session of sessions) {
    for (const muscle of planOf(session)?.muscles ?? []) {
      days.set(muscle, [...(days.get(muscle) ?? []), session.day]);
    }
  }
  const over = [...days].find(([, on]) => busiestWeek(on) > MOST);
  if (!over) return [];
  return [
    {
      rule: 'PRO-3',
      level: 'guard',
      subject: 'sessions',
      message: msg('The {muscle} is trained more than {most} times within seven days.', {
        muscle: muscleOf(over[0]),
        most: MOST,
      }),
      remedy: msg('Plan two or three a week, or have a clinician give the reason.'),
    },
  ];
}

/** Most sessions in any seven days. */
const busiestWeek = (days: readonly Day[]): number =>
  Math.max(0, ...days.map((day) => days.filter((other) => other >= day && other < day + 7).length));

function checkSeldom({ wish }: Block, plans: readonly BlockPlan[]): Finding[] {
  const trained = new Map<string, number>();
  for (const { coursePlanId, perWeek } of wish.lines) {
    const plan = plans.find(({ id }) => id === coursePlanId);
    for (const muscle of plan?.muscles ?? []) trained.set(muscle, (trained.get(muscle) ?? 0) + perWeek);
  }
  const seldom = [...trained].find(([, perWeek]) => perWeek < LEAST);
  if (!seldom) return [];
  return [
    {
      rule: 'PRO-3',
      level: 'note',
      subject: 'lines',
      message: msg('The {muscle} is trained once a week: fewer than two rarely work.', {
        muscle: muscleOf(seldom[0]),
      }),
      remedy: msg('Plan two or three, or count the heavy work that trains it.'),
    },
  ];
}

function checkHeavy({ wish }: Block, plans: readonly BlockPlan[]): Finding[] {
  const forStrength = wish.lines.some(({ coursePlanId }) =>
    plans.some(({ id, plan }) => id === coursePlanId && plan.goal === 'strength-bridge'),
  );
  if (!forStrength || wish.heavy.length > 0) return [];
  return [
    {
      rule: 'PRO-4',
      level: 'note',
      subject: 'heavy',
      message: msg('Maximal strength needs heavy work; this block has none.'),
      remedy: msg('Add heavy days as soon as they are possible.'),
    },
  ];
}

/** Sessions that were put, by hand or by a request, on days that the calendar keeps free: it may be meant, so it is said. */
const checkSeason = (sessions: readonly OnDay[], { wish }: Block): Finding[] =>
  [...new Set(sessions.map(({ day }) => day))].flatMap((day): Finding[] => {
    const why = whyFree(day, wish.season);
    return why === null
      ? []
      : [
          {
            rule: 'CRS-5',
            level: 'note',
            subject: 'season',
            message: msg('A session falls on {day}: {why}.', { day: { isoDay: isoOf(day) }, why }),
            remedy: msg('Move it, or take the day before that game too where it is meant.'),
          },
        ];
  });
