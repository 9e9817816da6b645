import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import { composeSession } from '../plan/compose';
import type { Plan } from '../plan/plan';
import { testBasis, testExercise, testOcclusion, testPlan } from '../plan/plan.fixture';
import { EXERCISES, type Library } from '../protocol/exercises';
import { dayAt, dayOf, isoOf, weekdayOf } from '../quantity/days';
import { limbKind } from '../quantity/limb';
import { MS_PER_DAY } from '../quantity/units';
import { checkHowOften } from '../record/how-often';
import { openedAt } from '../review/opened';
import {
  type Block,
  type BlockLine,
  type BlockWish,
  blockSchema,
  blockWishSchema,
  onDays,
  scheduledOn,
} from './block';
import { blockPlanOf } from './block-plan';
import { type MeantDay, weeksOf } from './block-weeks';
import { checkBlock } from './check-block';
import type { CoursePlan } from './course-plan';
import { followBlock, nextInBlock } from './follow-block';
import type { OnDay } from './on-day';
import { placeBlock } from './place-block';
import { keptFree, seasonKindSchema } from './season';
import { turnInBlock } from './turn';
import { readBlock } from './versions/read-block';

const library = EXERCISES as Library;
const basis = testBasis({
  occlusions: [
    testOcclusion(),
    testOcclusion({ id: 'arm', limb: 'left-arm', pressure: { ...testOcclusion().pressure, value: 130 } }),
  ],
});
const compose = (...exercises: Parameters<typeof composeSession>[0]['exercises']): Plan =>
  composeSession({ goal: 'size', schoolId: 'research-consensus', exercises }, basis).plan;
const byWeight = { load: { kind: 'unweighed' as const, with: 'a band' } };

const coursePlan = (id: string): CoursePlan => ({
  id,
  name: id,
  ownName: null,
  occasion: { kind: 'any-day' },
  state: 'in-force',
  untilMs: null,
});
const lower = testPlan().plan;
const curl = compose(testExercise({ exerciseId: 'leg-curl-lying' }, byWeight));
const press = compose(testExercise({ exerciseId: 'leg-press' }, byWeight));
const arms = compose(
  testExercise(
    { exerciseId: 'band-curl' },
    { ...byWeight, limbs: [{ kind: 'measured', limb: 'left-arm', occlusionId: 'arm', percentLop: 40 }] },
  ),
);
const passive = compose(
  testExercise({ exerciseId: 'passive-cuff-leg', protocolId: 'passive-recovery', percentLop: 80 }, byWeight),
);
const PLANS = Object.entries({ lower, curl, press, arms, passive }).map(([id, plan]) =>
  blockPlanOf(coursePlan(id), plan, library),
);

// 4 May 2026 is a Monday.
const MONDAY = dayOf('2026-05-04');
const line = (coursePlanId: string, changes: Partial<BlockLine> = {}): BlockLine => ({
  coursePlanId,
  perWeek: 2,
  timesADay: 1,
  available: [0, 1, 2, 3, 4, 5, 6],
  onHeavyDays: 'apart',
  ...changes,
});
const wishOf = (lines: BlockLine[], changes: Partial<BlockWish> = {}): BlockWish => ({
  startsOn: '2026-05-04',
  weeks: 4,
  lines,
  heavy: [],
  deload: null,
  season: [],
  atTime: '17:30',
  ...changes,
});
const blockOf = (wish: BlockWish, sessions: readonly OnDay[] = placeBlock(wish, PLANS).sessions): Block => ({
  wish,
  sessions: scheduledOn(sessions),
});
const on = (...days: [number, string][]): OnDay[] =>
  days.map(([day, coursePlanId]) => ({ day: MONDAY + day, coursePlanId }));
/** "Mon lower" for the first week. */
const firstWeek = (sessions: readonly OnDay[]) =>
  sessions
    .filter(({ day }) => day < MONDAY + 7)
    .map(({ day, coursePlanId }) => `${day - MONDAY} ${coursePlanId}`);
/** Days of a block as they are meant: every session at a share of its own, with its plan's sets. */
const meant = (sessions: readonly OnDay[], isDeload: (day: number) => boolean = () => false): MeantDay[] =>
  sessions.map((session) => {
    const plan = PLANS.find(({ id }) => id === session.coursePlanId);
    const whole = plan?.sets ?? 0;
    const sets = isDeload(session.day) ? Math.max(1, Math.floor(whole / 2)) : whole;
    return {
      ...session,
      figures: plan ? openedAt(plan.plan) : null,
      sets,
      occludedMs: 60_000 * sets,
      isDeload: isDeload(session.day),
    };
  });

