import { mayDo } from '../access/permissions';
import { targetLoad } from '../load/target-load';
import { BODY_WEIGHT, EQUIPMENT_KITS, LIMB_WEIGHT, makeableLoads, type WeightKit } from '../load/weight-kit';
import { isMessage, type Message, msg } from '../message/message';
import { pressureInForce } from '../occlusion-pressure/in-force';
import { PROTOCOLS } from '../protocol/data/protocols';
import { SCHOOLS } from '../protocol/data/schools';
import {
  type Equipment,
  type Exercise,
  isWeighed,
  needsKilograms,
  type Rung,
  rungSchema,
} from '../protocol/exercise';
import type { ExerciseId } from '../protocol/exercises';
import { INTENSITIES, type Intensity } from '../protocol/intensity';
import type { ProtocolId } from '../protocol/protocols';
import type { SchoolId } from '../protocol/schools';
import { WORK_MODE_NAMES } from '../protocol/work-mode';
import { LIMB_LABELS, type Limb, limbKind, POSITION_NAMES, type Position } from '../quantity/limb';
import { RULES } from '../rules/catalogue';
import { capOn } from '../screening/clearance';
import { testInForce } from '../strength/in-force';
import { applyFix } from './apply-fix';
import { type Basis, isPostOperativeWork } from './basis';
import { orderRank } from './check-session';
import { type ExerciseChoice, type LoadChoice, type SessionChoice, type SetChoice, setsOf } from './choices';
import { basisOnRung } from './compose';
import { composeCourse, withRoom } from './compose-course';
import { arbitraryChoice, draftLimb, measuredPosition, strapFor } from './draft-limb';
import { GOALS, type GoalId, RUNG_EXERCISES, RUNG_NAMES, RUNG_PROTOCOLS } from './goals';
import { rangesCrossed, rungPassed } from './letter-work';
import { proposedMovements, withMovements } from './movements-for';

/** What one exercise takes over from its last session, the reviewed change applied. Shares in %, rest in ms. */
export type Carried = {
  exerciseId: ExerciseId;
  limbs: readonly Limb[];
  /** Of each limb by its own: limbs of one exercise need not be alike. */
  percentLop: Partial<Record<Limb, number>>;
  percentOneRepMax: number | null;
  restMs: number | null;
  /** Its scheme as it is now, and how hard aerobic work is. */
  protocolId: ProtocolId;
  sets: readonly SetChoice[];
  intensity: Intensity | null;
};

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
  /** No session was run with this person yet: begins with priming (rule PRS-6). */
  newcomer: boolean;
  /** Isolated exercises only, as in the first month (rule PRO-6). */
  isolatedOnly: boolean;
  /** What the last session carries over, by exercise and limbs, once its review is accepted. */
  carried: readonly Carried[];
  /** What a review has lowered a limb to, in %LOP: whatever protocol is drafted now, never above it (rule REV-1). */
  lowered: ReadonlyMap<Limb, number>;
};

/** A first draft, or why there can be none; `notes` say what was decided and why. */
export type Draft = { session: SessionChoice | null; notes: Message[] };

/** As many exercises as a session holds. */
const MOST_EXERCISES = 8;

const BETWEEN_MS = RULES['PRO-1'].figures.continuousOcclusionMs.freeFlowToRestart;

/**
 * A whole session for a goal, from what is on record: exercises in a sensible order, pressures, loads, protocol, rests,
 * priming (rules SCR-2, PRS-2, PRS-4, PRS-6, LOAD-3, LOAD-4, PRO). It keeps every hard limit by itself.
 */
export function draftSession(wish: DraftWish, basis: Basis): Draft {
  const kinds = new Set(wish.limbs.map(limbKind));
  if (kinds.size > 1) return draftLegsThenArms(wish, basis);
  const draft = draftOfOneKind(wish, basis);
  const [limb, ...others] = wish.limbs;
  return draft.session && limb && others.length === 0 && isOnLadder(limb, wish, basis)
    ? withRungs(draft.session, draft.notes, limb, wish, basis)
    : draft;
}

const isOnLadder = (limb: Limb, { goal }: DraftWish, basis: Basis): boolean =>
  GOALS[goal].from === 'rung' &&
  basis.rungs.get(limb) !== 'done' &&
  (basis.rungs.has(limb) || isPostOperativeWork([limb], basis));

