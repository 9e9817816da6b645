import { targetLoad } from '../load/target-load';
import { makeableLoads, type WeightKit } from '../load/weight-kit';
import { passiveReEntryMmHg, proposedPercent } from '../pressure/newcomer-ramp';
import { type Equipment, type Exercise, isWeighed, type Rung } from '../protocol/exercise';
import type { ExerciseId } from '../protocol/exercises';
import { PROTOCOLS, type ProtocolId } from '../protocol/protocols';
import { LIMB_LABELS, type Limb, limbKind, limbSide, type Position, uprightness } from '../quantity/limb';
import { tidy } from '../quantity/rounding';
import type { OcclusionFact, StrengthFact, TightnessFact } from '../record/facts';
import { newest } from '../record/facts';
import type { Carried } from '../review/carry-over';
import { LIMITS } from '../rules/limits';
import { SCHOOLS, type SchoolId } from '../rules/schools';
import type { Side } from '../strength/side';
import { orderRank } from './check-session';
import { type ExerciseChoice, type LimbChoice, type LoadChoice, type SessionChoice, setsOf } from './choices';
import type { Basis } from './compose';
import { GOALS, type GoalId, RUNG_PROTOCOLS } from './goals';

/** What a draft is asked for. */
export type DraftWish = {
  goal: GoalId;
  schoolId: SchoolId;
  /** One limb, or a pair. */
  limbs: Limb[];
  /** A pair at once; otherwise one limb after the other. */
  together: boolean;
  /** The rung of the ladder, for rehabilitation (rule PRO-5). */
  rung: Rung;
  /** Whole weeks since the first finished session (rule PRS-4). */
  weeksTrained: number;
  /** Whole days since the first passive session, for the way back after an operation (rule PRS-4). */
  passiveDays: number;
  /** Nobody has run a session with this person yet: begins with priming (rule PRS-6). */
  newcomer: boolean;
  /** Isolated exercises only, as in the first month (rule PRO-6). */
  isolatedOnly: boolean;
  /** What the last session carries over, by exercise, once its review is accepted. */
  carried: ReadonlyMap<ExerciseId, Carried>;
};

/** A first draft, or why there can be none; `notes` say what was decided and why. */
export type Draft = { session: SessionChoice | null; notes: string[] };

const BETWEEN_MS = LIMITS.continuousOcclusionMs.freeFlowToRestart;

/**
 * A whole session for a goal, from what is on record: exercises in a sensible order, pressures, loads, protocol, rests,
 * priming (rules SCR-2, PRS-2, PRS-4, PRS-6, LOAD-3, LOAD-4, PRO). It keeps every hard limit by itself.
 */
export function draftSession(wish: DraftWish, basis: Basis): Draft {
  const goal = GOALS[wish.goal];
  const refused = whyNot(wish, basis);
  if (refused) return { session: null, notes: [refused] };
  const notes: string[] = [goal.word];
  const exercises: ExerciseChoice[] = [];
  for (const id of candidates(wish, basis)) {
    if (new Set(exercises.map(({ exerciseId }) => exerciseId)).size >= goal.exercises) break;
    const made = choicesFor(id, wish, basis);
    if (typeof made === 'string') notes.push(made);
    else exercises.push(...made);
  }
  if (exercises.length === 0) {
    return { session: null, notes: [...notes, 'Nothing in the library fits: add an exercise by hand.'] };
  }
  if (basis.postOperative && exercises.some(({ protocolId }) => PROTOCOLS[protocolId].mode === 'passive')) {
    notes.push(
      'After an operation: 40 mmHg under the training pressure, 10 more each day until it is reached (PRS-4).',
    );
  }
  if (wish.newcomer && GOALS[wish.goal].from !== 'passive') {
    notes.push('Newcomer: the first inflation of each limb is primed (PRS-6).');
    primeFirst(exercises);
  }
  return { session: { goal: wish.goal, schoolId: wish.schoolId, exercises }, notes };
}

