import type { Text } from '../message/message';
import type { Interval } from '../quantity/interval';
import type { Unit } from '../quantity/units';
import type { RuleId } from '../rules/catalogue';

/** One line of a working: what was done, in words and figures a practitioner can check. */
/** Text where it was kept by an earlier release. */
export type Step = { label: Text; detail: Text };

/** A number that carries how it came about. `interval` is in the same unit as `value`. */
export type Derived<T = number> = {
  value: T;
  unit: Unit;
  interval?: Interval | undefined;
  working: Step[];
  rules: RuleId[];
};
