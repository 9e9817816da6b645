import { useState } from 'react';
import { useNavigate } from 'react-router';
import type { ClientRecord } from '#contract/client';
import type { NewOcclusion, PulseMethod, PulseSite } from '#contract/measurements';
import { newest } from '#core/chain/facts';
import { limbInHand } from '#core/chain/links';
import { estimateOcclusionPressure } from '#core/occlusion-pressure/estimate';
import { checkPlausibility } from '#core/occlusion-pressure/plausibility';
import { READING_SCHOOLS, type ReadingSchool, readingSchoolSchema } from '#core/occlusion-pressure/trial';
import { LIMB_LABELS, LIMBS, type Limb, limbKind, POSITIONS, type Position } from '#core/quantity/limb';
import { hardFindings } from '#core/rules/finding';
import { LIMITS } from '#core/rules/limits';
import { api, failureWords, read } from '../../data/api';
import { usePractice, useRecordWrite } from '../../data/queries';
import { BenchHeading, FirstDo } from '../../parts/Bench';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Choice';
import { FieldError } from '../../parts/Field';
import { Figure } from '../../parts/Figure';
import { FindingLine } from '../../parts/FindingLine';
import { LimbCross } from '../../parts/LimbCross';
import { useNow } from '../../parts/use-now';
import { BracketAxis } from './BracketAxis';
import { type ColumnPhase, PressureColumn } from './PressureColumn';
import { TrialTable } from './TrialTable';
import { EMPTY_ROW, readRow, type TrialRow, withRoom } from './trial-rows';

const UP_STEPS = [5, 10, 20, 50] as const;
const DOWN_STEPS = [2, 4, 5, 10] as const;
const SITES: Record<'arm' | 'leg', readonly PulseSite[]> = {
  arm: ['radial'],
  leg: ['posterior-tibial', 'dorsalis-pedis'],
};
const TRAPS = 'Probe volume up, room quiet, nobody talking, limb straight, gauge at zero, valve closed.';

