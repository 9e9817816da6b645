import type { TightnessFact } from '../cuff/fact';
import type { OcclusionFact } from '../occlusion-pressure/fact';
import { fitInForce, pressureInForce } from '../occlusion-pressure/in-force';
import { mayBeArbitrary } from '../pressure/arbitrary';
import { mostPercentLop } from '../pressure/most-percent-lop';
import { passiveReEntryMmHg, proposedPercent, rampLevel } from '../pressure/ramp';
import { percentOf, shareMmHg } from '../pressure/target-pressure';
import { PROTOCOLS } from '../protocol/data/protocols';
import { SCHOOLS } from '../protocol/data/schools';
import type { Exercise } from '../protocol/exercise';
import type { ProtocolId } from '../protocol/protocols';
import type { SchoolId } from '../protocol/schools';
import type { WorkMode } from '../protocol/work-mode';
import { type Limb, limbKind, POSITIONS, type Position } from '../quantity/limb';
import { newest } from '../quantity/newest';
import { roundDownToDivision } from '../quantity/rounding';
import { MS_PER_DAY } from '../quantity/units';
import { type Basis, isPostOperativeWork } from './basis';
import { withoutLop } from './check-limb';
import type { ArbitraryChoice, LimbChoice } from './choices';
import { cuffFor } from './compose';

/** The strap a limb is trained under by feel: the one that is worn now, or where nothing was measured on it (rule TIGHT). */
export function strapFor(limb: Limb, { occlusions, tightness, fits }: Basis): TightnessFact | undefined {
  const worn = fitInForce(fits, limb);
  const onLimb = tightness.filter((fact) => fact.limb === limb);
  if (worn?.kind === 'strap') return newest(onLimb.filter(({ strapId }) => strapId === worn.strapId));
  return occlusions.some((fact) => fact.limb === limb) ? undefined : newest(onLimb);
}

/** A limb at a share of the pressure in force, or under the strap it has instead; `null` when it has neither. */
function wornChoice(limb: Limb, position: Position, percentLop: number, basis: Basis): LimbChoice | null {
  const strap = strapFor(limb, basis);
  if (strap) return { kind: 'by-feel', limb, strapId: strap.strapId };
  const occlusion = pressureInForce(basis, limb, position);
  if (!occlusion || !cuffFor(occlusion, basis)) return null;
  return { kind: 'measured', limb, occlusionId: occlusion.id, percentLop };
}

/**
 * A limb that was never measured, under the cuff it wears, where the practice works so: at what its ramp allows (rules PRS-4,
 * PRS-7). `null` where it is to be measured.
 */
export function arbitraryChoice(limb: Limb, mode: WorkMode, basis: Basis): ArbitraryChoice | null {
  const { arbitraryUpToMmHg, occlusions, fits, cuffs } = basis;
  const worn = fitInForce(fits, limb);
  if (arbitraryUpToMmHg === null || worn?.kind !== 'cuff' || !mayBeArbitrary(limb, mode)) return null;
  if (occlusions.some((fact) => fact.limb === limb) || isPostOperativeWork([limb], basis)) return null;
  const cuff = cuffs.find(({ id }) => id === worn.cuffId);
  const known = cuff && withoutLop(limb, cuff, basis);
  return known ? { kind: 'arbitrary', limb, cuffId: cuff.id, pressureMmHg: known.levelMmHg } : null;
}

/** What a limb can be trained under in a protocol: what it wears and was measured with, or an arbitrary pressure. */
export const choiceFor = (
  limb: Limb,
  position: Position,
  protocolId: ProtocolId,
  percentLop: number,
  basis: Basis,
): LimbChoice | null =>
  wornChoice(limb, position, percentLop, basis) ?? arbitraryChoice(limb, PROTOCOLS[protocolId].mode, basis);

/** Whether a limb goes by a pressure of just this position, or by none at all (rule LOP-5). */
export const isMeasuredIn = (position: Position, limb: Limb, basis: Basis): boolean =>
  !basis.occlusions.some((fact) => fact.limb === limb) ||
  pressureInForce(basis, limb, position)?.position === position;

