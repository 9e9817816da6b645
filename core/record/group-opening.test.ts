import { describe, expect, it } from 'vitest';
import { inEnglish } from '#language/render';
import type { ClientFacts } from './facts';
import { groupOpening } from './group-opening';
import type { Link } from './link';
import {
  daysAgo,
  NOW_MS,
  screenedAs,
  testFacts,
  testKitInUse,
  testScreening,
  testSessionFact,
} from './record.fixture';

const GOOD: Link[] = [];
const of = (changes: Partial<ClientFacts> = {}, chain: readonly Link[] = GOOD) =>
  groupOpening({ facts: testFacts(changes), chain }, testKitInUse, NOW_MS);
const why = (...asked: Parameters<typeof of>) => {
  const opening = of(...asked);
  return opening.can === 'not' ? `${opening.link}: ${inEnglish(opening.why)}` : 'open';
};

describe('who is opened in a group by one answer', () => {
  it('is who only has to say that they are well, and is not asked twice', () => {
    const opening = of({ dayChecks: [] });
    expect(opening).toMatchObject({ can: 'open', inHand: { prescription: { id: expect.any(String) } } });
    expect(opening.can === 'open' && opening.asks).toContain('skin');
    const today = { notWell: [], painNow: 0, bloodPressure: null, atMs: NOW_MS - 60_000 };
    expect(of({ dayChecks: [today] })).toMatchObject({ can: 'open', asks: 'nothing' });
  });

  it('is not who has no plan, has one running, or has a link that does not hold: in their line it says why', () => {
    expect(why({ coursePlans: [] })).toBe('prescribe: No plan is in force.');
    expect(why({ sessions: [testSessionFact(0, { finishedAtMs: null })] })).toBe(
      'run: A session is open already.',
    );
    const held: Link = {
      id: 'screen',
      state: 'held',
      reason: { message: 'On hold.' },
      rules: ['SCR-1'],
      figure: '',
    };
    expect(why({}, [held])).toBe('screen: On hold.');
  });

  it('is not who is asked something else first (RUN-6, SCR-3)', () => {
    const untold = testSessionFact(1, { followUp: null });
    expect(why({ sessions: [untold], dayChecks: [] })).toContain('How was the last session?');
    expect(why({ ...screenedAs(testScreening({ yes: ['hypertension-treated'] })), dayChecks: [] })).toMatch(
      /blood pressure|Blood pressure/,
    );
  });

  it('never opens where the plan of today is refused: a pressure that is too old', () => {
    const old = testFacts().occlusions.map((fact) => ({ ...fact, atMs: daysAgo(90) }));
    expect(of({ occlusions: old, dayChecks: [] }).can).toBe('not');
  });
});
