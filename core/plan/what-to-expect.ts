import { markWords } from '../cuff/mark-words';
import { LIMB_LABELS } from '../quantity/limb';
import { RULES } from '../rules/catalogue';
import { compile } from './compile';
import { doseOf } from './dose';
import type { Plan, PlannedExercise } from './plan';
import { primingCycles } from './plan';

/** What a person is told of their own plan, in its figures: a heading for each exercise, and lines under it. */
export type Expectation = { heading: string; lines: string[] };

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

function pressureWords(target: PlannedExercise['limbs'][number]): string {
  const limb = LIMB_LABELS[target.limb];
  if (target.kind === 'by-feel')
    return `${limb}: the strap at ${markWords(target)}, felt as ${target.felt} of 10.`;
  if (target.kind === 'arbitrary')
    return `${limb}: ${target.pressure.value} mmHg, an arbitrary pressure: what closes its artery was not measured.`;
  return `${limb}: ${target.pressure.value} mmHg, about ${target.percentLop} % of the ${target.occlusion.value} mmHg that close its artery.`;
}

function feltWords({ mode, sets, limbs }: PlannedExercise): string[] {
  if (mode === 'passive')
    return ['You lie or sit still. The limb feels full, then heavy, and eases in each break.'];
  if (mode === 'preparation')
    return [
      'The cuff comes up for a short while and goes down again, a little tighter each time. Nothing should hurt.',
    ];
  if (mode === 'aerobic')
    return ['Easy at first; the legs grow heavy after some minutes. You can talk all the while.'];
  const primed = primingCycles({ limbs }) > 0;
  return [
    ...(primed ? ['First the cuff comes up and goes down a few times, a little tighter each time.'] : []),
    ...sets.map((_, place) => `Set ${place + 1}: ${SETS_FEEL[Math.min(place, SETS_FEEL.length - 1)]}`),
  ];
}

/** What a set of resistance work under the cuff is usually like, the first to the last. */
const SETS_FEEL = [
  'easy to begin with, warm, and work towards its end.',
  'it burns sooner; the limb feels tight and full.',
  'hard from half of it on. Breathe, and keep the pace.',
  'the hardest. Stopping short of it is no failure.',
];

/** What comes when, by weeks; the first weeks are gentler on purpose (rules PRS-4, PRO-3). */
export const WEEKS: readonly { when: string; words: string }[] = [
  { when: 'Week 1', words: 'The lowest pressure, to get used to it. Some soreness.' },
  {
    when: 'Weeks 2 and 3',
    words: `Pressure rises step by step, at most ${RULES['PRS-4'].figures.pointsPerWeek} points a week. The same work feels easier.`,
  },
  { when: 'From week 3', words: 'A change in size can be looked for, and is measured.' },
  { when: 'Weeks 4 to 12', words: 'Loads or pressure follow what you did. Then a retest, and a new plan.' },
];
