import { expect, it } from 'vitest';
import { plannedKg } from '#core/plan';
import { englishOf } from '#language/english-of.fixture';
import { exerciseFor, measuredClient, prescriptionFor, startAfter } from '../api.fixture';

it('signs a prescription with figures worked out on the server', async () => {
  const { api, made: client } = await startAfter(measuredClient);
  const signed = await api.post(`/clients/${client.id}/prescriptions`, prescriptionFor(client));
  const [exercise] = signed.facts.prescriptions[0]?.plan.exercises ?? [];
  // 174 mmHg × 60 % = 104.4, down to the division of 2; 25 % of the 1RM, down to the stack's step.
  expect(englishOf(exercise?.limbs[0])).toMatchObject({ pressure: { value: 68 } });
  expect(englishOf(exercise?.load)).toMatchObject({ load: { value: 7.5 } });
  const [target] = exercise?.limbs ?? [];
  expect(target?.kind === 'measured' && target.pressure.working.length).toBeGreaterThan(0);
});

it.each([
  ['a forbidden share of LOP', { percentLop: 85 }, 'exercises.0.percentLop', 'PRS-3'],
  ['a forbidden load under a cuff', { percentOneRepMax: 55 }, 'exercises.0.percentOneRepMax', 'LOAD-3'],
  ['more than 20 minutes under a leg cuff', { restMs: 360_000 }, 'protocolId', 'PRO-1'],
  ['a pressure measured on another limb', { limb: 'right-thigh' }, 'exercises.0.limb', 'LOP-4'],
  ['a test of another exercise', { exerciseId: 'leg-press' }, 'exercises.0.strengthTestId', 'LOAD-1'],
] as const)('refuses %s, whatever the role and reason', async (_, changes, path, rule) => {
  const { api, made: client } = await startAfter(measuredClient);
  const json = { ...prescriptionFor(client, changes), overrideReason: 'I insist' };
  const { status, problem } = await api.refused(`/clients/${client.id}/prescriptions`, json);
  expect(status).toBe(422);
  expect(englishOf(problem.errors)).toContainEqual(expect.objectContaining({ path, rule, level: 'hard' }));
});

it('passes a guard only for a clinician with a reason, and audits it', async () => {
  const { api, made: client } = await startAfter(measuredClient);
  const path = `/clients/${client.id}/prescriptions`;
  const heavy = prescriptionFor(client, { percentOneRepMax: 45 });
  const reasoned = { ...heavy, overrideReason: 'Two sessions only, watched throughout' };
  expect(englishOf((await api.refused(path, reasoned, 'colin')).problem.errors[0])).toMatchObject({
    rule: 'LOAD-3',
  });
  expect(englishOf((await api.refused(path, heavy)).problem.errors[0])).toMatchObject({
    path: 'overrideReason',
  });
  await api.post(path, reasoned);
  const [entry] = await api.sql(
    "select practitioner_id, detail from audit where action = 'prescribed-past-guard'",
  );
  expect(entry?.practitioner_id).toBe('clara');
  expect(JSON.parse(entry?.detail ?? '')).toMatchObject({
    guards: ['LOAD-3'],
    reason: reasoned.overrideReason,
  });
});

it('signs a session of several exercises, and refuses what is not on record by its place', async () => {
  const { api, made: client } = await startAfter(measuredClient);
  const path = `/clients/${client.id}/prescriptions`;
  const one = exerciseFor(client);
  const light = { ...one, load: { kind: 'unweighed', with: 'body weight' } };
  const signed = await api.post(path, { ...prescriptionFor(client), exercises: [one, light] });
  expect(signed.facts.prescriptions[0]?.plan.exercises.map(({ load }) => plannedKg(load))).toEqual([
    7.5,
    null,
  ]);
  const stray = { ...one, limbs: [{ ...one.limbs[0], occlusionId: 'of another person' }] };
  const { status, problem } = await api.refused(path, {
    ...prescriptionFor(client),
    exercises: [one, stray],
  });
  expect(status).toBe(422);
  expect(englishOf(problem.errors[0])).toMatchObject({ path: 'exercises.1.limbs.0.occlusionId' });
});

it('keeps passive work for clinicians, whatever a coach posts (SCR-4)', async () => {
  const { api, made: client } = await startAfter(measuredClient);
  const passive = {
    ...prescriptionFor(client),
    exercises: [
      {
        ...exerciseFor(client, {
          exerciseId: 'passive-cuff-leg',
          protocolId: 'passive-recovery',
          percentLop: 80,
          restMs: 60_000,
        }),
        load: { kind: 'unweighed', with: 'limb weight only' },
      },
    ],
  };
  const path = `/clients/${client.id}/prescriptions`;
  const { problem } = await api.refused(path, { ...passive, overrideReason: 'I insist' }, 'colin');
  expect(englishOf(problem.errors)).toContainEqual(expect.objectContaining({ rule: 'SCR-4', level: 'hard' }));
  expect((await api.post(path, passive)).facts.prescriptions).toHaveLength(1);
});
