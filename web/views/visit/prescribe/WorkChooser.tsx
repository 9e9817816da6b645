import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useState } from 'react';
import type { ClientRecord } from '#contract/client';
import type { GoalId } from '#core/plan';
import { LIMB_NAMES, type Limb } from '#core/quantity';
import {
  chooseWork,
  type PainOnRecord,
  painOnRecord,
  type Reason,
  WORK_LABELS,
  type WorkOption,
} from '#core/record';
import { useOutcomes } from '../../../data/outcomes';
import { translate } from '../../../language/translate';
import { Why } from '../../../parts/base/Why';
import { Scale } from '../../../parts/fields/Scale';
import { day } from '../../../words/format';

/** Heavy, under a cuff, or light without, for this limb now: what speaks for each, with its rule. It informs. */
export function WorkChooser({
  client,
  limb,
  goal,
}: {
  client: ClientRecord;
  limb: Limb | undefined;
  goal: GoalId;
}) {
  const [entered, setPain] = useState<number | null>(null);
  const { data: outcomes } = useOutcomes(client.id);
  if (!limb) return null;
  const onRecord = painOnRecord(client.facts, outcomes?.taken ?? [], limb, client.judgedAtMs);
  const painProvoked = entered ?? onRecord?.painOfTen ?? null;
  const options = chooseWork(client.facts, { limb, goal, painProvoked }, client.judgedAtMs);
  return (
    <details open={goal === 'pain-relief'}>
      <summary className="min-h-9 cursor-pointer py-1 text-[15px]">
        <Trans>
          Heavy, under a cuff, or light without? <span className="text-quiet">What speaks for each.</span>
        </Trans>
      </summary>
      <div className="space-y-3 border-l-4 border-rule py-1 pl-4">
        {onRecord && <p className="text-[15px]">{onRecordWords(onRecord)}</p>}
        <Scale
          label={t`Worst pain on the provoking test, ${translate(LIMB_NAMES[limb])}`}
          value={painProvoked}
          onChange={setPain}
        />
        <div className="grid gap-6 md:grid-cols-3">
          {options.map((option) => (
            <Option key={option.kind} option={option} />
          ))}
        </div>
      </div>
    </details>
  );
}

const onRecordWords = ({ painOfTen, atMs, isToday, of }: PainOnRecord): string => {
  const what = of === 'day-check' ? t`before the session` : t`on the provoking test`;
  return isToday
    ? t`Recorded today: ${painOfTen}, ${what}.`
    : t`Recorded on ${day(atMs)}: ${painOfTen}, ${what}.`;
};

function Option({ option: { kind, speaksFor, speaksAgainst, ruledOut } }: { option: WorkOption }) {
  return (
    <section aria-label={translate(WORK_LABELS[kind])} className="space-y-1 text-[15px]">
      <h3 className={`text-base font-semibold ${ruledOut.length > 0 ? 'text-quiet' : ''}`}>
        {translate(WORK_LABELS[kind])}
      </h3>
      {ruledOut.map(({ words, rule, until }) => (
        <p key={translate(words)} className="notched text-ochre">
          {t`Not now. ${translate(words)} Until ${translate(until)}.`} <Rule id={rule} />
        </p>
      ))}
      {speaksFor.map(({ words, rule }) => (
        <p key={translate(words)}>
          {translate(words)} <Rule id={rule} />
        </p>
      ))}
      {speaksAgainst.map(({ words, rule }) => (
        <p key={translate(words)} className="text-quiet">
          {t`But: ${translate(words)}`} <Rule id={rule} />
        </p>
      ))}
      {speaksFor.length + speaksAgainst.length + ruledOut.length === 0 && (
        <p className="text-quiet">{t`Nothing on record speaks for it.`}</p>
      )}
    </section>
  );
}

const Rule = ({ id }: { id: Reason['rule'] }) => <Why rule={id} />;
