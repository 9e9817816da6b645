import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import type { TypicalError } from './error';
import { MEASURES } from './measures';
import { type FirstAndLast, respondersOf } from './responders';

const DAY_MS = 86_400_000;
const error: TypicalError = { kind: 'absolute', value: 0.5, from: 'default', pairs: 0 };
const row = (name: string, to: number, weeks = 10, sessions = 20): FirstAndLast => ({
  clientId: name,
  name,
  limb: 'left-thigh',
  setting: '',
  first: { atMs: 0, value: 50 },
  last: { atMs: weeks * 7 * DAY_MS, value: to },
  sessions,
  goal: 'size',
});
const of = (...rows: FirstAndLast[]) => respondersOf(rows, MEASURES['girth-mid-thigh'], error);

describe('responders (OUT-5)', () => {
  it('are ordered by how sure their gain is, each with its interval', () => {
    const list = of(row('C', 49), row('A', 52), row('B', 50.3));
    expect(list.map(({ name, verdict }) => [name, verdict.kind])).toEqual([
      ['A', 'real-gain'],
      ['B', 'within-noise'],
      ['C', 'probably-loss'],
    ]);
    expect(englishOf(list[0])).toMatchObject({ from: 50, to: 52, weeks: 10, share: 1 });
  });

  it('are advised to stop or change after six weeks with 80 % of two a week and no real gain', () => {
    const [nothing] = of(row('A', 50.3));
    expect(englishOf(nothing?.advice)).toBe(
      'No real gain after 10 weeks with 100 % of two a week: stop, or change one thing, such as the load a step, the pressure to usual, three a week, or heavy work.',
    );
    expect(englishOf(of(row('A', 50.9))[0]?.advice)).toContain('take it once more');
    expect(of(row('A', 52))[0]?.advice).toBeNull();
    expect(of(row('A', 50.3, 5.9))[0]?.advice).toBeNull();
    expect(of(row('A', 50.3, 6, 10))[0]?.advice).not.toBeNull();
    // 9 of 12 is 75 %.
    expect(of(row('A', 50.3, 6, 9))[0]?.advice).toBeNull();
    expect(englishOf(of(row('A', 50.3, 0, 9))[0])).toMatchObject({ share: 0, advice: null });
  });
});