describe('what a block asks of its plans', () => {
  it('knows which limbs and muscles move, each of a compound, and none in passive work', () => {
    expect(PLANS.map(({ kinds, muscles }) => [kinds, muscles])).toEqual([
      [['leg'], ['quadriceps leg']],
      [['leg'], ['hamstrings leg']],
      [['leg'], ['quadriceps leg', 'buttock leg']],
      [['arm'], ['biceps arm']],
      [[], []],
    ]);
    expect(PLANS[0]?.sets).toBe(4);
  });
});

describe('placing a block (PRO-3, PRO-4)', () => {
  it('keeps a day between plans for the same limbs, and ignores others', () => {
    const { sessions, unmet } = placeBlock(wishOf([line('lower'), line('curl')]), PLANS);
    expect(firstWeek(sessions)).toEqual(['0 lower', '1 curl', '3 lower', '5 curl']);
    expect(unmet).toEqual([]);
    // Arms may share the days of the legs.
    const split = placeBlock(wishOf([line('lower'), line('arms')]), PLANS);
    expect(firstWeek(split.sessions)).toEqual(['0 lower', '0 arms', '3 lower', '3 arms']);
  });

  it('puts a finisher on heavy days and the other plan apart from them', () => {
    const lines = [line('lower'), line('arms', { onHeavyDays: 'finisher' })];
    const { sessions } = placeBlock(wishOf(lines, { heavy: [1, 4] }), PLANS);
    expect(
      new Set(
        sessions.filter(({ coursePlanId }) => coursePlanId === 'arms').map(({ day }) => weekdayOf(day)),
      ),
    ).toEqual(new Set([1, 4]));
    const legDays = sessions
      .filter(({ coursePlanId }) => coursePlanId === 'lower')
      .map(({ day }) => weekdayOf(day));
    expect(legDays.some((weekday) => [1, 4].includes(weekday))).toBe(false);
    const either = placeBlock(
      wishOf([line('lower', { onHeavyDays: 'either', available: [1, 4] })], { heavy: [1, 4] }),
      PLANS,
    );
    expect(either.sessions).toHaveLength(8);
  });

  it('places passive work daily and more than once a day, without a word about it', () => {
    const daily = [line('passive', { perWeek: 7, timesADay: 2 }), line('lower')];
    const { sessions, unmet } = placeBlock(wishOf(daily), PLANS);
    expect(sessions.filter(({ coursePlanId }) => coursePlanId === 'passive')).toHaveLength(4 * 14);
    expect(unmet).toEqual([]);
  });

  it('keeps what was of a block that runs, and places the rest from today', () => {
    const wish = wishOf([line('lower'), line('arms')]);
    const before = on([0, 'lower'], [3, 'lower'], [7, 'lower'], [10, 'lower']);
    const { sessions } = placeBlock(wish, PLANS, { fromDay: MONDAY + 8, before });
    expect(sessions.filter(({ day }) => day < MONDAY + 8)).toEqual(
      on([0, 'lower'], [3, 'lower'], [7, 'lower']),
    );
    // One of two is done this week, so one more of the legs; the arms are new, with two from today.
    const week = sessions.filter(({ day }) => day >= MONDAY + 8 && day < MONDAY + 14);
    expect(week.map(({ coursePlanId }) => coursePlanId).sort()).toEqual(['arms', 'arms', 'lower']);
  });

  it('keeps nothing of the block that it follows', () => {
    const before = on([-5, 'lower'], [-2, 'lower'], [3, 'lower']);
    const again = placeBlock(wishOf([line('lower')]), PLANS, { fromDay: MONDAY, before });
    expect(again).toEqual(placeBlock(wishOf([line('lower')]), PLANS));
  });

  it('says whose days do not fit, and why', () => {
    const { unmet } = placeBlock(
      wishOf([line('lower', { available: [1, 4] }), line('press', { available: [1, 4] })]),
      PLANS,
    );
    expect(englishOf(unmet[0]?.message)).toBe(
      'press: Week 1: 0 of 2 sessions fit (open on Tue, Fri; not on days of plans for the same limbs). Fewer than two a week rarely works.',
    );
    expect(englishOf(placeBlock(wishOf([line('gone')]), PLANS))).toEqual({ sessions: [], unmet: [] });
  });
});

