import { type AtMark, markWords } from '../cuff/mark-words';
import type { Derived } from '../derivation/derived';
import { list, type Message, msg, type Text } from '../message/message';
import { shareOfTarget } from '../pressure/cycles';
import { type Priming, USUAL_PRIMING } from '../pressure/priming';
import type { PlannedAdjunct } from '../protocol/adjunct';
import type { ExerciseId } from '../protocol/exercises';
import type { Intensity } from '../protocol/intensity';
import type { ProtocolId } from '../protocol/protocols';
import type { SchoolId } from '../protocol/schools';
import type { SetWork } from '../protocol/set-work';
import type { Tempo, TempoId } from '../protocol/tempo';
import type { WorkMode } from '../protocol/work-mode';
import { type Limb, limbsWords, type Position } from '../quantity/limb';
import type { Side } from '../strength/side';
import type { GoalId } from './goals';
import type { Lighter } from './lighter-schema';

/** The shape plans are made in now; older ones are read by `versions/read-plan`. */
export const PLAN_VERSION = 3;

/** A limb under a measured cuff: what was measured, and the pressure asked of it. Pressures in mmHg. */
export type MeasuredTarget = {
  kind: 'measured';
  limb: Limb;
  occlusionId: string;
  cuffId: string;
  cuffLabel: string;
  occlusion: Derived;
  uncertaintyMmHg: number;
  /** Of the gauge it was measured with; targets are rounded down to it. */
  divisionMmHg: number;
  measuredPosition: Position;
  percentLop: number;
  pressure: Derived;
  trueRange: Derived;
  /** Pressures of the priming cycles before the first set, lowest first; none when not primed (rule PRS-6). */
  primingMmHg: number[];
};

/** A limb under a cuff at a pressure without a measured LOP: an arbitrary pressure (rule PRS-7). In mmHg. */
export type ArbitraryTarget = {
  kind: 'arbitrary';
  limb: Limb;
  cuffId: string;
  cuffLabel: string;
  divisionMmHg: number;
  pressure: Derived;
  primingMmHg: number[];
};

/** A limb under a cuff, whose pressure is known. */
export type CuffedTarget = MeasuredTarget | ArbitraryTarget;

/** A limb under a strap by its mark and how it felt, 0–10; its pressure is not known (rule TIGHT). */
export type FeltTarget = {
  kind: 'by-feel';
  limb: Limb;
  strapId: string;
  strapLabel: string;
  felt: number;
  /** Where it is tightened to in the cycles before the first set, loosest first; not there when not primed (rule PRS-6). */
  primingMarks?: number[] | undefined;
} & AtMark;

export type LimbTarget = CuffedTarget | FeltTarget;

export const isMeasured = (target: LimbTarget): target is MeasuredTarget => target.kind === 'measured';

export const isCuffed = (target: LimbTarget): target is CuffedTarget => target.kind !== 'by-feel';

/** What is worn there, as it is called in the kit. */
export const wornLabel = (target: LimbTarget): string =>
  target.kind === 'by-feel' ? target.strapLabel : target.cuffLabel;

/** One set: what is done and how long that lasts; the rest after it; the cuff goes down in a rest with `release`. */
export type PlannedSet = {
  work: SetWork;
  lastsMs: number;
  restMs: number;
  release: boolean;
  /** Share of the target it is done at, in %; not there at the target itself (rule PRS-9). */
  ofTarget?: number | undefined;
};

/**
 * A load in kg, with the test it is a share of and the kit it is made from; or what resists without kilograms
 * (rules LOAD-2 to LOAD-4).
 */
export type PlannedLoad =
  | {
      kind: 'weighed';
      load: Derived;
      recipe: Text;
      /** The share of 1RM it truly is, in %. */
      truePercent: number;
      testId: string;
      /** May be the other side, standing in (rule LOAD-2). */
      testedSide: Side;
      oneRepMax: Derived;
      /** The share of 1RM that was asked for, in %. */
      percentOneRepMax: number;
      /** Null in plans of the first release, which did not keep it. */
      weightKitId: string | null;
    }
  /** `with` is the id of what resists; not there in plans of earlier releases, whose recipe was it. */
  | { kind: 'unweighed'; recipe: Text; with?: string | undefined };

/** In kg; null for work without kilograms. */
export const plannedKg = (load: PlannedLoad): number | null =>
  load.kind === 'weighed' ? load.load.value : null;

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
  /** How it is primed, where that is not as usual (rule PRS-6). */
  priming?: Priming | undefined;
  reinflateLeadMs: number;
  tempoId: TempoId;
  tempo: Tempo;
  /** Alternates, set by set, with the exercise before it (`setOrder`). */
  alternates?: true | undefined;
};

