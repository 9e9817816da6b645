import type { Role } from '../access/permissions';
import type { Reached } from '../aerobic/fitness';
import type { Block } from '../course/block';
import type { CoursePlan } from '../course/course-plan';
import type { RungCheck, RungSessions } from '../course/ladder';
import type { Cuff } from '../cuff/cuff';
import type { FitFact, TightnessFact } from '../cuff/fact';
import type { WeightKit } from '../load/weight-kit';
import type { Text } from '../message/message';
import type { OcclusionFact } from '../occlusion-pressure/fact';
import type { LimbShelfLife, ShelfLife } from '../occlusion-pressure/shelf-life';
import type { Comparison } from '../outcomes/comparison';
import type { MeasureBook, MeasureId } from '../outcomes/measures';
import type { Plan } from '../plan/plan';
import { EXERCISES, type ExerciseId, type Library } from '../protocol/exercises';
import type { Limb } from '../quantity/limb';
import type { OwnPlace } from '../quantity/place';
import { type DisplayUnits, MS_PER_DAY } from '../quantity/units';
import type { SessionSummary } from '../review/summary';
import type { RuleId } from '../rules/catalogue';
import type { Clearance } from '../screening/clearance';
import type { Condition } from '../screening/condition';
import type { Consent } from '../screening/consent';
import type { DayCheck } from '../screening/day-check';
import type { Stricter } from '../screening/items';
import type { Screening } from '../screening/screening';
import type { StrengthFact } from '../strength/fact';
import type { HeavyWork } from '../strength/heavy-work';
import type { Hold } from './holds';

/** A guard that was passed: which, where, and in which exercise; null where it belongs to none. */
export type PassedGuard = { rule: RuleId; subject: string; exerciseIndex: number | null };

/** A signed version of a plan; it names the measurements it was signed from. */
export type PrescriptionFact = {
  id: string;
  /** The plan it is a version of. */
  coursePlanId: string;
  /** Versions that rest on its signature: itself, and what it re-targets (rule PRS-8). */
  versions: string[];
  /** From what to what it changes the version before, in words. */
  changes: Text[];
  atMs: number;
  /** Id of the practitioner who signed it. */
  signedBy: string;
  /** Who answers for it: who signed it, or who signed the one it re-targets (rule PRS-8). */
  role: Role;
  /** Made by the answer to the review of the last session before it: it goes with that answer (rule REV-10). */
  isByReview?: boolean | undefined;
  /** It came from a file: its signature is a claim, and it is signed here before it opens (rule START-3). */
  isSignedElsewhere?: boolean | undefined;
  /** Guards that were passed when it was signed, and why; the reason is null where there were none. */
  guards: PassedGuard[];
  overrideReason: string | null;
  plan: Plan;
};

export type SessionFact = {
  id: string;
  prescriptionId: string;
  coursePlanId: string;
  startedAtMs: number;
  finishedAtMs: number | null;
} & SessionSummary;

/** One measure, limb and setting that is followed, and when it was last taken. */
export type FollowedFact = { measureId: MeasureId; limb: Limb | null; setting: string; atMs: number };

/** Measures that say how fit a person is (chapter 6). */
export const FITNESS_MEASURES = [
  'vo2max',
  'body-mass',
  'resting-heart-rate',
  'heart-rate-at-workload',
] as const satisfies readonly MeasureId[];

/** The newest value of such a measure, whatever its setting, with what machine and heart showed. */
export type FitnessFact = {
  measureId: (typeof FITNESS_MEASURES)[number];
  atMs: number;
  value: number;
  reached: Reached | null;
};

/** A comparison in one person that was not ended. */
export type ComparisonFact = { id: string; atMs: number; design: Comparison };

/** A block of training as it was kept; the newest counts. */
export type BlockFact = Block & { id: string; atMs: number };

/** What a session is made with: pieces of kit that are in use. */
export type KitInUse = { cuffs: readonly Cuff[]; weightKits: readonly WeightKit[] };

/** How far back sessions are looked at: longer than any lay-off, ramp, block or healing that counts them (PRS-4, PRO-3). */
export const SESSIONS_COUNT_MS = 26 * 7 * MS_PER_DAY;

/** How far back versions are read that have been superseded: the longest block. */
export const VERSIONS_COUNT_MS = 12 * 7 * MS_PER_DAY;

/**
 * What is on record for one person that anything now rests on: of each kind the newest for each thing it is about (a limb,
 * a position and cuff, an exercise and side), what the plan in force names, and the sessions of the last half year. What
 * came before is read page by page. Lists are in any order, but of two with one time the later received comes last.
 */
export type ClientFacts = {
  /** Their birth date as an ISO day; null where it is not known. */
  bornOn: string | null;
  shelfLife: ShelfLife;
  /** Where a limb's is another. */
  limbShelfLives: LimbShelfLife[];
  units: DisplayUnits;
  /** How far the practice's clock is ahead of UTC now: its days are counted by it. */
  zoneOffsetMs: number;
  /** What the practice asks more of than the questionnaire does. */
  stricter: Stricter;
  /** The most it puts on a limb without a LOP, in mmHg; null where it does not work so (rule PRS-7). */
  arbitraryUpToMmHg: number | null;
  /** Tolerated sessions the practice asks for on each rung (rule PRO-5). */
  rungSessions: RungSessions;
  /** Places of the practice. */
  places: readonly OwnPlace[];
  /** Exercises the practice has added or changed. */
  ownExercises: Library;
  /** Measures the practice has added or says otherwise. */
  ownMeasures: MeasureBook;
  /** Measures that are followed, each with when it was last taken (rule OUT-4). */
  followed: FollowedFact[];
  /** The newest of the tests that say how fit they are (chapter 6). */
  fitness: FitnessFact[];
  /** Comparisons with the cuff against without, the newest first. */
  comparisons: ComparisonFact[];
  screenings: Screening[];
  /** What they have or had done, but for what was ended by a clinician (rule SCR-1). */
  conditions: Condition[];
  clearances: Clearance[];
  /** The newest alone (rule SCR-6). */
  consents: Consent[];
  holds: Hold[];
  /** Those of today, the newest, and those of the same time as the sessions that found swelling (rule PRO-5). */
  dayChecks: DayCheck[];
  fits: FitFact[];
  tightness: TightnessFact[];
  occlusions: OcclusionFact[];
  strengthTests: StrengthFact[];
  /** Those that have not ended. */
  coursePlans: CoursePlan[];
  /** Of each of them the newest version. */
  prescriptions: PrescriptionFact[];
  /** Those of the last weeks that something newer has taken the place of: what was meant then. None on the roster. */
  formerVersions: PrescriptionFact[];
  blocks: BlockFact[];
  /** Checks for a rung of the ladder, of the same time as the sessions, and the last of each limb (rule PRO-5). */
  rungChecks: RungCheck[];
  /** Heavy work of the same time as the sessions (rule PRO-4). */
  heavyWork: HeavyWork[];
  /** Those of `SESSIONS_COUNT_MS`, those that are open, and the newest whenever it was. */
  sessions: SessionFact[];
  /** How many were finished in all. */
  sessionsFinished: number;
};

/** Name of an exercise; the id itself for one that is in no library any more. */
export const exerciseLabel = ({ ownExercises }: Pick<ClientFacts, 'ownExercises'>, id: ExerciseId): Text =>
  ownExercises[id]?.label ?? (EXERCISES as Library)[id]?.label ?? id;
