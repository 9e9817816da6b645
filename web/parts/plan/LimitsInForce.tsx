import { t } from '@lingui/core/macro';
import type { ClientRecord } from '#contract/client';
import { RUNG_NAMES } from '#core/plan';
import { rangeWords, WORK_MODE_NAMES } from '#core/protocol';
import { LIMB_NAMES } from '#core/quantity';
import { type Clearance, hasLimits, isInForce } from '#core/screening';
import { translate } from '../../language/translate';
import { day } from '../../words/format';
import { Why } from '../base/Why';

/** What a clearance limits, in words; "no limits" when nothing. */
export function limitWords({ maxPercentLop, limbs, modes, highestRung, ranges }: Clearance): string {
  const parts = [
    limbs.length > 0 ? limbs.map((limb) => translate(LIMB_NAMES[limb])).join(', ') : '',
    maxPercentLop === null ? '' : t`to ${maxPercentLop} % of LOP`,
    modes.length > 0 ? t`${modes.map((mode) => translate(WORK_MODE_NAMES[mode])).join(', ')} only` : '',
    highestRung === null ? '' : t`up to ${translate(RUNG_NAMES[highestRung])} work`,
    ...ranges.map((range) => translate(rangeWords(range))),
  ];
  return parts.filter(Boolean).join('; ') || t`no limits`;
}

/** The limits of the letters in force, each in its own words too, where what they bind is prescribed and done (rule SCR-2). */
export function LimitsInForce({ client }: { client: ClientRecord }) {
  const { facts, judgedAtMs } = client;
  const bind = facts.clearances.filter(
    (clearance) => isInForce(clearance, judgedAtMs) && (hasLimits(clearance) || clearance.note !== ''),
  );
  return bind.map((clearance) => (
    <p key={`${clearance.givenAtMs} ${clearance.givenBy}`} className="notched py-0.5 text-[15px]">
      <strong>{clearance.givenBy}</strong>
      {clearance.untilMs === null ? '' : t`, until ${day(clearance.untilMs)}`}: {limitWords(clearance)}.
      {clearance.note !== '' && ` “${clearance.note}”`} <Why rule="SCR-2" />
    </p>
  ));
}
