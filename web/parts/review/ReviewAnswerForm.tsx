import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useState } from 'react';
import { calledIn, type Plan } from '#core/plan';
import { toNumber } from '#core/quantity';
import { type Change, changeWords, type Recommendation, tidyChange, whyNotAnswer } from '#core/review';
import type { Limits } from '#core/screening';
import { type ReviewAnswer, reviewChangeSchema } from '#core/session';
import type { Act } from '../../act/act';
import { translate } from '../../language/translate';
import { plain } from '../../words/format';
import { Button } from '../base/Button';
import { Said } from '../base/Why';
import { Choice } from '../fields/Choice';
import { Field, FieldError } from '../fields/Field';
import { bySchema } from '../forms/by-schema';
import { reads, useFields } from '../forms/use-fields';

const ANSWERED = { accepted: t`Accepted`, edited: t`Edited`, declined: t`Declined` } as const;

type Typed = Record<'points' | 'steps' | 'reason', string>;

/** Accept, edit or decline what the review suggests; the answer is an event, and the next draft goes by it. */
export function ReviewAnswerForm({
  plan,
  exerciseIndex,
  advice,
  answer,
  limits,
  act,
  takeBack,
  isAlone,
}: {
  plan: Plan;
  exerciseIndex: number;
  advice: Recommendation;
  answer: ReviewAnswer | undefined;
  limits: Limits;
  act: Act;
  /** Takes the answer back; null where that is not possible any more. */
  takeBack: (() => void) | null;
  /** Whether it is the only exercise: then its answer is the main key. */
  isAlone: boolean;
}) {
  const [open, setOpen] = useState<'edited' | 'declined' | null>(null);
  const label = calledIn(plan.exercises)[exerciseIndex];
  const advisedSteps = advice.change.loadSteps ?? 0;
  const changeOf = ({ points, steps }: Typed): Change => ({
    ...advice.change,
    pressurePoints: toNumber(points),
    loadSteps: Number(steps),
  });
  const { typed, set, field, send } = useFields<Typed, Change>(
    { points: plain(advice.change.pressurePoints ?? 0), steps: String(advisedSteps), reason: '' },
    null,
    reads((words) =>
      open === 'declined' ? { sent: {} } : bySchema(reviewChangeSchema, changeOf(words), () => 'points'),
    ),
  );
  const answering = open && {
    exerciseIndex,
    rule: advice.rule,
    answer: open,
    change: open === 'declined' ? {} : tidyChange(changeOf(typed)),
    reason: typed.reason,
  };
  const refused = answering && whyNotAnswer(advice, answering, { plan }, limits);
  const give = (kind: ReviewAnswer['answer'], given: Change, why: string) => {
    act({
      do: 'answer-review',
      exerciseIndex,
      rule: advice.rule,
      answer: kind,
      change: given,
      reason: why,
    });
    setOpen(null);
  };
  return (
    <div className="mt-1 space-y-2">
      {answer && (
        <p className="text-[15px]">
          {ANSWERED[answer.answer]}
          {answer.answer === 'edited' && `: ${translate(changeWords(tidyChange(answer.change)))}`}
          {answer.reason && `: ${answer.reason}`}.{' '}
          {takeBack && (
            <button
              type="button"
              className="min-h-9 underline underline-offset-4 print:hidden"
              onClick={takeBack}
            >
              <Trans>
                Take it back<span className="sr-only"> for {translate(label)}</span>
              </Trans>
            </button>
          )}
        </p>
      )}
      {/* The answer has made the next version: to answer otherwise it is taken back first. */}
      {!answer && (
        <div className="flex flex-wrap gap-2 print:hidden">
          <Button
            {...(isAlone ? { kind: 'main' as const, does: 'accept-reviews' as const } : {})}
            onClick={() => give('accepted', advice.change, '')}
          >
            <Trans>
              Accept<span className="sr-only"> for {translate(label)}</span>
            </Trans>
          </Button>
          <Button onClick={() => setOpen(open === 'edited' ? null : 'edited')}>
            <Trans>
              Edit<span className="sr-only"> for {translate(label)}</span>
            </Trans>
          </Button>
          <Button onClick={() => setOpen(open === 'declined' ? null : 'declined')}>
            <Trans>
              Decline<span className="sr-only"> for {translate(label)}</span>
            </Trans>
          </Button>
        </div>
      )}
      {open && (
        <form
          className="flex flex-wrap items-end gap-4"
          {...send((change) => {
            if (!refused) give(open, tidyChange(change), typed.reason);
          })}
        >
          {open === 'edited' && (
            <>
              <Field
                label={t`Pressure`}
                unit="points"
                number="decimal"
                className="w-36"
                {...field('points')}
              />
              <Choice
                label={t`Load`}
                value={typed.steps}
                onChange={(steps) => set('steps', steps)}
                options={[
                  ...(advisedSteps < -1
                    ? [{ value: String(advisedSteps), label: t`${advisedSteps} steps` }]
                    : []),
                  { value: '-1', label: t`step down` },
                  { value: '0', label: t`hold` },
                  { value: '1', label: t`step up` },
                ]}
              />
            </>
          )}
          <Field label={t`Reason`} className="min-w-64 flex-1" {...field('reason')} />
          <Button type="submit" disabled={refused !== null}>
            {open === 'edited' ? t`Keep the edit` : t`Decline`}
          </Button>
          {refused && open === 'edited' && (
            <FieldError>
              <Said>{translate(refused)}</Said>
            </FieldError>
          )}
        </form>
      )}
    </div>
  );
}
