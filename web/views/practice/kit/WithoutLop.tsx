import { t } from '@lingui/core/macro';
import type { PracticeSettings } from '#contract/practice';
import { whoMay } from '#core/access';
import { CEILING_MMHG } from '#core/pressure';
import { toNumber } from '#core/quantity';
import { RULES } from '#core/rules';
import { useMay } from '../../../data/queries';
import { translate } from '../../../language/translate';
import { Button } from '../../../parts/base/Button';
import { Field } from '../../../parts/fields/Field';
import { reads, useFields } from '../../../parts/forms/use-fields';

const { least, most } = CEILING_MMHG;

/** Whether the practice works without a LOP, and how high: off until a clinician says so (rule PRS-7). */
export function WithoutLop({
  settings: { arbitraryUpToMmHg },
  change,
}: {
  settings: Pick<PracticeSettings, 'arbitraryUpToMmHg'>;
  change: (part: Pick<PracticeSettings, 'arbitraryUpToMmHg'>) => void;
}) {
  const mayAllow = useMay('allow-arbitrary');
  const { typed, set, field, send } = useFields(
    { mmHg: String(arbitraryUpToMmHg ?? '') },
    null,
    reads(({ mmHg }) => {
      const typedMmHg = toNumber(mmHg);
      return Number.isInteger(typedMmHg) && typedMmHg >= least && typedMmHg <= most
        ? { sent: typedMmHg }
        : { wrong: { mmHg: t`Enter a whole number from ${least} to ${most}.` } };
    }),
  );
  return (
    <details>
      <summary className="min-h-11 cursor-pointer py-2 text-[15px] font-semibold">
        {t`Without a LOP: ${arbitraryUpToMmHg === null ? t`off` : t`up to ${arbitraryUpToMmHg} mmHg`}`}
      </summary>
      <p className="mb-2 max-w-3xl text-[14px] text-quiet">{translate(RULES['PRS-7'].text)}</p>
      {mayAllow ? (
        <form
          className="flex flex-wrap items-end gap-3"
          {...send((mmHg) => change({ arbitraryUpToMmHg: mmHg }))}
        >
          <Field
            label={t`The most without a LOP, ${least} to ${most}`}
            unit="mmHg"
            number="whole"
            {...field('mmHg')}
          />
          {toNumber(typed.mmHg) !== arbitraryUpToMmHg && (
            <Button type="submit">{arbitraryUpToMmHg === null ? t`Switch it on` : t`Save the most`}</Button>
          )}
          {arbitraryUpToMmHg !== null && (
            <Button
              onClick={() => {
                set('mmHg', '');
                change({ arbitraryUpToMmHg: null });
              }}
            >
              {t`Switch it off`}
            </Button>
          )}
        </form>
      ) : (
        <p className="text-[15px]">{translate(whoMay('allow-arbitrary'))}</p>
      )}
    </details>
  );
}
