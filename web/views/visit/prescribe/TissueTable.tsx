import { t } from '@lingui/core/macro';
import { muscleName } from '#core/protocol';
import { LIMB_NAMES } from '#core/quantity';
import { type TissueLine, whyOff } from '#core/record';
import { translate } from '../../../language/translate';
import { WideTable } from '../../../parts/base/WideTable';
import { clock, plain } from '../../../words/format';

const number = 'figures py-1 pr-6 text-right';

/** What each muscle of each limb was given in the last seven days, and where that is off two or three (rule PRO-3). */
export function TissueTable({ lines }: { lines: readonly TissueLine[] }) {
  if (lines.length === 0) return null;
  return (
    <WideTable className="mt-2 text-[15px]">
      <caption className="text-left text-[14px] text-quiet">{t`By muscle, the last seven days`}</caption>
      <thead>
        <tr className="border-b border-ink/40 text-left">
          {[t`Muscle`, t`Days`, t`Sets`, t`Occluded`, '%LOP·min', t`Heavy sets`].map((label, place) => (
            <th
              key={label}
              scope="col"
              className={`py-1 pr-6 font-semibold ${place > 0 ? 'text-right' : ''}`}
            >
              {label}
            </th>
          ))}
          <th scope="col">
            <span className="sr-only">{t`What it says`}</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {lines.map((line) => {
          const off = whyOff(line);
          return (
            <tr key={`${line.muscle} ${line.limb}`} className="border-b border-rule">
              <th scope="row" className="py-1 pr-6 text-left font-normal first-letter:uppercase">
                {translate(muscleName(line.muscle))}, {translate(LIMB_NAMES[line.limb])}
              </th>
              <td className={number}>{line.days}</td>
              <td className={number}>{line.sets}</td>
              <td className={number}>{clock(line.occludedMs)}</td>
              <td className={number}>{line.percentLopMin === null ? '–' : plain(line.percentLopMin, 0)}</td>
              <td className={number}>{line.heavySets === 0 ? '–' : line.heavySets}</td>
              <td>
                {off && (
                  <span className="notched text-[14px] text-ochre first-letter:uppercase">
                    {translate(off)}
                  </span>
                )}
              </td>
            </tr>
          );
        })}
      </tbody>
    </WideTable>
  );
}
