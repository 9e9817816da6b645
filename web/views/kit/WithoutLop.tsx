import { t } from '@lingui/core/macro';
import { useState } from 'react';
import type { PracticeSettings } from '#contract/practice';
import { whoMay } from '#core/access/deeds';
import { CEILING_MMHG } from '#core/pressure/arbitrary';
import { RULES } from '#core/rules/catalogue';
import { useMay } from '../../data/queries';
import { told } from '../../language/told';
import { Button } from '../../parts/Button';
import { NumberField } from '../../parts/NumberField';

/** Whether the practice works without a LOP, and how high: off until a clinician says so (rule PRS-7). */
export function WithoutLop({
  settings: { arbitraryUpToMmHg },
  change,
}: {
  settings: Pick<PracticeSettings, 'arbitraryUpToMmHg'>;
  change: (part: Pick<PracticeSettings, 'arbitraryUpToMmHg'>) => void;
}) {
  const mayAllow = useMay('allow-arbitrary');
  const [mmHg, setMmHg] = useState(arbitraryUpToMmHg ?? Number.NaN);
  const isRight = Number.isInteger(mmHg) && mmHg >= CEILING_MMHG.least && mmHg <= CEILING_MMHG.most;
  return (
    <details>
      <summary className="min-h-11 cursor-pointer py-2 text-[15px] font-semibold">
        {t`Without a LOP: ${arbitraryUpToMmHg === null ? t`off` : t`up to ${arbitraryUpToMmHg} mmHg`}`}
      </summary>
      <p className="mb-2 max-w-3xl text-[14px] text-quiet">{told(RULES['PRS-7'].text)}</p>
      {mayAllow ? (
        <form
          className="flex flex-wrap items-end gap-3"
          onSubmit={(event) => {
            event.preventDefault();
            if (isRight) change({ arbitraryUpToMmHg: mmHg });
          }}
        >
          <NumberField
            label={t`The most without a LOP, ${CEILING_MMHG.least} to ${CEILING_MMHG.most}`}
            unit="mmHg"
            value={mmHg}
            onValue={setMmHg}
          />
          {mmHg !== arbitraryUpToMmHg && (
            <Button type="submit" disabled={!isRight}>
              {arbitraryUpToMmHg === null ? t`Switch it on` : t`Save the most`}
            </Button>
          )}
          {arbitraryUpToMmHg !== null && (
            <Button
              onClick={() => {
                setMmHg(Number.NaN);
                change({ arbitraryUpToMmHg: null });
              }}
            >
              {t`Switch it off`}
            </Button>
          )}
        </form>
      ) : (
        <p className="text-[15px]">{told(whoMay('allow-arbitrary'))}</p>
      )}
    </details>
  );
}
