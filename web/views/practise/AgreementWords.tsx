import { usePracticeBench } from './use-bench';

const signed = (mmHg: number): string => (mmHg < 0 ? `−${Math.abs(mmHg)}` : `+${mmHg}`);

/** How far one is from colleagues on the same simulated limbs; whom one is compared with is not said. */
export function AgreementWords() {
  const { data } = usePracticeBench();
  if (!data?.agreement) return null;
  const { cases, meanMmHg, limits } = data.agreement;
  return (
    <section className="max-w-prose">
      <h2 className="font-semibold">You and a colleague on the same limbs</h2>
      <p>
        On {cases} {cases === 1 ? 'limb' : 'limbs'} you state{' '}
        <span className="figures">{Math.abs(meanMmHg)} mmHg</span> {meanMmHg < 0 ? 'less' : 'more'} in the
        mean.{' '}
        {limits === 'too few cases' ? (
          'From three limbs on it is said how far you may be apart.'
        ) : (
          <>
            95 of 100 differences are expected between{' '}
            <span className="figures">{signed(limits.lowMmHg)}</span> and{' '}
            <span className="figures">{signed(limits.highMmHg)}</span> mmHg.
          </>
        )}
      </p>
    </section>
  );
}