describe('checking a block (PRO-3, PRO-4)', () => {
  const levels = (sessions: OnDay[], wish = wishOf([line('lower'), line('curl')])) =>
    checkBlock(blockOf(wish, sessions), PLANS).map(({ rule, level }) => `${rule} ${level}`);

  it('refuses the same plan twice on a day, and guards another for the same limbs', () => {
    expect(levels(on([0, 'lower'], [0, 'lower']))).toEqual(['PRO-3 hard']);
    expect(levels(on([0, 'lower'], [0, 'curl']))).toEqual(['PRO-3 guard']);
    expect(levels(on([0, 'lower'], [0, 'arms'], [0, 'passive'], [0, 'passive']))).toEqual([]);
    expect(levels(on([0, 'lower'], [1, 'gone']))).toEqual(['START-2 hard']);
  });

  it('guards a muscle trained more than three times in seven days, over all plans', () => {
    const four = on([0, 'lower'], [2, 'press'], [4, 'lower'], [6, 'press']);
    expect(levels(four)).toEqual(['PRO-3 guard']);
    expect(levels(on([0, 'lower'], [2, 'press'], [4, 'lower'], [7, 'press']))).toEqual([]);
    expect(levels(on([0, 'lower'], [2, 'curl'], [4, 'lower'], [6, 'curl']))).toEqual([]);
  });

  it('notes once a week, and that strength needs heavy work', () => {
    expect(levels(on([0, 'lower']), wishOf([line('lower', { perWeek: 1 })]))).toEqual(['PRO-3 note']);
    expect(
      levels(on([0, 'lower']), wishOf([line('lower', { perWeek: 1 }), line('press', { perWeek: 1 })])),
    ).toEqual(['PRO-3 note']);
    expect(levels(on([0, 'passive']), wishOf([line('passive', { perWeek: 1 })]))).toEqual([]);
    const bridge = PLANS.map((plan) => ({
      ...plan,
      plan: { ...plan.plan, goal: 'strength-bridge' as const },
    }));
    const found = (heavy: number[]) =>
      checkBlock(blockOf(wishOf([line('lower')], { heavy })), bridge).map(({ rule }) => rule);
    expect([found([]), found([2])]).toEqual([['PRO-4'], []]);
  });
});

it('says which sessions fall on a day that the calendar keeps free, and why (CRS-5)', () => {
  const game = { id: 'cup', kind: 'game' as const, day: isoOf(MONDAY + 5), title: 'Cup final' };
  const found = (season: BlockWish['season']) =>
    englishOf(
      checkBlock(blockOf(wishOf([line('lower')], { season }), on([1, 'lower'], [4, 'lower'])), PLANS).map(
        ({ rule, level, message }) => [rule, level, message],
      ),
    );
  expect(found([game])).toEqual([
    ['CRS-5', 'note', expect.stringMatching(/^A session falls on .*: the day before Cup final\.$/)],
  ]);
  expect(found([{ ...game, dayBeforeToo: true }])).toEqual([]);
  expect(found([{ ...game, kind: 'journey' }])).toEqual([]);
});

const anyLine = (id: string) =>
  fc.record({
    coursePlanId: fc.constant(id),
    perWeek: fc.integer({ min: 1, max: id === 'passive' ? 7 : 4 }),
    timesADay: fc.integer({ min: 1, max: id === 'passive' ? 3 : 1 }),
    available: fc.subarray([0, 1, 2, 3, 4, 5, 6], { minLength: 1 }),
    onHeavyDays: fc.constantFrom('apart', 'finisher', 'either'),
  } as const);
const anyWish: fc.Arbitrary<BlockWish> = fc
  .subarray(['lower', 'curl', 'press', 'arms', 'passive'], { minLength: 1 })
  .chain((ids) =>
    fc.record({
      startsOn: fc.integer({ min: 0, max: 6 }).map((day) => isoOf(MONDAY + day)),
      weeks: fc.integer({ min: 4, max: 8 }),
      lines: fc.tuple(...ids.map(anyLine)),
      heavy: fc.subarray([0, 1, 2, 3, 4, 5, 6]),
      deload: fc.option(
        fc.record({
          everyWeeks: fc.integer({ min: 3, max: 6 }),
          setsPercent: fc.integer({ min: 20, max: 80 }),
        }),
      ),
      season: fc.array(
        fc.record({
          id: fc.uuid(),
          kind: fc.constantFrom(...seasonKindSchema.options),
          day: fc.integer({ min: 0, max: 50 }).map((day) => isoOf(MONDAY + day)),
          title: fc.constantFrom('', 'Cup'),
        }),
        { maxLength: 5 },
      ),
      atTime: fc.constant('07:00'),
    }),
  );

