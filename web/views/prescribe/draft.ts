import type { ClientRecord } from '#contract/client';
import { newest } from '#core/chain/facts';
import { currentPrescription } from '#core/chain/links';
import type { Choices } from '#core/plan/compose';
import { proposedPercent } from '#core/pressure/newcomer-ramp';
import { EXERCISES } from '#core/protocol/exercises';
import { PROTOCOLS } from '#core/protocol/protocols';
import { MS_PER_DAY } from '#core/quantity/units';
import { limitsInForce } from '#core/screening/clearance';
import type { Basis } from './PrescribeBench';

const MS_PER_WEEK = 7 * MS_PER_DAY;
const USUAL_LOAD_PERCENT = 25;

/** A prescription as typed so far; figures as text, so nothing typed is lost. */
export type Draft = Omit<Choices, 'percentLop' | 'percentOneRepMax' | 'restMs'> & {
  percentLop: string;
  percentOneRepMax: string;
  restSeconds: string;
  occlusionId: string;
  strengthTestId: string;
  weightKitId: string;
  overrideReason: string;
};

/** Whole weeks since the first finished session. */
export function weeksTrained(client: ClientRecord): number {
  const finished = client.facts.sessions.filter(({ finishedAtMs }) => finishedAtMs !== null);
  if (finished.length === 0) return 0;
  const firstMs = Math.min(...finished.map(({ startedAtMs }) => startedAtMs));
  return Math.floor((client.judgedAtMs - firstMs) / MS_PER_WEEK);
}

/** Begins from the prescription that counts, or from the newest measurements and the practice's school. */
export function firstDraft(client: ClientRecord, { occlusions, strengthTests, practice }: Basis): Draft {
  const last = currentPrescription(client.facts)?.plan;
  const exercise = last?.exercises[0];
  const occlusion = newest(occlusions);
  const test =
    newest(strengthTests.filter((fact) => fact.exerciseId === exercise?.exerciseId)) ?? newest(strengthTests);
  const schoolId = last?.schoolId ?? practice.settings.schoolId;
  const limb = occlusion?.limb ?? 'left-thigh';
  return {
    limb,
    position: exercise?.position ?? (test ? EXERCISES[test.exerciseId].position : 'sitting'),
    exerciseId: test?.exerciseId ?? 'knee-extension',
    schoolId,
    protocolId: exercise?.protocolId ?? 'standard-75',
    tempoId: exercise?.tempoId ?? '1.5-0-1.5',
    percentLop: String(
      exercise?.limbs[0]?.percentLop ??
        proposedPercent(
          limb,
          schoolId,
          weeksTrained(client),
          limitsInForce(client.facts.clearances, client.judgedAtMs).maxPercentLop,
        ).value,
    ),
    percentOneRepMax: String(USUAL_LOAD_PERCENT),
    restSeconds: String((exercise?.restMs ?? PROTOCOLS['standard-75'].restMs) / 1000),
    occlusionId: occlusion?.id ?? '',
    strengthTestId: test?.id ?? '',
    weightKitId: (limb.endsWith('arm') ? practice.weightKits[1] : practice.weightKits[0])?.id ?? '',
    overrideReason: '',
  };
}
