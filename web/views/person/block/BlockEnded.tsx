import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Link } from 'react-router';
import type { ClientRecord } from '#contract/client';
import type { OutcomesView } from '#contract/outcomes';
import type { PracticeView } from '#contract/practice';
import type { BlockWish } from '#core/course';
import {
  byBlock,
  chanceWords,
  changeFigure,
  isAside,
  mainSeries,
  measureBook,
  type Series,
  seriesOf,
  trainedLimbs,
  verdictWords,
} from '#core/outcomes';
import { libraryOf } from '#core/protocol';
import { dayAt } from '#core/quantity';
import { blockEnd, type NextBlock } from '#core/record';
import { useOutcomes } from '../../../data/outcomes';
import { inSentence, translate } from '../../../language/translate';
import { Button } from '../../../parts/base/Button';
import { Why } from '../../../parts/base/Why';
import { useAction } from '../../../parts/keys/use-action';
import { clock } from '../../../words/format';

/** A block that has ended: what it did, and what may follow, drafted by one key (rule CRS-6). */
export function BlockEnded({
  client,
  practice,
  draft,
}: {
  client: ClientRecord;
  practice: PracticeView;
  draft: (wish: BlockWish) => void;
}) {
  const { data } = useOutcomes(client.id);
  const { facts, judgedAtMs } = client;
  const results = data ? resultsOf(client, data) : [];
  const main = mainSeries(
    results.map(({ series }) => series),
    trainedLimbs(facts.prescriptions),
  );
  const of = results.find(({ series }) => series.key === main?.key);
  const end = blockEnd(facts, practice, of?.block.verdict?.kind ?? null, judgedAtMs);
  const proposed = end?.next.find(({ id }) => id === end.proposed);
  useAction('draft-next-block', () => proposed?.do === 'draft' && draft(proposed.wish), {
    enabled: proposed?.do === 'draft',
  });
  if (!end) return null;
  return (
    <section aria-labelledby="block-ended" className="space-y-3 border-l-4 border-plum pl-4">
      <h3 id="block-ended" className="text-xl font-semibold">
        {t`The block has ended`} <Why rule="CRS-6" />
      </h3>
      <p>
        <Trans>
          <span className="figures">{end.done}</span> of <span className="figures">{end.planned}</span>{' '}
          sessions done, <span className="figures">{end.sets}</span> sets,{' '}
          <span className="figures">{clock(end.occludedMs)}</span> occluded.
        </Trans>
      </p>
      <ul className="text-[15px]">
        {results.map(({ series, block: { verdict } }) =>
          verdict === null ? null : (
            <li key={series.key} className={series.key === main?.key ? 'font-semibold' : ''}>
              {translate(series.label)}:{' '}
              <span className="figures">{translate(changeFigure(verdict, series.measure))}</span>,{' '}
              {inSentence(translate(verdictWords(verdict.kind, series.measure.better)))} (
              {translate(chanceWords(verdict, series.measure.better))})
            </li>
          ),
        )}
      </ul>
      <p>{translate(end.why)}</p>
      <ul className="flex flex-wrap gap-2" aria-label={t`What may follow`}>
        {[...end.next]
          .sort((a, b) => Number(b.id === end.proposed) - Number(a.id === end.proposed))
          .map((next) => (
            <li key={next.id}>
              <Follower next={next} isProposed={next.id === end.proposed} client={client} draft={draft} />
            </li>
          ))}
      </ul>
    </section>
  );
}

const PROPOSED = { kind: 'main', does: 'draft-next-block' } as const;

/** One of what may follow; what changes or ends a plan is done where the plan is. */
function Follower({
  next,
  isProposed,
  client,
  draft,
}: {
  next: NextBlock;
  isProposed: boolean;
  client: ClientRecord;
  draft: (wish: BlockWish) => void;
}) {
  if (next.do === 'draft') {
    return (
      <Button {...(isProposed ? PROPOSED : {})} onClick={() => draft(next.wish)}>
        {translate(next.label)}
      </Button>
    );
  }
  return (
    <Link
      to={`/people/${client.id}/prescribe`}
      className={`inline-flex min-h-11 items-center underline underline-offset-4 ${isProposed ? 'font-semibold' : ''}`}
    >
      {translate(next.label)}
    </Link>
  );
}

/** What came of each measure over the newest block, what can get better only. */
function resultsOf(client: ClientRecord, view: OutcomesView) {
  const { facts, judgedAtMs } = client;
  const basis = {
    library: libraryOf(facts.ownExercises),
    zoneOffsetMs: facts.zoneOffsetMs,
    today: dayAt(judgedAtMs, facts.zoneOffsetMs),
  };
  return seriesOf(view, { library: basis.library, book: measureBook(facts.ownMeasures) })
    .filter((series) => isAside(series) === 0)
    .flatMap((series: Series) => {
      const [block] = byBlock(view.blocks, [], series, basis);
      return block ? [{ series, block }] : [];
    });
}