describe('properties of every block', () => {
  it('without a finding, opens each of its sessions as far as how often goes (START-1)', () => {
    fc.assert(
      fc.property(anyWish, (wish) => {
        const block = blockOf(wish);
        if (block.sessions.length === 0) return;
        if (checkBlock(block, PLANS).some(({ level }) => level !== 'note')) return;
        const sessions = onDays(block);
        const doneBefore = (day: number) =>
          sessions
            .filter((session) => session.day < day)
            .flatMap(({ day: atDay, coursePlanId }) => {
              const plan = PLANS.find(({ id }) => id === coursePlanId)?.plan;
              const worked = (plan?.exercises ?? []).map(({ exerciseId, mode, limbs }) => ({
                exerciseId,
                mode,
                limbs: limbs.map(({ limb }) => limb),
              }));
              const moved = worked.filter(({ mode }) => mode !== 'passive');
              const kinds = [...new Set(moved.flatMap(({ limbs }) => limbs.map(limbKind)))];
              return [{ atMs: atDay * MS_PER_DAY, day: atDay, kinds, worked, tolerated: true }];
            });
        for (const { day, coursePlanId } of sessions) {
          const plan = PLANS.find(({ id }) => id === coursePlanId)?.plan;
          const nowMs = day * MS_PER_DAY;
          const found = plan ? checkHowOften(plan, testBasis({ done: doneBefore(day), nowMs })) : [];
          expect(found).toEqual([]);
        }
      }),
      { numRuns: 60 },
    );
  });

  it('never has a session on a day that the calendar keeps free, nor on the eve of a game (CRS-5)', () => {
    fc.assert(
      fc.property(anyWish, (wish) => {
        const free = wish.season.flatMap(keptFree);
        expect(placeBlock(wish, PLANS).sessions.filter(({ day }) => free.includes(day))).toEqual([]);
      }),
      { numRuns: 60 },
    );
  });

  it('gives each week a dose that adds up to its sessions', () => {
    fc.assert(
      fc.property(anyWish, (wish) => {
        const sessions = meant(placeBlock(wish, PLANS).sessions, (day) => day % 3 === 0);
        const weeks = weeksOf({ wish }, sessions, PLANS, []);
        const all = weeks.flatMap(({ plans }) => plans);
        const sum = (of: readonly { sets: number; occludedMs: number }[]) =>
          of.reduce((so, one) => ({ sets: so.sets + one.sets, occludedMs: so.occludedMs + one.occludedMs }), {
            sets: 0,
            occludedMs: 0,
          });
        expect(all.reduce((so, one) => so + one.sessions, 0)).toBe(sessions.length);
        expect(sum(all)).toEqual(sum(sessions));
        expect(sum(weeks)).toEqual(sum(sessions));
      }),
      { numRuns: 60 },
    );
  });

  it('keeps what was as it was, whatever is done and whenever one looks', () => {
    const anyDone = fc.array(
      fc.tuple(fc.integer({ min: 0, max: 30 }), fc.constantFrom('lower', 'curl', 'arms')),
      { maxLength: 12 },
    );
    fc.assert(
      fc.property(anyWish, anyDone, fc.integer({ min: 0, max: 40 }), (wish, doneDays, ahead) => {
        const today = MONDAY + ahead;
        const done = on(...doneDays).filter(({ day }) => day <= today);
        const block = blockOf(wish);
        const entries = followBlock(block, PLANS, done, today);
        const planned = entries.filter((entry) => entry.state !== 'to-come' || !entry.makesUp);
        expect(planned.map(({ day, coursePlanId }) => `${day} ${coursePlanId}`).sort()).toEqual(
          onDays(block)
            .map(({ day, coursePlanId }) => `${day} ${coursePlanId}`)
            .sort(),
        );
        // A session done fills one of the block at most.
        const filled = entries.filter(({ state }) => state === 'done').length;
        expect(filled).toBeLessThanOrEqual(done.length);
        for (const entry of entries) {
          if (entry.state === 'missed') expect(entry.day).toBeLessThan(today);
          if (entry.state === 'to-come') expect(entry.day).toBeGreaterThanOrEqual(today);
        }
        // What is made up stays clear of the same limbs, as the block itself does.
        const madeUp = entries.filter((entry) => entry.state === 'to-come' && entry.makesUp);
        for (const { day, coursePlanId } of madeUp) {
          const others = entries.filter(
            (entry) => entry.state !== 'missed' && entry.coursePlanId === coursePlanId && entry.day === day,
          );
          expect(others).toHaveLength(1);
        }
      }),
      { numRuns: 80 },
    );
  });
});

