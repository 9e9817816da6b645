import { limbClocks } from '../clocks';
import type { Alarm, KnownSession } from './ports';

// Limits are minutes away: a look a second is soon enough.
const LOOK_EVERY_MS = 1_000;
/** An alarm sounds again while its limit is passed. */
const AGAIN_MS = 4_000;

/** Which alarms of the cuffs' limits are to be sounded now: once as one comes near, again and again once it is passed (rule RUN-1). */
export function limitAlarms(): (open: readonly KnownSession[], nowMs: number) => Alarm[] {
  let lookedAtMs = Number.NEGATIVE_INFINITY;
  let alarmedAtMs = Number.NEGATIVE_INFINITY;
  let near: ReadonlySet<string> = new Set();
  return (open, nowMs) => {
    // A clock that was set back is no reason to wait.
    if (Math.abs(nowMs - lookedAtMs) < LOOK_EVERY_MS) return [];
    lookedAtMs = nowMs;
    const alarming = open.flatMap(({ id, plan, state }) =>
      limbClocks(plan, state, nowMs)
        .filter(({ alarm }) => alarm !== 'none')
        .map(({ limb, alarm }) => ({ key: `${id} ${limb}`, alarm })),
    );
    const alarms: Alarm[] = [];
    if (alarming.some(({ key, alarm }) => alarm === 'soon' && !near.has(key))) alarms.push('near');
    near = new Set(alarming.map(({ key }) => key));
    const isPassed = alarming.some(({ alarm }) => alarm === 'now');
    // A clock that was set back is no reason to be silent.
    if (isPassed && Math.abs(nowMs - alarmedAtMs) >= AGAIN_MS) {
      alarmedAtMs = nowMs;
      alarms.push('now');
    }
    return alarms;
  };
}
