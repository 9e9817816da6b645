import { t } from '@lingui/core/macro';
import type { PracticeSettings } from '#contract/practice';
import { RUNG_NAMES } from '#core/plan';
import { rungSchema } from '#core/protocol';
import { translate } from '../../../language/translate';
import { Why } from '../../../parts/base/Why';
import { Picker } from '../../../parts/fields/Picker';

const LEAST = 2;
const OFFERED = [2, 3, 4, 5, 6, 8, 10, 12, 15, 20];

/** How many tolerated sessions of a rung are asked for before the next (rule PRO-5). */
export function RungSessions({
  settings: { rungSessions },
  change,
}: {
  settings: Pick<PracticeSettings, 'rungSessions'>;
  change: (part: Pick<PracticeSettings, 'rungSessions'>) => void;
}) {
  return (
    <fieldset>
      <legend className="text-[15px] font-semibold">
        {t`Tolerated sessions on a rung before the next`} <Why rule="PRO-5" />
      </legend>
      <div className="flex flex-wrap gap-3">
        {rungSchema.options.map((rung) => {
          const asked = rungSessions[rung] ?? LEAST;
          return (
            <div key={rung} className="w-36">
              <Picker
                label={translate(RUNG_NAMES[rung])}
                value={String(asked)}
                onChange={(many) => change({ rungSessions: { ...rungSessions, [rung]: Number(many) } })}
                options={[...new Set([...OFFERED, asked])]
                  .sort((a, b) => a - b)
                  .map((many) => ({ value: String(many), label: String(many) }))}
              />
            </div>
          );
        })}
      </div>
    </fieldset>
  );
}
