import { z } from 'zod';
import type { Position } from '../quantity/limb';
import { tidy, toDecimals } from '../quantity/rounding';
import { MS_PER_DAY } from '../quantity/units';

export const shelfLifeSchema = z.enum(['every-session', '7-days', '10-days', '4-weeks', '8-weeks']);
export type ShelfLife = z.infer<typeof shelfLifeSchema>;

/** How long a measured pressure may be used, in days (rule LOP-6). Every session means the same day. */
export const SHELF_LIFE_DAYS: Record<ShelfLife, number> = {
  'every-session': 0.5,
  '7-days': 7,
  '10-days': 10,
  '4-weeks': 28,
  '8-weeks': 56,
};

const GIRTH_CHANGE_SHARE = 0.05;

/** What a stored pressure was measured with. */
export type MeasuredWith = {
  measuredAtMs: number;
  widthCm: number;
  girthCm: number;
  position: Position;
};

/**
 * Why a stored occlusion pressure may no longer be used, or `null` while it holds (rule LOP-6).
 * @param nowWith the cuff width and girth of today
 */
export function reasonDue(
  stored: MeasuredWith,
  nowWith: { widthCm: number; girthCm: number },
  shelfLife: ShelfLife,
  nowMs: number,
): string | null {
  const ageDays = (nowMs - stored.measuredAtMs) / MS_PER_DAY;
  if (ageDays > SHELF_LIFE_DAYS[shelfLife]) {
    return `${Math.floor(ageDays)} days old, kept for ${shelfLife.replace('-', ' ')}`;
  }
  if (stored.widthCm !== nowWith.widthCm) {
    return `measured with a ${stored.widthCm} cm cuff, now ${nowWith.widthCm} cm`;
  }
  const change = tidy(Math.abs(nowWith.girthCm - stored.girthCm) / stored.girthCm);
  if (change > GIRTH_CHANGE_SHARE) {
    return `girth changed ${toDecimals(change * 100, 1)} % since it was measured`;
  }
  return null;
}