/** Positions an exercise can be done in; the rules let passive cycles be lying or sitting (rule PRS-3). */
const positionsOf = ({ kind, position }: Exercise): readonly Position[] =>
  kind === 'passive'
    ? [position, ...POSITIONS.filter((other) => other !== 'standing' && other !== position)]
    : [position];

/** The first position of an exercise in which every limb has a pressure to go by, or its own where none has (rule LOP-5). */
export const measuredPosition = (exercise: Exercise, limbs: readonly Limb[], basis: Basis): Position =>
  positionsOf(exercise).find((position) => limbs.every((limb) => wornChoice(limb, position, 0, basis))) ??
  exercise.position;

/**
 * The share of LOP a draft gives a limb (rules PRS-2, PRS-3, PRS-4, SCR-2): what the last session carries over, the
 * protocol's own, or the school's; never past the ramp, the school's top, the cap, what a
 * review has lowered the limb to, or what the cuff holds.
 */
export function draftLimb(
  limb: Limb,
  position: Position,
  protocolId: ProtocolId,
  schoolId: SchoolId,
  basis: Basis,
  { carried, lowered }: { carried: number | undefined; lowered: number | undefined },
): LimbChoice | null {
  const { mode, percentLop: ofProtocol } = PROTOCOLS[protocolId];
  const worn = choiceFor(limb, position, protocolId, 0, basis);
  if (worn?.kind !== 'measured') return worn;
  const occlusion = basis.occlusions.find(({ id }) => id === worn.occlusionId);
  const cuff = occlusion && cuffFor(occlusion, basis);
  if (!occlusion || !cuff) return null;
  const cap = basis.limits[limb].maxPercentLop;
  const lopMmHg = occlusion.pressure.value;
  const wanted = Math.min(
    ofProtocol?.usual ?? carried ?? proposedPercent(limb, schoolId, basis.done, basis.today).value,
    cap ?? Number.POSITIVE_INFINITY,
  );
  const bounds =
    mode === 'passive' ? [reEntryPercent(occlusion, wanted, basis)] : movingBounds(limb, schoolId, basis);
  const held = Math.floor((100 * cuff.maxPressureMmHg) / lopMmHg);
  const percentLop = Math.min(wanted, lowered ?? 100, mostPercentLop(mode), held, ...bounds);
  return { ...worn, percentLop: Math.max(1, percentLop) };
}

/** What bounds a limb that moves: the ramp while it runs, and the school's top (rules PRS-3, PRS-4). */
function movingBounds(limb: Limb, schoolId: SchoolId, { done, today }: Basis): number[] {
  const kind = limbKind(limb);
  const ramp = rampLevel(done, kind, schoolId, today);
  return [SCHOOLS[schoolId].percentLop[kind].top, ...(ramp.running ? [ramp.percentLop] : [])];
}

/** After an operation passive cycles are built up from below, counted by the procedure and the limb (rule PRS-4). */
function reEntryPercent(
  { limb, pressure, divisionMmHg }: Pick<OcclusionFact, 'limb' | 'pressure' | 'divisionMmHg'>,
  wanted: number,
  basis: Basis,
): number {
  if (!isPostOperativeWork([limb], basis)) return wanted;
  const trainingMmHg = shareMmHg(pressure.value, wanted, divisionMmHg);
  const mmHg = passiveReEntryMmHg(trainingMmHg, passiveDays(limb, basis));
  if (mmHg >= trainingMmHg) return wanted;
  return percentOf(Math.max(divisionMmHg, roundDownToDivision(mmHg, divisionMmHg)), pressure.value);
}

/** Whole days since the first passive work on a limb after its last procedure; 0 before it. */
export function passiveDays(limb: Limb, { done, procedures, nowMs }: Basis): number {
  const sinceMs = Math.max(
    Number.NEGATIVE_INFINITY,
    ...procedures.filter((one) => one.limb === limb).map(({ atMs }) => atMs),
  );
  const starts = done
    .filter(
      ({ atMs, worked }) =>
        atMs >= sinceMs && worked.some((one) => one.mode === 'passive' && one.limbs.includes(limb)),
    )
    .map(({ atMs }) => atMs);
  return starts.length === 0 ? 0 : Math.floor((nowMs - Math.min(...starts)) / MS_PER_DAY);
}
