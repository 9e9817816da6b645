import type { PracticeView } from '#contract/practice';
import type { TableField } from '#core/table';
import { translate } from '../../../language/translate';
import { plain } from '../../../words/format';
import { isoWords } from '../../../words/noon';
import { namesIn, WORD_LABELS } from './names';

/** A value as it will be stored, with its unit, and by the name it has in the practice. */
export function storedWords({ reading }: TableField, value: unknown, practice: PracticeView): string {
  if (value === null || value === undefined) return '–';
  if (reading.as === 'day') return isoWords(String(value));
  if (reading.as === 'name') return translate(namesIn(practice)[reading.of][String(value)] ?? String(value));
  if (Array.isArray(value))
    return value.map((one) => (typeof one === 'number' ? plain(one, 2) : String(one))).join(' / ');
  if (reading.as === 'word') return translate(WORD_LABELS[reading.of][String(value)] ?? String(value));
  if (typeof value !== 'number') return String(value);
  if (reading.as === 'figure' && reading.unit !== 'none')
    return `${plain(value, 2)} ${reading.unit === 'mass' ? 'kg' : 'cm'}`;
  return plain(value, 2);
}
