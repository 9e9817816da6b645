import { t } from '@lingui/core/macro';
import { isAside, measuredWords, newestPair, otherSideOf, type Series, symmetry } from '#core/outcomes';
import { limbSide } from '#core/quantity';
import { translate } from '../../../language/translate';
import { Why } from '../../../parts/base/Why';
import { day, plain } from '../../../words/format';

/** Weaker over stronger, where both limbs were taken (rule OUT-3). */
export function Symmetries({ series }: { series: readonly Series[] }) {
  const pairs = series.flatMap((left) => {
    const { limb } = left;
    if (!limb || limbSide(limb) !== 'left' || isAside(left)) return [];
    const right = otherSideOf(left, series);
    const pair = right && newestPair(left.points, right.points);
    const found = pair && symmetry(...pair);
    return found
      ? [
          {
            key: left.key,
            label: measuredWords({ limb: null, setting: left.setting }, left.measure),
            atMs: pair[0].atMs,
            found,
          },
        ]
      : [];
  });
  if (pairs.length === 0) return null;
  return (
    <section aria-label={t`Symmetry`}>
      <h3 className="font-semibold">
        {t`Side against side`} <Why rule="OUT-3" />
      </h3>
      <ul className="border-t border-rule">
        {pairs.map(({ key, label, atMs, found: { ratio, interval, weaker } }) => (
          <li key={key} className="flex flex-wrap items-baseline gap-x-6 border-b border-rule py-1">
            <span className="w-60">
              {translate(label)}
              <span className="text-[14px] text-quiet">, {day(atMs)}</span>
            </span>
            <span>
              {weaker === 'equal' ? t`Alike` : t`${weaker === 'left' ? t`Left` : t`Right`} is less`}:{' '}
              <span className="figures text-lg">{plain(100 * ratio, 0)} %</span>{' '}
              <span className="text-quiet">
                {t`(${plain(100 * interval.low, 0)} to ${plain(100 * interval.high, 0)} %${interval.high >= 1 ? t`, could be alike` : ''})`}
              </span>
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
