import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { plain } from '../../../words/format';
import { usePracticeBench } from './use-bench';

const signed = (mmHg: number): string => `${mmHg < 0 ? '−' : '+'}${plain(Math.abs(mmHg))}`;

/** How far one is from colleagues on the same simulated limbs; the colleagues are not named. */
export function AgreementWords() {
  const { data } = usePracticeBench();
  if (!data?.agreement) return null;
  const { cases, meanMmHg, limits } = data.agreement;
  return (
    <section className="max-w-prose">
      <h2 className="font-semibold">{t`You and a colleague on the same limbs`}</h2>
      <p>
        <Trans>
          On {cases} {cases === 1 ? t`limb` : t`limbs`} you state {plain(Math.abs(meanMmHg))} mmHg{' '}
          {meanMmHg < 0 ? t`less` : t`more`} in the mean.{' '}
          {limits === 'too few cases' ? (
            t`From three limbs on it is said how far you may be apart.`
          ) : (
            <Trans>
              95 of 100 differences are expected between {signed(limits.lowMmHg)} and{' '}
              {signed(limits.highMmHg)} mmHg.
            </Trans>
          )}
        </Trans>
      </p>
    </section>
  );
}
