import { useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { URGENT_SIGNS } from '#core/record/holds';
import type { Intent } from '#core/session/decide/intent';
import { type FollowUp, urgentSignSchema } from '#core/session/events';
import { Button } from './Button';
import { Choice } from './Choice';
import { Scale } from './Scale';

const BRUISING = { none: 'none', small: 'small', wide: 'wide' } as const;

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
  useHotkeys(
    '0,1,2,3,4,5,6,7,8,9',
    (_, { keys }) => setAnswers((old) => ({ ...old, soreness: Number(keys?.[0]) })),
    { enabled: isNext },
  );
  useHotkeys('enter', note, { enabled: isNext, preventDefault: true });
  const yesNo = (label: string, key: 'pinpointBleeding' | 'numbness' | 'skinAbrasion') => (
    <Choice
      label={label}
      value={answers[key] ? 'yes' : 'no'}
      onChange={(value) => setAnswers({ ...answers, [key]: value === 'yes' })}
      options={[
        { value: 'no', label: 'no' },
        { value: 'yes', label: 'yes' },
      ]}
    />
  );
  return (
    <section
      className="max-w-4xl space-y-2 border-t border-ink/40 pt-3 print:hidden"
      aria-label="The day after"
    >
      <h2 className="text-xl font-semibold">The day after</h2>
      <p className="text-[15px] text-quiet">
        {known
          ? `Asked: soreness ${known.soreness} of 10, bruising ${BRUISING[known.bruising]}${known.pinpointBleeding ? ', pinpoint bleeding' : ''}${known.numbness ? ', numbness' : ''}.`
          : 'Ask next day. Numbness or wide bruising holds the next session (RUN-6).'}
      </p>
      <fieldset className="flex flex-wrap gap-x-5 gap-y-1">
        <legend className="text-[15px]">Refer urgently when any of these (RUN-6)</legend>
        {urgentSignSchema.options.map((sign) => (
          <label key={sign} className="flex min-h-9 items-center gap-2">
            <input
              type="checkbox"
              className="size-5 accent-vermilion"
              checked={answers.urgent?.includes(sign) ?? false}
              onChange={(event) =>
                setAnswers({
                  ...answers,
                  urgent: urgentSignSchema.options.filter((id) =>
                    id === sign ? event.target.checked : answers.urgent?.includes(id),
                  ),
                })
              }
            />
            {URGENT_SIGNS[sign]}
          </label>
        ))}
      </fieldset>
      <Scale
        label="Soreness"
        {...(isNext ? { keys: '0–9' } : {})}
        value={answers.soreness}
        onChange={(soreness) => setAnswers({ ...answers, soreness })}
      />
      <div className="flex flex-wrap items-end gap-6">
        <Choice
          label="Bruising"
          value={answers.bruising}
          onChange={(bruising) => setAnswers({ ...answers, bruising })}
          options={(['none', 'small', 'wide'] as const).map((value) => ({ value, label: BRUISING[value] }))}
        />
        {yesNo('Pinpoint bleeding', 'pinpointBleeding')}
        {yesNo('Skin abrasion', 'skinAbrasion')}
        {yesNo('Numbness', 'numbness')}
        <Button {...(isNext ? { kind: 'main' as const, keyHint: 'Enter' } : {})} onClick={note}>
          {known ? 'Note again' : 'Note'}
        </Button>
      </div>
    </section>
  );
}
