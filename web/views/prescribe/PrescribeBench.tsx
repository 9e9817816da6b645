import { useSearchParams } from 'react-router';
import type { ClientRecord } from '#contract/client';
import { usePractice } from '../../data/queries';
import { BenchHeading, FirstDo } from '../../parts/Bench';
import { Choice } from '../../parts/Choice';
import { BlockBench } from '../block/BlockBench';
import { Composer } from './Composer';
import { useLastReview } from './use-last-review';

const PARTS = {
  session: 'A whole session from goal and measurements, with every figure’s working.',
  block: 'Sessions over the weeks: where they fall, how the pressure rises, what falls due.',
} as const;
type Part = keyof typeof PARTS;

export function PrescribeBench({ client }: { client: ClientRecord }) {
  const { data: practice } = usePractice();
  const review = useLastReview(client);
  const [search, setSearch] = useSearchParams();
  const part: Part = search.get('part') === 'block' ? 'block' : 'session';
  if (!practice || !review) return <p className="text-quiet">Reading the last sessions…</p>;
  return (
    <section>
      <div className="flex flex-wrap items-start justify-between gap-x-8">
        <BenchHeading title="Prescribe">{PARTS[part]}</BenchHeading>
        <Choice
          label="Plan"
          value={part}
          onChange={(next) => setSearch(next === 'block' ? { part: next } : {}, { replace: true })}
          options={[
            { value: 'session', label: 'The next session' },
            { value: 'block', label: 'A block of weeks' },
          ]}
        />
      </div>
      {client.facts.occlusions.length === 0 ? (
        <FirstDo clientId={client.id} link="Measure">
          No occlusion pressure is on record yet.
        </FirstDo>
      ) : part === 'block' ? (
        <BlockBench client={client} practice={practice} />
      ) : (
        <Composer
          key={`${client.facts.occlusions.length} ${client.facts.strengthTests.length} ${client.facts.prescriptions.length}`}
          client={client}
          practice={practice}
          review={review}
        />
      )}
    </section>
  );
}
