import { t } from '@lingui/core/macro';
import {
  type ColumnUnit,
  DATE_ORDERS,
  type DateOrder,
  type DecimalMark,
  fieldsOf,
  type Known,
  type MappedColumn,
  type Mapping,
  readRow,
  type TableField,
  unitIn,
} from '#core/table';
import { translate } from '../../../language/translate';
import { WideTable } from '../../../parts/base/WideTable';
import { Picker } from '../../../parts/fields/Picker';
import type { Look } from '../../../workers/table.worker';
import { storedWords } from './stored-words';

const NONE = 'none';
const SHOWN_ROWS = 3;
const UNITS: Record<'mass' | 'length', readonly ColumnUnit[]> = {
  mass: ['kg', 'lb'],
  length: ['cm', 'mm', 'in'],
};
const MARKS: { value: DecimalMark | typeof NONE; label: string }[] = [
  { value: NONE, label: t`not said` },
  { value: 'point', label: '54.5' },
  { value: 'comma', label: '54,5' },
];

type Props = {
  mapping: Mapping;
  look: Look;
  known: Known;
  units: { mass: ColumnUnit; length: ColumnUnit };
  change: (mapping: Mapping) => void;
};

/** Each field with the column it is read from, and its first rows as they will be stored. */
export function MappingTable({ mapping, look, known, units, change }: Props) {
  const read = look.rows.slice(0, SHOWN_ROWS).map((cells) => readRow(cells, mapping, known, units));
  const map = (id: string, column: MappedColumn | null) => {
    const { [id]: _, ...others } = mapping.columns;
    change({ ...mapping, columns: column ? { ...others, [id]: column } : others });
  };
  const fields = fieldsOf(mapping.kind);
  const has = (as: TableField['reading']['as']) => fields.some(([, { reading }]) => reading.as === as);
  return (
    <div className="space-y-3">
      <WideTable className="w-full border-t border-ink/40">
        <thead>
          <tr className="text-left text-[14px] text-quiet">
            <th className="py-1 pr-4 font-normal">{t`Field`}</th>
            <th className="pr-4 font-normal">{t`is the column`}</th>
            <th className="pr-4 font-normal" colSpan={SHOWN_ROWS}>
              {t`as it will be stored, the first rows`}
            </th>
          </tr>
        </thead>
        <tbody>
          {fields.map(([id, field]) => {
            const mapped = mapping.columns[id];
            return (
              <tr key={id} className="border-t border-rule align-middle">
                <th scope="row" className="py-1.5 pr-4 text-left font-semibold">
                  {translate(field.label)}
                  {field.optional && (
                    <span className="text-[14px] font-normal text-quiet"> {t`if it is there`}</span>
                  )}
                </th>
                <td className="pr-4">
                  <div className="flex min-w-44 gap-2">
                    <Picker
                      label={t`Column of ${translate(field.label)}`}
                      hideLabel
                      value={mapped ? String(mapped.column) : NONE}
                      options={[
                        { value: NONE, label: field.optional ? t`not in the file` : t`choose a column` },
                        ...look.headings.map((heading, at) => ({
                          value: String(at),
                          label: heading.trim() || t`column ${at + 1}`,
                        })),
                      ]}
                      onChange={(value) =>
                        map(
                          id,
                          value === NONE
                            ? null
                            : { column: Number(value), unit: unitIn(look.headings[Number(value)] ?? '') },
                        )
                      }
                    />
                    {mapped && field.reading.as === 'figure' && field.reading.unit !== 'none' && (
                      <Picker
                        label={t`Unit of ${translate(field.label)}`}
                        hideLabel
                        value={mapped.unit ?? units[field.reading.unit]}
                        options={UNITS[field.reading.unit].map((unit) => ({
                          value: unit,
                          label: unit,
                        }))}
                        onChange={(unit) => map(id, { ...mapped, unit })}
                      />
                    )}
                  </div>
                </td>
                {read.map((row, at) => (
                  <td
                    // biome-ignore lint/suspicious/noArrayIndexKey: rows of a file have no other name than their place.
                    key={at}
                    className="max-w-48 truncate pr-4 text-[15px]"
                  >
                    <Stored id={id} field={field} row={row} />
                  </td>
                ))}
              </tr>
            );
          })}
        </tbody>
      </WideTable>
      <div className="flex flex-wrap gap-4">
        {has('day') && (
          <Picker
            label={t`Dates are written`}
            value={mapping.dateOrder ?? NONE}
            options={[
              { value: NONE, label: t`not said` },
              ...Object.entries(DATE_ORDERS).map(([value, { label }]) => ({
                value: value as DateOrder,
                label: translate(label),
              })),
            ]}
            onChange={(value) =>
              change({ ...mapping, dateOrder: value === NONE ? null : (value as DateOrder) })
            }
          />
        )}
        {(has('figure') || has('figures')) && (
          <Picker
            label={t`Figures are written`}
            value={mapping.decimalMark ?? NONE}
            options={MARKS}
            onChange={(value) => change({ ...mapping, decimalMark: value === NONE ? null : value })}
          />
        )}
      </div>
    </div>
  );
}

function Stored({ id, field, row }: { id: string; field: TableField; row: ReturnType<typeof readRow> }) {
  if (row.ok) return <span className="tabular-nums">{storedWords(field, row.row[id])}</span>;
  const bad = row.bad.find((cell) => cell.field === id);
  return bad ? (
    <span className="text-vermilion">{translate(bad.reason)}</span>
  ) : (
    <span className="text-quiet">–</span>
  );
}
