import type { ClientRecord } from '#contract/client';
import type { PracticeView } from '#contract/practice';
import { newest, type OcclusionFact, type StrengthFact } from '#core/chain/facts';
import { limbInHand } from '#core/chain/links';
import { EXERCISES } from '#core/protocol/exercises';
import { limbKind } from '#core/quantity/limb';
import { usePractice } from '../../data/queries';
import { BenchHeading, FirstDo } from '../../parts/Bench';
import { Composer } from './Composer';

/** What a prescription is made from; the composer starts once all of it is on record. */
export type Basis = { occlusions: OcclusionFact[]; strengthTests: StrengthFact[]; practice: PracticeView };

export function PrescribeBench({ client }: { client: ClientRecord }) {
  const { data: practice } = usePractice();
  const limb = limbInHand(client.facts);
  const occlusions = client.facts.occlusions.filter((fact) => fact.limb === limb);
  const strengthTests = client.facts.strengthTests.filter(
    (fact) => limb && EXERCISES[fact.exerciseId].limbKind === limbKind(limb),
  );
  if (!practice) return null;
  return (
    <section>
      <BenchHeading title="Prescribe">
        One exercise: pressure, load and protocol, with every figure’s working.
      </BenchHeading>
      {occlusions.length === 0 ? (
        <FirstDo clientId={client.id} link="Measure">
          No occlusion pressure is on record for this limb.
        </FirstDo>
      ) : strengthTests.length === 0 ? (
        <FirstDo clientId={client.id} link="Load">
          No strength test is on record for this kind of limb.
        </FirstDo>
      ) : (
        <Composer
          key={newest(occlusions)?.id}
          client={client}
          basis={{ occlusions, strengthTests, practice }}
        />
      )}
    </section>
  );
}
