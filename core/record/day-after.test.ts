import { describe, expect, it } from 'vitest';
import { sessionToAskAbout } from './day-after';
import { NOW_MS, testSessionFact } from './record.fixture';

const HOURS = 1 / 24;

describe('the day after (RUN-6)', () => {
  it('is asked about from half a day on, before the next session, once, and only of the last one', () => {
    const unasked = (hours: number) =>
      testSessionFact(hours * HOURS + 900_000 / 86_400_000, { followUp: null });
    const asked = (...sessions: ReturnType<typeof unasked>[]) => sessionToAskAbout({ sessions }, NOW_MS)?.id;
    expect([11.9, 12, 95, 960].map((hours) => asked(unasked(hours)) !== undefined)).toEqual([
      false,
      true,
      true,
      true,
    ]);
    expect(asked(testSessionFact(1))).toBeUndefined();
    expect(asked(unasked(50), unasked(20))).toBe(unasked(20).id);
    expect(asked(unasked(50), unasked(3))).toBeUndefined();
    expect(asked({ ...unasked(20), finishedAtMs: null })).toBeUndefined();
    expect(asked({ ...unasked(20), worked: [] })).toBeUndefined();
  });
});
