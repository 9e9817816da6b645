import { useEffect, useRef, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import type { ClientRecord } from '#contract/client';
import type { NewOcclusion } from '#contract/measurements';
import type { PracticeView } from '#contract/practice';
import type { FitFact } from '#core/cuff/fact';
import { CUFF_DOWN_MMHG } from '#core/kit/pump';
import { automaticTrial } from '#core/occlusion-pressure/automatic';
import { estimateOcclusionPressure } from '#core/occlusion-pressure/estimate';
import { checkMethod, METHODS } from '#core/occlusion-pressure/methods';
import { checkPlausibility, expectedOcclusionPressureMmHg } from '#core/occlusion-pressure/plausibility';
import { otherSide, sideDifferenceWords } from '#core/occlusion-pressure/round';
import { checkSteps } from '#core/occlusion-pressure/trial';
import { LIMB_LABELS, type Limb, type Position } from '#core/quantity/limb';
import { newest } from '#core/quantity/newest';
import { restingPressureInForce } from '#core/record/in-force';
import { hardFindings } from '#core/rules/finding';
import { LIMITS } from '#core/rules/limits';
import { api, failureWords, read } from '../../data/api';
import { useRecordWrite } from '../../data/queries';
import { useFrame } from '../../devices/use-frame';
import { Button } from '../../parts/Button';
import { FieldError } from '../../parts/Field';
import { Figure } from '../../parts/Figure';
import { FindingLine } from '../../parts/FindingLine';
import { ProbeKnob } from '../../parts/ProbeKnob';
import { useUnits } from '../../parts/units';
import { useDraft } from '../../parts/use-draft';
import { useNow } from '../../parts/use-now';
import { BracketAxis } from './BracketAxis';
import { type ColumnPhase, PressureColumn } from './PressureColumn';
import { SetupFields } from './SetupFields';
import { type Setup, setupFor } from './setup';
import { TrialTable } from './TrialTable';
import { emptyRow, readRow, rowOf, type TrialRow, withRoom } from './trial-rows';
import { useSource } from './use-source';

/** One limb in one position under its cuff: the two-key measurement, its trials and what they amount to. */
export function MeasureCuff({
  client,
  fit,
  limb,
  position,
  practice,
  setup: chosen,
  setSetup,
  saved,
}: {
  client: ClientRecord;
  fit: Extract<FitFact, { kind: 'cuff' }>;
  limb: Limb;
  position: Position;
  practice: PracticeView;
  setup: Setup;
  setSetup: (setup: Setup) => void;
  saved: () => void;
}) {
  const nowMs = useNow(250);
  const { length } = useUnits();
  const setup = setupFor({ ...chosen, pumpId: chosen.pumpId || (practice.pumps[0]?.id ?? '') }, limb);
  const pump = practice.pumps.find(({ id }) => id === setup.pumpId);
  const [rows, setRows, clearRows] = useDraft<TrialRow[]>(
    `trials ${client.id} ${limb} ${position} ${fit.cuffId}`,
    [emptyRow(setup.steps)],
  );
  const [downSinceMs, setDownSinceMs] = useState<number | null>(null);
  const [toDeflate, setToDeflate] = useState(false);
  const [volume, setVolume] = useState(0.7);
  const label = `Measuring ${client.name}, ${LIMB_LABELS[limb].toLowerCase()}`;
  const { source, trouble } = useSource(setup.from, { clientId: client.id, limb, position }, label);
  const frame = useFrame(source);
  const write = useRecordWrite((json: NewOcclusion) =>
    read(api.clients[':id']['occlusion-pressures'].$post({ param: { id: client.id }, json })),
  );

  const readRows = rows.map(readRow);
  const trials = readRows.flatMap((row) => (row.state === 'whole' ? [row.trial] : []));
  const plausibleFrom = {
    girthCm: fit.girthCm,
    widthCm: fit.widthCm,
    resting: restingPressureInForce(client.facts, client.judgedAtMs),
  };
  const estimate = estimateOcclusionPressure(
    trials,
    pump?.divisionMmHg ?? 2,
    setup.readingSchool,
    setup.method,
  );
  const methodFindings = checkMethod(limb, setup.method, setup.site);
  const findings = estimate
    ? [
        ...checkPlausibility(estimate.pressure.value, plausibleFrom),
        ...checkSteps(trials, setup.readingSchool),
      ]
    : [];
  const current = readRows.findIndex(({ state }) => state !== 'whole');
  const recoveryLeftMs = downSinceMs === null ? 0 : downSinceMs + LIMITS.trials.recoveryMs - nowMs;
  const wrong = readRows.some(({ state }) => state === 'wrong');
  const expectedMmHg = expectedOcclusionPressureMmHg(plausibleFrom);
  const phase = phaseOf();
  const mayRecord =
    estimate !== null &&
    !wrong &&
    hardFindings([...findings, ...methodFindings]).length === 0 &&
    !write.isPending;
  const other = newest(
    client.facts.occlusions.filter((fact) => fact.limb === otherSide(limb) && fact.position === position),
  );

  function phaseOf(): ColumnPhase {
    if (frame?.measuring) return 'measuring';
    if (toDeflate) return 'deflate';
    if (current < 0) return 'full';
    if (rows[current]?.gone) return 'falling';
    if (recoveryLeftMs > 0) return 'recovering';
    return setup.method === 'automatic-pump' ? 'automatic' : 'rising';
  }

  // The 60 s of free flow count from the moment the cuff is really down (LOP-3).
  const isDown = (frame?.pressureMmHg ?? 0) < CUFF_DOWN_MMHG;
  useEffect(() => {
    if (!toDeflate || !isDown) return;
    setToDeflate(false);
    setDownSinceMs(Date.now());
  }, [toDeflate, isDown]);

  const changeRow = (place: number, row: TrialRow) =>
    setRows(
      withRoom(
        rows.map((old, i) => (i === place ? row : old)),
        setup.steps,
      ),
    );
  const trialTaken = () => {
    if (source.kind === 'typed') {
      setDownSinceMs(Date.now());
      source.command({ do: 'release' });
    } else setToDeflate(true);
  };
  const takeAutomatic = (readingMmHg: number) => {
    if (current < 0) return;
    changeRow(current, rowOf(automaticTrial(readingMmHg)));
    trialTaken();
  };

  // A figure the pump has found is taken once, as its measurement ends.
  const measuring = frame?.measuring ?? false;
  const measuredMmHg = frame?.measuredMmHg ?? null;
  const wasMeasuring = useRef(false);
  const latestTake = useRef(takeAutomatic);
  latestTake.current = takeAutomatic;
  useEffect(() => {
    if (wasMeasuring.current && !measuring && measuredMmHg !== null) latestTake.current(measuredMmHg);
    wasMeasuring.current = measuring;
  }, [measuring, measuredMmHg]);

  const next = () => {
    const row = rows[current];
    const reading = String(Math.round(frame?.pressureMmHg ?? 0));
    if (phase === 'deflate') source.command({ do: 'release' });
    else if (phase === 'automatic' && source.kind !== 'typed') source.command({ do: 'measure' });
    else if (phase === 'automatic') takeAutomatic(Number(reading));
    else if (phase === 'rising') changeRow(current, { ...emptyRow(setup.steps), gone: reading });
    else if (phase === 'falling' && row) {
      changeRow(current, { ...row, back: reading });
      trialTaken();
    }
  };
  const save = async () => {
    if (!mayRecord) return;
    const { method, site, pumpId, readingSchool } = setup;
    const json = { limb, position, method, site, pumpId, readingSchool, trials };
    if (!(await write.mutateAsync(json).catch(() => null))) return;
    clearRows();
    setDownSinceMs(null);
    saved();
  };
  useHotkeys('enter', () => void save(), { enableOnFormTags: ['INPUT'] });

  return (
    <>
      <div className="min-w-0 space-y-3">
        <p className="text-[15px]">
          <strong>
            {LIMB_LABELS[limb]}, {position}
          </strong>
          , {length.words(fit.girthCm)}, {fit.label} ({length.words(fit.widthCm)} wide)
        </p>
        <details open={methodFindings.length > 0}>
          <summary className="min-h-11 cursor-pointer py-2 text-[15px] font-semibold">
            Set-up: {METHODS[setup.method].label}, {pump?.label.toLowerCase() ?? 'no gauge'}
          </summary>
          <SetupFields
            setup={setup}
            limb={limb}
            pumps={practice.pumps}
            onChange={(part) => setSetup({ ...setup, ...part })}
          />
        </details>
        {methodFindings.map((finding) => (
          <FindingLine key={finding.message} finding={finding} />
        ))}
        <PressureColumn
          source={source}
          frame={frame}
          phase={phase}
          stepMmHg={
            phase === 'falling' ? (rows[current]?.downMmHg ?? setup.steps.downMmHg) : setup.steps.upMmHg
          }
          recoveryLeftMs={recoveryLeftMs}
          next={next}
          skipRecovery={() => setDownSinceMs(null)}
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
          {METHODS[setup.method].traps.join('. ')}.
          {pump && !pump.keepsPressure && ' This pump leaks once unplugged: read first.'}
        </p>
      </div>
      <div className="min-w-0 space-y-4 md:col-span-2 xl:col-span-1">
        <TrialTable rows={rows} current={current} onChange={changeRow} />
        {trials.length > 0 ? (
          <BracketAxis trials={trials} estimate={estimate} expectedMmHg={expectedMmHg} />
        ) : (
          <p className="max-w-prose text-[15px] text-quiet">
            Expect about <span className="figures">{Math.round(expectedMmHg)}</span> mmHg for this girth and
            cuff, as a check only (LOP-7). Two trials within 10 mmHg are enough, with 60 s of free flow
            between (LOP-3).
          </p>
        )}
        {estimate && (
          <div className="flex flex-wrap items-center gap-x-5 gap-y-2">
            <Figure label="Limb occlusion pressure" derived={estimate.pressure} size="text-5xl" />
            <p className="figures text-3xl">±{estimate.uncertaintyMmHg}</p>
          </div>
        )}
        {estimate && <p className="max-w-prose">{estimate.advice.words}</p>}
        {estimate && other && (
          <p className="max-w-prose text-[15px] text-quiet">
            {sideDifferenceWords(limb, estimate.pressure.value, other.pressure.value)}
          </p>
        )}
        {trials.length > 0 && !estimate && (
          <FieldError>Rising and falling cannot both be right: take another trial (LOP-2).</FieldError>
        )}
        {findings.map((finding) => (
          <FindingLine key={finding.message} finding={finding} />
        ))}
        {write.error && <FieldError>{failureWords(write.error)}</FieldError>}
        {trials.length > 0 && (
          <Button
            kind={estimate?.advice.next === 'enough' ? 'main' : 'plain'}
            keyHint="Enter"
            disabled={!mayRecord}
            onClick={() => void save()}
          >
            Record {estimate ? `${estimate.pressure.value} ± ${estimate.uncertaintyMmHg} mmHg` : 'pressure'}
          </Button>
        )}
      </div>
    </>
  );
}
