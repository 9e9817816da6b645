import type { Derived } from '../derivation/derived';
import type { Text } from '../message/message';
import type { Side } from '../strength/side';

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
