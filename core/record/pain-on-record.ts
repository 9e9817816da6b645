import type { MeasureId } from '../outcomes/measures';
import { dayAt } from '../quantity/days';
import type { Limb } from '../quantity/limb';
import { newest } from '../quantity/newest';
import type { ClientFacts } from './facts';

/** A pain that is on record, 0 to 10: on the provoking test of the limb, or how it was before the session of a day. */
export type PainOnRecord = {
  painOfTen: number;
  atMs: number;
  isToday: boolean;
  of: 'provoking-test' | 'day-check';
};

/** A measure that was taken. */
type Taken = {
  measureId: MeasureId;
  limb: Limb | null;
  atMs: number;
  value: number;
  withdrawn: string | null;
};

/**
 * The newest pain of a limb: on its provoking test, whenever that was; where none was taken, as the check of today says it.
 * @returns `undefined` where nothing is on record
 */
export function painOnRecord(
  { dayChecks, zoneOffsetMs }: Pick<ClientFacts, 'dayChecks' | 'zoneOffsetMs'>,
  taken: readonly Taken[],
  limb: Limb,
  nowMs: number,
): PainOnRecord | undefined {
  const today = dayAt(nowMs, zoneOffsetMs);
  const isToday = (atMs: number) => dayAt(atMs, zoneOffsetMs) === today;
  const test = newest(
    taken.filter(
      (one) =>
        one.measureId === 'pain-on-test' &&
        one.withdrawn === null &&
        (one.limb === limb || one.limb === null),
    ),
  );
  if (test)
    return { painOfTen: test.value, atMs: test.atMs, isToday: isToday(test.atMs), of: 'provoking-test' };
  const check = newest(dayChecks.filter(({ atMs }) => isToday(atMs)));
  return check && { painOfTen: check.painNow, atMs: check.atMs, isToday: true, of: 'day-check' };
}
