import { useState } from 'react';
import { useNavigate } from 'react-router';
import type { ClientRecord } from '#contract/client';
import type { RoundItem } from '#core/occlusion-pressure/round';
import { LIMB_LABELS, LIMBS, type Limb, POSITIONS } from '#core/quantity/limb';
import { newest } from '#core/quantity/newest';
import { limbInHand } from '#core/record/chain';
import { cuffInForce, planInForce } from '#core/record/in-force';
import { usePractice } from '../../data/queries';
import { BenchHeading, FirstDo } from '../../parts/Bench';
import { Choice } from '../../parts/Choice';
import { LimbCross } from '../../parts/LimbCross';
import { useDraft } from '../../parts/use-draft';
import { KnownPressures } from './KnownPressures';
import { MeasureCuff } from './MeasureCuff';
import { RoundPlanner } from './RoundPlanner';
import { FIRST_SETUP, type Setup } from './setup';
import { TightnessForm } from './TightnessForm';

/** Limb occlusion pressures: one limb in one position at a time, or several in a round. */
export function MeasureBench({ client }: { client: ClientRecord }) {
  const navigate = useNavigate();
  const { data: practice } = usePractice();
  const [place, setPlace] = useState<RoundItem>({
    limb: limbInHand(client.facts) ?? 'left-thigh',
    position: planInForce(client.facts)?.plan.exercises[0]?.position ?? 'sitting',
  });
  const [round, setRound] = useState<RoundItem[]>([]);
  const [setup, setSetup] = useDraft<Setup>('measuring set-up', FIRST_SETUP);
  const { limb, position } = place;
  const fit = newest(client.facts.fits.filter((fact) => fact.limb === limb));
  const strap = fit?.kind === 'strap' && practice?.straps.find(({ id }) => id === fit.strapId);

  const startRound = (next: RoundItem[]) => {
    setRound(next);
    if (next[0]) setPlace(next[0]);
  };
  const saved = () => {
    const left = round.filter((item) => item.limb !== limb || item.position !== position);
    setRound(left);
    if (left[0]) setPlace(left[0]);
    else navigate(`/people/${client.id}/load`);
  };

  return (
    <>
      <section className="grid gap-x-8 gap-y-5 md:grid-cols-[18rem_1fr] xl:grid-cols-[18rem_17rem_1fr]">
        <div className="space-y-4">
          <BenchHeading title="Measure">Each limb on its own, in the position it will train in.</BenchHeading>
          <LimbCross
            value={limb}
            known={knownPressures(client)}
            onChange={(next) => setPlace({ ...place, limb: next })}
          />
          <Choice
            label="Position"
            value={position}
            onChange={(next) => setPlace({ ...place, position: next })}
            options={POSITIONS.map((value) => ({ value, label: value }))}
          />
          <RoundPlanner
            fitted={LIMBS.filter((each) => cuffInForce(client.facts, each))}
            round={round}
            current={place}
            setRound={startRound}
          />
        </div>
        {practice && fit?.kind === 'cuff' && (
          <MeasureCuff
            key={`${limb} ${position} ${fit.cuffId}`}
            client={client}
            fit={fit}
            limb={limb}
            position={position}
            practice={practice}
            setup={setup}
            setSetup={setSetup}
            saved={saved}
          />
        )}
        {fit?.kind === 'strap' && strap && (
          <TightnessForm key={limb} client={client} fit={fit} limb={limb} strap={strap} saved={saved} />
        )}
        {!fit && (
          <FirstDo clientId={client.id} link="Fit">
            {LIMB_LABELS[limb]} has no girth and cuff yet, and a pressure belongs to a cuff (FIT-3).
          </FirstDo>
        )}
      </section>
      <KnownPressures client={client} />
    </>
  );
}

function knownPressures(client: ClientRecord): Partial<Record<Limb, string>> {
  return Object.fromEntries(
    LIMBS.flatMap((limb) => {
      const fact = newest(client.facts.occlusions.filter((occlusion) => occlusion.limb === limb));
      if (fact) return [[limb, `${fact.pressure.value} ± ${fact.uncertaintyMmHg}, ${fact.position}`]];
      const felt = newest(client.facts.tightness.filter((tightness) => tightness.limb === limb));
      return felt ? [[limb, `by feel: ${felt.felt} of 10`]] : [];
    }),
  );
}
