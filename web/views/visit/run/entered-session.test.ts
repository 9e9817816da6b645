import { describe, expect, it } from 'vitest';
import { testPlan } from '#core/plan/plan.fixture';
import { EFFORT_SCALES } from '#core/session';
import { twoLimbs } from '#core/session/two-limbs.fixture';
import { bloodPressureOf, durationMs, emptyEntry, readEntry, type Typed } from './entered-session';

const { plan } = testPlan();
const ids = { id: '00000000-0000-4000-8000-000000000001', coursePlanId: 'lower' };
const of = { scale: EFFORT_SCALES['of-ten'], asked: ['skin', 'fever'] as const, ids };

/** An entry of the plan with these cells in its first sets, and other changes. */
function entry(cells: Record<string, string>[], changes: Partial<Typed> = {}, by = plan): Typed {
  const empty = emptyEntry(by, '2026-11-30', '10:00');
  return {
    ...empty,
    sets: empty.sets.map((row, place) => ({ ...row, cells: cells[place] ?? {} })),
    ...changes,
  };
}
const sent = (typed: Typed, by = plan) => {
  const reading = readEntry(typed, by, of);
  if ('wrong' in reading) throw new Error(JSON.stringify(reading.wrong));
  return reading.sent;
};
const wrong = (typed: Typed, by = plan) => {
  const reading = readEntry(typed, by, of);
  return 'wrong' in reading ? reading.wrong : {};
};

describe('a session typed from its sheet (RUN-10)', () => {
  it('sends what was filled in; a set left empty was not done, a figure left empty is not sent', () => {
    const session = sent(
      entry([{ amount: '30', effort: '6', 'read-left-thigh': '96' }, { amount: '12' }], { jointPain: '' }),
    );
    expect(session.sets).toEqual([
      {
        exerciseIndex: 0,
        setIndex: 0,
        reps: 30,
        lastedMs: null,
        effort: 6,
        read: [{ limb: 'left-thigh', pressureMmHg: 96 }],
      },
      { exerciseIndex: 0, setIndex: 1, reps: 12, lastedMs: null, effort: null },
    ]);
    expect([session.jointPain, session.dayCheck, session.bloodPressures]).toEqual([null, undefined, []]);
  });

  it('reads each limb of a pair by itself, and whether the colour was good', () => {
    const typed = entry([{ amount: '20', 'read-left-thigh': '90', 'read-right-thigh': '104' }], {}, twoLimbs);
    const [first] = sent(
      { ...typed, sets: typed.sets.map((row) => ({ ...row, colour: 'not' as const })) },
      twoLimbs,
    ).sets;
    expect(first?.colourGood).toBe(false);
    expect(first?.read?.map(({ pressureMmHg }) => pressureMmHg)).toEqual([90, 104]);
  });

  it('reads minutes and seconds, minutes alone, and parts of one', () => {
    expect(['4:30', '4', '4,5', ' 12:05 '].map(durationMs)).toEqual([270_000, 240_000, 270_000, 725_000]);
    expect(durationMs('4:75')).toBeNaN();
  });

  it('reads blood pressures at their moments', () => {
    expect(bloodPressureOf('124/78')).toEqual({ systolicMmHg: 124, diastolicMmHg: 78 });
    expect([bloodPressureOf(' '), bloodPressureOf('124'), bloodPressureOf('7/80')]).toEqual([
      null,
      'wrong',
      'wrong',
    ]);
    const pressures = { before: '124/78', 'last-rest': '', 'minute-1': '', 'minute-5': '130 80' };
    expect(
      sent(entry([{ amount: '30' }], { pressures })).bloodPressures?.map(({ moment }) => moment),
    ).toEqual(['before', 'minute-5']);
    expect(wrong(entry([{ amount: '30' }], { pressures: { ...pressures, before: 'high' } }))).toEqual({
      'pressures.before': 'Write it as 124/78.',
    });
  });

  it('takes the check of the day whole, or not at all: half of it is no answer', () => {
    const well = { skin: true, fever: false };
    expect(sent(entry([{ amount: '30' }], { well, painNow: '2' })).dayCheck).toEqual({
      notWell: ['fever'],
      painNow: 2,
      bloodPressure: null,
    });
    expect(wrong(entry([{ amount: '30' }], { well: { skin: true }, painNow: '2' }))).toHaveProperty(
      'painNow',
    );
    expect(wrong(entry([{ amount: '30' }], { well }))).toHaveProperty('painNow');
  });

  it('says what is wrong at the cell it was typed in, also past sets that were not done', () => {
    const typed = entry([{}, { amount: '12', 'read-left-thigh': '900' }, { amount: 'many', effort: '14' }]);
    expect(Object.keys(wrong(typed)).toSorted()).toEqual([
      'sets.1.cells.read-left-thigh',
      'sets.2.cells.amount',
      'sets.2.cells.effort',
    ]);
    expect(wrong(entry([]))).toHaveProperty('sets');
  });
});
