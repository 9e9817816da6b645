import { t } from '@lingui/core/macro';
import { useState } from 'react';
import { URGENT_SIGNS } from '#core/record';
import { type FollowUp, type Intent, urgentSignSchema } from '#core/session';
import { translate } from '../../language/translate';
import { ACTIONS } from '../../state/actions';
import { Button } from '../base/Button';
import { Why } from '../base/Why';
import { Choice } from '../fields/Choice';
import { Scale } from '../fields/Scale';
import { Tick } from '../fields/Tick';
import { YesNo } from '../fields/YesNo';
import { useAction } from '../keys/use-action';

const BRUISING = { none: t`none`, small: t`small`, wide: t`wide` } as const;

/** How the person was the day after; numbness or wide bruising holds the next session (rule RUN-6). */
export function FollowUpForm({
  known,
  act,
  isNext = false,
}: {
  known: FollowUp | null;
  act: (intent: Intent) => void;
  /** Whether it is the one thing to do now: then figures and Enter are its keys. */
  isNext?: boolean;
}) {
  const [answers, setAnswers] = useState<FollowUp>(
    known ?? { soreness: 0, bruising: 'none', pinpointBleeding: false, numbness: false },
  );
  const note = () => act({ do: 'follow-up', ...answers });
  useAction('pain-now', (soreness) => setAnswers((old) => ({ ...old, soreness })), { enabled: isNext });
  useAction('accept', note, { enabled: isNext, fromFields: true });
  const yesNo = (label: string, key: 'pinpointBleeding' | 'numbness' | 'skinAbrasion') => (
    <YesNo
      question={label}
      isShown
      answer={answers[key] ?? false}
      onAnswer={(yes) => setAnswers({ ...answers, [key]: yes })}
    />
  );
  return (
    <section
      className="max-w-4xl space-y-2 border-t border-ink/40 pt-3 print:hidden"
      aria-label={t`The day after`}
    >
      <h2 className="text-xl font-semibold">{t`The day after`}</h2>
      <p className="text-[15px] text-quiet">
        {known
          ? t`Asked: soreness ${known.soreness} of 10, bruising ${BRUISING[known.bruising]}${known.pinpointBleeding ? t`, pinpoint bleeding` : ''}${known.numbness ? t`, numbness` : ''}.`
          : t`Ask next day. Numbness or wide bruising holds the next session.`}
      </p>
      <fieldset className="flex flex-wrap gap-x-5 gap-y-1">
        <legend className="text-[15px]">
          {t`Refer urgently when any of these`} <Why rule="RUN-6" />
        </legend>
        {urgentSignSchema.options.map((sign) => (
          <Tick
            key={sign}
            tone="stop"
            checked={answers.urgent?.includes(sign) ?? false}
            onChange={(next) =>
              setAnswers({
                ...answers,
                urgent: urgentSignSchema.options.filter((id) =>
                  id === sign ? next : answers.urgent?.includes(id),
                ),
              })
            }
          >
            {translate(URGENT_SIGNS[sign])}
          </Tick>
        ))}
      </fieldset>
      <Scale
        label={t`Soreness`}
        {...(isNext ? { keys: ACTIONS['pain-now'].written } : {})}
        value={answers.soreness}
        onChange={(soreness) => setAnswers({ ...answers, soreness })}
      />
      <div className="flex flex-wrap items-end gap-6">
        <Choice
          label={t`Bruising`}
          value={answers.bruising}
          onChange={(bruising) => setAnswers({ ...answers, bruising })}
          options={(['none', 'small', 'wide'] as const).map((value) => ({
            value,
            label: BRUISING[value],
          }))}
        />
        {yesNo(t`Pinpoint bleeding`, 'pinpointBleeding')}
        {yesNo(t`Skin abrasion`, 'skinAbrasion')}
        {yesNo(t`Numbness`, 'numbness')}
        <Button {...(isNext ? { kind: 'main' as const, does: 'accept' as const } : {})} onClick={note}>
          {known ? t`Note again` : t`Note`}
        </Button>
      </div>
    </section>
  );
}
