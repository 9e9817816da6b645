import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useMemo } from 'react';
import type { ClientRecord } from '#contract/client';
import type { OutcomesView } from '#contract/outcomes';
import {
  type BlockOutcome,
  byBlock,
  chanceWords,
  changeFigure,
  otherSideOf,
  type Series,
  verdictWords,
} from '#core/outcomes';
import { libraryOf } from '#core/protocol';
import { dayAt, LIMB_LABELS } from '#core/quantity';
import { useLog } from '../../../data/outcomes';
import { inSentence, translate } from '../../../language/translate';
import { clock, day } from '../../../words/format';
import { noonOf } from '../../../words/noon';

/** What each block gave and what came of it, the limb that is looked at and the other side of it (OUT-6). */
export function BlockByBlock({
  client,
  view,
  series,
  shown,
}: {
  client: ClientRecord;
  view: OutcomesView;
  series: readonly Series[];
  shown: Series;
}) {
  const { data } = useLog(client.id);
  const other = otherSideOf(shown, series);
  const { facts, judgedAtMs } = client;
  const rows = useMemo(() => {
    const basis = {
      library: libraryOf(facts.ownExercises),
      zoneOffsetMs: facts.zoneOffsetMs,
      today: dayAt(judgedAtMs, facts.zoneOffsetMs),
    };
    const of = (one: Series) => byBlock(view.blocks, data?.sessions ?? [], one, basis);
    const others = other && of(other);
    return of(shown).map((block, place) => ({ block, otherBlock: others?.[place] }));
  }, [facts, judgedAtMs, view.blocks, data, shown, other]);
  if (rows.length === 0) return null;
  return (
    <section aria-label={t`Block by block`}>
      <h3 className="font-semibold">{t`Block by block: ${translate(shown.label)}`}</h3>
      <ul className="border-t border-rule">
        {rows.map(({ block, otherBlock }) => (
          <li key={block.fromDay} className="grid gap-x-6 border-b border-rule py-2 sm:grid-cols-[13rem_1fr]">
            <p>
              <Trans>
                {onDay(block.fromDay)} to {block.isRunning ? t`now` : onDay(block.toDay)}
                <span className="block text-[15px] text-quiet">
                  <span className="figures">{block.totals.sessions}</span> sessions of{' '}
                  <span className="figures">{block.plannedSessions}</span>,{' '}
                  <span className="figures">{clock(block.totals.occludedMs)}</span> occluded
                  {block.totals.volumeKgReps > 0 && (
                    <>
                      , <span className="figures">{Math.round(block.totals.volumeKgReps)}</span> kg·reps
                    </>
                  )}
                </span>
              </Trans>
            </p>
            <div>
              <Change block={block} measure={shown.measure} />
              {otherBlock?.verdict && other?.limb && (
                <p className="text-[15px] text-quiet">
                  {translate(LIMB_LABELS[other.limb])}:{' '}
                  {inSentence(verdictWords(otherBlock.verdict.kind, other.measure.better))},{' '}
                  <span className="figures">
                    {translate(changeFigure(otherBlock.verdict, other.measure))}
                  </span>
                </p>
              )}
            </div>
          </li>
        ))}
      </ul>
    </section>
  );
}

function Change({
  block: { verdict, againstLast, before, isRunning },
  measure,
}: {
  block: BlockOutcome;
  measure: Series['measure'];
}) {
  if (!verdict) {
    return (
      <p className="text-quiet">
        {before
          ? isRunning
            ? t`Not taken again yet.`
            : t`Not measured in the two weeks after its end.`
          : t`Not taken before it began, so nothing can be said.`}
      </p>
    );
  }
  return (
    <>
      <p>
        <span className="text-lg">{translate(verdictWords(verdict.kind, measure.better))}</span>
        {isRunning && t` so far`}:{' '}
        <span className="figures">{translate(changeFigure(verdict, measure))}</span>
        <span className="text-[15px] text-quiet">, {translate(chanceWords(verdict, measure.better))}</span>
      </p>
      {againstLast && (
        <p className="text-[15px]">
          <Trans>
            Against the block before:{' '}
            <span className="figures">{translate(changeFigure(againstLast, measure))}</span>
            {againstLast.kind === 'within-noise' && <span className="text-quiet">{t`, within noise`}</span>}
          </Trans>
        </p>
      )}
    </>
  );
}

const onDay = (of: number): string => day(noonOf(of).getTime());
