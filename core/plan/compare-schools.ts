import { proposedPercent } from '../pressure/newcomer-ramp';
import { PROTOCOLS, type ProtocolId } from '../protocol/protocols';
import { SCHOOLS, type SchoolId, schoolIdSchema } from '../rules/schools';
import { doseOf } from '../session/dose';
import { compile } from './compile';
import { type Choices, composePlan, type Measurements } from './compose';

/** What one school amounts to for one person. Pressure in mmHg, load in kg, times in ms. */
export type SchoolRow = {
  schoolId: SchoolId;
  protocolId: ProtocolId;
  percentLop: number;
  pressureMmHg: number;
  loadKg: number;
  occludedMs: number;
  longestMs: number;
  lastsMs: number;
};

/**
 * The same person under each school: its proposed pressure for the weeks trained and its usual protocol (rules PRS-2,
 * PRS-4). All else stays as chosen, so what differs is the school.
 */
export function compareSchools(choices: Choices, measured: Measurements, weeksTrained: number): SchoolRow[] {
  return schoolIdSchema.options.map((schoolId) => {
    const protocolId = SCHOOLS[schoolId].usualProtocol;
    const { tempos, restMs } = PROTOCOLS[protocolId];
    const percentLop = proposedPercent(
      choices.limb,
      schoolId,
      weeksTrained,
      measured.limits.maxPercentLop,
    ).value;
    const tempoId = tempos.includes(choices.tempoId) ? choices.tempoId : (tempos[0] ?? choices.tempoId);
    const { plan } = composePlan({ ...choices, schoolId, protocolId, tempoId, restMs, percentLop }, measured);
    const timeline = compile(plan);
    const dose = doseOf(timeline);
    const [exercise] = plan.exercises;
    return {
      schoolId,
      protocolId,
      percentLop,
      pressureMmHg: exercise?.limbs[0]?.pressure.value ?? 0,
      loadKg: exercise?.load.value ?? 0,
      occludedMs: dose.occludedMs,
      longestMs: dose.limbs[0]?.longestContinuousMs ?? 0,
      lastsMs: timeline.endMs,
    };
  });
}
