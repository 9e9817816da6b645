import { t } from '@lingui/core/macro';
import { useState } from 'react';
import type { Message } from '#core/message';
import { LIGHTER_WAYS, type Lighter, type Plan, WHY_LIGHTER } from '#core/plan';
import { hasPressure } from '#core/record';
import { translate } from '../../../language/translate';
import { Button } from '../../../parts/base/Button';
import { Choice } from '../../../parts/fields/Choice';
import { useAction } from '../../../parts/keys/use-action';

const optionsOf = <Id extends string>(words: Record<Id, Message>) =>
  (Object.keys(words) as Id[]).map((value) => ({ value, label: translate(words[value]) }));

/** The session made lighter for today alone: offered at once to who slept badly, by L to anyone (rule SCR-3). */
export function LighterToday({
  plan,
  lighter,
  onChange,
}: {
  plan: Plan;
  lighter: Lighter | null;
  onChange: (lighter: Lighter | null) => void;
}) {
  const ways = optionsOf(LIGHTER_WAYS).filter(({ value }) => value === 'sets' || hasPressure(plan));
  const toggle = () => onChange(lighter ? null : { how: ways[0]?.value ?? 'sets', why: 'slept-badly' });
  useAction('lighter', toggle);
  if (!lighter)
    return (
      <Button does="lighter" onClick={toggle}>
        {t`Lighter today`}
      </Button>
    );
  return (
    <section
      aria-label={t`Lighter today`}
      className="notched flex max-w-4xl flex-wrap items-end gap-x-8 gap-y-3 py-2"
    >
      <Choice
        label={t`Lighter today, and only today`}
        value={lighter.how}
        onChange={(how) => onChange({ ...lighter, how })}
        options={ways}
      />
      <Choice
        label={t`Because`}
        value={lighter.why}
        onChange={(why) => onChange({ ...lighter, why })}
        options={optionsOf(WHY_LIGHTER)}
      />
      <Button does="lighter" onClick={toggle}>
        {t`As signed`}
      </Button>
    </section>
  );
}

/** What is made lighter, until chosen otherwise: for who slept badly by today's check something is. */
export function useLighter(sleptBadly: boolean, plan: Plan | undefined) {
  const [chosen, setChosen] = useState<Lighter | null | undefined>(undefined);
  const offered: Lighter | null =
    sleptBadly && plan ? { how: hasPressure(plan) ? 'pressure' : 'sets', why: 'slept-badly' } : null;
  return [chosen === undefined ? offered : chosen, setChosen] as const;
}
