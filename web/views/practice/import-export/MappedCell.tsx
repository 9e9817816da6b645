import { t } from '@lingui/core/macro';
import type { PracticeView } from '#contract/practice';
import {
  type ColumnUnit,
  DATE_ORDER_IDS,
  DATE_ORDERS,
  type DateOrder,
  type DecimalMark,
  fromColumns,
  fromConstant,
  type MappedField,
  type TableField,
  type UsualUnits,
  unitIn,
} from '#core/table';
import { translate } from '../../../language/translate';
import { Field } from '../../../parts/fields/Field';
import { Picker } from '../../../parts/fields/Picker';
import type { Look } from '../../../workers/table.worker';
import { namesIn, WORD_LABELS } from './names';

const NONE = 'none';
const SAME_FOR_ALL = 'same';
/** Several columns that are joined, as they were recognised. */
const JOINED = 'joined';
const UNITS: Record<'mass' | 'length', readonly ColumnUnit[]> = {
  mass: ['kg', 'lb'],
  length: ['cm', 'mm', 'in'],
};
const MARKS: { value: DecimalMark | typeof NONE; label: string }[] = [
  { value: NONE, label: t`not said` },
  { value: 'point', label: '54.5' },
  { value: 'comma', label: '54,5' },
];

/** Which column a field is read from, or what stands for all rows; and how its column is written. */
export function MappedCell({
  label,
  field,
  mapped,
  look,
  practice,
  units,
  change,
  choose,
}: {
  label: string;
  field: TableField;
  mapped: MappedField | undefined;
  look: Look;
  practice: PracticeView;
  units: UsualUnits;
  change: (mapped: MappedField | null) => void;
  choose: (mapped: MappedField) => void;
}) {
  const { reading } = field;
  const from = mapped?.from;
  const columns = from && 'columns' in from ? from.columns : [];
  const heading = (at: number) => look.headings[at]?.trim() || t`column ${at + 1}`;
  const value = !from
    ? NONE
    : 'constant' in from
      ? SAME_FOR_ALL
      : columns.length > 1
        ? JOINED
        : String(columns[0]);
  const isWritten = look.rows.some((row) => columns.some((at) => /[.,]/.test(row[at] ?? '')));
  return (
    <div className="flex min-w-44 flex-wrap gap-2">
      <Picker
        label={t`Column of ${label}`}
        hideLabel
        value={value}
        options={[
          { value: NONE, label: field.optional ? t`not in the file` : t`choose a column` },
          ...(columns.length > 1 ? [{ value: JOINED, label: columns.map(heading).join(' + ') }] : []),
          ...look.headings.map((_, at) => ({ value: String(at), label: heading(at) })),
          { value: SAME_FOR_ALL, label: t`the same for all rows` },
        ]}
        onChange={(next) => {
          if (next === JOINED) return;
          if (next === NONE) change(null);
          else if (next === SAME_FOR_ALL) change(fromConstant(''));
          else change(fromColumns([Number(next)], unitIn(look.headings[Number(next)] ?? '')));
        }}
      />
      {mapped && from && 'constant' in from && (
        <Constant
          label={t`${label}, for all rows`}
          options={optionsOf(field, practice)}
          value={from.constant}
          change={(constant) => change({ ...mapped, from: { constant } })}
        />
      )}
      {mapped && reading.as === 'figure' && reading.unit !== 'none' && (
        <Picker
          label={t`Unit of ${label}`}
          hideLabel
          value={mapped.unit ?? units[reading.unit]}
          options={UNITS[reading.unit].map((unit) => ({ value: unit, label: unit }))}
          onChange={(unit) => choose({ ...mapped, unit })}
        />
      )}
      {mapped && reading.as === 'day' && (
        <Picker
          label={t`Dates of ${label} are written`}
          hideLabel
          value={mapped.dateOrder ?? NONE}
          options={[
            { value: NONE, label: t`not said` },
            ...DATE_ORDER_IDS.map((order) => ({
              value: order as string,
              label: translate(DATE_ORDERS[order].label),
            })),
          ]}
          onChange={(order) => choose({ ...mapped, dateOrder: order === NONE ? null : (order as DateOrder) })}
        />
      )}
      {mapped && reading.as.startsWith('figure') && isWritten && (
        <Picker
          label={t`Figures of ${label} are written`}
          hideLabel
          value={mapped.decimalMark ?? NONE}
          options={MARKS}
          onChange={(mark) => choose({ ...mapped, decimalMark: mark === NONE ? null : mark })}
        />
      )}
    </div>
  );
}

/** What stands for all rows: one of those there are, or what is typed. */
function Constant({
  label,
  options,
  value,
  change,
}: {
  label: string;
  options: readonly string[] | null;
  value: string;
  change: (value: string) => void;
}) {
  if (!options) return <Field label={label} value={value} onChange={(event) => change(event.target.value)} />;
  return (
    <Picker
      label={label}
      hideLabel
      value={value === '' ? NONE : value}
      options={[
        { value: NONE, label: t`choose one` },
        ...options.map((option) => ({ value: option, label: option })),
      ]}
      onChange={(next) => change(next === NONE ? '' : next)}
    />
  );
}

/** The names that a field knows, as a table would write them; null where anything may be typed. */
function optionsOf({ reading }: TableField, practice: PracticeView): string[] | null {
  if (reading.as !== 'name' && reading.as !== 'word') return null;
  const labels = reading.as === 'name' ? namesIn(practice)[reading.of] : WORD_LABELS[reading.of];
  return Object.values(labels).map((label) => translate(label));
}
