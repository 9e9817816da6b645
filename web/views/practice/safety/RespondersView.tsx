import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useState } from 'react';
import { Link } from 'react-router';
import {
  changeFigure,
  type Measure,
  type MeasureId,
  measureBook,
  measureOf,
  type Responder,
  respondersOf,
  takenHere,
  typicalError,
  verdictWords,
} from '#core/outcomes';
import { GOALS, type GoalId, goalIdSchema } from '#core/plan';
import { LIMB_NAMES } from '#core/quantity';
import { failureWords } from '../../../data/api';
import { useResponders } from '../../../data/outcomes';
import { usePractice } from '../../../data/queries';
import { translate } from '../../../language/translate';
import { Button } from '../../../parts/base/Button';
import { PracticeHead } from '../../../parts/base/PracticeHead';
import { FieldError } from '../../../parts/fields/Field';
import { Picker } from '../../../parts/fields/Picker';
import { useAction } from '../../../parts/keys/use-action';
import { plain } from '../../../words/format';

const ALL = 'all';

/** Responders by one measure: everyone with an interval, the most sure gain first; names go by one key (OUT-5). */
export function RespondersView() {
  const [measureId, setMeasureId] = useState<MeasureId>('girth-mid-thigh');
  const [goal, setGoal] = useState<GoalId | typeof ALL>(ALL);
  const [isNamed, setNamed] = useState(true);
  useAction('names', () => setNamed(!isNamed));
  const { data, error } = useResponders(measureId);
  const { data: practice } = usePractice();
  const book = measureBook(practice?.ownMeasures ?? {});
  const measure = measureOf(book, measureId);
  const rows = data?.rows.filter((row) => goal === ALL || row.goal === goal) ?? [];
  const all = data ? respondersOf(rows, measure, typicalError(measure, data.pairs)) : [];
  const list = all.filter(({ sessions }) => sessions > 0);
  const untrained = all.filter(({ sessions }) => sessions === 0);
  const reach = Math.max(
    1e-6,
    ...all.flatMap(({ verdict: { interval } }) => [Math.abs(interval.low), Math.abs(interval.high)]),
  );
  const lines = (of: readonly Responder[]) =>
    of.map((one) => (
      <ResponderLine
        key={`${one.clientId} ${one.limb} ${one.setting}`}
        one={one}
        measure={measure}
        reach={reach}
        isNamed={isNamed}
      />
    ));
  const advised = list.filter(({ advice }) => advice !== null).length;
  return (
    <div className="space-y-5 p-6">
      <PracticeHead title={t`Responders`}>
        <div className="w-64">
          <Picker
            label={t({ message: 'Measure', context: 'what is measured' })}
            value={measureId}
            onChange={setMeasureId}
            options={takenHere(book).map(({ value, label }) => ({ value, label: translate(label) }))}
          />
        </div>
        <div className="w-52">
          <Picker
            label={t`Trained for`}
            value={goal}
            onChange={setGoal}
            options={[
              { value: ALL, label: t`everything` },
              ...goalIdSchema.options.map((value) => ({ value, label: translate(GOALS[value].label) })),
            ]}
          />
        </div>
        <Button does="names" onClick={() => setNamed(!isNamed)}>
          {isNamed ? t`Hide names` : t`Show names`}
        </Button>
      </PracticeHead>
      {error && <FieldError>{failureWords(error)}</FieldError>}
      {data && all.length === 0 && (
        <p className="max-w-prose">
          {t`No person has two occasions of this measure yet. It is taken under Outcomes.`}
        </p>
      )}
      {list.length > 0 && (
        <>
          <p className="text-quiet">
            {t`${list.filter(({ verdict }) => verdict.kind === 'real-gain').length} of ${list.length} with a real gain${advised > 0 ? t`; ${advised} to look at` : ''}. The bar is what the change could be, 95 in 100; the middle line is no change.`}
          </p>
          <ul aria-label={t`Trained`} className="max-w-5xl border-t border-ink/40">
            {lines(list)}
          </ul>
        </>
      )}
      {untrained.length > 0 && (
        <details className="max-w-5xl">
          <summary className="min-h-9 cursor-pointer py-1">
            {t`Not trained between the two, for comparison (${untrained.length})`}
          </summary>
          <ul className="border-t border-rule">{lines(untrained)}</ul>
        </details>
      )}
    </div>
  );
}

function ResponderLine({
  one: { clientId, name, limb, setting, from, to, weeks, sessions, verdict, advice },
  measure,
  reach,
  isNamed,
}: {
  one: Responder;
  measure: Measure;
  reach: number;
  isNamed: boolean;
}) {
  const x = (value: number) => 50 + (50 * value) / reach;
  const towardsBetter = measure.better === 'lower' ? -1 : 1;
  const [low, high] = [verdict.interval.low * towardsBetter, verdict.interval.high * towardsBetter].sort(
    (a, b) => a - b,
  ) as [number, number];
  return (
    <li className="grid grid-cols-[1fr_auto] items-center gap-x-6 gap-y-1 border-b border-rule py-2 md:grid-cols-[14rem_1fr_15rem]">
      <span>
        {isNamed ? (
          <Link to={`/people/${clientId}/outcomes`} className="underline-offset-4 hover:underline">
            {name}
          </Link>
        ) : (
          t`A person`
        )}
        <span className="block text-[14px] text-quiet">
          {[limb && translate(LIMB_NAMES[limb]), isNamed && setting].filter(Boolean).join(', ')}
        </span>
      </span>
      <svg
        viewBox="0 0 100 10"
        preserveAspectRatio="none"
        className="h-6 w-full max-md:order-last max-md:col-span-2"
        aria-hidden="true"
      >
        <line x1={50} x2={50} y1={0} y2={10} stroke="var(--color-quiet)" vectorEffect="non-scaling-stroke" />
        <rect
          x={x(low)}
          y={3.5}
          width={x(high) - x(low)}
          height={3}
          fill="var(--color-plum)"
          opacity={0.35}
        />
        <rect
          x={x(verdict.change * towardsBetter) - 0.4}
          y={1.5}
          width={0.8}
          height={7}
          fill="var(--color-plum)"
        />
      </svg>
      <span>
        <span className={verdict.kind === 'real-gain' ? 'font-semibold' : ''}>
          {translate(verdictWords(verdict.kind, measure.better))}
        </span>{' '}
        <span className="figures text-[14px] text-quiet">
          {plain(from)} → {plain(to)}
        </span>
        <span className="block text-[13px] text-quiet">
          <Trans>
            <span className="figures">{translate(changeFigure(verdict, measure))}</span>, {plain(weeks, 0)}{' '}
            weeks, {sessions} sessions
          </Trans>
        </span>
      </span>
      {advice && (
        <p className="notched col-span-full text-[14px] text-ochre">{t`${translate(advice)} OUT-5`}</p>
      )}
    </li>
  );
}
