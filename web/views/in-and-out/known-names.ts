import type { PracticeView } from '#contract/practice';
import { measureBook } from '#core/outcomes/measures';
import { libraryOf } from '#core/protocol/exercises';
import type { Known } from '#core/table/read-row';
import { plainWords } from '#core/table/words';

const byName = (entries: readonly (readonly [string, string])[]): ReadonlyMap<string, string> =>
  new Map(
    entries.flatMap(([id, label]) => [[plainWords(id), id] as const, [plainWords(label), id] as const]),
  );

/** What has a name in the practice, by its plain words. */
export const knownNames = ({ ownExercises, ownMeasures, cuffs }: PracticeView): Known => ({
  exercise: byName(Object.entries(libraryOf(ownExercises)).map(([id, { label }]) => [id, label])),
  measure: byName(Object.entries(measureBook(ownMeasures)).map(([id, { label }]) => [id, label])),
  cuff: byName(cuffs.map(({ id, label }) => [id, label])),
});
