import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import { inEnglish } from '#language/render';
import { composeSession } from '../plan/compose';
import { testBasis, testExercise } from '../plan/plan.fixture';
import { EXERCISES, type Library } from '../protocol/exercises';
import { foldAll, logOf, START_MS, WHOLE_SESSION } from '../session/session.fixture';
import { addUp, type LoggedSession } from './add-up';
import { MEASURES } from './measures';
import {
  type ReportBasis,
  reportSchema,
  reportSections,
  type sectionIdSchema,
  USUAL_SECTIONS,
} from './report';
import { seriesOf } from './series';
import { sessionLine } from './session-line';

const library = EXERCISES as Library;
const DAY_MS = 86_400_000;
const { plan } = composeSession(
  { goal: 'size', schoolId: 'research-consensus', exercises: [testExercise()] },
  testBasis(),
);
const line = sessionLine(plan, foldAll(plan, logOf(WHOLE_SESSION)));
const on = (days: number, changes: object = {}): LoggedSession => ({
  id: `${days}`,
  startedAtMs: START_MS + days * DAY_MS,
  coursePlanId: 'p',
  line: { ...line, ...changes },
});
const girth = (days: number, value: number) => ({
  measureId: 'girth-mid-thigh',
  limb: 'left-thigh' as const,
  setting: '',
  atMs: START_MS + days * DAY_MS,
  value,
  withdrawn: null,
});

