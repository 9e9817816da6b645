import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { dayOf } from '#core/quantity';
import { attackRuns } from '../../tests/attack-runs';
import { NotACalendar, readCalendar } from './person/block/read-calendar';
import { NoHeartRate, readHeartRate } from './person/record/read-heart-rate';

// Foreign files: whatever was done to one, it is read or refused in words, and nothing else comes of it.

const CALENDAR = [
  'BEGIN:VCALENDAR',
  'VERSION:2.0',
  'BEGIN:VEVENT',
  'UID:x',
  'DTSTART:20260504T090000',
  'DURATION:PT8H',
  'RRULE:FREQ=WEEKLY;COUNT=5',
  'SUMMARY:Course\\, all day',
  'END:VEVENT',
  'END:VCALENDAR',
].join('\r\n');
const BEATS = `<?xml version="1.0"?><TrainingCenterDatabase><Track>${[0, 1, 2]
  .map(
    (second) =>
      `<Trackpoint><Time>2026-05-04T10:00:0${second}Z</Time><HeartRateBpm><Value>9${second}</Value></HeartRateBpm></Trackpoint>`,
  )
  .join('')}</Track></TrainingCenterDatabase>`;
const TABLE = 'time,bpm\n0:00,90\n0:05,92\n0:10,"95"\n';

const mutated = (text: string) =>
  fc
    .array(
      fc.record({
        at: fc.nat(text.length),
        length: fc.nat(30),
        put: fc.oneof(
          fc.string(),
          fc.constantFrom('"', '\n', ';', ':', '<', '&x;', '\u0000', '99999999', '-', 'FREQ=SECONDLY'),
        ),
      }),
      { minLength: 1, maxLength: 4 },
    )
    .map((cuts) =>
      cuts.reduce((now, { at, length, put }) => now.slice(0, at) + put + now.slice(at + length), text),
    );
const RUNS = { numRuns: attackRuns(300) };

describe('a file that was changed in any way', () => {
  it('of a calendar is read or refused', () => {
    const [from, to] = [dayOf('2026-05-04'), dayOf('2026-06-01')];
    fc.assert(
      fc.property(mutated(CALENDAR), (text) => {
        try {
          for (const { fromDay, toDay } of readCalendar(text, from, to).appointments)
            expect(fromDay).toBeLessThanOrEqual(toDay);
        } catch (error) {
          expect(error).toBeInstanceOf(NotACalendar);
        }
      }),
      RUNS,
    );
  });

  it.each([
    ['training', BEATS],
    ['table', TABLE],
  ])('of heart rate as a %s is read or refused', (_, whole) => {
    fc.assert(
      fc.property(mutated(whole), (text) => {
        try {
          for (const { afterMs, beatsPerMinute } of readHeartRate(text).samples) {
            expect(afterMs).toBeGreaterThanOrEqual(0);
            expect(beatsPerMinute).toBeGreaterThanOrEqual(20);
          }
        } catch (error) {
          expect(error).toBeInstanceOf(NoHeartRate);
        }
      }),
      RUNS,
    );
  });
});