/** The work of every other rung of which there is any, so that one signature holds for the ladder (rules PRO-5, CRS-1). */
function withRungs(
  session: SessionChoice,
  notes: readonly Message[],
  limb: Limb,
  wish: DraftWish,
  basis: Basis,
): Draft {
  const others = rungSchema.options.flatMap((rung) => {
    if (rung === wish.rung) return [];
    const { session: work } = draftOfOneKind(
      { ...wish, rung, newcomer: false },
      basisOnRung(basis, limb, rung),
    );
    return work ? [{ rung, exercises: work.exercises }] : [];
  });
  const fixed = fixAll({ ...session, rungs: { limb, rung: wish.rung, others } }, basis);
  return { session: isMessage(fixed) ? session : fixed, notes: [...notes] };
}

/** Legs and then arms: the cuffs of one pair are down before the other pair goes up (rule PRO-2). */
function draftLegsThenArms(wish: DraftWish, basis: Basis): Draft {
  const drafts = (['leg', 'arm'] as const).map((kind) =>
    draftOfOneKind({ ...wish, limbs: wish.limbs.filter((limb) => limbKind(limb) === kind) }, basis),
  );
  const notes = drafts.flatMap((draft) => draft.notes);
  const [first, second] = drafts.flatMap(({ session }) => session ?? []);
  if (!first || !second) return { session: first ?? null, notes };
  const fixed = fixAll(
    { ...first, exercises: [...first.exercises, ...second.exercises].slice(0, MOST_EXERCISES) },
    basis,
  );
  return isMessage(fixed)
    ? { session: first, notes: [...notes, msg('The arms are left out: {why}', { why: fixed })] }
    : { session: fixed, notes };
}

function draftOfOneKind(wish: DraftWish, basis: Basis): Draft {
  const goal = GOALS[wish.goal];
  const refused = whyNot(wish, basis);
  if (refused) return { session: null, notes: [refused] };
  const notes: Message[] = [goal.word];
  const exercises: ExerciseChoice[] = [];
  const most = Math.max(goal.exercises, firstOn(wish).length);
  for (const id of candidates(wish, basis)) {
    if (new Set(exercises.map(({ exerciseId }) => exerciseId)).size >= most) break;
    const made = choicesFor(id, wish, basis);
    if (isMessage(made)) {
      notes.push(made);
      continue;
    }
    const fixed = fixAll({ goal: wish.goal, schoolId: wish.schoolId, exercises: made }, basis);
    if (isMessage(fixed))
      notes.push(
        msg('{exercise} was left out: {why}', { exercise: basis.library[id]?.label ?? id, why: fixed }),
      );
    else exercises.push(...fixed.exercises);
  }
  if (exercises.length === 0) {
    return { session: null, notes: [...notes, msg('Nothing in the library fits: add an exercise by hand.')] };
  }
  if (goal.percentOneRepMax !== null && exercises.every(({ load }) => load.kind === 'unweighed'))
    notes.push(
      msg('Without a 1RM there is only work that needs none: test one, or check 30 repetitions (LOAD-5).'),
    );
  const passive = exercises.some(({ protocolId }) => PROTOCOLS[protocolId].mode === 'passive');
  if (passive && isPostOperativeWork(wish.limbs, basis)) {
    notes.push(
      msg(
        'After an operation: 40 mmHg under the training pressure, 10 more each day until it is reached (PRS-4).',
      ),
    );
  }
  if (wish.newcomer && GOALS[wish.goal].from !== 'passive') {
    notes.push(msg('Newcomer: the first inflation of each limb is primed (PRS-6).'));
    primeFirst(exercises);
  }
  const { goal: goalId, schoolId } = wish;
  const sitting = goal.sitting ? { sitting: [...goal.sitting] } : {};
  const moving = exercises.map((choice) =>
    withMovements(choice, proposedMovements(choice, goalId, { schoolId, basis }), basis),
  );
  const whole = fixAll({ goal: goalId, schoolId, exercises: moving, ...sitting }, basis);
  return isMessage(whole)
    ? { session: null, notes: [...notes, msg('No draft: {why}', { why: whole })] }
    : { session: whole, notes };
}

/** More remedies than this in a row go round in circles. */
const MOST_REMEDIES = 24;