describe('a report', () => {
  const sessions = [on(0), on(7), on(28)];
  const basis = {
    sessions,
    totals: addUp(sessions, library, 0),
    weeks: 5,
    series: seriesOf(
      { taken: [girth(0, 50), girth(40, 52)], tested: [], pairs: {} },
      { library, book: MEASURES },
    ),
    block: { planned: 6, done: 3, missed: 1, toCome: 2 },
    next: [{ about: 'Left thigh', says: 'on Mon', figures: 'Knee extension 62 mmHg, 10 kg' }],
    health: [{ about: 'Medicines', says: 'None named', figures: '' }],
    notes: [{ onDay: '2026-05-04', words: 'Walks without a stick.', by: 'Clara' }],
  };
  const lines = (id: (typeof sectionIdSchema.options)[number], of: ReportBasis = basis) =>
    reportSections([id], of)[0]?.lines.map(({ about, says, figures }) => [about, says, figures]);

  it('says what was done, what changed, how sure, what was noticed and what is next, in plain words', () => {
    expect(englishOf(lines('done'))).toEqual([
      ['Sessions', '3 in 5 weeks', 'Knee extension'],
      ['Of the block', '3 of 6 sessions', '1 missed, 2 to come'],
      ['Knee extension', 'left thigh 100 mmHg', '10 kg'],
      [
        'Left thigh under the cuff',
        '14 minutes in all',
        '12 sets, at 58 % of the pressure that stops its flow',
      ],
      ['Repetitions', '97 % of those planned', '219 of 225'],
    ]);
    expect(englishOf(lines('changed'))).toEqual([
      [
        'Mid-thigh girth, left thigh',
        'Real gain',
        '50 → 52 cm; +2.0 cm (+0.6 to +3.4); 99 in 100 that it is better',
      ],
    ]);
    expect(englishOf(lines('sure')?.[1]?.[1])).toBe('is assumed');
    expect(englishOf(lines('noticed'))).toEqual([
      ['Symptoms to stop for', 'None', ''],
      ['Worst pain of a joint', '1 of 10', ''],
      ['The day after', 'Not asked', ''],
    ]);
    expect(englishOf(lines('next'))).toEqual([['Left thigh', 'on Mon', 'Knee extension 62 mmHg, 10 kg']]);
  });

  it('says from which pressure and load to which each exercise came', () => {
    const [exercise] = line.exercises;
    if (!exercise) return expect.unreachable();
    const done = (days: number, mmHg: number | null, loadKg: number | null) =>
      on(days, {
        exercises: [
          {
            ...exercise,
            limbs: [
              {
                limb: 'left-thigh',
                occludedMs: 120_000,
                pressureTimeMmHgMin: mmHg === null ? null : 2 * mmHg,
                percentLopMin: null,
              },
            ],
            sets: exercise.sets.map((set, place) => ({
              ...set,
              loadKg: loadKg === null ? null : loadKg - (place > 0 ? 1 : 0),
            })),
          },
        ],
      });
    const said = (...of: LoggedSession[]) =>
      englishOf(lines('done', { ...basis, sessions: of, block: null }))?.find(
        ([about]) => about === 'Knee extension',
      );
    expect(said(done(7, 112, 12.5), done(0, 98, 10))).toEqual([
      'Knee extension',
      'left thigh 98 → 112 mmHg',
      '10 kg → 12.5 kg',
    ]);
    expect(said(done(0, null, 10), done(7, null, 10))).toEqual(['Knee extension', 'by feel', '10 kg']);
    expect(said(done(0, null, null))).toBeUndefined();
  });

  it('says health and notes where they are chosen, and not unless they are', () => {
    expect(USUAL_SECTIONS).not.toContain('health');
    expect(englishOf(lines('health'))).toEqual([['Medicines', 'None named', '']]);
    expect(englishOf(lines('notes'))).toEqual([
      [expect.stringContaining('2026'), 'Walks without a stick.', 'Clara'],
    ]);
  });

  it('hides nothing that was noticed', () => {
    const followUp = { soreness: 2, bruising: 'small', pinpointBleeding: false, numbness: false };
    const noticed = lines('noticed', {
      ...basis,
      sessions: [
        on(0, { signs: ['burn', 'dizzy'], followUp }),
        on(2, { followUp: { ...followUp, bruising: 'none' } }),
      ],
    });
    expect(englishOf(noticed)).toEqual([
      ['Symptoms to stop for', 'Dizzy', '1 in 2 sessions'],
      ['Worst pain of a joint', '1 of 10', ''],
      ['The day after', 'Bruises after 1 of 2', ''],
    ]);
  });

  it('says one week of one, shares from low to high, and what was not asked', () => {
    const spread = (percentLop: number | null, limb = 'left-thigh') => ({
      limb,
      occludedMs: 1,
      percentLop,
      cuff: 'L',
      signs: [],
    });
    const sessions = [
      on(0, {
        inflations: [spread(40.4), spread(null), spread(90, 'right-thigh')] as never,
        worstPain: null,
      }),
      on(3, { inflations: [spread(61.6)] as never, worstPain: 4 }),
      on(5, { inflations: [], worstPain: 2 }),
    ];
    const of = { ...basis, sessions, weeks: 1, totals: addUp(sessions, library, 0) };
    expect(englishOf(lines('done', of)?.[0]?.[1])).toBe('3 in 1 week');
    expect(englishOf(lines('done', of)?.[3]?.[2])).toBe(
      '12 sets, at 40 to 62 % of the pressure that stops its flow',
    );
    expect(englishOf(lines('noticed', of)?.[1]?.[1])).toBe('4 of 10');
    const silent = [on(0, { worstPain: null })];
    expect(englishOf(lines('noticed', { ...basis, sessions: silent })?.[1]?.[1])).toBe('Not asked');
    const calm = { soreness: 0, bruising: 'none', pinpointBleeding: false, numbness: false };
    expect(
      englishOf(lines('noticed', { ...basis, sessions: [on(0, { followUp: calm } as never)] })?.[2]?.[1]),
    ).toBe('No bruises');
    // Passive work has no sets and no repetitions, a strap no share.
    const passive = [
      on(0, {
        plannedReps: 0,
        inflations: [spread(null)] as never,
        exercises: [{ ...line.exercises[0], mode: 'passive' }] as never,
      }),
    ];
    expect(
      englishOf(
        lines('done', {
          ...basis,
          block: null,
          sessions: passive,
          weeks: 1,
          totals: addUp(passive, library, 0),
        }),
      ),
    ).toEqual([
      ['Sessions', '1 in 1 week', 'Knee extension'],
      ['Knee extension', 'left thigh 100 mmHg', '10 kg'],
      ['Left thigh under the cuff', '5 minutes in all', ''],
    ]);
  });

  it('says how many errors are the practice’s own, and nothing of what was taken once', () => {
    const pairs = Array.from({ length: 8 }, (_, i) => [50, i % 2 === 0 ? 50.4 : 49.6] as [number, number]);
    const calf = (days: number, value: number) => ({ ...girth(days, value), measureId: 'girth-calf' });
    const once = { ...girth(0, 50), measureId: 'girth-mid-arm', limb: 'left-arm' as const };
    const taken = [girth(0, 50), girth(40, 52), calf(0, 36), calf(40, 36.2), once];
    const series = seriesOf(
      { taken, tested: [], pairs: { 'girth-mid-thigh': pairs, 'girth-mid-arm': pairs } },
      { library, book: MEASURES },
    );
    expect(englishOf(lines('sure', { ...basis, series })?.[1]?.[1])).toBe(
      'is this practice’s own for 1 of 2, else assumed',
    );
    expect(
      lines('changed', { ...basis, series })
        ?.map(([about]) => inEnglish(about ?? ''))
        .sort(),
    ).toEqual(['Calf girth, left thigh', 'Mid-thigh girth, left thigh']);
  });

  it('has the chosen sections in their order, and says so where there is nothing', () => {
    expect(reportSections(['next', 'done'], basis).map(({ id }) => id)).toEqual(['done', 'next']);
    const nothing = { sessions: [], totals: addUp([], library, 0), series: [], block: null, next: [] };
    expect(englishOf(lines('done', nothing as never))).toEqual([['Sessions', 'None yet', '']]);
    expect(lines('changed', nothing as never)).toEqual([]);
    expect(englishOf(lines('next', nothing as never)?.[0]?.[1])).toBe('Nothing is planned');
    expect(
      reportSchema.safeParse({
        clientName: 'A',
        practiceName: 'B',
        phone: '',
        letterhead: '',
        by: 'C',
        fromMs: 0,
        toMs: 1,
        letter: '',
        weeks: [],
        sections: [],
      }).success,
    ).toBe(false);
  });
});