describe('following a block', () => {
  const wish = wishOf([line('lower')]);
  const block = blockOf(wish, on([0, 'lower'], [3, 'lower'], [7, 'lower'], [10, 'lower']));
  const follow = (done: OnDay[], ahead: number) =>
    followBlock(block, PLANS, done, MONDAY + ahead).map((entry) =>
      [
        entry.day - MONDAY,
        entry.state === 'done' ? `done ${entry.doneOn - MONDAY}` : entry.state,
        entry.state === 'to-come' && entry.makesUp ? 'makes up' : '',
      ]
        .join(' ')
        .trim(),
    );

  it('is done, missed or to come', () => {
    expect(follow(on([0, 'lower']), 1)).toEqual(['0 done 0', '3 to-come', '7 to-come', '10 to-come']);
    expect(follow([], 0)[0]).toBe('0 to-come');
    // A week that is over is not made up.
    expect(follow([], 8)).toEqual(['0 missed', '3 missed', '7 missed', '8 to-come makes up', '10 to-come']);
  });

  it('makes up in the week what was missed in it, a day from the others', () => {
    expect(follow([], 1)).toEqual(['0 missed', '1 to-come makes up', '3 to-come', '7 to-come', '10 to-come']);
    // On Wednesday, beside Thursday, only Saturday is left.
    expect(follow([], 2)).toEqual(['0 missed', '3 to-come', '5 to-come makes up', '7 to-come', '10 to-come']);
  });

  it('lets a session of another day fill the nearest one that was missed', () => {
    expect(follow(on([1, 'lower']), 1)).toEqual(['0 done 1', '3 to-come', '7 to-come', '10 to-come']);
    expect(follow(on([0, 'lower'], [5, 'lower']), 5)).toEqual([
      '0 done 0',
      '3 done 5',
      '7 to-come',
      '10 to-come',
    ]);
    // Early: nothing was missed, so it is the next one.
    expect(follow(on([0, 'lower'], [2, 'lower']), 2)).toEqual([
      '0 done 0',
      '3 done 2',
      '7 to-come',
      '10 to-come',
    ]);
    // A session from before the block is none of it.
    expect(follow(on([-1, 'lower']), 0)[0]).toBe('0 to-come');
    // Another plan's session fills nothing.
    expect(follow(on([1, 'arms']), 1)[0]).toBe('0 missed');
    // Longer than a week ago is another week's.
    expect(follow(on([7, 'lower'], [13, 'lower']), 13)).toEqual([
      '0 missed',
      '3 missed',
      '7 done 7',
      '10 done 13',
    ]);
  });

  it('says the next day of a plan, and in words whose turn it is', () => {
    const entries = followBlock(block, PLANS, [], MONDAY + 1);
    expect(nextInBlock(entries, 'lower')).toEqual({ day: MONDAY + 1, makesUp: true });
    expect(nextInBlock(entries, 'arms')).toBeNull();
    const turn = (day: number, makesUp = false) => turnInBlock({ day: MONDAY + day, makesUp }, MONDAY);
    expect(englishOf(turn(0))).toEqual({ inDays: 0, why: 'In the block today.' });
    expect(englishOf(turn(3))).toEqual({ inDays: 3, why: 'In the block on Thu.' });
    expect(englishOf(turn(9))).toEqual({ inDays: 9, why: 'In the block on 2026-05-13.' });
    expect(englishOf(turn(0, true).why)).toBe('A missed session, made up today.');
  });
});

