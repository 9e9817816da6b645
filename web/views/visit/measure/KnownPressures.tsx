import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { lazy, Suspense, useState } from 'react';
import type { ClientRecord } from '#contract/client';
import { type NewQuickCheck, newQuickCheckSchema } from '#contract/measurements';
import {
  dueAtMs,
  judgeQuickCheck,
  measuredWith,
  type OcclusionFact,
  SHELF_LIFE_LABELS,
  type ShelfLife,
  shelfLifeSchema,
} from '#core/occlusion-pressure';
import {
  LIMB_LABELS,
  LIMB_NAMES,
  LIMBS,
  type Limb,
  limbsWords,
  newest,
  POSITION_NAMES,
  POSITIONS,
  toNumber,
} from '#core/quantity';
import { ageWords, proceduresInForce, shelfLifeInForce, whyDue } from '#core/record';
import { RULES } from '#core/rules';
import { api, failureWords, read } from '../../../data/api';
import { usePressuresLike } from '../../../data/history';
import { useMay, useRecordWrite } from '../../../data/queries';
import { translate } from '../../../language/translate';
import { Button } from '../../../parts/base/Button';
import { Why } from '../../../parts/base/Why';
import { WideTable } from '../../../parts/base/WideTable';
import { Field, FieldError } from '../../../parts/fields/Field';
import { Picker } from '../../../parts/fields/Picker';
import { bySchema } from '../../../parts/forms/by-schema';
import { reads, useFields } from '../../../parts/forms/use-fields';
import { day, plain } from '../../../words/format';

const HistoryChart = lazy(() =>
  import('../../../parts/drawing/HistoryChart').then(({ HistoryChart }) => ({ default: HistoryChart })),
);

const WITHIN_MMHG = RULES['LOP-7'].figures.quickCheck.confirmWithinMmHg;

