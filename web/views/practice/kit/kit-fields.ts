import { t } from '@lingui/core/macro';
import type { KitItem, KitList } from '#contract/practice';
import type { Strap } from '#core/kit';
import { lbToKg, massIn, type OwnPlace, PLACE_KINDS, PLACE_LABELS, toNumber } from '#core/quantity';
import { translate } from '../../../language/translate';
import { isoWords } from '../../../words/noon';
import type { Measure } from '../../../words/units';

/** One field of a kind of kit: how it is typed and what it becomes. `mass` and `length` follow the practice's units. */
export type KitField = {
  key: string;
  label: string;
  type:
    | 'text'
    | 'number'
    | 'number-or-none'
    | 'day-or-none'
    | 'mass'
    | 'length'
    | 'masses'
    | 'words'
    | 'pairs'
    | { choices: Record<string, string> }
    | 'yes-no'
    | 'places';
};

type Kind = { list: KitList; title: string; add: string; fixed: Record<string, unknown>; fields: KitField[] };

const LIMB_KIND: KitField = {
  key: 'limbKind',
  label: t`For`,
  type: { choices: { arm: t`arm`, leg: t`thigh` } },
};
const LABEL: KitField = { key: 'label', label: t`Name`, type: 'text' };
const HOW_MANY: KitField = { key: 'howMany', label: t`How many there are`, type: 'number-or-none' };
const PLACES: KitField = { key: 'places', label: t`Where it is (none ticked: everywhere)`, type: 'places' };

/** What is worn without a gauge, by what its tightness is counted in (rule FIT-5). */
const byFeel = (
  counts: Strap['counts'],
  title: string,
  add: string,
  [first, last]: readonly [string, string],
): Kind => ({
  list: 'straps',
  title,
  add,
  fixed: { counts },
  fields: [
    LABEL,
    LIMB_KIND,
    { key: 'widthCm', label: t`Width`, type: 'length' },
    { key: 'firstMark', label: first, type: 'number' },
    { key: 'lastMark', label: last, type: 'number' },
    HOW_MANY,
    PLACES,
  ],
});

/** Every kind of kit with its fields; the form and the list are made from this table. */
export const KINDS = {
  cuff: {
    list: 'cuffs',
    title: t`Cuffs`,
    add: t`Add a cuff`,
    fixed: {},
    fields: [
      LABEL,
      LIMB_KIND,
      { key: 'widthCm', label: t`Bladder width`, type: 'length' },
      { key: 'girthLowCm', label: t`Girth from`, type: 'length' },
      { key: 'girthHighCm', label: t`Girth to`, type: 'length' },
      {
        key: 'shape',
        label: t`Shape`,
        type: { choices: { straight: t`straight`, contoured: t`contoured` } },
      },
      {
        key: 'bladder',
        label: t`Bladder`,
        type: { choices: { single: t`single`, segmented: t`segmented` } },
      },
      { key: 'canOcclude', label: t`Can fully occlude`, type: 'yes-no' },
      { key: 'maxPressureMmHg', label: t`Highest pressure, mmHg`, type: 'number' },
      HOW_MANY,
      PLACES,
    ],
  },
  pump: {
    list: 'pumps',
    title: t`Gauges and pumps`,
    add: t`Add a gauge or pump`,
    fixed: {},
    fields: [
      LABEL,
      { key: 'kind', label: t`Kind`, type: { choices: { 'by-hand': t`by hand`, regulated: t`regulated` } } },
      { key: 'divisionMmHg', label: t`Division, mmHg`, type: 'number' },
      { key: 'keepsPressure', label: t`Keeps pressure when unplugged`, type: 'yes-no' },
      { key: 'checkedOn', label: t`Last checked on`, type: 'day-or-none' },
      { key: 'errorMmHg', label: t`Error then, mmHg`, type: 'number-or-none' },
      PLACES,
    ],
  },
  masses: {
    list: 'weightKits',
    title: t`Dumbbells and ankle weights`,
    add: t`Add dumbbells or ankle weights`,
    fixed: { kind: 'single-masses' },
    fields: [LABEL, { key: 'massesKg', label: t`Weights, separated by spaces`, type: 'masses' }, PLACES],
  },
  bar: {
    list: 'weightKits',
    title: t`Bars and plates`,
    add: t`Add a bar and plates`,
    fixed: { kind: 'bar-and-plates' },
    fields: [
      LABEL,
      { key: 'barKg', label: t`Bar`, type: 'mass' },
      { key: 'pairs', label: t`Plates as weight × pairs, such as 1.25×1 2.5×2 10lb×1`, type: 'pairs' },
      PLACES,
    ],
  },
  stack: {
    list: 'weightKits',
    title: t`Stacks`,
    add: t`Add a stack`,
    fixed: { kind: 'stack' },
    fields: [
      LABEL,
      { key: 'lightestKg', label: t`Lightest`, type: 'mass' },
      { key: 'stepKg', label: t`Step`, type: 'mass' },
      { key: 'heaviestKg', label: t`Heaviest`, type: 'mass' },
      PLACES,
    ],
  },
  bands: {
    list: 'weightKits',
    title: t`Bands`,
    add: t`Add bands`,
    fixed: { kind: 'bands' },
    fields: [
      LABEL,
      { key: 'names', label: t`Names, lightest first, separated by spaces`, type: 'words' },
      PLACES,
    ],
  },
  strap: byFeel('marks', t`Marked straps, without a gauge`, t`Add a strap`, [t`First mark`, t`Last mark`]),
  wrap: byFeel('turns', t`Elastic wraps, without marks or a gauge`, t`Add a wrap`, [
    t`Fewest turns`,
    t`Most turns`,
  ]),
  squeezed: byFeel('squeezes', t`Hand pumps without a gauge, by feel`, t`Add a hand pump by feel`, [
    t`Fewest squeezes`,
    t`Most squeezes`,
  ]),
} as const satisfies Record<string, Kind>;
export type KitKind = keyof typeof KINDS;