describe('the weeks of a block in figures', () => {
  it('say the share of LOP and of 1RM, watts and minutes that its days have, from the least to the most', () => {
    const wish = wishOf([line('lower')], { weeks: 4 });
    const days = meant(on([0, 'lower'], [3, 'lower'], [7, 'lower']));
    const first = days[0] as MeantDay;
    const raised = (first?.figures ?? []).map((one) => ({
      ...one,
      limbs: one.limbs.map((limb) => ({ ...limb, value: 45 })),
      figures: { ...one.figures, watts: 100 },
    }));
    const weeks = weeksOf({ wish }, [{ ...first, figures: raised }, ...days.slice(1)], PLANS, []);
    expect(weeks[0]?.plans[0]).toMatchObject({
      sessions: 2,
      percentLop: { low: 45, high: 60 },
      watts: { low: 100, high: 100 },
      minutes: null,
    });
    expect(weeks[1]?.plans[0]).toMatchObject({ sessions: 1, watts: null });
    expect(weeks[2]?.plans[0]).toMatchObject({ sessions: 0, percentLop: null });
  });

  it('say when to measure and to test again, by the person’s own shelf lives', () => {
    const wish = wishOf([line('lower')], { weeks: 6 });
    const dues = [
      { coursePlanId: 'lower', what: 'measure' as const, firstDay: MONDAY + 8, everyDays: 10 },
      { coursePlanId: 'lower', what: 'test' as const, firstDay: MONDAY + 20, everyDays: 42 },
      { coursePlanId: 'gone', what: 'test' as const, firstDay: MONDAY, everyDays: 42 },
      // In force, and not in this block.
      { coursePlanId: 'arms', what: 'test' as const, firstDay: MONDAY, everyDays: 42 },
    ];
    const weeks = weeksOf({ wish }, [], PLANS, dues);
    expect(weeks.map(({ due }) => due.length)).toEqual([0, 1, 2, 0, 1, 1]);
    expect(englishOf(weeks[1]?.due)).toEqual(['lower: measure again (LOP-6), 2026-05-12']);
    expect(englishOf(weeks[2]?.due[1])).toBe('lower: test the 1RM again (LOAD-2), 2026-05-24');
  });
});

describe('a kept block', () => {
  const wish = wishOf([line('lower')]);

  it('is read in the shape of now; one of bare days becomes one of the plan there is', () => {
    const block = blockOf(wish);
    expect(readBlock(block, null)).toEqual(block);
    const renamed = JSON.parse(JSON.stringify(block).replaceAll('"onHeavyDays"', '"besideHeavy"'));
    expect(renamed).not.toEqual(block);
    expect(readBlock(renamed, null)).toEqual(block);
    const { lines: _, deload: __, season: ___, ...rest } = wish;
    const old = {
      wish: {
        ...rest,
        perWeek: 3,
        available: [0, 2],
        besideHeavy: 'finisher',
        deloadEvery: 4,
        daysOff: ['2026-05-08'],
        limb: 'left-thigh',
      },
      sessions: ['2026-05-04', '2026-05-06'],
    };
    expect(readBlock(old, null)).toBeNull();
    const read = readBlock(old, 'lower');
    expect(blockSchema.safeParse(read).success).toBe(true);
    expect(read?.wish.lines).toEqual([
      line('lower', { perWeek: 3, available: [0, 2], onHeavyDays: 'finisher' }),
    ]);
    expect(read?.wish.deload).toEqual({ everyWeeks: 4, setsPercent: 60 });
    expect(read?.wish.season).toEqual([{ id: 'off 2026-05-08', kind: 'off', day: '2026-05-08', title: '' }]);
    expect(read?.sessions.at(-1)).toEqual({ day: '2026-05-06', coursePlanId: 'lower' });
    expect(readBlock({ ...old, wish: { ...old.wish, deloadEvery: null } }, 'lower')?.wish.deload).toBeNull();
  });

  it('is asked for with sense', () => {
    const problems = (changes: Partial<BlockWish>) =>
      blockWishSchema.safeParse({ ...wish, ...changes }).error?.issues.map(({ message }) => message);
    expect(problems({})).toBeUndefined();
    expect(problems({ lines: [line('lower'), line('lower')] })).toEqual(['Each plan is listed once.']);
    expect(problems({ weeks: 13 })).toEqual(['A block lasts at most 12 weeks.']);
    expect(problems({ deload: { everyWeeks: 2, setsPercent: 90 } })).toHaveLength(2);
    expect(problems({ atTime: '25:00', startsOn: 'soon' })).toHaveLength(2);
    expect(dayAt(0, 0)).toBe(0);
  });
});
