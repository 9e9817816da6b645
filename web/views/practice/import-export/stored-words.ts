import type { PracticeView } from '#contract/practice';
import type { Message } from '#core/message';
import { METHODS, type PulseMethod } from '#core/occlusion-pressure';
import { measureBook } from '#core/outcomes';
import { libraryOf } from '#core/protocol';
import { LIMB_LABELS, type Limb, POSITION_NAMES, type Position, SIDE_NAMES } from '#core/quantity';
import type { TableField } from '#core/table';
import { translate } from '../../../language/translate';
import { plain } from '../../../words/format';
import { isoWords } from '../../../words/noon';

const NAMES: Record<'limb' | 'side' | 'position' | 'method', (id: string) => Message | undefined> = {
  limb: (id) => LIMB_LABELS[id as Limb],
  side: (id) => SIDE_NAMES[id as keyof typeof SIDE_NAMES],
  position: (id) => POSITION_NAMES[id as Position],
  method: (id) => METHODS[id as PulseMethod]?.label,
};

/** A value as it will be stored, with its unit, and by the name it has in the practice. */
export function storedWords({ reading }: TableField, value: unknown, practice: PracticeView): string {
  if (value === null || value === undefined) return '–';
  if (reading.as === 'day') return isoWords(String(value));
  if (reading.as === 'name') return nameOf(reading.of, String(value), practice);
  if (Array.isArray(value))
    return value.map((one) => (typeof one === 'number' ? plain(one, 2) : String(one))).join(' / ');
  if (reading.as === 'word') return translate(NAMES[reading.of](String(value)) ?? String(value));
  if (typeof value !== 'number') return String(value);
  if (reading.as === 'figure' && reading.unit !== 'none')
    return `${plain(value, 2)} ${reading.unit === 'mass' ? 'kg' : 'cm'}`;
  return plain(value, 2);
}

/** What the practice calls an exercise, a measure or a cuff. */
function nameOf(of: 'exercise' | 'measure' | 'cuff', id: string, practice: PracticeView): string {
  const labels = {
    exercise: () => libraryOf(practice.ownExercises)[id]?.label,
    measure: () => measureBook(practice.ownMeasures)[id]?.label,
    cuff: () => practice.cuffs.find((cuff) => cuff.id === id)?.label,
  };
  return translate(labels[of]() ?? id);
}
