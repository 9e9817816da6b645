import { musclesOf } from '../../protocol/exercise';
import type { Library } from '../../protocol/exercises';
import { pacedReps, workMsOf } from '../../protocol/set-work';
import { TEMPOS } from '../../protocol/tempo';
import { MS_PER_MINUTE } from '../../quantity/units';
import { RULES } from '../../rules/catalogue';
import type { Basis } from '../basis';
import type { ExerciseChoice, SetChoice } from '../choices';

const FIGURES = RULES['PRO-6'].figures;
const SETTLE_MS = RULES['PRS-5'].figures.plannedMs;
const FREE_MS = RULES['PRO-1'].figures.continuousOcclusionMs.freeFlowToRestart;
/** What priming usually takes: from 60 % of a usual target up. */
const PRIMED_MS = 4 * RULES['PRS-6'].figures.onMs;

/** The most that a draft holds, of one limb and muscle in repetitions, and of time with a cuff up in ms. */
export type Bounds = { reps: number; inflatedMs: number };

/** Why a draft is bounded. */
export type BoundBy = 'first-weeks' | 'age';

/** By what a draft is bounded: the first two weeks under a cuff, or an age from 65 on (rule PRO-6); `null` by neither. */
export function boundBy({ done, today, from65 }: Pick<Basis, 'done' | 'today' | 'from65'>): BoundBy | null {
  if (from65) return 'age';
  const first = Math.min(...done.map(({ day }) => day));
  return today - first < FIGURES.firstDays || done.length === 0 ? 'first-weeks' : null;
}

/** @example boundsOf({ from65: true, done: [], today: 0 }) //=> { reps: 75, inflatedMs: 900_000 } */
export const boundsOf = (basis: Pick<Basis, 'done' | 'today' | 'from65'>): Bounds | null =>
  boundBy(basis) === null ? null : { reps: FIGURES.mostReps, inflatedMs: FIGURES.mostInflatedMs };

/** How long a cuff is up in an exercise, in ms: near enough to choose by; a timeline says it exactly. */
export function inflatedMs({ sets, tempoId, primed, protocolId }: ExerciseChoice): number {
  const settles = protocolId === 'cycles' ? 0 : SETTLE_MS;
  const priming = primed ? PRIMED_MS : 0;
  const rests = sets.slice(0, -1).filter(({ release }) => !release);
  return settles + priming + worksMs(sets, tempoId) + rests.reduce((sum, { restMs }) => sum + restMs, 0);
}

/** How long an exercise lasts with the way to the next, in ms. */
export const lastsMs = ({ sets, tempoId }: ExerciseChoice): number =>
  SETTLE_MS + worksMs(sets, tempoId) + sets.reduce((sum, { restMs }) => sum + restMs, 0);

const worksMs = (sets: readonly SetChoice[], tempoId: ExerciseChoice['tempoId']): number =>
  sets.reduce((sum, { work }) => sum + workMsOf(work, TEMPOS[tempoId]), 0);

/** Repetitions by limb and muscle; a set to failure counts as far as it is paced. */
export function repsByMuscle(choices: readonly ExerciseChoice[], library: Library): Map<string, number> {
  const reps = new Map<string, number>();
  for (const { exerciseId, limbs, sets } of choices) {
    const done = sets.reduce((sum, { work }) => sum + (pacedReps(work) ?? 0), 0);
    for (const { limb } of limbs)
      for (const muscle of musclesOf(library[exerciseId]?.muscle ?? exerciseId)) {
        const key = `${limb} ${muscle}`;
        reps.set(key, (reps.get(key) ?? 0) + done);
      }
  }
  return reps;
}

/** What of a session is past its bounds: a limb's muscle, the time with a cuff up, or nothing. */
function pastBound(
  choices: readonly ExerciseChoice[],
  bounds: Bounds,
  library: Library,
): { muscle: string } | 'time' | null {
  const over = [...repsByMuscle(choices, library)].find(([, reps]) => reps > bounds.reps);
  if (over) return { muscle: over[0] };
  return choices.reduce((sum, choice) => sum + inflatedMs(choice), 0) > bounds.inflatedMs ? 'time' : null;
}

/**
 * Exercises with as few sets less as bring them within their bounds, the largest exercise first.
 * @returns `null` where one set of each is too much
 */
export function withinBounds(
  choices: readonly ExerciseChoice[],
  bounds: Bounds | null,
  library: Library,
): ExerciseChoice[] | null {
  let now = [...choices];
  if (!bounds) return now;
  for (let past = pastBound(now, bounds, library); past; past = pastBound(now, bounds, library)) {
    const shorter = withSetLess(now, past, library);
    if (!shorter) return null;
    now = shorter;
  }
  return now;
}

/** Less of the largest exercise that may lose something: its last set, or a part of each spell; of limbs in turn each loses it. */
export function withSetLess(
  choices: readonly ExerciseChoice[],
  past: { muscle: string } | 'time',
  library: Library,
): ExerciseChoice[] | null {
  const size = (choice: ExerciseChoice): number =>
    past === 'time' ? inflatedMs(choice) : ([...repsByMuscle([choice], library).values()][0] ?? 0);
  const may = choices.flatMap((choice) => {
    const isOver = past === 'time' || repsByMuscle([choice], library).has(past.muscle);
    const shorter = isOver ? withLess(choice.sets) : null;
    return shorter ? [{ choice, shorter, size: size(choice) }] : [];
  });
  const [largest] = may.sort((a, b) => b.size - a.size);
  if (!largest) return null;
  const isIt = ({ exerciseId, sets }: ExerciseChoice): boolean =>
    exerciseId === largest.choice.exerciseId && sets.length === largest.choice.sets.length;
  return choices.map((choice) => (isIt(choice) ? { ...choice, sets: largest.shorter } : choice));
}

/** Spells of more than so long lose a part before a third of them goes. */
const SPELL = { fewest: 3, shortestMs: 3 * MS_PER_MINUTE, stepMs: 30_000 };

/** Fewer sets or shorter spells; `null` where there is no less. */
function withLess(sets: readonly SetChoice[]): SetChoice[] | null {
  const canShorten = sets.every(
    ({ work }) => work.kind === 'timed' && work.workMs - SPELL.stepMs >= SPELL.shortestMs,
  );
  if (canShorten && sets.length <= SPELL.fewest)
    return sets.map((set) =>
      set.work.kind === 'timed'
        ? { ...set, work: { kind: 'timed', workMs: set.work.workMs - SPELL.stepMs } }
        : set,
    );
  if (sets.length < 2) return null;
  return sets
    .slice(0, -1)
    .map((set, place, kept) =>
      place === kept.length - 1
        ? { ...set, release: true, restMs: Math.max(FREE_MS, sets.at(-1)?.restMs ?? 0) }
        : set,
    );
}
