/** Types of events that earlier releases wrote under another name. */
const RENAMED: Readonly<Record<string, string>> = { 'beside-noted': 'adjunct-noted' };

/**
 * An event that an earlier release wrote, by the type it has now; anything else as it is. For what comes from a file or from
 * the store of a device: in the database the log was renamed by migration 030.
 * @example presentName({ type: 'beside-noted', what: 'ice' }) //=> { type: 'adjunct-noted', what: 'ice' }
 */
export function presentName<T>(event: T): T {
  const type = typeof event === 'object' && event !== null && 'type' in event ? event.type : undefined;
  const now = typeof type === 'string' && Object.hasOwn(RENAMED, type) ? RENAMED[type] : undefined;
  return now === undefined ? event : { ...event, type: now };
}
