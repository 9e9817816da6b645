import { t } from '@lingui/core/macro';
import type { ClientRecord } from '#contract/client';
import type { Plan } from '#core/plan';
import { exposureWords } from '#core/pressure';
import { dailyExposures } from '#core/record';
import { translate } from '../../../language/translate';

/** Before cycles of the cuff: how long each limb was under one today, and with these (rule PRS-9). */
export function DayExposure({ client, plan }: { client: ClientRecord; plan: Plan }) {
  const exposures = dailyExposures(plan, client.facts, client.judgedAtMs);
  if (exposures.length === 0) return null;
  return (
    <ul aria-label={t`Under the cuff today`} className="figures text-[15px]">
      {exposures.map((exposure) => (
        <li key={exposure.limb}>{translate(exposureWords(exposure))}.</li>
      ))}
    </ul>
  );
}