/**
 * A draft proposes nothing that its own checks would refuse, whatever the prescriber's role: what can be fixed is, one remedy at
 * a time. @returns the session, or the words of what cannot be fixed
 */
export function fixAll(session: SessionChoice, basis: Basis): SessionChoice | Message {
  let now = session;
  for (let remedies = 0; remedies <= MOST_REMEDIES; remedies += 1) {
    const refused = composeCourse(now, basis).findings.filter(({ level }) => level !== 'note');
    const [first] = refused;
    if (!first) return withRoom(now);
    const fixable = refused.find(({ fix }) => fix && !(fix.set === 'exercise'));
    const bound = refused.find(({ subject }) => subject === 'movements');
    if (fixable) now = applyFix(now, fixable, basis);
    // A bound that no remedy allows is not proposed: it begins as steady.
    else if (bound) now = steadyAt(now, bound.exerciseIndex);
    else return first.message;
  }
  return msg('The remedies of the rules go round in circles: compose it by hand.');
}

/** An exercise whose figures stay; all of them where none is named. */
const steadyAt = (session: SessionChoice, exerciseIndex: number | undefined): SessionChoice => ({
  ...session,
  exercises: session.exercises.map(({ movements, ...choice }, place) =>
    movements && exerciseIndex !== undefined && place !== exerciseIndex ? { ...choice, movements } : choice,
  ),
});

function whyNot({ goal, limbs, rung, schoolId }: DraftWish, basis: Basis): Message | null {
  const { mode } = PROTOCOLS[protocolFor(goal, rung, schoolId)];
  const missing = limbs.find(
    (limb) =>
      !basis.occlusions.some((fact) => fact.limb === limb) &&
      !strapFor(limb, basis) &&
      !arbitraryChoice(limb, mode, basis),
  );
  if (limbs.length === 0) return msg('Choose a limb.');
  if (missing)
    return msg('{limb}: measure its occlusion pressure first (LOP-4).', { limb: LIMB_LABELS[missing] });
  const barred = limbs.find((limb) => !basis.limits[limb].isCleared);
  if (barred) return msg('{limb} is not cleared (SCR-2).', { limb: LIMB_LABELS[barred] });
  const strapped = limbs.filter((limb) => strapFor(limb, basis));
  if (strapped.length > 0 && mode === 'passive')
    return msg('Passive cycles need a pressure, and a strap has none (TIGHT).');
  if (capOn(basis.limits, strapped) !== null)
    return msg('A cap on the pressure cannot be kept by a strap (SCR-2).');
  if (limbs.some((limb) => basis.limits[limb].modes?.includes(mode) === false))
    return msg('The clearance does not allow {mode} work (SCR-2).', { mode: WORK_MODE_NAMES[mode] });
  const asked = GOALS[goal].from === 'rung' ? limbs : [];
  const [highest] = asked.flatMap((limb) => rungPassed(basis.limits[limb], rung) ?? []);
  if (highest)
    return msg('The clearance allows work up to {highest} only (SCR-2).', {
      highest: RUNG_NAMES[highest],
    });
  const mayPrescribe = mayDo({ role: basis.prescriber, isOwner: false }, 'sign-post-operative');
  if (!mayPrescribe && (mode === 'passive' || isPostOperativeWork(limbs, basis))) {
    return mode === 'passive'
      ? msg('Passive work is prescribed by a clinician (SCR-4).')
      : msg('Post-operative work is prescribed by a clinician (SCR-4).');
  }
  return null;
}

/** What a rung is drafted with before anything else. */
const firstOn = ({ goal, rung }: DraftWish): readonly ExerciseId[] =>
  GOALS[goal].from === 'rung' ? (RUNG_EXERCISES[rung] ?? []) : [];

function protocolFor(goal: GoalId, rung: Rung, schoolId: SchoolId): ProtocolId {
  if (goal === 'rehab') return RUNG_PROTOCOLS[rung];
  return GOALS[goal].protocolId ?? SCHOOLS[schoolId].usualProtocol;
}

