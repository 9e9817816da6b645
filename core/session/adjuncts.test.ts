import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import { testPlan } from '../plan/plan.fixture';
import { decide } from './decide/decide';
import type { EventBody, SessionEvent } from './events';
import { foldAll, logOf, START_MS, WHOLE_SESSION } from './session.fixture';

const { plan } = testPlan();
const COMPRESSION: EventBody = { type: 'adjunct-noted', what: 'compression', words: 'ten minutes' };

describe('adjuncts: what is done in a sitting without the cuff', () => {
  it('is noted before, within and after a session, in its order, and can be taken back', () => {
    const log = logOf([
      [0, { type: 'session-started' }],
      [2, { type: 'adjunct-noted', what: 'mobility', words: 'hips' }],
      ...WHOLE_SESSION.slice(1),
      [400, { type: 'adjunct-noted', what: 'ice', words: '' }],
    ]);
    expect(foldAll(plan, log).adjuncts).toEqual([
      { atMs: START_MS + 2_000, what: 'mobility', words: 'hips' },
      { atMs: START_MS + 400_000, what: 'ice', words: '' },
    ]);
    const [first] = logOf([[410, { type: 'undone', eventId: log.at(-1)?.id ?? '' }]]);
    const undone = { ...first, id: '00000000-0000-4000-8000-0000000000ff', seq: 999 } as SessionEvent;
    expect(foldAll(plan, [...log, undone]).adjuncts).toHaveLength(1);
  });

  it('takes a girth for swelling only with what it is and where the tape lay', () => {
    const state = foldAll(plan, logOf(WHOLE_SESSION));
    const note = (words: string, girthCm?: number) =>
      decide(plan, state, { do: 'note-adjunct', what: 'swelling', words, girthCm }, START_MS + 500_000);
    expect(englishOf(note('mid-kneecap').refused)).toMatch(/Enter the girth/);
    expect(englishOf(note('', 38).refused)).toMatch(/where the tape lay/);
    expect(englishOf(note('mid-kneecap', 38).events)).toEqual([
      { type: 'adjunct-noted', what: 'swelling', words: 'mid-kneecap', girthCm: 38 },
    ]);
  });

  it('takes a provoking test only with the pain while it is done', () => {
    const state = foldAll(plan, logOf(WHOLE_SESSION));
    const note = (painOfTen?: number) =>
      decide(
        plan,
        state,
        { do: 'note-adjunct', what: 'provoking-test', words: 'low step', painOfTen },
        START_MS + 500_000,
      );
    expect(englishOf(note().refused)).toMatch(/Enter the pain/);
    expect(note(0).events).toEqual([
      { type: 'adjunct-noted', what: 'provoking-test', words: 'low step', painOfTen: 0 },
    ]);
  });

  it('changes nothing else, and may be said of a session that is over', () => {
    const done = foldAll(plan, logOf(WHOLE_SESSION));
    const { events, refused } = decide(
      plan,
      done,
      { do: 'note-adjunct', what: 'compression', words: 'ten minutes' },
      START_MS + 500_000,
    );
    expect(englishOf([events, refused])).toEqual([[COMPRESSION], null]);
    const noted = foldAll(plan, logOf([...WHOLE_SESSION, [500, COMPRESSION]]));
    expect({ ...noted, adjuncts: [] }).toEqual(done);
    expect(noted.adjuncts).toHaveLength(1);
  });
});
