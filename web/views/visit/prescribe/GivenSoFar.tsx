import { t } from '@lingui/core/macro';
import { LIMB_NAMES } from '#core/quantity';
import type { LastReview } from '#core/record';
import type { Totals } from '#core/session';
import { translate } from '../../../language/translate';
import { clock, plain } from '../../../words/format';
import { useUnits } from '../../../words/units';
import { TissueTable } from './TissueTable';

/** What was given already, per limb: the last seven days, and the block (rule RUN-5). */
export function GivenSoFar({ given, hasBlock }: { given: LastReview['given']; hasBlock: boolean }) {
  if (given.week.sessions === 0 && given.block.sessions === 0 && given.tissue.length === 0) return null;
  return (
    <section aria-label={t`Given so far`}>
      <h3 className="font-semibold">{t`Given so far`}</h3>
      <Line name={t`Last seven days`} totals={given.week} />
      {hasBlock && <Line name={t`This block`} totals={given.block} />}
      <TissueTable lines={given.tissue} />
    </section>
  );
}

function Line({ name, totals }: { name: string; totals: Totals }) {
  const { mass } = useUnits();
  const limbs = totals.limbs.map(
    ({ limb, totalOcclusionMs, pressureTimeMmHgMin }) =>
      t`${translate(LIMB_NAMES[limb])} ${clock(totalOcclusionMs)} occluded${pressureTimeMmHgMin === null ? t`, by feel` : `, ${plain(pressureTimeMmHgMin, 0)} mmHg·min`}`,
  );
  return (
    <p className="text-[15px]">
      {name}: {totals.sessions} {totals.sessions === 1 ? t`session` : t`sessions`}
      {totals.sessions > 0 &&
        t`; ${limbs.join('; ')}; ${plain(mass.inUnit(totals.volumeKgReps), 0)} ${mass.unit}·reps`}
      .
    </p>
  );
}