/** Exercises that fit the goal, best first: measured in their position, tested, compound before isolated. */
function candidates(wish: DraftWish, basis: Basis): ExerciseId[] {
  const kind = wish.limbs[0] && limbKind(wish.limbs[0]);
  const fits = Object.entries(basis.library).filter(
    ([id, exercise]) =>
      exercise.limbKind === kind &&
      (firstOn(wish).includes(id) || suits(exercise, wish)) &&
      isAllowed(id, exercise, wish, basis) &&
      (wish.limbs.length > 1 || exercise.sides !== 'both' || exercise.kind === 'aerobic'),
  );
  const tested = (id: ExerciseId) => basis.strengthTests.some(({ exerciseId }) => exerciseId === id);
  // What wants a test first is not proposed in the place of what can be done now (rule LOAD-5).
  const isReady = ([id, exercise]: (typeof fits)[number]) =>
    !needsKilograms(exercise) || tested(id) || wish.carried.some(({ exerciseId }) => exerciseId === id);
  const hasTests = GOALS[wish.goal].from === 'tested' && fits.some(([id]) => tested(id));
  const score = ([id, exercise]: (typeof fits)[number]): number =>
    (wish.carried.some(({ exerciseId }) => exerciseId === id) ? -1000 : 0) +
    (firstOn(wish).includes(id) ? firstOn(wish).indexOf(id) - 700 : 0) +
    (tested(id) ? -500 : 0) +
    (wish.limbs.every((limb) => isMeasuredIn(exercise.position, limb, basis)) ? 0 : 100) +
    orderRank(exercise);
  return fits
    .filter((one) => (hasTests ? tested(one[0]) : isReady(one)))
    .sort((a, b) => score(a) - score(b))
    .slice(0, hasTests ? undefined : 12)
    .sort((a, b) => (hasTests ? orderRank(a[1]) - orderRank(b[1]) : 0))
    .map(([id]) => id);
}

