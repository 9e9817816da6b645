import { t } from '@lingui/core/macro';
import { Link } from 'react-router';
import { type AerobicEstimate, missingWords } from '#core/aerobic';
import type { Basis } from '#core/plan';
import type { Exercise, Intensity } from '#core/protocol';
import { translate } from '../../../../language/translate';
import { Figure } from '../../../../parts/base/Figure';

/** What an intensity is on the machine, on the heart and of VO2max, with its working; and what to record where it is not known. */
export function IntensityEstimate({
  clientId,
  exercise: { ergometry },
  intensity,
  estimate,
  basis: { fitness },
}: {
  clientId: string;
  exercise: Pick<Exercise, 'ergometry'>;
  intensity: Intensity;
  estimate: AerobicEstimate | undefined;
  basis: Pick<Basis, 'fitness'>;
}) {
  const { watts, speed, zone, percentVo2max } = estimate ?? {};
  const missing = missingWords({ ergometry, intensity }, fitness);
  const size = 'text-2xl';
  return (
    <div className="mt-2 space-y-2">
      {(watts || speed || zone || percentVo2max) && (
        <div className="flex flex-wrap gap-x-6 gap-y-2">
          {watts && <Figure label={t`About, on the bike`} derived={watts} size={size} />}
          {speed && (
            <Figure
              label={t`About, on foot`}
              derived={speed.kmPerHour}
              suffix={
                speed.gradientPercent > 0 ? t`km/h at ${speed.gradientPercent} %` : t`km/h on the level`
              }
              size={size}
            />
          )}
          {zone && <Figure label={t`Heart rate, from`} derived={zone.lowPerMinute} size={size} />}
          {zone && <Figure label={t`Heart rate, to`} derived={zone.highPerMinute} size={size} />}
          {percentVo2max && (
            <Figure label={t`About`} derived={percentVo2max} suffix={t`% of VO2max`} size={size} />
          )}
        </div>
      )}
      {missing && (
        <p className="text-[14px] text-quiet">
          {translate(missing)}{' '}
          <Link to={`/people/${clientId}/outcomes`} className="underline underline-offset-4">
            {t`Outcomes`}
          </Link>
        </p>
      )}
    </div>
  );
}
