import { describe, expect, it } from 'vitest';
import { composeSession } from '../plan/compose';
import { testBasis, testExercise } from '../plan/plan.fixture';
import { EXERCISES, type Library } from '../protocol/exercises';
import { foldAll, logOf, START_MS, WHOLE_SESSION } from '../session/session.fixture';
import { addUp, type LoggedSession } from './add-up';
import { MEASURES } from './measures';
import { reportSchema, reportSections, type sectionIdSchema } from './report';
import { seriesOf } from './series';
import { sessionLine } from './session-line';

const library = EXERCISES as Library;
const DAY_MS = 86_400_000;
const { plan } = composeSession(
  { goal: 'size', schoolId: 'research-consensus', exercises: [testExercise()] },
  testBasis(),
);
const on = (days: number, changes: object = {}): LoggedSession => ({
  id: `${days}`,
  startedAtMs: START_MS + days * DAY_MS,
  coursePlanId: 'p',
  line: { ...sessionLine(plan, foldAll(plan, logOf(WHOLE_SESSION))), ...changes },
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
    series: seriesOf(
      { taken: [girth(0, 50), girth(40, 52)], tested: [], pairs: {} },
      { library, book: MEASURES },
    ),
    next: [{ about: 'Left thigh', says: 'In the block on Mon' }],
  };
  const lines = (id: (typeof sectionIdSchema.options)[number], of = basis) =>
    reportSections([id], of)[0]?.lines.map(({ about, says, figures }) => [about, says, figures]);

  it('says what was done, what changed, how sure, what was noticed and what is next, in plain words', () => {
    expect(lines('done')).toEqual([
      ['Sessions', '3 in 4 weeks', 'Knee extension'],
      [
        'Left thigh under the cuff',
        '14 minutes in all',
        '12 sets, at 58 % of the pressure that stops its flow',
      ],
      ['Repetitions', '97 % of those planned', '219 of 225'],
    ]);
    expect(lines('changed')).toEqual([
      [
        'Mid-thigh girth, left thigh',
        'Real gain',
        '50 → 52 cm; +2.0 cm (+0.6 to +3.4); 99 in 100 that it is better',
      ],
    ]);
    expect(lines('sure')?.[1]?.[1]).toBe('is assumed');
    expect(lines('noticed')).toEqual([
      ['Signs to stop for', 'None', ''],
      ['Worst pain of a joint', '1 of 10', ''],
      ['The day after', 'Nobody asked', ''],
    ]);
    expect(lines('next')).toEqual([['Left thigh', 'In the block on Mon', '']]);
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
    expect(noticed).toEqual([
      ['Signs to stop for', 'Dizzy', '1 in 2 sessions'],
      ['Worst pain of a joint', '1 of 10', ''],
      ['The day after', 'Bruises after 1 of 2', ''],
    ]);
  });

  it('has the chosen sections in their order, and says so where there is nothing', () => {
    expect(reportSections(['next', 'done'], basis).map(({ id }) => id)).toEqual(['done', 'next']);
    const nothing = { sessions: [], totals: addUp([], library, 0), series: [], next: [] };
    expect(lines('done', nothing as never)).toEqual([['Sessions', 'None yet', '']]);
    expect(lines('changed', nothing as never)).toEqual([]);
    expect(lines('next', nothing as never)?.[0]?.[1]).toBe('Nothing is planned');
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
