import type { Message } from '#core/message';
import { METHODS, type PulseMethod } from '#core/occlusion-pressure';
import { LIMB_LABELS, type Limb, POSITION_NAMES, type Position, SIDE_NAMES } from '#core/quantity';
import type { TableField } from '#core/table';
import { translate } from '../../../language/translate';
import { plain } from '../../../words/format';

const NAMES: Record<'limb' | 'side' | 'position' | 'method', (id: string) => Message | undefined> = {
  limb: (id) => LIMB_LABELS[id as Limb],
  side: (id) => SIDE_NAMES[id as keyof typeof SIDE_NAMES],
  position: (id) => POSITION_NAMES[id as Position],
  method: (id) => METHODS[id as PulseMethod]?.label,
};

/** A value as it will be stored, with its unit. */
export function storedWords({ reading }: TableField, value: unknown): string {
  if (value === null || value === undefined) return '–';
  if (Array.isArray(value))
    return value.map((one) => (typeof one === 'number' ? plain(one, 2) : String(one))).join(' / ');
  if (reading.as === 'word') return translate(NAMES[reading.of](String(value)) ?? String(value));
  if (typeof value !== 'number') return String(value);
  if (reading.as === 'figure' && reading.unit !== 'none')
    return `${plain(value, 2)} ${reading.unit === 'mass' ? 'kg' : 'cm'}`;
  return plain(value, 2);
}
