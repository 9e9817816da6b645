import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import type { ClientRecord } from '#contract/client';
import type { NewOcclusion } from '#contract/measurements';
import type { PracticeView } from '#contract/practice';
import type { FitFact } from '#core/cuff';
import { hardFindings } from '#core/findings';
import { CUFF_DOWN_MMHG, checkGauge } from '#core/kit';
import {
  decideMeasuring,
  type Kit,
  type Measuring,
  type MeasuringIntent,
  measuringInHand,
} from '#core/measuring';
import {
  checkMethod,
  checkPlausibility,
  checkSteps,
  estimateOcclusionPressure,
  expectedOcclusionPressureMmHg,
  METHODS,
  sideDifferenceWords,
} from '#core/occlusion-pressure';
import { dayAt, LIMB_LABELS, LIMB_NAMES, newest, otherSide, POSITION_NAMES } from '#core/quantity';
import { restingPressureInForce } from '#core/record';
import { api, failureWords, read } from '../../../data/api';
import { serverNow } from '../../../data/clock';
import { KEYS } from '../../../data/keys';
import { usePracticeSpread, useRecordWrite } from '../../../data/queries';
import { useFrame } from '../../../devices/use-frame';
import { translate } from '../../../language/translate';
import { Button } from '../../../parts/base/Button';
import { Figure } from '../../../parts/base/Figure';
import { FindingLine } from '../../../parts/base/FindingLine';
import { PhoneFold } from '../../../parts/base/PhoneFold';
import { Why } from '../../../parts/base/Why';
import { FieldError } from '../../../parts/fields/Field';
import { useAction } from '../../../parts/keys/use-action';
import { ProbeKnob } from '../../../parts/record/ProbeKnob';
import { useNow } from '../../../parts/time/use-now';
import { plain } from '../../../words/format';
import { useUnits } from '../../../words/units';
import { BracketAxis } from './BracketAxis';
import { PressureColumn } from './PressureColumn';
import { SetupSentence } from './SetupSentence';
import { type Setup, setupFor } from './setup';
import { TrialTable } from './TrialTable';
import { useSource } from './use-source';

