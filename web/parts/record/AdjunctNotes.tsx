import { t } from '@lingui/core/macro';
import { useState } from 'react';
import { painChange, swellingChanges } from '#core/outcomes';
import type { Plan } from '#core/plan';
import { type Adjunct, adjunctText, type PlannedAdjunct } from '#core/protocol';
import { type Intent, type SessionState, sittingDue } from '#core/session';
import { translate } from '../../language/translate';
import { ADJUNCT_OPTIONS } from '../../words/adjunct-options';
import { dayAndTime } from '../../words/format';
import { useUnits } from '../../words/units';
import { Button } from '../base/Button';
import { Why } from '../base/Why';
import { WordMenu } from '../base/WordMenu';
import { Field } from '../fields/Field';
import { Scale } from '../fields/Scale';
import { reads, useFields } from '../forms/use-fields';
import { HeavyInSitting } from './HeavyInSitting';

type Props = {
  clientId: string;
  plan: Pick<Plan, 'sitting'>;
  state: SessionState;
  act: (intent: Intent) => unknown;
};

type Typed = { what: Adjunct; words: string; girth: string; pain: string };
type Noted = { what: Adjunct; words: string; girthCm?: number; painOfTen?: number };

/** What is known of it only with a figure. */
const hasFigure = (what: Adjunct): boolean => what === 'swelling' || what === 'provoking-test';

/** What else was done in the sitting, without a cuff: before, between or after the work under it. */
export function AdjunctNotes({ clientId, plan, state, act }: Props) {
  const { length } = useUnits();
  const [isLifting, setLifting] = useState(false);
  const { typed, set, field, send } = useFields<Typed, Noted>(
    { what: 'mobility', words: '', girth: '', pain: '' },
    null,
    reads(({ what, words, girth, pain }) => {
      const noted = { what, words: words.trim() };
      if (what === 'provoking-test')
        return pain === '' ? { sent: noted } : { sent: { ...noted, painOfTen: Number(pain) } };
      if (what !== 'swelling') return { sent: noted };
      const girthCm = length.parse(girth);
      return girthCm > 0
        ? { sent: { ...noted, girthCm } }
        : { wrong: { girth: t`Enter the girth as a number in ${length.unit}.` } };
    }),
  );
  const isGirth = typed.what === 'swelling';
  const isTest = typed.what === 'provoking-test';
  const due = sittingDue(plan.sitting, state);
  const take = (one: PlannedAdjunct) => {
    if (hasFigure(one.what)) {
      set('what', one.what);
      set('words', one.words);
    } else if (one.what === 'heavy-lift') setLifting(true);
    else act({ do: 'note-adjunct', what: one.what, words: one.words });
  };
  return (
    <details open={due.length > 0}>
      <summary className="min-h-11 cursor-pointer py-2 text-[15px]">
        {t`Adjuncts${state.adjuncts.length > 0 ? t`: ${state.adjuncts.length} noted` : ''}`}
      </summary>
      <ul aria-label={t`Adjuncts`}>
        {due.map((one) => (
          <li
            key={`${one.when} ${translate(adjunctText(one))}`}
            className="flex items-center justify-between gap-3 border-b border-rule py-1"
          >
            <span>
              {one.when === 'before' ? t`Before` : t`After`}: {translate(adjunctText(one))}
            </span>
            <Button onClick={() => take(one)}>{hasFigure(one.what) ? t`Enter` : t`Done`}</Button>
          </li>
        ))}
        {state.adjuncts.map(({ atMs, what: noted, words: said, girthCm: cm, painOfTen }) => (
          <li key={`${atMs} ${noted} ${said}`} className="border-b border-rule py-1">
            {translate(adjunctText({ what: noted, words: said }))}
            {cm !== undefined && `, ${length.words(cm)}`}
            {painOfTen !== undefined && `, ${t`${painOfTen} of 10`}`}{' '}
            <span className="figures text-[13px] text-quiet">{dayAndTime(atMs)}</span>
          </li>
        ))}
      </ul>
      <Swelling state={state} />
      <PainOnTest state={state} />
      {isLifting ? (
        <HeavyInSitting
          clientId={clientId}
          atMs={state.finishedAtMs}
          leave={() => setLifting(false)}
          onKept={(words) => {
            act({ do: 'note-adjunct', what: 'heavy-lift', words });
            setLifting(false);
          }}
        />
      ) : (
        <form
          className="space-y-2 pt-2"
          {...send((noted) => {
            if (noted.what === 'heavy-lift') return setLifting(true);
            act({ do: 'note-adjunct', ...noted });
            set('words', '');
            set('girth', '');
            set('pain', '');
          })}
        >
          <WordMenu
            label={t`Adjuncts`}
            value={typed.what}
            onChange={(what) => set('what', what)}
            options={ADJUNCT_OPTIONS}
          />
          {typed.what !== 'heavy-lift' && (
            <Field
              label={isGirth ? t`Where the tape lies` : isTest ? t`The test` : t`In a few words`}
              maxLength={200}
              autoComplete="off"
              {...field('words')}
            />
          )}
          {isGirth && <Field label={t`Girth`} unit={length.unit} number="decimal" {...field('girth')} />}
          {isTest && (
            <Scale
              label={t`Pain while it is done`}
              value={typed.pain === '' ? null : Number(typed.pain)}
              onChange={(pain) => set('pain', String(pain))}
            />
          )}
          <Button type="submit">{t`Note it`}</Button>
        </form>
      )}
    </details>
  );
}

/** What the girths before and after come to. */
function Swelling({ state }: { state: SessionState }) {
  const { length } = useUnits();
  const [first] = state.sets;
  if (!first) return null;
  return swellingChanges(state.adjuncts, first.startedAtMs).map(({ where, changeCm, isReal }) => (
    <p key={where} className={isReal ? 'notched py-1' : 'py-1 text-quiet'}>
      {t`${where}: ${changeCm < 0 ? '−' : '+'}${length.words(Math.abs(changeCm))} over the session, ${isReal ? t`more than two measurements differ by` : t`within what two measurements differ by`}.`}{' '}
      <Why rule="OUT-2" />
    </p>
  ));
}

/** What the provoking test came to, before the cuff and after it. */
function PainOnTest({ state }: { state: SessionState }) {
  const [first] = state.sets;
  const change = first && painChange(state.adjuncts, first.startedAtMs);
  if (!change) return null;
  const { before, after, isReal } = change;
  return (
    <p className={isReal ? 'notched py-1' : 'py-1 text-quiet'}>
      {t`Pain on the provoking test: ${before} before the cuff, ${after} after it, ${isReal ? t`more than two answers differ by` : t`within what two answers differ by`}.`}{' '}
      <Why rule="OUT-2" />
    </p>
  );
}
