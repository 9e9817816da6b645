import { t } from '@lingui/core/macro';
import { useState } from 'react';
import type { ClientRecord } from '#contract/client';
import type { HeavyWork } from '#core/strength';
import { failureWords } from '../../data/api';
import { dayAndTime } from '../../words/format';
import { heavyWorkWords } from '../../words/heavy-work-words';
import { useUnits } from '../../words/units';
import { Button } from '../base/Button';
import { Why } from '../base/Why';
import { FieldError } from '../fields/Field';
import { HeavyForm, useHeavyWork } from './HeavyForm';

const SHOWN = 3;

/** Heavy work without a cuff in one line: typed, or as last time (rule PRO-4). Nothing else of a training diary. */
export function HeavyWorkLine({ client }: { client: ClientRecord }) {
  const [open, setOpen] = useState(false);
  const { mass } = useUnits();
  const { write, keep } = useHeavyWork(client.id, () => setOpen(false));
  const done = [...client.facts.heavyWork].sort((a, b) => b.atMs - a.atMs);
  const words = ({ effort, pain, ...work }: HeavyWork) =>
    [
      heavyWorkWords(client.facts, work, mass),
      ...(effort === null ? [] : [t`effort ${effort}`]),
      ...(pain === null ? [] : [t`joint pain ${pain}`]),
    ].join(', ');
  return (
    <section aria-label={t`Heavy work`} className="max-w-3xl space-y-2">
      <h3 className="font-semibold">{t`Heavy work`}</h3>
      {done.length === 0 && (
        <p className="text-[15px] text-quiet">
          {t`None in half a year. One line for each exercise makes deload shares and muscle totals figures.`}{' '}
          <Why rule="PRO-4" />
        </p>
      )}
      <ul>
        {done.slice(0, SHOWN).map((work) => (
          <li key={work.id} className="flex flex-wrap items-center gap-x-4 border-b border-rule py-1">
            <span className="figures w-36 text-[15px]">{dayAndTime(work.atMs)}</span>
            <span className="flex-1">{words(work)}</span>
            <Button disabled={write.isPending} onClick={() => keep({ ...work, pain: null })}>
              {t`As then, today`}
            </Button>
          </li>
        ))}
      </ul>
      {open ? (
        <HeavyForm facts={client.facts} keep={keep} isPending={write.isPending} error={write.error} />
      ) : (
        <Button onClick={() => setOpen(true)}>{t`Note heavy work`}</Button>
      )}
      {write.error && <FieldError>{failureWords(write.error)}</FieldError>}
    </section>
  );
}
