import { describe, expect, it } from 'vitest';
import { dayOf } from '../quantity/days';
import { type Appointment, calendarDays } from './calendar-days';

const FROM = dayOf('2026-05-04');
const BLOCK = { fromDay: FROM, weeks: 4 };
const hour = 3_600_000;
const on = (day: string, title: string, more: Partial<Appointment> = {}): Appointment => ({
  title,
  fromDay: dayOf(day),
  toDay: dayOf(day),
  isAllDay: true,
  lastsMs: 24 * hour,
  ...more,
});

describe('what a calendar says about the days of a block', () => {
  it('takes days that are away, within the block', () => {
    const away = on('2026-05-30', 'Away', { toDay: dayOf('2026-06-04') });
    expect(
      calendarDays([on('2026-05-09', 'Wedding'), on('2026-05-03', 'Before'), away], BLOCK).days,
    ).toMatchObject([
      { kind: 'off', day: '2026-05-09', title: 'Wedding' },
      { kind: 'journey', day: '2026-05-30', toDay: '2026-05-31', title: 'Away' },
    ]);
  });

  it('leaves a day that has room, and says the same thing once', () => {
    const long = { isAllDay: false, lastsMs: 6 * hour };
    const short = { isAllDay: false, lastsMs: 6 * hour - 1 };
    const days = [
      on('2026-05-06', 'Dentist', short),
      on('2026-05-07', 'Course', long),
      on('2026-05-07', 'Course', long),
    ];
    expect(calendarDays(days, BLOCK).days).toMatchObject([
      { kind: 'off', day: '2026-05-07', title: 'Course' },
    ]);
  });

  it('knows heavy training that comes in half of the weeks, by its date where it comes less often, and games', () => {
    const squats = ['2026-05-04', '2026-05-11'].map((day) => on(day, 'Heavy squats'));
    expect(calendarDays([...squats, on('2026-05-09', 'Match')], BLOCK)).toMatchObject({
      days: [{ kind: 'game', day: '2026-05-09', title: 'Match' }],
      heavy: [{ weekday: 0, title: 'Heavy squats', times: 2 }],
    });
    expect(calendarDays(squats.slice(0, 1), BLOCK)).toMatchObject({
      days: [{ kind: 'heavy', day: '2026-05-04' }],
      heavy: [],
    });
    // Twice on one day is once.
    expect(
      calendarDays(
        [squats[0], squats[0]].flatMap((one) => one ?? []),
        BLOCK,
      ).heavy,
    ).toEqual([]);
    expect(calendarDays([on('2026-05-05', 'Matchmaking lunch')], BLOCK).heavy).toEqual([]);
  });
});
