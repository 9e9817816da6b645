import type { Interval } from '../quantity/interval';
import type { Unit } from '../quantity/units';
import type { RuleId } from '../rules/catalogue';

/** One line of a working: what was done, in words and figures a practitioner can check. */
export type Step = { label: string; detail: string };

/** A number that carries how it came about. `interval` is in the same unit as `value`. */
export type Derived<T = number> = {
  value: T;
  unit: Unit;
  interval?: Interval | undefined;
  working: Step[];
  rules: RuleId[];
};
