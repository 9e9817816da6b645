import { list, type Message, msg, type Text } from '../message/message';
import { RUNG_NAMES } from '../plan/goals';
import { rangeWords } from '../protocol/joint-range';
import { WORK_MODE_NAMES } from '../protocol/work-mode';
import { LIMB_NAMES } from '../quantity/limb';
import type { Clearance } from '../screening/clearance';

/** What a clearance limits, in words (rule SCR-2). @example limitWords(clearance) //=> "left thigh; to 40 % of LOP; isometric only" */
export function limitWords({ maxPercentLop, limbs, modes, highestRung, ranges }: Clearance): Message {
  const limits: Text[] = [
    ...(limbs.length > 0
      ? [
          list(
            limbs.map((limb) => LIMB_NAMES[limb]),
            ', ',
          ),
        ]
      : []),
    ...(maxPercentLop === null ? [] : [msg('to {maxPercentLop} % of LOP', { maxPercentLop })]),
    ...(modes.length > 0
      ? [
          msg('{modes} only', {
            modes: list(
              modes.map((mode) => WORK_MODE_NAMES[mode]),
              ', ',
            ),
          }),
        ]
      : []),
    ...(highestRung === null ? [] : [msg('up to {rung} work', { rung: RUNG_NAMES[highestRung] })]),
    ...ranges.map(rangeWords),
  ];
  return limits.length === 0 ? msg('no limits') : list(limits, '; ');
}