function whyNot({ goal, limbs, rung, schoolId }: DraftWish, basis: Basis): string | null {
  const missing = limbs.find(
    (limb) => !basis.occlusions.some((fact) => fact.limb === limb) && !strapFor(limb, basis),
  );
  if (limbs.length === 0) return 'Choose a limb.';
  if (missing) return `${LIMB_LABELS[missing]}: measure its occlusion pressure first (LOP-4).`;
  const barred = limbs.find((limb) => basis.limits.limbs && !basis.limits.limbs.includes(limb));
  if (barred) return `${LIMB_LABELS[barred]} is not cleared (SCR-2).`;
  const { mode } = PROTOCOLS[protocolFor(goal, rung, schoolId)];
  const strapped = limbs.some((limb) => strapFor(limb, basis));
  if (strapped && mode === 'passive') return 'Passive cycles need a pressure, and a strap has none (TIGHT).';
  if (strapped && basis.limits.maxPercentLop !== null)
    return 'A cap on the pressure cannot be kept by a strap (SCR-2).';
  if (basis.limits.modes && !basis.limits.modes.includes(mode))
    return `The clearance does not allow ${mode} work (SCR-2).`;
  if (basis.prescriber === 'coach' && (mode === 'passive' || basis.postOperative)) {
    return `${mode === 'passive' ? 'Passive' : 'Post-operative'} work is prescribed by a clinician (SCR-4).`;
  }
  return null;
}

function protocolFor(goal: GoalId, rung: Rung, schoolId: SchoolId): ProtocolId {
  if (goal === 'rehab') return RUNG_PROTOCOLS[rung];
  return GOALS[goal].protocolId ?? SCHOOLS[schoolId].usualProtocol;
}

/** Exercises that fit the goal, best first: measured in their position, tested, compound before isolated. */
function candidates(wish: DraftWish, basis: Basis): ExerciseId[] {
  const kind = wish.limbs[0] && limbKind(wish.limbs[0]);
  const fits = Object.entries(basis.library).filter(
    ([, exercise]) =>
      exercise.limbKind === kind &&
      suits(exercise, wish) &&
      (wish.limbs.length > 1 || exercise.sides !== 'both' || exercise.kind === 'aerobic'),
  );
  const tested = (id: ExerciseId) => basis.strengthTests.some(({ exerciseId }) => exerciseId === id);
  const hasTests = GOALS[wish.goal].from === 'tested' && fits.some(([id]) => tested(id));
  const score = ([id, exercise]: (typeof fits)[number]): number =>
    (wish.carried.has(id) ? -1000 : 0) +
    (tested(id) ? -500 : 0) +
    (isMeasured(exercise.position, wish.limbs, basis.occlusions) ? 0 : 100) +
    orderRank(exercise);
  return fits
    .filter(([id]) => !hasTests || tested(id))
    .sort((a, b) => score(a) - score(b))
    .slice(0, hasTests ? undefined : 12)
    .sort((a, b) => (hasTests ? orderRank(a[1]) - orderRank(b[1]) : 0))
    .map(([id]) => id);
}

function suits(exercise: Exercise, { goal, rung, isolatedOnly }: DraftWish): boolean {
  if (isolatedOnly && exercise.kind !== 'isolated') return false;
  const moves = exercise.rung !== 'isometric' && exercise.rung !== 'passive' && exercise.kind !== 'aerobic';
  switch (GOALS[goal].from) {
    case 'tested':
      return moves && exercise.kind !== 'functional';
    case 'rung':
      return exercise.rung === rung && exercise.kind !== 'aerobic';
    case 'body-weight':
      return moves && !isWeighed(exercise) && exercise.equipment !== 'machine';
    case 'aerobic':
    case 'passive':
      return exercise.kind === GOALS[goal].from;
  }
}

const isMeasured = (
  position: Position,
  limbs: readonly Limb[],
  occlusions: readonly OcclusionFact[],
): boolean =>
  limbs.every((limb) => occlusions.some((fact) => fact.limb === limb && fact.position === position));

