import { expect, it } from 'vitest';
import {
  ALTERNATIVES,
  type Basis,
  basisAt,
  compile,
  composeSession,
  type DraftWish,
  doseOf,
  draftSession,
  GOALS,
  type GoalId,
  goalIdSchema,
  type Plan,
} from '#core/plan';
import type { Rung } from '#core/protocol';
import { LIMB_LABELS, type Limb, type PlaceKind, placesOf } from '#core/quantity';
import { basisOf, isNewcomer } from '#core/record';
import { inEnglish } from '#language/render';
import { CUFFS, PRACTICE, STRAPS, WEIGHT_KITS } from '../demo/practice';
import { readClient, readPeople } from './db/client-facts';
import { demoDatabase } from './demo.fixture';
import { Lines } from './live/lines';

// Six people of the demonstration, each with every goal: what is drafted for them stands in a file that a person can read. What was
// judged good in it, and why, is in docs/decisions/drafts.md.

const THIGHS: Limb[] = ['left-thigh', 'right-thigh'];
const ARMS: Limb[] = ['left-arm', 'right-arm'];

type Asked = {
  as: string;
  goal: GoalId;
  limbs?: Limb[];
  rung?: Rung;
  beforeLift?: string;
  place?: PlaceKind;
  withoutKit?: true;
};

const PEOPLE: { name: string; limbs: Limb[]; more: Asked[] }[] = [
  {
    name: 'Odalys Ferrant',
    limbs: ['left-thigh'],
    more: [{ as: 'size, at home', goal: 'size', place: 'home' }],
  },
  {
    name: 'Birgitta Somerhall',
    limbs: ['left-thigh'],
    more: [],
  },
  {
    name: 'Maren Holdwick',
    limbs: ['right-thigh'],
    more: [
      { as: 'rung passive', goal: 'rehab', rung: 'passive' },
      { as: 'rung unloaded', goal: 'rehab', rung: 'unloaded' },
      { as: 'rung functional', goal: 'rehab', rung: 'functional' },
    ],
  },
  {
    name: 'Rufus Tarnholm',
    limbs: THIGHS,
    more: [
      { as: 'warm-up before back squats', goal: 'warm-up', beforeLift: 'bar-squat' },
      { as: 'warm-up before deadlifts', goal: 'warm-up', beforeLift: 'deadlift' },
      { as: 'warm-up before bench presses', goal: 'warm-up', limbs: ARMS, beforeLift: 'bench-press' },
      { as: 'lower and upper', goal: 'size', limbs: [...THIGHS, ...ARMS] },
      { as: 'size, in a hotel without kit', goal: 'size', place: 'travelling', withoutKit: true },
    ],
  },
  {
    name: 'Tamsin Greywater',
    limbs: ['left-thigh'],
    more: [{ as: 'size, at home', goal: 'size', place: 'home' }],
  },
  { name: 'Brisa Okonvale', limbs: ['left-arm'], more: [] },
];

const KIT = { cuffs: CUFFS, weightKits: WEIGHT_KITS, straps: STRAPS };

const exerciseLine = ({ label, limbs, load, sets, protocolLabel }: Plan['exercises'][number]): string => {
  const worn = limbs.map((target) => {
    const limb = inEnglish(LIMB_LABELS[target.limb]);
    if (target.kind === 'by-feel') return `${limb} strap ${target.mark}`;
    return `${limb} ${target.pressure.value} mmHg`;
  });
  const work = sets.map((set) =>
    set.work.kind === 'timed'
      ? `${set.work.workMs / 60_000} min`
      : set.work.kind === 'reps'
        ? set.work.reps
        : `≤${set.work.pacedTo}`,
  );
  const resists =
    load.kind === 'weighed'
      ? `${load.load.value} kg (${load.percentOneRepMax} % asked, ${load.truePercent} % made)`
      : inEnglish(load.recipe);
  return `${inEnglish(label)}: ${worn.join(' + ')}; ${inEnglish(protocolLabel)} ${work.join('/')}; ${resists}`;
};

const placeOf = (kind: PlaceKind) =>
  placesOf([]).find((place) => place.kind === kind) ?? expect.unreachable();

function lines(asked: Asked, limbs: Limb[], basis: Basis, newcomer: boolean): string[] {
  const there = asked.place
    ? basisAt(basis, asked.withoutKit ? { ...KIT, weightKits: [] } : KIT, placeOf(asked.place))
    : basis;
  const wish: DraftWish = {
    goal: asked.goal,
    schoolId: PRACTICE.schoolId,
    limbs: asked.limbs ?? limbs,
    together: (asked.limbs ?? limbs).length > 1,
    rung: asked.rung ?? 'isometric',
    newcomer,
    isolatedOnly: false,
    beforeLift: asked.beforeLift,
    place: asked.place,
    carried: [],
    lowered: new Map(),
  };
  const { session, notes, judged, alternatives = [] } = draftSession(wish, there);
  if (!session) return [`  ${asked.as}: none. ${inEnglish(notes.at(-1) ?? '')}`];
  const said = (one: typeof session): string[] => {
    const { plan } = composeSession(one, there);
    const { occludedMs, reps } = doseOf(compile(plan));
    return [
      ...plan.exercises.map((exercise) => `      ${exerciseLine(exercise)}`),
      `      cuff up ${(occludedMs / 60_000).toFixed(1)} min, ${reps} repetitions`,
    ];
  };
  return [
    `  ${asked.as}: ${judged?.points} points`,
    ...said(session),
    ...(judged?.aspects ?? [])
      .filter(({ points, most }) => points < most)
      .map(
        ({ label, points, most, words }) =>
          `      − ${inEnglish(label)} ${points}/${most}: ${inEnglish(words)}`,
      ),
    ...notes.slice(1).map((note) => `      note: ${inEnglish(note)}`),
    ...alternatives.flatMap((way) => [
      `    or ${inEnglish(ALTERNATIVES[way.id].label).toLowerCase()}: ${way.judged.points} points`,
      ...said(way.session),
    ]),
  ];
}

it('drafts every goal for six people as was judged good', async () => {
  const { orm } = await demoDatabase();
  const nowMs = Date.now();
  const said: string[] = [];
  for (const { name, limbs, more } of PEOPLE) {
    const found = await readPeople(orm.em.fork(), { search: name, page: 0 }, new Lines(), nowMs);
    const { facts } = await readClient(orm.em.fork(), found.people[0]?.id ?? '', nowMs);
    const basis = basisOf(facts, KIT, 'clinician', nowMs);
    const goals = goalIdSchema.options.map((goal): Asked => ({ as: inEnglish(GOALS[goal].label), goal }));
    said.push(
      name,
      ...[...goals, ...more].flatMap((asked) => lines(asked, limbs, basis, isNewcomer(facts))),
      '',
    );
  }
  await expect(said.join('\n')).toMatchFileSnapshot('./drafts-of-the-demo.golden.txt');
});
