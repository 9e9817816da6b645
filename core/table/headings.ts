import type { Limb } from '../quantity/limb';
import type { ColumnUnit } from './mapping';
import type { TableField } from './tables';
import { PARTS, plainWords, SIDES } from './words';

const UNITS: { unit: ColumnUnit; names: readonly string[] }[] = [
  { unit: 'kg', names: ['kg', 'kgs', 'kilograms', 'kilos', 'kilogramm'] },
  { unit: 'lb', names: ['lb', 'lbs', 'pounds', 'pfund'] },
  { unit: 'cm', names: ['cm', 'centimetres', 'centimeters', 'zentimeter'] },
  { unit: 'mm', names: ['mm', 'millimetres', 'millimeters', 'millimeter'] },
  { unit: 'in', names: ['in', 'inch', 'inches', 'zoll'] },
];

/** What a heading says of its unit. @example unitIn('Load (lb)') //=> 'lb' */
export function unitIn(heading: string): ColumnUnit | null {
  const words = plainWords(heading).split(' ');
  const found = UNITS.find(({ names }) => names.some((name) => words.includes(name)));
  return found?.unit ?? null;
}

/** A heading without its unit, as fields are known by. @example headingWords('Girth (cm)') //=> 'girth' */
export const headingWords = (heading: string): string =>
  plainWords(heading)
    .split(' ')
    .filter((word) => !UNITS.some(({ names }) => names.includes(word)) && word !== 'mmhg')
    .join(' ');

/** How well words name a field: as it is known, as part of it, not at all. */
export function fitOf(words: string, { known }: Pick<TableField, 'known'>): 0 | 1 | 2 {
  if (words === '') return 0;
  if (known.includes(words)) return 2;
  return known.some((name) => ` ${words} `.includes(` ${name} `)) ? 1 : 0;
}

/** A heading of a wide table: its side, the limb where it says which, and what is left of its words. */
export type SidedHeading = { side: 'left' | 'right'; limb: Limb | null; words: string };

/**
 * What a heading of a wide table says of its side; null where it names none.
 * @example sidedIn('Girth L thigh (cm)') //=> { side: 'left', limb: 'left-thigh', words: 'girth' }
 * @example sidedIn('LOP rechts') //=> { side: 'right', limb: null, words: 'lop' }
 */
export function sidedIn(heading: string): SidedHeading | null {
  const words = headingWords(heading);
  const all = words.split(' ');
  const sides = (['left', 'right'] as const).filter((side) => SIDES[side].some((word) => all.includes(word)));
  const [side] = sides;
  if (sides.length !== 1 || !side) return null;
  const rest = all.filter((word) => !SIDES[side].includes(word)).join(' ');
  const part = (['arm', 'thigh'] as const).find((one) =>
    PARTS[one].some((name) => ` ${rest} `.includes(` ${name} `)),
  );
  if (!part) return { side, limb: null, words: rest };
  const named = PARTS[part].find((name) => ` ${rest} `.includes(` ${name} `)) ?? '';
  return { side, limb: `${side}-${part}`, words: ` ${rest} `.replace(` ${named} `, ' ').trim() };
}
