import { t } from '@lingui/core/macro';
import type { ClientRecord } from '#contract/client';
import { limitWords } from '#core/record';
import { hasLimits, isInForce } from '#core/screening';
import { translate } from '../../language/translate';
import { day } from '../../words/format';
import { Why } from '../base/Why';

/** The limits of the letters in force, each in its own words too, where what they bind is prescribed and done (rule SCR-2). */
export function LimitsInForce({ client }: { client: ClientRecord }) {
  const { facts, judgedAtMs } = client;
  const bind = facts.clearances.filter(
    (clearance) => isInForce(clearance, judgedAtMs) && (hasLimits(clearance) || clearance.note !== ''),
  );
  return bind.map((clearance) => (
    <p key={`${clearance.givenAtMs} ${clearance.givenBy}`} className="notched py-0.5 text-[15px]">
      <strong>{clearance.givenBy}</strong>
      {clearance.untilMs === null ? '' : t`, until ${day(clearance.untilMs)}`}:{' '}
      {translate(limitWords(clearance))}.{clearance.note !== '' && ` “${clearance.note}”`}{' '}
      <Why rule="SCR-2" />
    </p>
  ));
}