/** Limb occlusion pressure of one limb in one position, by trials typed or keyed in. */
export function MeasureBench({ client }: { client: ClientRecord }) {
  const navigate = useNavigate();
  const nowMs = useNow(500);
  const { data: practice } = usePractice();
  const [limb, setLimb] = useState<Limb>(limbInHand(client.facts) ?? 'left-thigh');
  const [position, setPosition] = useState<Position>('sitting');
  const [method, setMethod] = useState<PulseMethod>('doppler');
  const [site, setSite] = useState<PulseSite>(SITES[limbKind(limb)][0] ?? 'radial');
  const [readingSchool, setReadingSchool] = useState<ReadingSchool>('bracket');
  const [steps, setSteps] = useState({ upMmHg: 10, downMmHg: 4 });
  const [rows, setRows] = useState<TrialRow[]>([EMPTY_ROW]);
  const [reading, setReading] = useState('');
  const [downSinceMs, setDownSinceMs] = useState<number | null>(null);
  const write = useRecordWrite((json: NewOcclusion) =>
    read(api.clients[':id']['occlusion-pressures'].$post({ param: { id: client.id }, json })),
  );

  const fit = newest(client.facts.fits.filter((fact) => fact.limb === limb));
  const readRows = rows.map((row) => readRow(row, steps));
  const trials = readRows.flatMap((row) => (row.state === 'whole' ? [row.trial] : []));
  const division = practice?.settings.gaugeDivisionMmHg ?? 2;
  const estimate = estimateOcclusionPressure(trials, division, readingSchool);
  const findings =
    estimate && fit ? checkPlausibility(estimate.pressure.value, fit.girthCm, fit.widthCm) : [];
  const current = readRows.findIndex(({ state }) => state !== 'whole');
  const recoveryLeftMs = downSinceMs === null ? 0 : downSinceMs + LIMITS.trials.recoveryMs - nowMs;
  const phase: ColumnPhase =
    current < 0 ? 'full' : rows[current]?.gone ? 'falling' : recoveryLeftMs > 0 ? 'recovering' : 'rising';
  const stepMmHg = phase === 'falling' ? steps.downMmHg : steps.upMmHg;
  const wrong = readRows.some(({ state }) => state === 'wrong');

  const changeRow = (place: number, row: TrialRow) =>
    setRows(
      withRoom(
        rows.map((old, i) => (i === place ? row : old)),
        steps,
      ),
    );
  const record = () => {
    const row = rows[current];
    if (!row) return;
    if (phase === 'rising') return changeRow(current, { ...row, gone: reading });
    changeRow(current, { ...row, back: reading });
    setDownSinceMs(Date.now());
    setReading('');
  };
  const chooseLimb = (next: Limb) => {
    // A half-typed trial belongs to the limb it was taken on (LOP-4).
    setRows([EMPTY_ROW]);
    setReading('');
    setDownSinceMs(null);
    setLimb(next);
    setSite(SITES[limbKind(next)][0] ?? 'radial');
  };
  const save = async () => {
    const saved = await write
      .mutateAsync({ limb, position, method, site, readingSchool, trials })
      .catch(() => null);
    if (saved) navigate(`/people/${client.id}/load`);
  };

  return (
    <section className="grid gap-x-8 gap-y-5 md:grid-cols-[18rem_1fr] xl:grid-cols-[18rem_17rem_1fr]">
      <div className="space-y-4">
        <BenchHeading title="Measure">Each limb on its own, in the position it will train in.</BenchHeading>
        <LimbCross value={limb} known={knownPressures(client)} onChange={chooseLimb} />
        <Choice
          label="Position"
          value={position}
          onChange={setPosition}
          options={POSITIONS.map((value) => ({ value, label: value }))}
        />
        <Choice
          label="Pulse by"
          value={method}
          onChange={setMethod}
          options={[
            { value: 'doppler', label: 'Doppler probe' },
            { value: 'palpation', label: 'fingers' },
          ]}
        />
        <Choice
          label="Site"
          value={site}
          onChange={setSite}
          options={SITES[limbKind(limb)].map((value) => ({ value, label: value.replace('-', ' ') }))}
        />
        <Choice
          label="Read the trial by"
          value={readingSchool}
          onChange={setReadingSchool}
          options={readingSchoolSchema.options.map((value) => ({
            value,
            label: READING_SCHOOLS[value].label,
            hint: READING_SCHOOLS[value].words,
          }))}
        />
      </div>
      {fit ? (
        <>
          <div className="min-w-0 space-y-3">
            <p className="text-[15px]">
              <strong>{LIMB_LABELS[limb]}</strong>, {fit.girthCm} cm, {fit.cuffLabel} ({fit.widthCm} cm wide)
            </p>
            <div className="flex gap-4">
              <StepSelect
                label="Step up"
                value={steps.upMmHg}
                options={UP_STEPS}
                onChange={(upMmHg) => setSteps({ ...steps, upMmHg })}
              />
              <StepSelect
                label="Step down"
                value={steps.downMmHg}
                options={DOWN_STEPS}
                onChange={(downMmHg) => setSteps({ ...steps, downMmHg })}
              />
            </div>
            <PressureColumn
              reading={reading}
              setReading={setReading}
              phase={phase}
              stepMmHg={stepMmHg}
              recoveryLeftMs={recoveryLeftMs}
              record={record}
              skipRecovery={() => setDownSinceMs(null)}
            />
            <p className="text-[14px] text-quiet">{TRAPS}</p>
          </div>
          <div className="min-w-0 space-y-4 md:col-span-2 xl:col-span-1">
            <TrialTable rows={rows} steps={steps} current={current} onChange={changeRow} />
            {trials.length > 0 && <BracketAxis trials={trials} estimate={estimate} />}
            {estimate && (
              <div className="flex flex-wrap items-center gap-x-5 gap-y-2">
                <Figure label="Limb occlusion pressure" derived={estimate.pressure} size="text-6xl" />
                <p className="figures text-4xl">±{estimate.uncertaintyMmHg}</p>
              </div>
            )}
            {estimate && <p className="max-w-prose">{estimate.advice.words}</p>}
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
                disabled={!estimate || wrong || hardFindings(findings).length > 0 || write.isPending}
                onClick={() => void save()}
              >
                Record{' '}
                {estimate ? `${estimate.pressure.value} ± ${estimate.uncertaintyMmHg} mmHg` : 'pressure'}
              </Button>
            )}
          </div>
        </>
      ) : (
        <FirstDo clientId={client.id} link="Fit">
          {LIMB_LABELS[limb]} has no girth and cuff yet, and a pressure belongs to a cuff (FIT-3).
        </FirstDo>
      )}
    </section>
  );
}

function StepSelect<T extends number>({
  label,
  value,
  options,
  onChange,
}: {
  label: string;
  value: number;
  options: readonly T[];
  onChange: (value: T) => void;
}) {
  return (
    <label className="text-[15px] font-semibold">
      {label}
      <select
        value={value}
        onChange={(event) => onChange(Number(event.target.value) as T)}
        className="figures mt-1 block min-h-11 rounded-sm border border-ink/40 bg-paper px-2 font-normal"
      >
        {options.map((option) => (
          <option key={option} value={option}>
            {option} mmHg
          </option>
        ))}
      </select>
    </label>
  );
}

function knownPressures(client: ClientRecord): Partial<Record<Limb, string>> {
  return Object.fromEntries(
    LIMBS.flatMap((limb) => {
      const fact = newest(client.facts.occlusions.filter((occlusion) => occlusion.limb === limb));
      return fact ? [[limb, `${fact.pressure.value} ± ${fact.uncertaintyMmHg}, ${fact.position}`]] : [];
    }),
  );
}