/** The pressure to go by on a limb: measured in the position, else the newest that is not from more upright. */
function occlusionFor(limb: Limb, position: Position, basis: Basis): OcclusionFact | undefined {
  const onLimb = basis.occlusions.filter(
    (fact) => fact.limb === limb && basis.cuffs.some(({ id }) => id === fact.cuffId),
  );
  return (
    newest(onLimb.filter((fact) => fact.position === position)) ??
    newest(onLimb.filter((fact) => uprightness(fact.position, position) < 0)) ??
    newest(onLimb)
  );
}

/** The strap that was tightened on a limb by feel, where nothing was measured on it (rule TIGHT). */
const strapFor = (limb: Limb, { occlusions, tightness }: Basis): TightnessFact | undefined =>
  occlusions.some((fact) => fact.limb === limb)
    ? undefined
    : newest(tightness.filter((fact) => fact.limb === limb));

const strapChoice = ({ limb, strapId }: TightnessFact): LimbChoice => ({ kind: 'by-feel', limb, strapId });

/** A limb at a share of its own measured pressure, or under the strap it has instead; `null` when it has neither. */
export function wornChoice(
  limb: Limb,
  position: Position,
  percentLop: number,
  basis: Basis,
): LimbChoice | null {
  const strap = strapFor(limb, basis);
  if (strap) return strapChoice(strap);
  const occlusion = occlusionFor(limb, position, basis);
  return occlusion ? { kind: 'measured', limb, occlusionId: occlusion.id, percentLop } : null;
}

/** The choices of one exercise for all limbs, or why it was left out. */
function choicesFor(id: ExerciseId, wish: DraftWish, basis: Basis): ExerciseChoice[] | string {
  const exercise = basis.library[id];
  if (!exercise) return `${id} is not in the library.`;
  const protocolId = protocolFor(wish.goal, wish.rung, wish.schoolId);
  const together =
    wish.limbs.length > 1 && exercise.sides !== 'one' && (wish.together || exercise.sides === 'both');
  const groups = together ? [wish.limbs] : wish.limbs.map((limb) => [limb]);
  const made: ExerciseChoice[] = [];
  for (const limbs of groups) {
    const load = loadFor(id, exercise, limbs, wish, basis);
    if (typeof load === 'string') return load;
    const choices = limbs.map((limb) =>
      limbChoice(limb, exercise, protocolId, wish, basis, wish.carried.get(id)),
    );
    if (choices.some((choice) => choice === null)) return `${exercise.label}: its cuff is gone from the kit.`;
    const { tempos, restMs } = PROTOCOLS[protocolId];
    made.push({
      exerciseId: id,
      position: exercise.position,
      limbs: choices.filter((choice) => choice !== null),
      load,
      protocolId,
      tempoId: (exercise.rung === 'isometric' ? '1-5-1' : tempos[0]) ?? '2-0-2',
      sets: setsOf(protocolId, wish.carried.get(id)?.restMs ?? restMs, BETWEEN_MS),
      primed: false,
    });
  }
  return made;
}

function limbChoice(
  limb: Limb,
  exercise: Exercise,
  protocolId: ProtocolId,
  { schoolId, weeksTrained, passiveDays }: DraftWish,
  basis: Basis,
  carried: Carried | undefined,
): LimbChoice | null {
  const occlusion = occlusionFor(limb, exercise.position, basis);
  const strap = occlusion ? undefined : strapFor(limb, basis);
  if (strap) return strapChoice(strap);
  const cuff = basis.cuffs.find(({ id }) => id === occlusion?.cuffId);
  if (!occlusion || !cuff) return null;
  const cap = basis.limits.maxPercentLop ?? 100;
  const { mode } = PROTOCOLS[protocolId];
  const wanted =
    PROTOCOLS[protocolId].percentLop?.usual ??
    carried?.percentLop ??
    proposedPercent(limb, schoolId, weeksTrained, basis.limits.maxPercentLop).value;
  const lopMmHg = occlusion.pressure.value;
  const asked =
    mode === 'passive' && basis.postOperative
      ? Math.max(
          1,
          Math.floor(tidy((100 * passiveReEntryMmHg((lopMmHg * wanted) / 100, passiveDays)) / lopMmHg)),
        )
      : wanted;
  const held = Math.floor((100 * cuff.maxPressureMmHg) / occlusion.pressure.value);
  return { kind: 'measured', limb, occlusionId: occlusion.id, percentLop: Math.min(asked, cap, held) };
}

