import type { PracticeView } from '#contract/practice';
import type { Text } from '#core/message';
import { measureBook } from '#core/outcomes';
import { libraryOf } from '#core/protocol';
import { type Known, plainWords } from '#core/table';
import { inEnglish } from '#language/render';
import { translate } from '../../../language/translate';

/** By the id, by the name in the language of the interface, and by the English one: a table may come from anywhere. */
const byName = (entries: readonly (readonly [string, Text])[]): ReadonlyMap<string, string> =>
  new Map(
    entries.flatMap(([id, label]) =>
      [id, translate(label), inEnglish(label)].map((name) => [plainWords(name), id] as const),
    ),
  );

/** What has a name in the practice, by its plain words. */
export const knownNames = ({ ownExercises, ownMeasures, cuffs }: PracticeView): Known => ({
  exercise: byName(Object.entries(libraryOf(ownExercises)).map(([id, { label }]) => [id, label])),
  measure: byName(Object.entries(measureBook(ownMeasures)).map(([id, { label }]) => [id, label])),
  cuff: byName(cuffs.map(({ id, label }) => [id, label])),
});