/** A signed session, frozen: the figures with the derivations they were signed with. */
export type Plan = {
  version: typeof PLAN_VERSION;
  goal: GoalId;
  schoolId: SchoolId;
  exercises: PlannedExercise[];
  /** What belongs to the sitting before and after the cuff (rule PRO-4). */
  sitting?: PlannedAdjunct[] | undefined;
  /** Of a session: what was made lighter that day (rule SCR-3); the signed plan has none. */
  today?: Lighter | undefined;
};

/** Whether the cuffs of an exercise stay up in all its rests. */
export const staysInflated = ({ sets }: { sets: readonly Pick<PlannedSet, 'release'>[] }): boolean =>
  sets.slice(0, -1).every(({ release }) => !release);

/** What an exercise of a plan is called, with its limbs where another has the same name. */
export function exerciseWords({ exercises }: Pick<Plan, 'exercises'>, exerciseIndex: number): Text {
  const exercise = exercises[exerciseIndex];
  if (!exercise) return '';
  const namesakes = exercises.filter(({ exerciseId }) => exerciseId === exercise.exerciseId);
  return namesakes.length > 1
    ? list([exercise.label, limbsWords(exercise.limbs.map(({ limb }) => limb))], ', ')
    : exercise.label;
}

/** Limbs of an exercise whose LOP is known. */
export const measuredLimbs = ({ limbs }: Pick<PlannedExercise, 'limbs'>): MeasuredTarget[] =>
  limbs.filter(isMeasured);

/** Limbs of an exercise whose pressure is known. */
export const cuffedLimbs = ({ limbs }: Pick<PlannedExercise, 'limbs'>): CuffedTarget[] =>
  limbs.filter(isCuffed);

/** Whether a limb of it is under an arbitrary pressure (rule PRS-7). */
export const isArbitrary = ({ limbs }: Pick<PlannedExercise, 'limbs'>): boolean =>
  limbs.some(({ kind }) => kind === 'arbitrary');

/** What is asked of a limb, in short. @example targetWords(target) //=> '104 mmHg', '130 mmHg, arbitrary', 'mark 6' or '4 turns, firm' */
export function targetWords(target: LimbTarget): Message {
  switch (target.kind) {
    case 'measured':
      return msg('{pressure} mmHg', { pressure: target.pressure.value });
    case 'arbitrary':
      return msg('{pressure} mmHg, arbitrary', { pressure: target.pressure.value });
    case 'by-feel':
      return markWords(target);
  }
}

/** Whether a limb of it is under a strap. */
export const isByFeel = ({ limbs }: Pick<PlannedExercise, 'limbs'>): boolean =>
  limbs.some(({ kind }) => kind === 'by-feel');

/** The pressure a set is planned at under a cuff, in mmHg: the target, or its share of it (rule PRS-9). */
export const plannedMmHg = (
  { pressure, divisionMmHg }: Pick<CuffedTarget, 'pressure' | 'divisionMmHg'>,
  set: Pick<PlannedSet, 'ofTarget'> | undefined,
): number => shareOfTarget(pressure.value, set?.ofTarget, divisionMmHg);

/** Where a strap is tightened to in a set: its mark, or a share of it in whole steps, where cycles rise (rules PRS-9, TIGHT). */
export const plannedMark = (
  { mark }: Pick<FeltTarget, 'mark'>,
  set: Pick<PlannedSet, 'ofTarget'> | undefined,
): number => (set?.ofTarget === undefined ? mark : Math.max(1, shareOfTarget(mark, set.ofTarget, 1)));

/** What a limb is brought to in a set, in words. @example plannedWords(target, set) //=> '62 mmHg' or 'mark 3' */
export const plannedWords = (target: LimbTarget, set: Pick<PlannedSet, 'ofTarget'> | undefined): Message =>
  isCuffed(target)
    ? msg('{pressure} mmHg', { pressure: plannedMmHg(target, set) })
    : markWords({ ...target, mark: plannedMark(target, set) });

/** How its priming goes: as chosen, else as usual (rule PRS-6). */
export const primingIn = ({ priming }: Pick<PlannedExercise, 'priming'>): Priming => priming ?? USUAL_PRIMING;

/** Priming cycles before its first set. */
export const primingCycles = (exercise: Pick<PlannedExercise, 'limbs'>): number =>
  Math.max(
    0,
    ...exercise.limbs.map(
      (target) => (isCuffed(target) ? target.primingMmHg : (target.primingMarks ?? [])).length,
    ),
  );
