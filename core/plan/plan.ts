import type { AerobicEstimate } from '../aerobic/estimate';
import { list, type Text } from '../message/message';
import type { Priming } from '../pressure/priming';
import type { PlannedAdjunct } from '../protocol/adjunct';
import type { Rung } from '../protocol/exercise';
import type { ExerciseId } from '../protocol/exercises';
import type { Intensity } from '../protocol/intensity';
import type { ProtocolId } from '../protocol/protocols';
import type { SchoolId } from '../protocol/schools';
import type { Tempo, TempoId } from '../protocol/tempo';
import type { WorkMode } from '../protocol/work-mode';
import { limbsWords, type Position } from '../quantity/limb';
import type { Place } from '../quantity/place';
import type { GoalId } from './goals';
import type { Lighter } from './lighter-schema';
import type { Move } from './move';
import type { Deload, Movement } from './movement';
import type { PlannedLoad } from './planned-load';
import type { PlannedSet } from './planned-set';
import type { Rungs } from './rungs';
import type { LimbTarget } from './target';

/** The shape plans are made in now; older ones are read by `versions/read-plan`. */
export const PLAN_VERSION = 4;

/** One exercise as it will be run. Everything needed to run it is copied in, so the plan never changes. */
export type PlannedExercise = {
  exerciseId: ExerciseId;
  /** As it was frozen: text in plans of earlier releases and of exercises that a practice named. */
  label: Text;
  cue: Text;
  position: Position;
  mode: WorkMode;
  limbs: LimbTarget[];
  load: PlannedLoad;
  protocolId: ProtocolId;
  protocolLabel: Text;
  sets: PlannedSet[];
  /** How hard aerobic work is, where it was said; the load says it in words. */
  intensity?: Intensity | undefined;
  /** What that was on the machine and the heart, by the tests on record when it was composed. */
  estimate?: AerobicEstimate | undefined;
  /** How it is primed, where that is not as usual (rule PRS-6). */
  priming?: Priming | undefined;
  reinflateLeadMs: number;
  tempoId: TempoId;
  tempo: Tempo;
  /** Alternates, set by set, with the exercise before it (`setOrder`). */
  alternates?: true | undefined;
  /** How its figures move, and up to where; not there where they are steady (rule CRS-1). */
  movements?: Movement[] | undefined;
};

/** What the course made of a day: what moved from where and why, and the share of the sets in a deload week (rule CRS-3). */
export type CourseOfDay = {
  moves: Move[];
  /** Rises were kept back that day. */
  keptBack?: true | undefined;
  /** In a deload week: the share of the sets, in %. */
  deloadPercent?: number | undefined;
};

/** The rungs of a plan, and the one it was signed on: guards that were passed with the signature are that one's. */
export type PlannedRungs = Rungs<PlannedExercise> & { signedOn: Rung };

/** A signed session, frozen: the figures with the derivations they were signed with. */
export type Plan = {
  version: typeof PLAN_VERSION;
  goal: GoalId;
  schoolId: SchoolId;
  exercises: PlannedExercise[];
  /** The work of the other rungs of a limb's ladder (rule PRO-5); of a session only which rung it is on. */
  rungs?: PlannedRungs | undefined;
  /** What belongs to the sitting before and after the cuff (rule PRO-4). */
  sitting?: PlannedAdjunct[] | undefined;
  /** Of a session: what was made lighter that day (rule SCR-3); the signed plan has none. */
  today?: Lighter | undefined;
  /** Weeks with fewer sets (rule CRS-5). */
  deload?: Deload | undefined;
  /** Of a session: what the course made of that day; not there where nothing moved. */
  course?: CourseOfDay | undefined;
  /** Where it is done; not there where that is open. */
  place?: Place | undefined;
};

/** What an exercise of a plan is called, with its limbs where another has the same name. */
export function exerciseWords({ exercises }: Pick<Plan, 'exercises'>, exerciseIndex: number): Text {
  const exercise = exercises[exerciseIndex];
  if (!exercise) return '';
  const namesakes = exercises.filter(({ exerciseId }) => exerciseId === exercise.exerciseId);
  return namesakes.length > 1
    ? list([exercise.label, limbsWords(exercise.limbs.map(({ limb }) => limb))], ', ')
    : exercise.label;
}
