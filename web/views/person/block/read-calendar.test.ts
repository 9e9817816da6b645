import { describe, expect, it } from 'vitest';
import { dayOf, isoOf } from '#core/quantity';
import { NotACalendar, readCalendar } from './read-calendar';

const [FROM, TO] = [dayOf('2026-05-04'), dayOf('2026-05-31')];
const event = (...lines: string[]) => ['BEGIN:VEVENT', 'UID:x', ...lines, 'END:VEVENT'];
const calendar = (...events: string[][]) =>
  ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:test', ...events.flat(), 'END:VCALENDAR'].join('\r\n');
const read = (...events: string[][]) =>
  readCalendar(calendar(...events), FROM, TO).appointments.map(
    ({ title, fromDay, toDay, isAllDay, lastsMs }) =>
      [title, isoOf(fromDay), isoOf(toDay), isAllDay ? 'all day' : `${lastsMs / 3_600_000} h`].join(' '),
  );

describe('a calendar file', () => {
  it('has its appointments on the days it says', () => {
    expect(
      read(
        event('DTSTART;VALUE=DATE:20260509', 'DTEND;VALUE=DATE:20260511', 'SUMMARY:Wedding'),
        event('DTSTART:20260512T090000', 'DTEND:20260512T170000', 'SUMMARY:Course'),
        event('DTSTART;VALUE=DATE:20260513', 'SUMMARY:A day'),
        event('DTSTART:20260601T090000', 'DTEND:20260601T170000', 'SUMMARY:After'),
        event('DTSTART:20260514T090000', 'DTEND:20260514T170000', 'SUMMARY:Off', 'STATUS:CANCELLED'),
      ),
    ).toEqual([
      'Wedding 2026-05-09 2026-05-10 all day',
      'Course 2026-05-12 2026-05-12 8 h',
      'A day 2026-05-13 2026-05-13 all day',
    ]);
  });

  it('repeats what repeats, without its exceptions, and stops with the days', () => {
    expect(
      read(
        event(
          'DTSTART:20260427T180000',
          'DTEND:20260427T193000',
          'RRULE:FREQ=WEEKLY',
          'EXDATE:20260511T180000',
          'SUMMARY:Heavy squats',
        ),
      ),
    ).toEqual(['2026-05-04', '2026-05-18', '2026-05-25'].map((day) => `Heavy squats ${day} ${day} 1.5 h`));
    expect(read(event('DTSTART;VALUE=DATE:19000101', 'RRULE:FREQ=DAILY', 'SUMMARY:For ever'))).toEqual([]);
  });

  it('reads what it can where one appointment is broken', () => {
    const good = event('DTSTART;VALUE=DATE:20260509', 'SUMMARY:Wedding');
    const bad = event('DTSTART:20260512T090000', 'DURATION:eight hours', 'SUMMARY:Course');
    const { appointments, broken } = readCalendar(calendar(good, bad), FROM, TO);
    expect([appointments.map(({ title }) => title), broken]).toEqual([['Wedding'], 1]);
  });

  it('takes an appointment that lasts for ever as a broken one', () => {
    const { appointments, broken } = readCalendar(
      calendar(event('DTSTART:20260504T090000', 'DURATION:P99999999RRULE:FREQ=WEEKLY', 'SUMMARY:Course')),
      FROM,
      TO,
    );
    expect([appointments, broken]).toEqual([[], 1]);
  });

  it.each(['', 'name,girth', '<html>'])('%j is none', (text) => {
    expect(() => readCalendar(text, FROM, TO)).toThrow(NotACalendar);
  });
});
