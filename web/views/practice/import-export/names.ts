import type { PracticeView } from '#contract/practice';
import type { Message, Text } from '#core/message';
import { METHODS } from '#core/occlusion-pressure';
import { measureBook } from '#core/outcomes';
import { libraryOf } from '#core/protocol';
import { LIMB_LABELS, POSITION_NAMES, SIDE_NAMES } from '#core/quantity';
import { type Known, plainWords, type TableField } from '#core/table';
import { inEnglish } from '#language/render';
import { translate } from '../../../language/translate';

type Word = Extract<TableField['reading'], { as: 'word' }>['of'];
type Labels<T> = Readonly<Record<string, T>>;

const labelled = <T>(entries: Readonly<Record<string, { label: T }>>): Labels<T> =>
  Object.fromEntries(Object.entries(entries).map(([id, { label }]) => [id, label]));

/** What the words of a table stand for, by their ids. */
export const WORD_LABELS: Record<Word, Labels<Message>> = {
  limb: LIMB_LABELS,
  side: SIDE_NAMES,
  position: POSITION_NAMES,
  method: labelled(METHODS),
};

/** What has a name in the practice, by its id. */
export const namesIn = ({
  ownExercises,
  ownMeasures,
  cuffs,
}: Pick<PracticeView, 'ownExercises' | 'ownMeasures' | 'cuffs'>): Record<keyof Known, Labels<Text>> => ({
  exercise: labelled(libraryOf(ownExercises)),
  measure: labelled(measureBook(ownMeasures)),
  cuff: Object.fromEntries(cuffs.map(({ id, label }) => [id, label])),
});

/** By the id, by the name in the language of the interface, and by the English one: a table may come from anywhere. */
const byName = (labels: Labels<Text>): ReadonlyMap<string, string> =>
  new Map(
    Object.entries(labels).flatMap(([id, label]) =>
      [id, translate(label), inEnglish(label)].map((name) => [plainWords(name), id] as const),
    ),
  );

/** What has a name in the practice, by its plain words. */
export function knownNames(practice: PracticeView): Known {
  const { exercise, measure, cuff } = namesIn(practice);
  return { exercise: byName(exercise), measure: byName(measure), cuff: byName(cuff) };
}
