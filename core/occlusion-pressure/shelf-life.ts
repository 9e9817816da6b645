import { z } from 'zod';
import { length, type Message, msg } from '../message/message';
import { type Limb, POSITION_NAMES, type Position, uprightness } from '../quantity/limb';
import { tidy, toDecimals } from '../quantity/rounding';
import { MS_PER_DAY } from '../quantity/units';
import { RULES } from '../rules/catalogue';
import { judgeQuickCheck, type QuickCheck } from './quick-check';

export const shelfLifeSchema = z.enum(['every-session', '7-days', '10-days', '4-weeks', '8-weeks']);
export type ShelfLife = z.infer<typeof shelfLifeSchema>;

/** How long pressures of one limb are kept, where that is another than the person's (rule LOP-6). */
export type LimbShelfLife = { limb: Limb; shelfLife: ShelfLife };

/** What a new person's pressures are kept for. */
export const USUAL_SHELF_LIFE: ShelfLife = '4-weeks';

/** How long a measured pressure may be used, in days (rule LOP-6). Every session means the same day. */
export const SHELF_LIFE_DAYS: Record<ShelfLife, number> = RULES['LOP-6'].figures.shelfLifeDays;

export const SHELF_LIFE_LABELS: Record<ShelfLife, Message> = {
  'every-session': msg('one session'),
  '7-days': msg('7 days'),
  '10-days': msg('10 days'),
  '4-weeks': msg('4 weeks'),
  '8-weeks': msg('8 weeks'),
};

const GIRTH_CHANGE_SHARE = RULES['LOP-6'].figures.girthChangeShare;

/** What a stored pressure was measured with. */
export type MeasuredWith = {
  measuredAtMs: number;
  widthCm: number;
  girthCm: number;
  position: Position;
  pressureMmHg: number;
  quickChecks: readonly QuickCheck[];
};

const MOST_RENEWALS = RULES['LOP-7'].figures.quickCheck.mostRenewals;

/**
 * When a stored pressure was last known to be right: measured, or confirmed by a quick check since; at most twice, in steps
 * of 10 or less, and never where it is measured every session (rule LOP-7).
 */
export function lastHeldMs(
  { measuredAtMs, pressureMmHg, quickChecks }: MeasuredWith,
  shelfLife: ShelfLife,
): number {
  if (shelfLife === 'every-session') return measuredAtMs;
  const confirmed = quickChecks
    .filter((check) => judgeQuickCheck(pressureMmHg, check).verdict === 'confirms')
    .map(({ atMs }) => atMs)
    .sort((a, b) => a - b);
  return Math.max(measuredAtMs, ...confirmed.slice(0, MOST_RENEWALS));
}

/**
 * Why a stored occlusion pressure may no longer be used, or `null` while it holds (rules LOP-5, LOP-6, LOP-7).
 * @param nowWith the cuff width and girth of today, and the position it will be used in, where that is known
 */
export function reasonDue(
  stored: MeasuredWith,
  nowWith: { widthCm: number; girthCm: number; position?: Position | undefined },
  shelfLife: ShelfLife,
  nowMs: number,
): Message | null {
  const heldMs = lastHeldMs(stored, shelfLife);
  // No later check puts that right: it is measured in full.
  const against = stored.quickChecks
    .map((check) => judgeQuickCheck(stored.pressureMmHg, check))
    .find(({ verdict }) => verdict === 'contradicts');
  if (against) return msg('a quick check found {words}', { words: against.words });
  const ageDays = (nowMs - heldMs) / MS_PER_DAY;
  if (ageDays > SHELF_LIFE_DAYS[shelfLife]) {
    return msg('{ageDays} days old, kept for {shelfLife}', {
      ageDays: Math.floor(ageDays),
      shelfLife: SHELF_LIFE_LABELS[shelfLife],
    });
  }
  if (stored.widthCm !== nowWith.widthCm) {
    return msg('measured with a {measuredWith} cuff, now {now}', {
      measuredWith: length(stored.widthCm),
      now: length(nowWith.widthCm),
    });
  }
  const change = tidy(Math.abs(nowWith.girthCm - stored.girthCm) / stored.girthCm);
  if (change > GIRTH_CHANGE_SHARE) {
    return msg('girth changed {change} % since it was measured', { change: toDecimals(change * 100, 1) });
  }
  if (nowWith.position && uprightness(nowWith.position, stored.position) < 0) {
    return msg('measured {measured}, to be used {used}: real restriction would be higher', {
      measured: POSITION_NAMES[stored.position],
      used: POSITION_NAMES[nowWith.position],
    });
  }
  return null;
}

/** When a stored pressure falls due by age alone, wall-clock ms (rule LOP-6). */
export const dueAtMs = (stored: MeasuredWith, shelfLife: ShelfLife): number =>
  lastHeldMs(stored, shelfLife) + SHELF_LIFE_DAYS[shelfLife] * MS_PER_DAY;
