import { t } from '@lingui/core/macro';
import type { Plan } from '#core/plan';
import { emergencyPhoneAt } from '#core/quantity';
import { usePractice } from '../../data/queries';
import { translate } from '../../language/translate';

/** Where a plan is done, when it is open there, and the emergency number of that place. */
export function PlaceLine({ plan: { place } }: { plan: Pick<Plan, 'place'> }) {
  const settings = usePractice().data?.settings;
  return (
    <p className="text-[15px]">
      {place && (
        <>
          {t`Done ${translate(place.label)}`}
          {place.hours && `, ${place.hours}`}
          {'. '}
        </>
      )}
      {t`Emergency number:`}{' '}
      <strong className="figures">{settings && emergencyPhoneAt(place, settings)}</strong>
    </p>
  );
}