/** What is known for each limb, position and cuff: the newest pressure, its age, when it is due, and its history. */
export function KnownPressures({ client }: { client: ClientRecord }) {
  const rows = newestByPlace(client.facts.occlusions);
  const [openId, setOpenId] = useState<string | null>(null);
  const open = rows.find(({ id }) => id === openId);
  if (rows.length === 0) return null;
  return (
    <section className="mt-8 border-t border-ink/40 pt-4">
      <div className="flex flex-wrap items-end justify-between gap-4">
        <h3 className="text-xl font-semibold">{t`Pressures on record`}</h3>
        <KeptFor client={client} />
      </div>
      <WideTable className="mt-2 w-full max-w-5xl">
        <thead>
          <tr className="text-left text-[14px] text-quiet">
            {[t`Limb and position`, t`Cuff`, 'LOP', t`Measured`, t`Due`, ''].map((head) => (
              <th key={head} className="py-1 pr-3 font-normal">
                {head || <span className="sr-only">{t`Actions`}</span>}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((fact) => (
            <tr key={fact.id} className="border-t border-rule align-top">
              <td className="py-2 pr-3">
                {translate(LIMB_LABELS[fact.limb])}, {translate(POSITION_NAMES[fact.position])}
              </td>
              <td className="py-2 pr-3">{fact.cuffLabel}</td>
              <td className="figures py-2 pr-3 text-lg whitespace-nowrap">
                {plain(fact.pressure.value)} ± {plain(fact.uncertaintyMmHg)}
              </td>
              <td className="py-2 pr-3">
                {translate(ageWords(fact.atMs, client.judgedAtMs))}
                {fact.quickChecks.length > 0 && t`, quick checks: ${fact.quickChecks.length}`}
                {!fact.steady && t`, unsteady`}
              </td>
              <td className="py-2 pr-3">
                <Due client={client} fact={fact} />
              </td>
              <td className="py-1">
                <button
                  type="button"
                  aria-expanded={fact.id === openId}
                  onClick={() => setOpenId(fact.id === openId ? null : fact.id)}
                  className="min-h-11 font-semibold underline underline-offset-4"
                >
                  <Trans>
                    Check and history
                    <span className="sr-only">
                      , {translate(LIMB_LABELS[fact.limb])}, {translate(POSITION_NAMES[fact.position])}
                    </span>
                  </Trans>
                </button>
              </td>
            </tr>
          ))}
        </tbody>
      </WideTable>
      {open && (
        <div className="mt-4 grid gap-8 lg:grid-cols-[20rem_1fr]">
          <QuickCheckForm key={open.id} client={client} fact={open} />
          <PressureHistory clientId={client.id} fact={open} />
        </div>
      )}
    </section>
  );
}

/** How the pressure of a limb in a position came along under a cuff. */
function PressureHistory({ clientId, fact }: { clientId: string; fact: OcclusionFact }) {
  const points = usePressuresLike(clientId, fact);
  const drawing = <p className="text-quiet">{t`Drawing…`}</p>;
  if (!points) return drawing;
  return (
    <Suspense fallback={drawing}>
      <HistoryChart
        caption={t`${translate(LIMB_LABELS[fact.limb])}, ${translate(POSITION_NAMES[fact.position])}, ${fact.cuffLabel}: mmHg, with ±${WITHIN_MMHG} about the newest`}
        unit="mmHg"
        within={WITHIN_MMHG}
        points={points}
      />
    </Suspense>
  );
}

/** How long a pressure of this person holds (rule LOP-6). After an operation that is one session, whatever is set. */
function KeptFor({ client }: { client: ClientRecord }) {
  const write = useRecordWrite((json: { limb: Limb | null; shelfLife: ShelfLife | null }) =>
    read(api.clients[':id']['shelf-life'].$post({ param: { id: client.id }, json })),
  );
  const isClinician = useMay('set-shelf-life');
  const [limb, setLimb] = useState<Limb | 'all'>('all');
  const { shelfLife, limbShelfLives } = client.facts;
  const own = limbShelfLives.map(
    (one) => `${translate(LIMB_NAMES[one.limb])} ${translate(SHELF_LIFE_LABELS[one.shelfLife])}`,
  );
  const lives = shelfLifeSchema.options.map((value) => ({
    value,
    label: translate(SHELF_LIFE_LABELS[value]),
  }));
  const likeOthers = {
    value: 'like-others',
    label: t`as the others: ${translate(SHELF_LIFE_LABELS[shelfLife])}`,
  } as const;
  const operated = proceduresInForce(client.facts, client.judgedAtMs).map(({ limb }) => limb);
  return (
    <div>
      {isClinician ? (
        <div className="flex flex-wrap items-end gap-3">
          <Picker
            label={t`Pressures of`}
            value={limb}
            onChange={setLimb}
            options={[
              { value: 'all', label: t`every limb` },
              ...LIMBS.map((value) => ({ value, label: translate(LIMB_NAMES[value]) })),
            ]}
          />
          {limb === 'all' ? (
            <Picker
              label={t`are kept for`}
              value={shelfLife}
              onChange={(next) => write.mutate({ limb: null, shelfLife: next })}
              options={lives}
            />
          ) : (
            <Picker
              label={t`are kept for`}
              value={limbShelfLives.find((one) => one.limb === limb)?.shelfLife ?? 'like-others'}
              onChange={(next) => write.mutate({ limb, shelfLife: next === 'like-others' ? null : next })}
              options={[likeOthers, ...lives]}
            />
          )}
        </div>
      ) : (
        <p className="text-[15px] text-quiet">
          {t`Kept for ${translate(SHELF_LIFE_LABELS[shelfLife])}; a clinician may change it.`}{' '}
          <Why rule="SCR-4" />
        </p>
      )}
      {own.length > 0 && (
        <p className="mt-1 text-[14px] text-quiet">{t`Apart from it: ${own.join(', ')}.`}</p>
      )}
      {operated.length > 0 && shelfLife !== 'every-session' && (
        <p className="notched mt-1 text-[14px] text-ochre">
          {t`After an operation, ${translate(limbsWords(operated))}: ${translate(SHELF_LIFE_LABELS['every-session'])}.`}{' '}
          <Why rule="LOP-6" />
        </p>
      )}
      {write.error && <FieldError>{failureWords(write.error)}</FieldError>}
    </div>
  );
}

function Due({ client, fact }: { client: ClientRecord; fact: OcclusionFact }) {
  const kept = shelfLifeInForce(client.facts, fact.limb, client.judgedAtMs);
  const due = whyDue(fact, client.facts, undefined, kept, client.judgedAtMs);
  return due ? (
    <span className="notched block text-ochre">{t`due: ${translate(due)}`}</span>
  ) : (
    day(dueAtMs(measuredWith(fact), kept))
  );
}

/** Inflate until the palpated pulse goes: within ±10 the stored pressure is confirmed (rule LOP-7). */
function QuickCheckForm({ client, fact }: { client: ClientRecord; fact: OcclusionFact }) {
  const write = useRecordWrite((json: NewQuickCheck) =>
    read(api.clients[':id']['quick-checks'].$post({ param: { id: client.id }, json })),
  );
  const { typed, empty, field, send } = useFields<Record<'goneMmHg' | 'stepMmHg', string>, NewQuickCheck>(
    { goneMmHg: '', stepMmHg: '10' },
    write.error,
    reads((read) => {
      const made = {
        occlusionId: fact.id,
        goneMmHg: toNumber(read.goneMmHg),
        stepMmHg: toNumber(read.stepMmHg),
      };
      return bySchema(newQuickCheckSchema, made, (path) => (path === 'stepMmHg' ? path : 'goneMmHg'));
    }),
  );
  const goneMmHg = toNumber(typed.goneMmHg);
  const stepMmHg = toNumber(typed.stepMmHg);
  const judged =
    goneMmHg > 0 && stepMmHg > 0 ? judgeQuickCheck(fact.pressure.value, { goneMmHg, stepMmHg }) : null;
  return (
    <form className="space-y-2" {...send((check) => write.mutate(check, { onSuccess: empty }))}>
      <Field
        label={t`Quick check: pulse under the fingers gone at`}
        unit="mmHg"
        number="whole"
        {...field('goneMmHg')}
        hint={
          <>
            {t`Within ±10 it is confirmed and its shelf life starts again, at most twice; further off it is measured in full.`}{' '}
            <Why rule="LOP-7" />
          </>
        }
      />
      <Field
        label={t`In steps of`}
        unit="mmHg"
        number="whole"
        {...field('stepMmHg')}
        hint={t`Over 10 confirms nothing.`}
      />
      {judged && (
        <p className={judged.verdict === 'confirms' ? '' : 'notched text-ochre'} role="status">
          {translate(judged.words)}
        </p>
      )}
      {write.error && <FieldError>{failureWords(write.error)}</FieldError>}
      <Button type="submit" disabled={typed.goneMmHg.trim() === '' || write.isPending}>
        {t`Record the check`}
      </Button>
    </form>
  );
}

const samePlace = (a: OcclusionFact, b: OcclusionFact): boolean =>
  a.limb === b.limb && a.position === b.position && a.cuffId === b.cuffId;

function newestByPlace(facts: readonly OcclusionFact[]): OcclusionFact[] {
  const places = facts.filter((fact, i) => facts.findIndex((other) => samePlace(fact, other)) === i);
  return places
    .flatMap((place) => newest(facts.filter((fact) => samePlace(fact, place))) ?? [])
    .sort(
      (a, b) =>
        LIMBS.indexOf(a.limb) - LIMBS.indexOf(b.limb) ||
        POSITIONS.indexOf(a.position) - POSITIONS.indexOf(b.position),
    );
}