/** The load of an exercise, or why the kit cannot make one light enough. */
function loadFor(
  id: ExerciseId,
  exercise: Exercise,
  limbs: readonly Limb[],
  { goal, carried }: DraftWish,
  basis: Basis,
): LoadChoice | string {
  const percent = GOALS[goal].percentOneRepMax;
  if (!isWeighed(exercise) || percent === null)
    return { kind: 'unweighed', with: resistanceOf(exercise, basis.weightKits) };
  const test = testFor(id, limbs, basis.strengthTests);
  if (!test) return { kind: 'unweighed', with: 'limb weight only' };
  const percentOneRepMax = carried.get(id)?.percentOneRepMax ?? percent;
  const kit = bestKit(exercise.equipment, test.oneRepMax.value, percentOneRepMax, basis.weightKits);
  if (!kit) return `${exercise.label}: nothing in the kit makes a load light enough (LOAD-4).`;
  return { kind: 'weighed', strengthTestId: test.id, weightKitId: kit.id, percentOneRepMax };
}

/** The newest test of the side that works; the other side's stands in and is marked (rule LOAD-2). */
export function testFor(
  id: ExerciseId,
  limbs: readonly Limb[],
  tests: readonly StrengthFact[],
): StrengthFact | undefined {
  const mine = tests.filter(({ exerciseId }) => exerciseId === id);
  const side: Side | undefined = limbs.length > 1 ? 'both' : limbs[0] && limbSide(limbs[0]);
  return newest(mine.filter((fact) => fact.side === side)) ?? newest(mine);
}

const KITS_OF: Partial<Record<Equipment, WeightKit['kind']>> = {
  stack: 'stack',
  dumbbells: 'single-masses',
  'ankle-weights': 'single-masses',
  bar: 'bar-and-plates',
};

/** The kit of the right kind that comes closest under the target; none when all are above the guard. */
export function bestKit(
  equipment: Equipment,
  oneRepMaxKg: number,
  percent: number,
  kits: readonly WeightKit[],
): WeightKit | undefined {
  const fitting = kits
    .filter((kit) => makeableLoads(kit).length > 0)
    .map((kit) => ({ kit, ...targetLoad(oneRepMaxKg, percent, kit) }))
    .filter(({ truePercent }) => (truePercent ?? 0) <= LIMITS.percentOneRepMax.usualHigh)
    .sort((a, b) => Math.abs((a.truePercent ?? 0) - percent) - Math.abs((b.truePercent ?? 0) - percent));
  return (fitting.find(({ kit }) => kit.kind === KITS_OF[equipment]) ?? fitting[0])?.kit;
}

function resistanceOf({ equipment }: Exercise, kits: readonly WeightKit[]): string {
  const bands = kits.find(({ kind }) => kind === 'bands');
  if (equipment === 'bands' && bands?.kind === 'bands') return bands.names[0] ?? 'body weight';
  return equipment === 'body-weight' ? 'body weight' : 'limb weight only';
}

function primeFirst(exercises: ExerciseChoice[]): void {
  const seen = new Set<Limb>();
  for (const choice of exercises) {
    choice.primed = choice.limbs.every(({ limb }) => !seen.has(limb));
    for (const { limb } of choice.limbs) seen.add(limb);
  }
}