export const KIT_KINDS = Object.keys(KINDS) as KitKind[];

/** Whether a piece of a list is of this kind; weights of all kinds share one list. */
export const isOfKind = (kind: KitKind, item: KitItem['item']): boolean =>
  Object.entries(KINDS[kind].fixed).every(([key, value]) => (item as Record<string, unknown>)[key] === value);

type Units = { mass: Measure; length: Measure };
type Pair = { plateKg: number; pairs: number; markedIn?: 'kg' | 'lb' };
const MARKED = /^(.*?)(kg|lb)$/i;
const parts = (typed: string): string[] => typed.split(/[\s;]+/).filter(Boolean);

/** A field as text for its input. */
export function toTyped({ type }: KitField, value: unknown, { mass, length }: Units): string {
  if (value === undefined)
    return type === 'yes-no' ? 'yes' : typeof type === 'object' ? (Object.keys(type.choices)[0] ?? '') : '';
  if (type === 'mass') return mass.show(value as number);
  if (type === 'length') return length.show(value as number);
  if (type === 'masses') return (value as number[]).map(mass.show).join(' ');
  if (type === 'words' || type === 'places') return (value as string[]).join(' ');
  if (type === 'pairs')
    return (value as Pair[])
      .map(({ plateKg, pairs, markedIn }) =>
        markedIn ? `${massIn(plateKg, markedIn)}${markedIn}×${pairs}` : `${mass.show(plateKg)}×${pairs}`,
      )
      .join(' ');
  if (type === 'yes-no') return value ? 'yes' : 'no';
  return String(value);
}

/** What was typed as the value the schema judges; a figure that cannot be read becomes NaN, which it refuses. */
export function fromTyped({ type }: KitField, typed: string, { mass, length }: Units): unknown {
  if (type === 'mass') return mass.parse(typed);
  if (type === 'length') return length.parse(typed);
  if (type === 'number-or-none') return typed.trim() === '' ? undefined : toNumber(typed);
  if (type === 'day-or-none') return typed === '' ? undefined : typed;
  if (type === 'number') return typed.trim() === '' ? Number.NaN : Number(typed.replace(',', '.'));
  if (type === 'masses') return parts(typed).map(mass.parse);
  if (type === 'words') return parts(typed);
  if (type === 'places') return parts(typed).length > 0 ? parts(typed) : undefined;
  if (type === 'yes-no') return typed === 'yes';
  if (type === 'pairs') {
    return parts(typed).map((part) => {
      const [plate = '', pairs = ''] = part.split(/[×x*]/);
      const [, figure = '', unit] = MARKED.exec(plate) ?? [];
      if (!unit) return { plateKg: mass.parse(plate), pairs: Number(pairs) };
      const markedIn = unit.toLowerCase() as 'kg' | 'lb';
      const typed = toNumber(figure);
      return { plateKg: markedIn === 'lb' ? lbToKg(typed) : typed, pairs: Number(pairs), markedIn };
    });
  }
  return typed;
}

const UNIT_OF: Partial<Record<string, keyof Units>> = {
  mass: 'mass',
  masses: 'mass',
  pairs: 'mass',
  length: 'length',
};

/** The practice's unit of what is typed in a field; undefined where it has none. */
export function unitOf({ type }: Pick<KitField, 'type'>, units: Units): string | undefined {
  const measure = typeof type === 'string' ? UNIT_OF[type] : undefined;
  return measure && units[measure].unit;
}

/** What is over a column of a field, with its unit. */
export function headOf(field: KitField, units: Units): string {
  const unit = unitOf(field, units);
  return `${field.label.split(/[,(]/)[0]?.trim()}${unit ? `, ${unit}` : ''}`;
}

/** What is in a cell of a field. */
export function cellOf(
  field: KitField,
  value: unknown,
  { ownPlaces, ...units }: Units & { ownPlaces: readonly OwnPlace[] },
): string {
  const typed = toTyped(field, value, units);
  if (field.type === 'day-or-none') return typed === '' ? t`never` : isoWords(typed);
  if (field.type === 'places') {
    const at = typed.split(' ');
    const names = [
      ...ownPlaces.filter(({ id }) => at.includes(id)).map(({ name }) => name),
      ...PLACE_KINDS.filter((kind) => at.includes(kind)).map((kind) => translate(PLACE_LABELS[kind])),
    ];
    return names.join(', ') || t`everywhere`;
  }
  if (field.type === 'yes-no') return typed === 'yes' ? t`yes` : t`no`;
  return typeof field.type === 'object' ? (field.type.choices[typed] ?? typed) : typed;
}
