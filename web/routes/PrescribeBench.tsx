import { useSearchParams } from 'react-router';
import type { ClientRecord } from '#contract/client';
import { planInForce } from '#core/record/in-force';
import { measuredStamp } from '#core/record/measured-stamp';
import { usePractice } from '../data/queries';
import { useLastReview } from '../data/use-last-review';
import { FirstDo } from '../parts/Bench';
import { Choice } from '../parts/Choice';
import { BlockBench } from '../views/block/BlockBench';
import { Composer } from '../views/prescribe/Composer';

type Part = 'session' | 'block';

/** The next session, or the weeks it belongs to. */
export function PrescribeBench({ client }: { client: ClientRecord }) {
  const { data: practice } = usePractice();
  const review = useLastReview(client.id);
  const [search, setSearch] = useSearchParams();
  const part: Part = search.get('part') === 'block' ? 'block' : 'session';
  if (!practice || !review) return <p className="text-quiet">Reading the last sessions…</p>;
  return (
    <section>
      <div className="mb-3 flex flex-wrap items-center justify-between gap-x-8">
        <h2 className="text-2xl font-semibold">Prescribe</h2>
        <Choice
          label="What to plan"
          hideLabel
          value={part}
          onChange={(next) => setSearch(next === 'block' ? { part: next } : {}, { replace: true })}
          options={[
            { value: 'session', label: 'The next session' },
            { value: 'block', label: 'A block of weeks' },
          ]}
        />
      </div>
      {client.facts.occlusions.length === 0 && client.facts.tightness.length === 0 ? (
        <FirstDo clientId={client.id} link="Measure">
          No occlusion pressure is on record yet.
        </FirstDo>
      ) : part === 'block' ? (
        <BlockBench client={client} practice={practice} />
      ) : (
        <Composer
          key={`${planInForce(client.facts)?.id ?? ''} ${measuredStamp(client.facts)}`}
          client={client}
          practice={practice}
          review={review}
        />
      )}
    </section>
  );
}
