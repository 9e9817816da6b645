import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { inEnglish } from '#language/render';
import { compile } from '../plan/compile';
import { composeSession } from '../plan/compose';
import type { Plan } from '../plan/plan';
import { testBasis, testExercise } from '../plan/plan.fixture';
import { anyPlan } from './decide/wide.fixture';
import { amountDone, enteredEvents } from './entered';
import { fold } from './fold';
import { mergeLogs } from './log';
import { logOf, START_MS, WHOLE_SESSION } from './session.fixture';
import { NotASessionFile, readSessionFile, writeSessionFile } from './session-file';

const { plan } = composeSession(
  { goal: 'size', schoolId: 'research-consensus', exercises: [testExercise()] },
  testBasis(),
);
const events = logOf(WHOLE_SESSION);
const sessionId = events[0]?.sessionId ?? expect.unreachable();
const text = writeSessionFile({ release: '0.2.0', sessionId, openedAtMs: START_MS, plan, events });
const lines = text.trimEnd().split('\n');

describe('a session as a file', () => {
  it('has what it is with its plan first, then one event a line in their order, and no name', () => {
    expect(JSON.parse(lines[0] ?? '')).toMatchObject({ format: 'nervato-session', version: 1, sessionId });
    expect(lines.slice(1).map((line) => JSON.parse(line).type)).toEqual(events.map(({ type }) => type));
    expect(text.endsWith('}\n')).toBe(true);
    const turned = writeSessionFile({
      release: '0.2.0',
      sessionId,
      openedAtMs: START_MS,
      plan,
      events: [...events].reverse(),
    });
    expect(turned).toBe(text);
  });

  it('reads back, and folds to the same record, whatever was planned', () => {
    expect(readSessionFile(text)).toEqual({ sessionId, openedAtMs: START_MS, plan, events });
    // A file of an earlier release, with the type that an event had then.
    const noted = logOf([...WHOLE_SESSION, [900, { type: 'adjunct-noted', what: 'ice', words: '' }]]);
    const written = writeSessionFile({
      release: '0.2.0',
      sessionId,
      openedAtMs: START_MS,
      plan,
      events: noted,
    });
    expect(readSessionFile(written.replace('adjunct-noted', 'beside-noted')).events).toEqual(noted);
    // Blank lines, and ends of lines as another system writes them.
    expect(readSessionFile(`\n${lines.join('\r\n\r\n')}`).events).toEqual(events);
    fc.assert(
      fc.property(anyPlan, (any: Plan) => {
        const sets = compile(any).sets.map((set) => ({
          exerciseIndex: set.exerciseIndex,
          setIndex: set.setIndex,
          ...amountDone(set, set.reps),
          effort: 7,
        }));
        const log = logOf(
          enteredEvents(any, { startedAtMs: START_MS, sets, jointPain: 1, signs: ['burn'] }, START_MS).map(
            ({ afterMs, body }) => [afterMs / 1000, body],
          ),
        );
        const back = readSessionFile(
          writeSessionFile({
            release: '0.2.0',
            sessionId: log[0]?.sessionId ?? '',
            openedAtMs: START_MS,
            plan: any,
            events: log,
          }),
        );
        expect(fold(back.plan, back.events)).toEqual(fold(any, mergeLogs(log)));
      }),
      { numRuns: 60 },
    );
  });

  it('is refused with the line and what to do', () => {
    const refused = (...changed: string[]) => {
      try {
        readSessionFile(changed.join('\n'));
      } catch (error) {
        return error instanceof NotASessionFile ? [error.line, inEnglish(error.says)] : error;
      }
      return null;
    };
    const head = (changes: object) => JSON.stringify({ ...JSON.parse(lines[0] ?? ''), ...changes });
    expect(refused('Dear practice')).toEqual([1, expect.stringContaining('not JSON')]);
    expect(refused('')).toEqual([1, expect.stringContaining('not a session')]);
    expect(refused('[]')).toEqual([1, expect.stringContaining('not a session')]);
    expect(refused(head({ version: 2 }))).toEqual([1, expect.stringContaining('newer release')]);
    expect(refused(head({ plan: { version: 99 } }))).toEqual([1, expect.stringContaining('missing')]);
    expect(refused(head({ plan: null }))).toEqual([1, expect.stringContaining('missing')]);
    expect(refused(lines[0] ?? '', lines[1] ?? '', (lines[2] ?? '').slice(0, 30))).toEqual([
      3,
      expect.stringContaining('cut short'),
    ]);
    expect(refused(lines[0] ?? '', '{"type":"levitated"}')).toEqual([2, expect.stringContaining('no event')]);
    const other = JSON.stringify({ ...events[0], sessionId: '00000000-0000-4000-8000-00000000000f' });
    expect(refused(lines[0] ?? '', '', other)).toEqual([3, expect.stringContaining('another session')]);
  });
});
