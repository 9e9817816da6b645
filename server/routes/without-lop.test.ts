import { expect, it } from 'vitest';
import type { ClientRecord } from '#contract/client';
import type { PracticeView } from '#contract/practice';
import type { NewPrescription } from '#contract/prescription';
import type { SessionView } from '#contract/session';
import { testExercise } from '#core/plan/plan.fixture';
import { englishOf } from '#language/english-of.fixture';
import {
  AGREED,
  type Api,
  CLEAR,
  FIT,
  NEW_PLAN,
  OCCLUSION,
  SESSION_ID,
  startApi,
  WELL,
  type Who,
} from '../api.fixture';

/**
 * A walk under one thigh cuff at a pressure without a measured LOP. At 55 cm, 11.5 cm wide and 124/78 a LOP of 151 mmHg is
 * to be expected: 60 % of it are 90, 80 % 120.
 */
const walk = (pressureMmHg: number): NewPrescription => ({
  goal: 'aerobic',
  schoolId: 'research-consensus',
  exercises: [
    testExercise(
      { exerciseId: 'walking', protocolId: 'aerobic', position: 'standing' },
      {
        limbs: [{ kind: 'arbitrary', limb: 'left-thigh', cuffId: 'thigh-large', pressureMmHg }],
        load: { kind: 'unweighed', with: 'body weight' },
        intensity: { by: 'talking' },
      },
    ),
  ],
  signedFor: NEW_PLAN,
});

/** The settings of a practice with another most without a LOP. */
async function allow(api: Api, arbitraryUpToMmHg: number | null, who: Who = 'clara') {
  const { settings } = await api.get<PracticeView>('/practice');
  return api.call('POST', '/practice/settings', { ...settings, arbitraryUpToMmHg }, who);
}

/** A person who is screened, has agreed and wears a cuff, and was never measured. */
async function fittedClient(api: Api): Promise<ClientRecord> {
  const { id } = await api.post('/clients', { name: 'Test Person' });
  await api.post(`/clients/${id}/screenings`, CLEAR);
  await api.post(`/clients/${id}/consents`, AGREED);
  return api.post(`/clients/${id}/fits`, FIT);
}

it('is switched on by a clinician only, not by the owner as such, within what the rule allows', async () => {
  const api = await startApi();
  const statuses: number[] = [];
  for (const [mmHg, who] of [
    [170, 'olga'],
    [170, 'colin'],
    [129, 'clara'],
    [251, 'clara'],
    [170, 'lena'],
    // What she leaves as it is, an owner may save with everything else.
    [170, 'olga'],
    [null, 'olga'],
  ] as const)
    statuses.push((await allow(api, mmHg, who)).status);
  expect(statuses).toEqual([403, 403, 400, 400, 200, 200, 403]);
  const { settings } = await api.get<PracticeView>('/practice');
  expect(settings.arbitraryUpToMmHg).toBe(170);
});

it('is signed and run at the pressure chosen, by any signing role, and is over once it is switched off', async () => {
  const api = await startApi();
  const { id } = await fittedClient(api);
  const path = `/clients/${id}/prescriptions`;
  expect(englishOf((await api.refused(path, walk(90))).problem.errors[0])).toMatchObject({ rule: 'PRS-7' });
  await allow(api, 170);
  expect(englishOf((await api.refused(path, walk(122))).problem.errors[0])).toMatchObject({
    rule: 'PRS-7',
    level: 'hard',
  });
  expect(englishOf((await api.refused(path, walk(92), 'colin')).problem.errors[0])).toMatchObject({
    rule: 'PRS-7',
  });
  const signed = await api.post(path, walk(90), 'colin');
  expect(englishOf(signed.chain.find((link) => link.id === 'measure'))).toMatchObject({
    state: 'good',
    rules: ['PRS-7'],
  });
  const prescriptionId = signed.facts.prescriptions[0]?.id;
  await api.post(`/clients/${id}/day-checks`, WELL);
  await allow(api, null);
  const opening = { id: SESSION_ID, prescriptionId };
  expect(englishOf((await api.refused('/sessions', opening)).problem.errors[0])).toMatchObject({
    rule: 'PRS-7',
  });
  await allow(api, 170);
  const view = await api.post<SessionView>('/sessions', opening, 'colin');
  expect(englishOf(view.plan.exercises[0]?.limbs[0])).toMatchObject({
    kind: 'arbitrary',
    pressure: { value: 90 },
  });
});

it('opens no more once the limb is measured', async () => {
  const api = await startApi();
  await allow(api, 170);
  const { id } = await fittedClient(api);
  const signed = await api.post(`/clients/${id}/prescriptions`, walk(90));
  await api.post(`/clients/${id}/day-checks`, WELL);
  await api.post(`/clients/${id}/occlusion-pressures`, OCCLUSION);
  const { problem } = await api.refused('/sessions', {
    id: SESSION_ID,
    prescriptionId: signed.facts.prescriptions[0]?.id,
  });
  expect(problem.errors.map(({ rule }) => rule)).toContain('PRS-7');
});
