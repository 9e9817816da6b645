import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import { testPlan } from '../plan/plan.fixture';
import type { EventBody } from './events';
import { noHarderWords } from './no-harder';
import { foldAll, logOf, WHOLE_SESSION } from './session.fixture';

const { plan } = testPlan();
const released = testPlan({ protocolId: 'release-75', restMs: 65_000, tempoId: '2-0-2' }).plan;

/** The first two sets, with what was said of them. */
const said = (first: number | null, second: number | null, ...more: (readonly [number, EventBody])[]) => {
  const note = (setIndex: number, effort: number | null): (readonly [number, EventBody])[] =>
    effort === null ? [] : [[146, { type: 'set-noted', exerciseIndex: 0, setIndex, effort }]];
  const sets = WHOLE_SESSION.slice(0, 10).filter(([, { type }]) => type !== 'set-noted');
  return foldAll(plan, logOf([...sets, ...note(0, first), ...note(1, second), ...more]));
};

describe('a second set that feels no harder than the first (RUN-2)', () => {
  it('asks for a look at the cuff, with the pressure in hand', () => {
    expect(englishOf(noHarderWords(plan, said(5, 5)))).toBe(
      'Set two felt no harder than set one: see that the cuff is still at 104 mmHg, and that the range is full.',
    );
    const loosened = said(5, 4, [147, { type: 'loosened', limb: 'left-thigh', byMmHg: 10 }]);
    expect(englishOf(noHarderWords(plan, loosened))).toContain('at 94 mmHg');
  });

  it('is nothing where it felt harder, was hard anyway, fell short, or was not said', () => {
    expect(noHarderWords(plan, said(5, 6))).toBeNull();
    expect(noHarderWords(plan, said(8, 8))).toBeNull();
    expect(noHarderWords(plan, said(null, 3))).toBeNull();
    expect(noHarderWords(plan, said(5, null))).toBeNull();
    const short = said(5, 3, [147, { type: 'reps-corrected', exerciseIndex: 0, setIndex: 1, byReps: -3 }]);
    expect(noHarderWords(plan, short)).toBeNull();
  });

  it('is nothing where the cuff was deflated between, nor once the next set has begun', () => {
    expect(noHarderWords(released, said(5, 3))).toBeNull();
    const begun = said(5, 3, [175, { type: 'set-started', exerciseIndex: 0, setIndex: 2 }]);
    expect(noHarderWords(plan, begun)).toBeNull();
  });
});
