import { type AtMark, markWords } from '../cuff/mark-words';
import type { Derived } from '../derivation/derived';
import { type Message, msg } from '../message/message';
import { type Priming, USUAL_PRIMING } from '../pressure/priming';
import type { Limb, Position } from '../quantity/limb';

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
  /** Its mark was chosen, and does not go by what last felt right. */
  isMarkChosen?: true | undefined;
  /** Where it is tightened to in the cycles before the first set, loosest first; not there when not primed (rule PRS-6). */
  primingMarks?: number[] | undefined;
} & AtMark;

export type LimbTarget = CuffedTarget | FeltTarget;

export const isMeasured = (target: LimbTarget): target is MeasuredTarget => target.kind === 'measured';

export const isCuffed = (target: LimbTarget): target is CuffedTarget => target.kind !== 'by-feel';

/** What is worn there, as it is called in the kit. */
export const wornLabel = (target: LimbTarget): string =>
  target.kind === 'by-feel' ? target.strapLabel : target.cuffLabel;

/** An exercise, by the limbs it trains. */
type OnLimbs = { limbs: readonly LimbTarget[] };

/** Limbs of an exercise whose LOP is known. */
export const measuredLimbs = ({ limbs }: OnLimbs): MeasuredTarget[] => limbs.filter(isMeasured);

/** Limbs of an exercise whose pressure is known. */
export const cuffedLimbs = ({ limbs }: OnLimbs): CuffedTarget[] => limbs.filter(isCuffed);

/** Whether a limb of it is under an arbitrary pressure (rule PRS-7). */
export const isArbitrary = ({ limbs }: OnLimbs): boolean => limbs.some(({ kind }) => kind === 'arbitrary');

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
export const isByFeel = ({ limbs }: OnLimbs): boolean => limbs.some(({ kind }) => kind === 'by-feel');

/** How its priming goes: as chosen, else as usual (rule PRS-6). */
export const primingIn = ({ priming }: { priming?: Priming | undefined }): Priming =>
  priming ?? USUAL_PRIMING;

/** Priming cycles before its first set. */
export const primingCycles = (exercise: OnLimbs): number =>
  Math.max(
    0,
    ...exercise.limbs.map(
      (target) => (isCuffed(target) ? target.primingMmHg : (target.primingMarks ?? [])).length,
    ),
  );