/** One limb in one position under its cuff: the two-key measurement, its trials and what they amount to. */
export function MeasureCuff({
  client,
  fit,
  state,
  setState,
  practice,
  setup: chosen,
  setSetup,
  saved,
}: {
  client: ClientRecord;
  fit: Extract<FitFact, { kind: 'cuff' }>;
  state: Measuring;
  setState: (state: Measuring) => void;
  practice: PracticeView;
  setup: Setup;
  setSetup: (setup: Setup) => void;
  /** With what is left to measure. */
  saved: (left: Measuring) => void;
}) {
  const { limb, position } = state.at;
  const nowMs = useNow(250);
  const { length } = useUnits();
  const setup = setupFor({ ...chosen, pumpId: chosen.pumpId || (practice.pumps[0]?.id ?? '') }, limb);
  const pump = practice.pumps.find(({ id }) => id === setup.pumpId);
  const [volume, setVolume] = useState(0.7);
  const label = t`Measuring ${client.name}, ${translate(LIMB_NAMES[limb])}`;
  const { source, trouble } = useSource(setup.from, { clientId: client.id, limb, position }, label);
  const frame = useFrame(source);
  const queries = useQueryClient();
  const write = useRecordWrite(async (json: NewOcclusion) => {
    const record = await read(
      api.clients[':id']['occlusion-pressures'].$post({ param: { id: client.id }, json }),
    );
    void queries.invalidateQueries({ queryKey: KEYS.spread });
    return record;
  });
  const spread = usePracticeSpread();

  const kit: Kit = {
    cuffId: fit.cuffId,
    method: setup.method,
    steps: setup.steps,
    reads: source.kind === 'typed' ? 'person' : 'app',
  };
  const reading = { pressureMmHg: frame?.pressureMmHg ?? 0, measuring: frame?.measuring ?? false };
  const { rows, current, trials, wrong, phase, recoveryLeftMs, stepMmHg } = measuringInHand(
    state,
    kit,
    reading,
    nowMs,
  );
  const act = (intent: MeasuringIntent) => {
    const decision = decideMeasuring(state, intent, kit, reading, serverNow());
    if (decision.state !== state) setState(decision.state);
    for (const effect of decision.effects)
      source.command({ do: effect === 'deflate' ? 'release' : 'measure' });
    return decision.state;
  };
  const plausibleFrom = {
    girthCm: fit.girthCm,
    widthCm: fit.widthCm,
    resting: restingPressureInForce(client.facts, client.judgedAtMs),
  };
  const estimate = estimateOcclusionPressure(
    trials,
    pump ?? { divisionMmHg: 2 },
    setup.readingSchool,
    setup.method,
    spread,
  );
  const methodFindings = checkMethod(limb, setup.method, setup.site);
  const findings = estimate
    ? [
        ...checkPlausibility(estimate.pressure.value, plausibleFrom),
        ...checkSteps(trials, setup.readingSchool),
        ...(pump ? checkGauge(pump, dayAt(client.judgedAtMs, client.facts.zoneOffsetMs)) : []),
      ]
    : [];
  const expectedMmHg = expectedOcclusionPressureMmHg(plausibleFrom);
  const mayRecord =
    estimate !== null &&
    !wrong &&
    hardFindings([...findings, ...methodFindings]).length === 0 &&
    !write.isPending;
  const other = newest(
    client.facts.occlusions.filter((fact) => fact.limb === otherSide(limb) && fact.position === position),
  );

  // What the pump shows of itself: a cuff that is down, and a figure it has found, taken once as its measurement ends.
  const latestAct = useRef(act);
  latestAct.current = act;
  const { measuring, pressureMmHg } = reading;
  const measuredMmHg = frame?.measuredMmHg ?? null;
  const wasMeasuring = useRef(false);
  useEffect(() => {
    if (state.toDeflate && pressureMmHg < CUFF_DOWN_MMHG) latestAct.current({ do: 'read' });
  }, [pressureMmHg, state.toDeflate]);
  useEffect(() => {
    if (wasMeasuring.current && !measuring && measuredMmHg !== null)
      latestAct.current({ do: 'found', pressureMmHg: measuredMmHg });
    wasMeasuring.current = measuring;
  }, [measuring, measuredMmHg]);

  const save = async () => {
    if (!mayRecord) return;
    const { method, site, pumpId, readingSchool } = setup;
    const json = { limb, position, method, site, pumpId, readingSchool, trials };
    if (!(await write.mutateAsync(json).catch(() => null))) return;
    saved(act({ do: 'recorded' }));
  };
  useAction('accept', () => void save(), { fromFields: true });

  return (
    <>
      <div className="min-w-0 xl:col-span-2">
        <PhoneFold
          label={t`How it is measured`}
          summary={`${fit.label}, ${translate(METHODS[setup.method].label)}`}
        >
          <p className="text-[15px]">
            <Trans>
              <strong>
                {translate(LIMB_LABELS[limb])}, {translate(POSITION_NAMES[position])}
              </strong>
              , {length.words(fit.girthCm)}, {fit.label} ({length.words(fit.widthCm)} wide)
            </Trans>
          </p>
          <SetupSentence
            setup={setup}
            limb={limb}
            pumps={practice.pumps}
            onChange={(part) => setSetup({ ...setup, ...part })}
          />
        </PhoneFold>
      </div>
      <div className="min-w-0 space-y-3 md:row-span-2 xl:row-span-1">
        {methodFindings.map((finding) => (
          <FindingLine key={translate(finding.message)} finding={finding} />
        ))}
        <PressureColumn
          source={source}
          frame={frame}
          phase={phase}
          stepMmHg={stepMmHg}
          recoveryLeftMs={recoveryLeftMs}
          next={() => act({ do: 'next' })}
          skipRecovery={() => act({ do: 'pass-recovery' })}
        />
        {trouble && <FieldError>{trouble}</FieldError>}
        {source.kind !== 'typed' && (
          <ProbeKnob
            source={source}
            follows={setup.method === 'oximeter' ? 'oximeter' : 'probe'}
            volume={volume}
            setVolume={setVolume}
          />
        )}
        <p className="text-[14px] text-quiet">
          {METHODS[setup.method].traps.map((trap) => translate(trap)).join('. ')}.
          {pump && !pump.keepsPressure && t` This pump leaks once unplugged: read first.`}
        </p>
      </div>
      <div className="min-w-0 space-y-4 md:col-start-1 md:row-start-3 xl:col-start-auto xl:row-start-auto">
        <TrialTable
          rows={rows}
          current={current}
          onChange={(place, row) => act({ do: 'type', place, row })}
        />
        {trials.length === 0 && (
          <p className="max-w-prose text-[15px] text-quiet">
            <Trans>
              Expect about <span className="figures">{Math.round(expectedMmHg)}</span> mmHg for this girth and
              cuff, as a check only. <Why rule="LOP-7" /> Two trials within 10 mmHg are enough, with 60 s of
              free flow between.
            </Trans>{' '}
            <Why rule="LOP-3" />
          </p>
        )}
        {estimate && (
          <div className="flex flex-wrap items-center gap-x-5 gap-y-2">
            <Figure label={t`Limb occlusion pressure`} derived={estimate.pressure} size="text-5xl" />
            <p className="figures text-3xl">±{estimate.uncertaintyMmHg}</p>
          </div>
        )}
        {estimate && <p className="max-w-prose">{translate(estimate.advice.words)}</p>}
        {trials.length > 0 && !estimate && (
          <FieldError>
            {t`Rising and falling cannot both be right: take another trial.`} <Why rule="LOP-2" />
          </FieldError>
        )}
        {findings.map((finding) => (
          <FindingLine key={translate(finding.message)} finding={finding} />
        ))}
        {write.error && <FieldError>{failureWords(write.error)}</FieldError>}
        {trials.length > 0 && (
          <Button
            kind={estimate?.advice.next === 'enough' ? 'main' : 'plain'}
            does="accept"
            disabled={!mayRecord}
            onClick={() => void save()}
          >
            {t`Record ${estimate ? `${plain(estimate.pressure.value)} ± ${plain(estimate.uncertaintyMmHg)} mmHg` : t`pressure`}`}
          </Button>
        )}
        {/* How it came about is beneath it. */}
        {trials.length > 0 && <BracketAxis trials={trials} estimate={estimate} expectedMmHg={expectedMmHg} />}
        {estimate && other && (
          <p className="max-w-prose text-[15px] text-quiet">
            {translate(sideDifferenceWords(limb, estimate.pressure.value, other.pressure.value))}
          </p>
        )}
      </div>
    </>
  );
}
