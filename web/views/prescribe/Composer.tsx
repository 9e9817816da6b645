import { useState } from 'react';
import { useNavigate } from 'react-router';
import type { ClientRecord } from '#contract/client';
import type { NewPrescription } from '#contract/prescription';
import type { LoadStep } from '#core/load/target-load';
import { makeableLoads } from '#core/load/weight-kit';
import { compareSchools } from '#core/plan/compare-schools';
import { compile } from '#core/plan/compile';
import { type Choices, composePlan } from '#core/plan/compose';
import { measurementsOf } from '#core/plan/measurements';
import { proposedPercent } from '#core/pressure/newcomer-ramp';
import { EXERCISES } from '#core/protocol/exercises';
import { PROTOCOLS, protocolIdSchema, tempoIdSchema } from '#core/protocol/protocols';
import { LIMB_LABELS, POSITIONS } from '#core/quantity/limb';
import { massWords } from '#core/quantity/units';
import { guardFindings, hardFindings } from '#core/rules/finding';
import { SCHOOLS, schoolIdSchema } from '#core/rules/schools';
import { limitsInForce } from '#core/screening/clearance';
import { doseOf } from '#core/session/dose';
import { api, failureWords, fieldProblem, read } from '../../data/api';
import { usePractitioner, useRecordWrite } from '../../data/queries';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Choice';
import { Field, FieldError } from '../../parts/Field';
import { Figure } from '../../parts/Figure';
import { FindingsFor } from '../../parts/FindingLine';
import { clock } from '../../parts/format';
import { OcclusionStrip } from '../../parts/OcclusionStrip';
import { Picker } from '../../parts/Picker';
import { toNumber } from '../../parts/units';
import { type Draft, firstDraft, weeksTrained } from './draft';
import type { Basis } from './PrescribeBench';
import { SchoolsTable } from './SchoolsTable';

