import { type Day, isoOf } from './days';

/** Years of age, from two calendar days. @example ageOn('1950-05-07', dayOf('2026-05-06')) //=> 75 */
export function ageOn(bornOn: string, today: Day): number {
  const now = isoOf(today);
  const hadBirthday = now.slice(5) >= bornOn.slice(5);
  return Number(now.slice(0, 4)) - Number(bornOn.slice(0, 4)) - (hadBirthday ? 0 : 1);
}
