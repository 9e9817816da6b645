import type { Message } from '../../message/message';
import type { Rung } from '../../protocol/exercise';
import type { ExerciseId } from '../../protocol/exercises';
import type { Intensity } from '../../protocol/intensity';
import type { ProtocolId } from '../../protocol/protocols';
import type { SchoolId } from '../../protocol/schools';
import type { Limb } from '../../quantity/limb';
import type { SessionChoice, SetChoice } from '../choices';
import type { GoalId } from '../goals';
import type { Judged } from './judged';

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
  /** The id of the place where it is done; not there where that is open. What is on record is of that place already (`basisAt`). */
  place?: string | undefined;
  /** The lift that a warm-up is before; not there where none is named. */
  beforeLift?: ExerciseId | undefined;
  /** What the last session carries over, by exercise and limbs, once its review is accepted. */
  carried: readonly Carried[];
  /** What a review has lowered a limb to, in %LOP: whatever protocol is drafted now, never above it (rule REV-1). */
  lowered: ReadonlyMap<Limb, number>;
};

/** In what way another session may be wished for. */
export const ALTERNATIVE_IDS = [
  'with-bands',
  'without-kit',
  'no-floor',
  'seated',
  'shorter',
  'other',
] as const;
export type AlternativeId = (typeof ALTERNATIVE_IDS)[number];

/** Another session for the same wish, next best of those that are as its label says. */
export type Alternative = { id: AlternativeId; session: SessionChoice; judged: Judged };

/** What would make more of a draft possible: where one goes on from what is missing. */
export type Lead =
  | { to: 'measure'; limb: Limb }
  | { to: 'test'; exerciseId?: ExerciseId }
  | { to: 'kit' }
  | { to: 'rung'; rung: Rung }
  | { to: 'both-limbs' }
  | { to: 'any-place' }
  /** Letters and what they allow. */
  | { to: 'screen' }
  /** What only a clinician may sign. */
  | { to: 'clinician' }
  /** The library, where nothing in it fits. */
  | { to: 'exercises' };

/** A first draft, or why there can be none; `notes` say what was decided and why. */
export type Draft = {
  session: SessionChoice | null;
  notes: Message[];
  leads?: Lead[];
  /** What it was found the best by; not there of a session that was not searched for. */
  judged?: Judged;
  alternatives?: Alternative[];
};
