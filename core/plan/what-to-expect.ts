import { markWords } from '../cuff/mark-words';
import { type Message, msg, type Text } from '../message/message';
import { LIMB_LABELS } from '../quantity/limb';
import { RULES } from '../rules/catalogue';
import { compile } from './compile';
import { doseOf } from './dose';
import type { Plan, PlannedExercise } from './plan';
import { primingCycles } from './target';

/** What a person reads about their own plan, in its figures: a heading for each exercise, and lines under it. */
export type Expectation = { heading: Text; lines: Message[] };

/**
 * Says what will be done to a person and what each set is likely to feel like, from the plan itself.
 * @returns one entry an exercise; loads are left to the sheet, which has them in the person's units
 */
export const whatToExpect = (plan: Plan): Expectation[] =>
  plan.exercises.map((exercise) => ({
    heading: exercise.label,
    lines: [...exercise.limbs.map((target) => pressureWords(target)), ...feltWords(exercise)],
  }));

/** How long the cuff is up in a session of a plan, in whole minutes, rounded up. */
export const cuffUpMinutes = (plan: Plan): number => Math.ceil(doseOf(compile(plan)).occludedMs / 60_000);

function pressureWords(target: PlannedExercise['limbs'][number]): Message {
  const limb = LIMB_LABELS[target.limb];
  if (target.kind === 'by-feel')
    return msg('{limb}: the strap at {mark}, felt as {felt} of 10.', {
      limb,
      mark: markWords(target),
      felt: target.felt,
    });
  if (target.kind === 'arbitrary')
    return msg('{limb}: {pressure} mmHg, an arbitrary pressure: what closes its artery was not measured.', {
      limb,
      pressure: target.pressure.value,
    });
  return msg('{limb}: {pressure} mmHg, about {percentLop} % of the {occlusion} mmHg that close its artery.', {
    limb,
    pressure: target.pressure.value,
    percentLop: target.percentLop,
    occlusion: target.occlusion.value,
  });
}

function feltWords({ mode, sets, limbs }: PlannedExercise): Message[] {
  if (mode === 'passive')
    return [msg('You lie or sit still. The limb feels full, then heavy, and eases in each break.')];
  if (mode === 'preparation')
    return [
      msg(
        'The cuff comes up for a short while and goes down again, a little tighter each time. Nothing should hurt.',
      ),
    ];
  if (mode === 'aerobic')
    return [msg('Easy at first; the legs grow heavy after some minutes. You can talk all the while.')];
  const primed = primingCycles({ limbs }) > 0;
  return [
    ...(primed
      ? [msg('First the cuff comes up and goes down a few times, a little tighter each time.')]
      : []),
    ...sets.map((_, place) =>
      msg('Set {set}: {feels}', {
        set: place + 1,
        feels: SETS_FEEL[place] ?? LAST_SET_FEELS,
      }),
    ),
  ];
}

/** What a set of resistance work under the cuff is usually like, the first to the last. */
const LAST_SET_FEELS = msg('the hardest. Stopping short of it is no failure.');
const SETS_FEEL = [
  msg('easy to begin with, warm, and work towards its end.'),
  msg('it burns sooner; the limb feels tight and full.'),
  msg('hard from half of it on. Breathe, and keep the pace.'),
];

/** What comes when, by weeks; the first weeks are gentler on purpose (rules PRS-4, PRO-3). */
export const WEEKS: readonly { when: Message; words: Message }[] = [
  { when: msg('Week 1'), words: msg('The lowest pressure, to get used to it. Some soreness.') },
  {
    when: msg('Weeks 2 and 3'),
    words: msg(
      'Pressure rises step by step, at most {pointsPerWeek} points a week. The same work feels easier.',
      { pointsPerWeek: RULES['PRS-4'].figures.pointsPerWeek },
    ),
  },
  { when: msg('From week 3'), words: msg('A change in size can be looked for, and is measured.') },
  {
    when: msg('Weeks 4 to 12'),
    words: msg('Loads or pressure follow what you did. Then a retest, and a new plan.'),
  },
];
