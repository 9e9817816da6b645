import { v4 as newId } from 'uuid';
import { describe, expect, it } from 'vitest';
import { attackRuns } from '../tests/attack-runs';
import { DAY_MS, startAfter } from './api.fixture';
import { ready } from './forbidden.fixture';
import { ALL_WAYS } from './forbidden-conditions.fixture';

// START-4: what happens while the clock of the machine is wrong counts as much once it is put right.

const CLOCKS = [
  ['a year ahead', 365 * DAY_MS],
  ['two hours behind', -2 * 3_600_000],
  ['an hour ahead', 3_600_000],
  ['three days behind', -3 * DAY_MS],
] as const;
/** So many of the clocks for each way: one every day, from way to way another; all in `npm run attack`. */
const TRIED = attackRuns(1);

/** A year ahead these end on a day of the calendar that has not come yet, once the clock is right. */
const BY_CALENDAR = ['a clearance that has run out', 'a plan that was to be run until yesterday'];

/** Ways on which a session is run before: none opens with a clock a year ahead, since everything is due then. */
const NEVER_HAPPENS = /^\/sessions: 422 .*"Not ready to run"/;

describe.each(CLOCKS.map(([clock, wrongMs], place) => [clock, wrongMs, place] as const))(
  'what keeps a session shut, having come with a clock %s',
  (clock, wrongMs, place) => {
    const isAYearAhead = clock === 'a year ahead';
    const ways = ALL_WAYS.filter(
      ({ way }, i) =>
        (i + CLOCKS.length - place) % CLOCKS.length < TRIED && !(isAYearAhead && BY_CALENDAR.includes(way)),
    );
    it.each(ways)('keeps it shut once the clock is right: $way', async ({ happens }) => {
      const { api, made: person } = await startAfter(ready);
      api.clock.nowMs += 1_000 + wrongMs;
      const happened = await happens(api, person).then(
        () => true,
        (error: Error) => {
          if (isAYearAhead && NEVER_HAPPENS.test(error.message)) return false;
          throw error;
        },
      );
      if (!happened) return;
      api.clock.nowMs -= wrongMs;
      for (const who of ['clara', 'colin'] as const) {
        const json = { id: newId(), prescriptionId: person.prescriptionId };
        const { status, body } = await api.call('POST', '/sessions', json, who);
        const isShut = status >= 400 && status < 500;
        expect([who, isShut, body.title ?? 'opened']).toEqual([who, true, expect.any(String)]);
      }
    });
  },
);
