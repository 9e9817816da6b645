import { msg } from '#core/message';
import { RULES, type RuleId } from '#core/rules';
import { refusedField } from './problem';

/** What lies before this is a slip. */
const EARLIEST_MS = Date.UTC(1900, 0, 1);

/**
 * When something happened, as a device says it. What its clock is ahead by chance happened now (rule RUN-9).
 * @throws refused, at the field it was given in, where it lies further ahead or before 1900
 */
export function happenedAtMs(atMs: number, nowMs: number, rule: RuleId, field = 'atMs'): number {
  if (atMs > nowMs + RULES['RUN-9'].figures.afterReceiptMs) {
    throw refusedField(msg('When was it?'), field, rule, msg('It lies ahead.'), msg('Choose when it was.'));
  }
  if (atMs < EARLIEST_MS) {
    throw refusedField(
      msg('When was it?'),
      field,
      rule,
      msg('It lies too far back.'),
      msg('Choose when it was.'),
    );
  }
  return Math.min(atMs, nowMs);
}