/** The prescription as it is being made: choices left, figures right, the strip beneath, findings at their cause. */
export function Composer({ client, basis }: { client: ClientRecord; basis: Basis }) {
  const navigate = useNavigate();
  const practitioner = usePractitioner();
  const [draft, setDraft] = useState(() => firstDraft(client, basis));
  const change = (part: Partial<Draft>) => setDraft((old) => ({ ...old, ...part }));
  const write = useRecordWrite((json: NewPrescription) =>
    read(api.clients[':id'].prescriptions.$post({ param: { id: client.id }, json })),
  );
  const { occlusions, strengthTests, practice } = basis;
  const limits = limitsInForce(client.facts.clearances, client.judgedAtMs);
  const weightKits = practice.weightKits.filter((kit) => makeableLoads(kit).length > 0);
  const occlusion = occlusions.find(({ id }) => id === draft.occlusionId);
  const test = strengthTests.find(({ id }) => id === draft.strengthTestId);
  const weightKit = weightKits.find(({ id }) => id === draft.weightKitId);
  const cuff = practice.cuffs.find(({ id }) => id === occlusion?.cuffId);
  if (!occlusion || !test || !weightKit || !cuff) return null;

  const choices: Choices = {
    limb: occlusion.limb,
    position: draft.position,
    exerciseId: test.exerciseId,
    schoolId: draft.schoolId,
    protocolId: draft.protocolId,
    tempoId: draft.tempoId,
    percentLop: toNumber(draft.percentLop),
    percentOneRepMax: toNumber(draft.percentOneRepMax),
    restMs: Math.round(toNumber(draft.restSeconds) * 1000),
  };
  const untyped = [choices.percentLop, choices.percentOneRepMax, choices.restMs].some(
    (value) => !(value >= 0) || value > 1e6,
  );
  const measured = measurementsOf(occlusion, test, {
    cuff,
    weightKit,
    massUnit: client.facts.units.mass,
    limits,
  });
  const composed = untyped ? null : composePlan(choices, measured);
  const findings = composed?.findings ?? [];
  const hard = hardFindings(findings).length > 0;
  const guards = guardFindings(findings);
  const mayOverride = practitioner?.role === 'clinician';
  const load = composed?.load;
  const stepWords = ({ loadKg, percent }: LoadStep) =>
    `${massWords(loadKg, client.facts.units.mass)} (${percent} %)`;
  const exercise = composed?.plan.exercises[0];
  const target = exercise?.limbs[0];
  const timeline = composed && compile(composed.plan);
  const proposed = proposedPercent(
    occlusion.limb,
    draft.schoolId,
    weeksTrained(client),
    limits.maxPercentLop,
  );

  const sign = async () => {
    const { overrideReason } = draft;
    const json: NewPrescription = {
      ...choices,
      occlusionId: occlusion.id,
      strengthTestId: test.id,
      weightKitId: weightKit.id,
      ...(guards.length > 0 ? { overrideReason } : {}),
    };
    const record = await write.mutateAsync(json).catch(() => null);
    if (record) navigate(`/people/${client.id}/run`);
  };

  return (
    <div className="grid gap-8 lg:grid-cols-[22rem_1fr]">
      <div className="space-y-4">
        <Picker
          label="Pressure measured"
          value={draft.occlusionId}
          onChange={(occlusionId) => change({ occlusionId })}
          options={occlusions.map((fact) => ({
            value: fact.id,
            label: `${LIMB_LABELS[fact.limb]}, ${fact.position}: ${fact.pressure.value} ± ${fact.uncertaintyMmHg} mmHg`,
          }))}
        />
        <Picker
          label="Exercise and 1RM"
          value={draft.strengthTestId}
          onChange={(strengthTestId) => change({ strengthTestId })}
          options={strengthTests.map((fact) => ({
            value: fact.id,
            label: `${EXERCISES[fact.exerciseId].label}, ${fact.side}: ${massWords(fact.oneRepMax.value, client.facts.units.mass)}`,
          }))}
        />
        <FindingsFor subject="strengthTestId" findings={findings} />
        <Choice
          label="Exercised"
          value={draft.position}
          onChange={(position) => change({ position })}
          options={POSITIONS.map((value) => ({ value, label: value }))}
        />
        <FindingsFor subject="position" findings={findings} />
        <Picker
          label="School"
          value={draft.schoolId}
          onChange={(schoolId) =>
            change({
              schoolId,
              percentLop: String(
                proposedPercent(occlusion.limb, schoolId, weeksTrained(client), limits.maxPercentLop).value,
              ),
            })
          }
          options={schoolIdSchema.options.map((value) => ({ value, label: SCHOOLS[value].label }))}
        />
        <div className="grid grid-cols-2 gap-4">
          <Field
            label="Pressure"
            unit="% LOP"
            inputMode="decimal"
            value={draft.percentLop}
            onChange={(event) => change({ percentLop: event.target.value })}
            error={fieldProblem(write.error, 'percentLop')}
            hint={`${SCHOOLS[draft.schoolId].label} proposes ${proposed.value} %`}
          />
          <Field
            label="Load"
            unit="% 1RM"
            inputMode="decimal"
            value={draft.percentOneRepMax}
            onChange={(event) => change({ percentOneRepMax: event.target.value })}
            error={fieldProblem(write.error, 'percentOneRepMax')}
            hint="Start 20–30 %, usual up to 40 %"
          />
        </div>
        <FindingsFor subject="percentLop" findings={findings} />
        <FindingsFor subject="percentOneRepMax" findings={findings} />
        <Picker
          label="Weights"
          value={draft.weightKitId}
          onChange={(weightKitId) => change({ weightKitId })}
          options={weightKits.map(({ id, label }) => ({ value: id, label }))}
        />
        <FindingsFor subject="weightKitId" findings={findings} />
      </div>
      <div className="min-w-0 space-y-5">
        {exercise && target && (
          <div className="flex flex-wrap gap-x-10 gap-y-4">
            <Figure label="Target pressure" derived={target.pressure} size="text-6xl" />
            <Figure label="Truly" derived={target.trueRange} />
            <div>
              <Figure label={exercise.loadRecipe} derived={exercise.load} size="text-6xl" />
              {load && (
                <p className="text-[14px] text-quiet">
                  {[
                    load.lighter && `down ${stepWords(load.lighter)}`,
                    load.heavier && `up ${stepWords(load.heavier)}`,
                  ]
                    .filter(Boolean)
                    .join(', ')}
                </p>
              )}
            </div>
          </div>
        )}
        <Choice
          label="Protocol"
          value={draft.protocolId}
          onChange={(protocolId) => {
            const { restMs, tempos } = PROTOCOLS[protocolId];
            const tempoId = tempos.includes(draft.tempoId) ? draft.tempoId : (tempos[0] ?? draft.tempoId);
            change({ protocolId, tempoId, restSeconds: String(restMs / 1000) });
          }}
          options={protocolIdSchema.options.map((value) => ({
            value,
            label: `${PROTOCOLS[value].label}, ${PROTOCOLS[value].inflation === 'continuous' ? 'stays inflated' : 'released each rest'}`,
          }))}
        />
        <div className="flex flex-wrap items-start gap-6">
          <Choice
            label="Tempo, seconds up–hold–down"
            value={draft.tempoId}
            onChange={(tempoId) => change({ tempoId })}
            options={tempoIdSchema.options.map((value) => ({ value, label: value.replaceAll('-', '–') }))}
          />
          <Field
            label="Rest"
            unit="s"
            className="w-36"
            inputMode="numeric"
            value={draft.restSeconds}
            onChange={(event) => change({ restSeconds: event.target.value })}
          />
        </div>
        {['limb', 'tempoId', 'restMs', 'protocolId', 'exerciseId'].map((subject) => (
          <FindingsFor key={subject} subject={subject} findings={findings} />
        ))}
        {untyped && (
          <FieldError>Enter pressure, load and rest as numbers, and the figures come back.</FieldError>
        )}
        {timeline && (
          <p>
            Occluded <span className="figures">{clock(doseOf(timeline).occludedMs)}</span> in all, longest
            stretch{' '}
            <span className="figures">{clock(doseOf(timeline).limbs[0]?.longestContinuousMs ?? 0)}</span>,{' '}
            <span className="figures">{doseOf(timeline).reps}</span> repetitions.
          </p>
        )}
        {timeline && <OcclusionStrip planned={timeline} />}
        {composed && (
          <details>
            <summary className="min-h-11 cursor-pointer py-2 text-[15px] font-semibold">
              The schools side by side
            </summary>
            <SchoolsTable
              rows={compareSchools(choices, measured, weeksTrained(client))}
              chosen={draft.schoolId}
              choose={({ schoolId, protocolId, percentLop }) =>
                change({
                  schoolId,
                  protocolId,
                  percentLop: String(percentLop),
                  restSeconds: String(PROTOCOLS[protocolId].restMs / 1000),
                  tempoId: PROTOCOLS[protocolId].tempos.includes(draft.tempoId)
                    ? draft.tempoId
                    : (PROTOCOLS[protocolId].tempos[0] ?? draft.tempoId),
                })
              }
            />
          </details>
        )}
        <div className="flex flex-wrap items-start gap-4">
          {guards.length > 0 && mayOverride && (
            <Field
              className="min-w-72 flex-1"
              label="Reason for passing the guard"
              value={draft.overrideReason}
              onChange={(event) => change({ overrideReason: event.target.value })}
              error={fieldProblem(write.error, 'overrideReason')}
            />
          )}
          {guards.length > 0 && !mayOverride && (
            <FieldError>A guard is passed only by a clinician with a reason (SCR-4).</FieldError>
          )}
          <Button
            kind="main"
            className="mt-7"
            disabled={
              !composed ||
              hard ||
              (guards.length > 0 && (!mayOverride || draft.overrideReason.trim() === '')) ||
              write.isPending
            }
            onClick={() => void sign()}
          >
            Sign as {practitioner?.name ?? '…'}
          </Button>
          {write.error && <FieldError>{failureWords(write.error)}</FieldError>}
        </div>
      </div>
    </div>
  );
}
