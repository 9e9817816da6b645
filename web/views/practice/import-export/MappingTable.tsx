import { t } from '@lingui/core/macro';
import { useMemo } from 'react';
import type { PracticeView } from '#contract/practice';
import { LIMB_LABELS, LIMBS, type Limb } from '#core/quantity';
import {
  type Branch,
  fieldsOf,
  type MappedField,
  type Mapping,
  type ReadBy,
  readRow,
  recognise,
  type TableField,
} from '#core/table';
import { serverNow } from '../../../data/clock';
import { translate } from '../../../language/translate';
import { WideTable } from '../../../parts/base/WideTable';
import { Picker } from '../../../parts/fields/Picker';
import { isoDay } from '../../../words/noon';
import type { Look } from '../../../workers/table.worker';
import { MappedCell } from './MappedCell';
import { knownNames } from './names';
import { storedWords } from './stored-words';

const SHOWN_ROWS = 3;

type Props = {
  mapping: Mapping;
  look: Look;
  practice: PracticeView;
  /** After another column: how its dates and figures are written follows from its rows. */
  change: (mapping: Mapping) => void;
  /** After a unit, an order of dates or a decimal mark was chosen, which stays. */
  choose: (mapping: Mapping) => void;
};

/** Each field with the column it is read from, and its first rows as they will be stored; in a wide table, limb by limb. */
export function MappingTable({ mapping, look, practice, change, choose }: Props) {
  const { massUnit, lengthUnit, dateOrder } = practice.settings;
  const by: ReadBy = { units: { mass: massUnit, length: lengthUnit }, today: isoDay(serverNow()) };
  const known = knownNames(practice);
  const firstRows = (of: Mapping) =>
    look.rows.slice(0, SHOWN_ROWS).map((cells) => readRow(cells, of, known, by)[0]);
  const { wide } = mapping;
  const fields = fieldsOf(mapping.kind);
  const inBranches = new Set((wide?.branches ?? []).flatMap((branch) => Object.keys(branch.fields)));
  const withBranch = (at: number, branch: Branch): Mapping => ({
    ...mapping,
    wide: wide && { ...wide, branches: wide.branches.map((one, place) => (place === at ? branch : one)) },
  });
  const shown = firstRows(mapping);
  // Only a table that is read row by row may be a wide one by its headings.
  const sided = useMemo(
    () =>
      wide ??
      recognise(mapping.kind, look.headings, look.rows, {
        dateOrder,
        units: { mass: massUnit, length: lengthUnit },
      }).wide,
    [wide, mapping.kind, look, dateOrder, massUnit, lengthUnit],
  );
  const row = (
    id: string,
    field: TableField,
    label: string,
    mapped: MappedField | undefined,
    read: readonly (ReturnType<typeof readRow>[number] | undefined)[],
    to: (mapped: MappedField | null) => Mapping,
  ) => (
    <tr key={label} className="border-t border-rule align-middle">
      <th scope="row" className="py-1.5 pr-4 text-left font-semibold">
        {label}
        {field.optional && <span className="text-[14px] font-normal text-quiet"> {t`if it is there`}</span>}
      </th>
      <td className="pr-4">
        <MappedCell
          label={label}
          field={field}
          mapped={mapped}
          look={look}
          practice={practice}
          units={by.units}
          change={(next) => change(to(next))}
          choose={(next) => choose(to(next))}
        />
      </td>
      {read.map((one, at) => (
        <td
          // biome-ignore lint/suspicious/noArrayIndexKey: rows of a file have no other name than their place.
          key={at}
          className="max-w-48 truncate pr-4 text-[15px]"
        >
          <Stored id={id} field={field} row={one} practice={practice} />
        </td>
      ))}
    </tr>
  );
  return (
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
        {fields
          .filter(([id]) => !inBranches.has(id) && id !== wide?.field)
          .map(([id, field]) =>
            row(id, field, translate(field.label), mapping.fields[id], shown, (mapped) => ({
              ...mapping,
              fields: withField(mapping.fields, id, mapped),
            })),
          )}
        {wide?.branches.map((branch, at) => {
          const one = firstRows({ ...mapping, wide: { ...wide, branches: [branch] } });
          return [
            <tr key={branch.heading} className="border-t border-ink/40">
              <th scope="row" className="py-1.5 pr-4 text-left font-semibold">
                {t`Columns like “${branch.heading}”`}
              </th>
              <td colSpan={1 + SHOWN_ROWS}>
                {wide.field === 'limb' && (
                  <Picker
                    label={t`Limb of “${branch.heading}”`}
                    hideLabel
                    value={branch.value ?? NO_LIMB}
                    options={[
                      { value: NO_LIMB, label: t`choose the limb` },
                      ...LIMBS.map((value) => ({
                        value: value as string,
                        label: translate(LIMB_LABELS[value]),
                      })),
                    ]}
                    onChange={(value) =>
                      choose(withBranch(at, { ...branch, value: value === NO_LIMB ? null : (value as Limb) }))
                    }
                  />
                )}
              </td>
            </tr>,
            ...fields
              .filter(([id]) => inBranches.has(id))
              .map(([id, field]) =>
                row(
                  id,
                  field,
                  `${translate(field.label)}, ${branch.heading}`,
                  branch.fields[id],
                  one,
                  (mapped) => withBranch(at, { ...branch, fields: withField(branch.fields, id, mapped) }),
                ),
              ),
          ];
        })}
      </tbody>
      {sided && (
        <tfoot>
          <tr>
            <td colSpan={2 + SHOWN_ROWS} className="border-t border-rule">
              <button
                type="button"
                className="min-h-11 underline underline-offset-4"
                onClick={() => change(wide ? { ...mapping, wide: null } : { ...mapping, wide: sided })}
              >
                {wide
                  ? t`Each row is of one limb: choose the column that says which`
                  : t`Left and right are next to each other`}
              </button>
            </td>
          </tr>
        </tfoot>
      )}
    </WideTable>
  );
}

const NO_LIMB = 'none';

/** Fields with another source for one of them, or without it. */
function withField(fields: Mapping['fields'], id: string, mapped: MappedField | null): Mapping['fields'] {
  const { [id]: _, ...others } = fields;
  return mapped ? { ...others, [id]: mapped } : others;
}

function Stored({
  id,
  field,
  row,
  practice,
}: {
  id: string;
  field: TableField;
  practice: PracticeView;
  row: ReturnType<typeof readRow>[number] | undefined;
}) {
  if (row?.ok) return <span className="tabular-nums">{storedWords(field, row.row[id], practice)}</span>;
  const bad = row?.bad.find((cell) => cell.field === id);
  return bad ? (
    <span className="text-vermilion">{translate(bad.reason)}</span>
  ) : (
    <span className="text-quiet">–</span>
  );
}