function suits(exercise: Exercise, { goal, rung, isolatedOnly }: DraftWish): boolean {
  if (exercise.isManual || (isolatedOnly && exercise.kind !== 'isolated')) return false;
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

/** Whether the letters allow it to each limb, before anything is known of its load (rule SCR-2). */
const isAllowed = (id: ExerciseId, exercise: Exercise, { limbs }: DraftWish, { limits }: Basis): boolean =>
  limbs.every(
    (limb) =>
      rungPassed(limits[limb], exercise.rung) === null &&
      rangesCrossed(limits[limb], id, exercise, exercise.rung).length === 0,
  );

const isMeasuredIn = (position: Position, limb: Limb, basis: Basis): boolean =>
  pressureInForce(basis, limb, position)?.position === position;

/** A pair lifts together only by a test of both: one side's never loads two (rule LOAD-3). */
const mayLiftTogether = (id: ExerciseId, exercise: Exercise, { limbs }: DraftWish, basis: Basis): boolean =>
  !isWeighed(exercise) ||
  testInForce(basis, id, limbs) !== undefined ||
  !basis.strengthTests.some(({ exerciseId }) => exerciseId === id);

/** The choices of one exercise for all limbs, or why it was left out. */
function choicesFor(id: ExerciseId, wish: DraftWish, basis: Basis): ExerciseChoice[] | Message {
  const exercise = basis.library[id];
  if (!exercise) return msg('{exercise} is not in the library.', { exercise: id });
  const protocolId =
    exercise.kind === 'aerobic' ? 'aerobic' : protocolFor(wish.goal, wish.rung, wish.schoolId);
  const together =
    wish.limbs.length > 1 &&
    exercise.sides !== 'one' &&
    (exercise.sides === 'both' || (wish.together && mayLiftTogether(id, exercise, wish, basis)));
  const groups = together ? [wish.limbs] : wish.limbs.map((limb) => [limb]);
  const made: ExerciseChoice[] = [];
  for (const limbs of groups) {
    const carried = carriedBy(wish, id, limbs);
    const load = loadFor(id, exercise, limbs, wish.goal, carried, basis);
    if (isMessage(load)) return load;
    const position = measuredPosition(exercise, limbs, basis);
    const choices = limbs.map((limb) =>
      draftLimb(limb, position, protocolId, wish.schoolId, basis, {
        carried: carried && carriedPercent(carried, limb),
        lowered: wish.lowered.get(limb),
      }),
    );
    if (choices.some((choice) => choice === null)) {
      return msg('{exercise}: measure {position}, with a cuff of the kit, first (LOP-5).', {
        exercise: exercise.label,
        position: POSITION_NAMES[position],
      });
    }
    const { tempos, restMs } = PROTOCOLS[protocolId];
    made.push({
      exerciseId: id,
      position,
      limbs: choices.filter((choice) => choice !== null),
      load,
      protocolId,
      tempoId: (exercise.rung === 'isometric' ? '1-5-1' : tempos[0]) ?? '2-0-2',
      sets:
        carried?.protocolId === protocolId
          ? [...carried.sets]
          : setsOf(protocolId, carried?.restMs ?? restMs, BETWEEN_MS),
      primed: false,
      ...(exercise.kind === 'aerobic' ? { intensity: carried?.intensity ?? INTENSITIES.talking.first } : {}),
    });
  }
  return made;
}

/** What these limbs did of an exercise; the other side's serves where they did none of it. */
function carriedBy({ carried }: DraftWish, id: ExerciseId, limbs: readonly Limb[]): Carried | undefined {
  const entries = carried.filter(({ exerciseId }) => exerciseId === id);
  const same = (one: Carried) =>
    one.limbs.length === limbs.length && one.limbs.every((limb) => limbs.includes(limb));
  return entries.find(same) ?? entries[0];
}

/** The share that is carried to a limb: its own, else the least that another limb had. */
function carriedPercent({ percentLop }: Carried, limb: Limb): number | undefined {
  const others = Object.values(percentLop);
  return percentLop[limb] ?? (others.length > 0 ? Math.min(...others) : undefined);
}

/** The load of an exercise, or why the kit cannot make one light enough. */
function loadFor(
  id: ExerciseId,
  exercise: Exercise,
  limbs: readonly Limb[],
  goal: GoalId,
  carried: Carried | undefined,
  basis: Basis,
): LoadChoice | Message {
  const percent = GOALS[goal].percentOneRepMax;
  if (!isWeighed(exercise)) return { kind: 'unweighed', with: resistanceOf(exercise, basis.weightKits) };
  const test = percent === null ? undefined : testInForce(basis, id, limbs);
  if (percent === null || !test)
    // What was trained so already goes on so.
    return needsKilograms(exercise) && carried?.percentOneRepMax !== null
      ? msg('{exercise}: test it, or check 30 repetitions, first (LOAD-5).', { exercise: exercise.label })
      : { kind: 'unweighed', with: LIMB_WEIGHT };
  const percentOneRepMax = carried?.percentOneRepMax ?? percent;
  const kit = bestKit(exercise.equipment, test.oneRepMax.value, percentOneRepMax, basis.weightKits);
  if (!kit)
    return msg('{exercise}: nothing in the kit makes a load light enough (LOAD-4).', {
      exercise: exercise.label,
    });
  return { kind: 'weighed', strengthTestId: test.fact.id, weightKitId: kit.id, percentOneRepMax };
}

/** The kit of the right kind that comes closest under the target; none when all are above the guard. */
export function bestKit(
  equipment: Equipment,
  oneRepMaxKg: number,
  percent: number,
  kits: readonly WeightKit[],
): WeightKit | undefined {
  const fitting = kits
    .filter((kit) => kit.kind === EQUIPMENT_KITS[equipment] && makeableLoads(kit).length > 0)
    .map((kit) => ({ kit, ...targetLoad(oneRepMaxKg, percent, kit) }))
    .filter(({ truePercent }) => (truePercent ?? 0) <= RULES['LOAD-3'].figures.percentOneRepMax.usualHigh)
    .sort((a, b) => Math.abs((a.truePercent ?? 0) - percent) - Math.abs((b.truePercent ?? 0) - percent));
  return fitting[0]?.kit;
}

function resistanceOf({ equipment }: Exercise, kits: readonly WeightKit[]): string {
  const bands = kits.find(({ kind }) => kind === 'bands');
  if (equipment === 'bands' && bands?.kind === 'bands') return bands.names[0] ?? BODY_WEIGHT;
  return equipment === 'body-weight' ? BODY_WEIGHT : LIMB_WEIGHT;
}

function primeFirst(exercises: ExerciseChoice[]): void {
  const seen = new Set<Limb>();
  for (const choice of exercises) {
    choice.primed = choice.limbs.every(({ limb }) => !seen.has(limb));
    for (const { limb } of choice.limbs) seen.add(limb);
  }
}
