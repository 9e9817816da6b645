import { t } from '@lingui/core/macro';
import { useNavigate } from 'react-router';
import type { ClientRecord } from '#contract/client';
import { goTo, type Place, startRound } from '#core/measuring';
import { LIMB_LABELS, LIMBS, type Limb, limbKind, newest, POSITION_NAMES, POSITIONS } from '#core/quantity';
import { cuffInForce, limbInHand, type PrescriptionFact, toMeasure } from '#core/record';
import { usePractice } from '../../../data/queries';
import { translate } from '../../../language/translate';
import { PhoneFold } from '../../../parts/base/PhoneFold';
import { Why } from '../../../parts/base/Why';
import { LimbCross } from '../../../parts/drawing/LimbCross';
import { Choice } from '../../../parts/fields/Choice';
import { HandHints } from '../../../parts/fields/HandHints';
import { useDraft } from '../../../parts/forms/use-draft';
import { BenchHeading, FirstDo } from '../../../parts/plan/Bench';
import { usePlanInHand, usePlanSearch } from '../../../parts/plan/use-plan-in-hand';
import { plain } from '../../../words/format';
import { KnownPressures } from './KnownPressures';
import { MeasureCuff } from './MeasureCuff';
import { RoundPlanner } from './RoundPlanner';
import { FIRST_SETUP, type Setup } from './setup';
import { TightnessForm } from './TightnessForm';
import { useMeasuring } from './use-measuring';

/** Limb occlusion pressures: one limb in one position at a time, or several in a round. */
export function MeasureBench({ client }: { client: ClientRecord }) {
  const navigate = useNavigate();
  const { data: practice } = usePractice();
  const { inHand } = usePlanInHand(client);
  const search = usePlanSearch();
  const [state, setState] = useMeasuring(client.id, firstPlace(client, inHand?.prescription));
  const [setup, setSetup] = useDraft<Setup>('measuring set-up', FIRST_SETUP);
  const { limb, position } = state.at;
  const fit = newest(client.facts.fits.filter((fact) => fact.limb === limb));
  const strap = fit?.kind === 'strap' && practice?.straps.find(({ id }) => id === fit.strapId);

  const go = (at: Place) => setState(goTo(state, at));
  const saved = (left: typeof state) => {
    setState(left);
    if (left.queue.length === 0) navigate(`/people/${client.id}${search}`);
  };

  return (
    <>
      <section className="grid gap-x-8 gap-y-4 max-sm:gap-y-1 md:grid-cols-[22rem_1fr] md:grid-rows-[auto_auto_1fr] xl:grid-cols-[18rem_17rem_1fr] xl:grid-rows-[auto_1fr]">
        <div className="md:row-span-2">
          <div className="max-sm:sr-only">
            <BenchHeading
              title={t`Measure`}
            >{t`Each limb on its own, in the position it will train in.`}</BenchHeading>
          </div>
          <PhoneFold
            label={t`Limb and position`}
            summary={`${translate(LIMB_LABELS[limb])}, ${translate(POSITION_NAMES[position])}`}
          >
            <div className="space-y-4">
              <LimbCross
                value={limb}
                known={knownPressures(client)}
                onChange={(next) => go({ ...state.at, limb: next })}
              />
              <Choice
                label={t`Position`}
                value={position}
                onChange={(next) => go({ ...state.at, position: next })}
                options={POSITIONS.map((value) => ({ value, label: translate(POSITION_NAMES[value]) }))}
              />
              <RoundPlanner
                fitted={LIMBS.filter((each) => cuffInForce(client.facts, each))}
                due={toMeasure(client.facts, client.judgedAtMs)}
                round={state.queue}
                current={state.at}
                go={go}
                setRound={(queue) => setState(startRound(state, queue))}
              />
              {fit?.kind === 'cuff' && <HandHints step="measure" kind={limbKind(limb)} />}
            </div>
          </PhoneFold>
        </div>
        {practice && fit?.kind === 'cuff' && (
          <MeasureCuff
            key={`${limb} ${position} ${fit.cuffId}`}
            client={client}
            fit={fit}
            state={state}
            setState={setState}
            practice={practice}
            setup={setup}
            setSetup={setSetup}
            saved={saved}
          />
        )}
        {fit?.kind === 'strap' && strap && (
          <TightnessForm
            key={limb}
            client={client}
            fit={fit}
            limb={limb}
            strap={strap}
            saved={() => saved(startRound(state, []))}
          />
        )}
        {!fit && (
          <FirstDo clientId={client.id} link="fit">
            {t`${translate(LIMB_LABELS[limb])} has no girth and cuff yet, and a pressure belongs to a cuff.`}{' '}
            <Why rule="FIT-3" />
          </FirstDo>
        )}
      </section>
      <KnownPressures client={client} />
    </>
  );
}

/** Where measuring begins: what the plan needs and does not have, else what it trains first. */
function firstPlace(client: ClientRecord, prescribed: PrescriptionFact | undefined): Place {
  const planned = prescribed?.plan.exercises[0]?.position;
  const [due] = planned ? toMeasure(client.facts, client.judgedAtMs) : [];
  return (
    due ?? { limb: limbInHand(client.facts, prescribed) ?? 'left-thigh', position: planned ?? 'sitting' }
  );
}

function knownPressures(client: ClientRecord): Partial<Record<Limb, string>> {
  return Object.fromEntries(
    LIMBS.flatMap((limb) => {
      const fact = newest(client.facts.occlusions.filter((occlusion) => occlusion.limb === limb));
      if (fact)
        return [
          [
            limb,
            `${plain(fact.pressure.value)} ± ${plain(fact.uncertaintyMmHg)}, ${translate(POSITION_NAMES[fact.position])}`,
          ],
        ];
      const felt = newest(client.facts.tightness.filter((tightness) => tightness.limb === limb));
      return felt ? [[limb, t`by feel: ${felt.felt} of 10`]] : [];
    }),
  );
}
