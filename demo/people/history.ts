import type { About, NewClient } from '#contract/client';
import type { NewRungCheck } from '#contract/course-plan';
import type {
  NewClearance,
  NewDayCheck,
  NewFit,
  NewOcclusion,
  NewScreening,
  NewStrengthTest,
  NewTightness,
} from '#contract/measurements';
import type { BlockWish, CoursePlanChoice } from '#core/course';
import type { ShelfLife } from '#core/occlusion-pressure';
import type { Taken } from '#core/outcomes';
import type { GoalId } from '#core/plan';
import type { Intensity, PlannedAdjunct, TempoId } from '#core/protocol';
import type { Limb } from '#core/quantity';
import type { HeavyWorkChoice } from '#core/strength';

/** What a demo prescription asks of the draft. */
export type PrescribeWish = {
  goal: GoalId;
  limbs: Limb[];
  percentLop?: number;
  tempoId?: TempoId;
  together?: boolean;
  /** With what the draft of the first weeks leaves out: the practitioner adds it by hand. */
  byHand?: true;
  sitting?: PlannedAdjunct[];
  /** How hard aerobic work is. */
  intensity?: Intensity;
  /** The plan it is the first or next version of; unless it is said, one named after its limbs, for any day. */
  plan?: Pick<CoursePlanChoice, 'name' | 'occasion'>;
};

/** What a practitioner did for a person some days ago; the loader plays these through the server's own routes. */
export type HistoryEntry = { daysAgo: number } & (
  | { do: 'screen'; body: NewScreening; operated?: { limb: Limb; daysBefore: number; what: string } }
  | { do: 'clear'; days: number; body: Omit<NewClearance, 'givenAtMs' | 'untilMs'> }
  | { do: 'check'; body: NewDayCheck }
  | { do: 'fit'; body: NewFit }
  | { do: 'feel'; body: NewTightness }
  | { do: 'measure'; body: NewOcclusion }
  | { do: 'confirm'; body: { goneMmHg: number } }
  | { do: 'keep-for'; body: { shelfLife: ShelfLife } }
  | { do: 'test'; body: NewStrengthTest }
  | { do: 'prescribe'; wish: PrescribeWish }
  | { do: 'block'; wish: (isoDay: string, coursePlanId: string) => BlockWish }
  | { do: 'heavy'; body: HeavyWorkChoice }
  | { do: 'rung'; body: NewRungCheck }
  | { do: 'take'; body: Taken }
  | {
      do: 'session';
      plan?: string;
      isUnanswered?: true;
      reps: number[];
      efforts: number[];
      heartRates?: [number, number];
    }
);

export type DemoPerson = { client: NewClient; about?: About; history: HistoryEntry[] };

export const trial = (goneMmHg: number, backMmHg: number) => ({
  goneMmHg,
  upMmHg: 10,
  backMmHg,
  downMmHg: 4,
});

export const readings = (...pairs: [number, number][]) =>
  pairs.map(([systolicMmHg, diastolicMmHg]) => ({ systolicMmHg, diastolicMmHg }));

export const onThigh = (
  limb: 'left-thigh' | 'right-thigh',
  position: NewOcclusion['position'],
  trials: NewOcclusion['trials'],
): NewOcclusion => ({
  limb,
  position,
  method: 'doppler',
  site: 'posterior-tibial',
  pumpId: 'hand-pump',
  readingSchool: 'bracket',
  trials,
});
