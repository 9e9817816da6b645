import { t } from '@lingui/core/macro';
import { readRow, type TrialRow } from '#core/measuring';
import { bracket } from '#core/occlusion-pressure';
import { translate } from '../../../language/translate';
import { FieldError } from '../../../parts/fields/Field';
import { NumberInput } from '../../../parts/fields/NumberInput';

const SIDES = { gone: t`gone`, back: t`back` } as const;

/** Trials as rows that can be typed and corrected; what is wrong is beneath its row. */
export function TrialTable({
  rows,
  current,
  onChange,
}: {
  rows: readonly TrialRow[];
  current: number | null;
  onChange: (place: number, row: TrialRow) => void;
}) {
  return (
    <table className="w-full max-w-[640px] border-t border-ink/40">
      <thead>
        <tr className="text-left text-[14px] text-quiet">
          <th className="py-1 pr-3 font-normal">{t`Trial`}</th>
          <th className="font-normal">{t`Gone at`}</th>
          <th className="font-normal">{t`Back at`}</th>
          <th className="font-normal">{t`Leaves`}</th>
        </tr>
      </thead>
      <tbody>
        {rows.map((row, place) => {
          const read = readRow(row);
          const wrong = read.state === 'wrong' ? read : null;
          return (
            <tr
              // biome-ignore lint/suspicious/noArrayIndexKey: a row has no identity but its place
              key={place}
              className={`border-t border-rule align-top ${place === current ? 'bg-tint' : ''}`}
            >
              <td className="px-2 py-2">{place + 1}</td>
              {(['gone', 'back'] as const).map((side) => (
                <td key={side} className="py-1 pr-3">
                  <NumberInput
                    kind="whole"
                    aria-label={t`Trial ${place + 1}, pulse ${SIDES[side]} at, mmHg`}
                    aria-invalid={wrong?.field === side ? true : undefined}
                    value={row[side]}
                    onChange={(event) => onChange(place, { ...row, [side]: event.target.value })}
                    className={`figures min-h-10 w-20 rounded-sm border bg-paper px-2 text-xl ${wrong?.field === side ? 'border-ochre' : 'border-ink/40'}`}
                  />
                </td>
              ))}
              <td className="py-2">
                {wrong && <FieldError>{wrong.words}</FieldError>}
                {read.state === 'whole' && (
                  <span className="figures whitespace-nowrap">{leaves(read.trial)}</span>
                )}
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}

function leaves(trial: Parameters<typeof bracket>[0]): string {
  const result = bracket(trial);
  return result.consistent
    ? `${result.bracket.low}–${result.bracket.high} mmHg`
    : t`not used. ${translate(result.words)}`;
}
