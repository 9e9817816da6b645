import fc from 'fast-check';
import { expect, it } from 'vitest';
import { paceCues } from '#core/protocol';
import { CueBook } from './cue-book';

const TEMPO = { upMs: 1_000, holdMs: 0, downMs: 1_000 };

it('sounds every tone of a set once, the first too, whenever the set was begun between two looks', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 0, max: 99 }),
      fc.array(fc.integer({ min: 20, max: 180 }), { minLength: 90, maxLength: 120 }),
      (startMs, waits) => {
        const book = new CueBook();
        const heard: string[] = [];
        let nowMs = 0;
        for (const waitMs of waits) {
          nowMs += waitMs;
          // The set is not known before it is begun.
          const cues = (fromMs: number, toMs: number) =>
            startMs > nowMs ? [] : paceCues(startMs, TEMPO, 2, fromMs, toMs);
          heard.push(...book.due('set', nowMs, cues).map(({ atMs, tone }) => `${atMs - startMs} ${tone}`));
        }
        expect(heard).toEqual(['0 rep', '1000 turn', '2000 rep', '3000 turn']);
      },
    ),
  );
});
