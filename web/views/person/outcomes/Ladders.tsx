import { t } from '@lingui/core/macro';
import type { ClientRecord } from '#contract/client';
import { RUNG_NAMES } from '#core/plan';
import { LIMB_LABELS, LIMBS } from '#core/quantity';
import { adviseRung, rungInForce } from '#core/record';
import { translate } from '../../../language/translate';
import { Why } from '../../../parts/base/Why';

/** Whether a limb that climbs the ladder is ready for the next rung (PRO-5). */
export function Ladders({ client: { facts, judgedAtMs } }: { client: ClientRecord }) {
  const limbs = LIMBS.filter((limb) => rungInForce(facts, limb));
  if (limbs.length === 0) return null;
  return (
    <section aria-label={t`Ready to go on`}>
      <h3 className="font-semibold">
        {t`Ready to go on?`} <Why rule="PRO-5" />
      </h3>
      <ul className="border-t border-rule">
        {limbs.map((limb) => {
          const { move, to, why } = adviseRung(facts, limb, judgedAtMs);
          return (
            <li key={limb} className="border-b border-rule py-1">
              {translate(LIMB_LABELS[limb])}: <strong>{MOVES[move]}</strong>
              {move !== 'done' && ` ${translate(RUNG_NAMES[to])}`}.{' '}
              <span className="text-quiet">{translate(why)}</span>
            </li>
          );
        })}
      </ul>
    </section>
  );
}

const MOVES = {
  begin: t`begin with`,
  up: t`up to`,
  stay: t`stay on`,
  down: t`down to`,
  done: 'done',
} as const;
