import { t } from '@lingui/core/macro';
import { addMilliseconds, format } from 'date-fns';
import { doseOf, type Plan, type SessionChoice, type Timeline } from '#core/plan';
import { LIMB_LABELS } from '#core/quantity';
import { translate } from '../../../language/translate';
import { OcclusionStrip } from '../../../parts/drawing/OcclusionStrip';
import { useNow } from '../../../parts/time/use-now';
import { clock } from '../../../words/format';
import { StripHandles } from './StripHandles';

const MINUTE_MS = 60_000;
const COMPACT_LANE = 60;

/** The planned session on the strip, edited by dragging, with what it adds up to above it. */
export function PlanStrip({
  plan,
  timeline,
  session,
  change,
}: {
  plan: Plan;
  timeline: Timeline;
  session: SessionChoice;
  change: (next: SessionChoice) => void;
}) {
  const nowMs = useNow(MINUTE_MS);
  const dose = doseOf(timeline);
  return (
    <section aria-label={t`The session on the strip`}>
      <dl className="flex flex-wrap gap-x-8 gap-y-1 pb-2">
        {dose.limbs.map(({ limb, totalOcclusionMs, longestContinuousMs }) => (
          <Amount key={limb} name={t`${translate(LIMB_LABELS[limb])} occluded`}>
            {t`${clock(totalOcclusionMs)}, longest ${clock(longestContinuousMs)}`}
          </Amount>
        ))}
        {dose.limbs.length > 1 && <Amount name={t`Any cuff up`}>{clock(dose.occludedMs)}</Amount>}
        {dose.reps > 0 && <Amount name={t`Repetitions`}>{dose.reps}</Amount>}
        <Amount name={t`Lasts, if begun now`}>
          {t`${clock(timeline.endMs)}, ends ${format(addMilliseconds(nowMs, timeline.endMs), 'HH:mm')}`}
        </Amount>
      </dl>
      <OcclusionStrip
        planned={timeline}
        plan={plan}
        laneHeight={COMPACT_LANE}
        handles={(scale) => (
          <StripHandles scale={scale} timeline={timeline} session={session} change={change} />
        )}
      />
    </section>
  );
}

function Amount({ name, children }: { name: string; children: React.ReactNode }) {
  return (
    <div>
      <dt className="text-[13px] text-quiet">{name}</dt>
      <dd className="figures text-[15px]">{children}</dd>
    </div>
  );
}
