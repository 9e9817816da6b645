import { t } from '@lingui/core/macro';
import type { PracticeView } from '#contract/practice';
import { expectedOcclusionPressureMmHg, type OcclusionFact } from '#core/occlusion-pressure';
import type { MeasuredTarget } from '#core/plan';
import { rangeSensitivity } from '#core/pressure';
import { LIMB_LABELS } from '#core/quantity';
import { usePracticeSpread } from '../../../../data/queries';
import { figure, translate } from '../../../../language/translate';
import { plain } from '../../../../words/format';

/** How sure the pressure is, what would make it surer, and what another width of cuff would mean. */
export function RangeIfs({
  limbs,
  facts,
  practice,
}: {
  limbs: readonly MeasuredTarget[];
  facts: readonly OcclusionFact[];
  practice: PracticeView;
}) {
  const spread = usePracticeSpread();
  const [finest] = [...practice.pumps].sort((a, b) => a.divisionMmHg - b.divisionMmHg);
  return (
    <details className="@container">
      <summary className="min-h-11 cursor-pointer py-2 text-[15px] font-semibold">
        {t`How sure the pressure is`}
      </summary>
      {limbs.map((target) => {
        const fact = facts.find(({ id }) => id === target.occlusionId);
        if (!fact || !finest) return null;
        const rows = rangeSensitivity(
          { ...fact, pressureMmHg: fact.pressure.value },
          target.percentLop,
          finest,
          spread,
        );
        return (
          <div key={target.limb} className="mb-4 max-w-3xl">
            <p className="font-semibold">{t`${translate(LIMB_LABELS[target.limb])}: ${target.percentLop} % asked`}</p>
            <ul>
              {rows.map(({ label, uncertaintyMmHg, low, high }) => (
                <li
                  key={translate(label)}
                  className="grid grid-cols-[1fr_auto] items-center gap-x-3 border-t border-rule py-1 @xl:grid-cols-[17rem_5rem_1fr]"
                >
                  <span>{translate(label)}</span>
                  <span className="figures">± {plain(uncertaintyMmHg)}</span>
                  <span className="col-span-2 @xl:col-span-1">
                    <RangeBar low={low} high={high} asked={target.percentLop} />
                  </span>
                </li>
              ))}
            </ul>
            <p className="mt-1 text-[14px] text-quiet">{widthWords(fact, practice)}</p>
          </div>
        );
      })}
    </details>
  );
}

const FROM = 30;
const TO = 105;

/** The true range on a scale of %LOP, with the share that was asked for. */
function RangeBar({ low, high, asked }: { low: number; high: number; asked: number }) {
  const at = (percent: number) => `${(100 * (Math.min(TO, Math.max(FROM, percent)) - FROM)) / (TO - FROM)}%`;
  return (
    <span className="flex items-center gap-3">
      <span className="relative h-4 flex-1 border-b border-ink/40" aria-hidden="true">
        <span
          className="absolute top-0 h-full bg-plum/40"
          style={{ left: at(low), width: `calc(${at(high)} - ${at(low)})` }}
        />
        <span className="absolute top-0 h-full w-0.5 bg-ink" style={{ left: at(asked) }} />
      </span>
      <span className="figures w-32 text-[15px]">
        {figure(low)}–{figure(high)} %LOP
      </span>
    </span>
  );
}

/** What a narrower or wider cuff would mean: a rule of thumb to explain, never a pressure to use (FIT-3, LOP-7). */
function widthWords({ widthCm, girthCm, cuffId, limb }: OcclusionFact, { cuffs }: PracticeView): string {
  const kind = limb.endsWith('arm') ? 'arm' : 'leg';
  const others = cuffs
    .filter(({ id, limbKind, widthCm: width }) => id !== cuffId && limbKind === kind && width !== widthCm)
    .map(
      ({ label, widthCm: width }) =>
        t`${label}, ${plain(width)} cm: about ${plain(expectedOcclusionPressureMmHg({ girthCm, widthCm: width }), 0)} mmHg`,
    );
  const mine = t`Width ÷ girth is ${plain(widthCm / girthCm, 2)}. A narrow cuff needs more pressure than a wide one, so a pressure never carries over.`;
  return others.length > 0
    ? t`${mine} By a rule of thumb, to be measured and never used: ${others.join('; ')}.`
    : mine;
}
