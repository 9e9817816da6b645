import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useMemo } from 'react';
import { type Basis, compareSchools, type SchoolRow, type SessionChoice, staysInflated } from '#core/plan';
import { SCHOOLS } from '#core/protocol';
import { translate } from '../../../language/translate';
import { WideTable } from '../../../parts/base/WideTable';
import { clock } from '../../../words/format';
import { useUnits } from '../../../words/units';

/** The same person under each school; what differs from the chosen one stands out. */
export function SchoolsTable({
  session,
  basis,
  choose,
}: {
  session: SessionChoice;
  basis: Basis;
  choose: (row: SchoolRow) => void;
}) {
  const { mass } = useUnits();
  const rows = useMemo(() => compareSchools(session, basis), [session, basis]);
  const chosen = session.schoolId;
  const mine = rows.find(({ schoolId }) => schoolId === chosen);
  const columns: { head: string; of: (row: SchoolRow) => string }[] = [
    { head: '% LOP', of: ({ pressure }) => `${pressure?.percentLop ?? '–'}` },
    { head: 'mmHg', of: ({ pressure }) => `${pressure?.pressureMmHg ?? '–'}` },
    { head: mass.unit, of: ({ loadKg }) => (loadKg === null ? '–' : mass.show(loadKg)) },
    { head: t`Occluded`, of: ({ occludedMs }) => clock(occludedMs) },
    { head: t`Longest`, of: ({ longestMs }) => clock(longestMs) },
    { head: t`Lasts`, of: ({ lastsMs }) => clock(lastsMs) },
  ];
  return (
    <WideTable className="w-full max-w-3xl">
      <caption className="text-left text-[14px] text-quiet">
        {t`This week’s start of each school for the same exercises; pressure and load of the first one. Bold: differs from ${translate(SCHOOLS[chosen].label)}.`}
      </caption>
      <thead>
        <tr className="text-left text-[14px] text-quiet">
          <th className="py-1 font-normal">{t`School`}</th>
          {columns.map(({ head }) => (
            <th key={head} className="font-normal">
              {head}
            </th>
          ))}
          <th className="font-normal">{t`Between sets, last set`}</th>
          <th>
            <span className="sr-only">{t`Choose`}</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {rows.map((row) => (
          <tr
            key={row.schoolId}
            className={`border-t border-rule ${row.schoolId === chosen ? 'bg-tint' : ''}`}
          >
            <td className="py-1.5 pr-2">{translate(SCHOOLS[row.schoolId].label)}</td>
            {columns.map(({ head, of }) => (
              <td key={head} className={`figures pr-2 ${mine && of(row) !== of(mine) ? 'font-bold' : ''}`}>
                {of(row)}
              </td>
            ))}
            <td className="pr-2 text-[14px]">
              {row.session.exercises.every(staysInflated) ? t`stays inflated` : t`released`},{' '}
              {translate(SCHOOLS[row.schoolId].lastSet)}
            </td>
            <td>
              {row.schoolId !== chosen && (
                <button
                  type="button"
                  className="min-h-9 underline underline-offset-4"
                  onClick={() => choose(row)}
                >
                  <Trans>
                    Use<span className="sr-only"> {translate(SCHOOLS[row.schoolId].label)}</span>
                  </Trans>
                </button>
              )}
            </td>
          </tr>
        ))}
      </tbody>
    </WideTable>
  );
}
