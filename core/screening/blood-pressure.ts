import { z } from 'zod';
import { issue } from '../message/issue';
import { msg } from '../message/message';
import { mean } from '../quantity/statistics';
import { RULES } from '../rules/catalogue';
import type { ItemLevel } from './items';

/** One resting blood pressure in mmHg. */
export const bloodPressureSchema = z
  .object({
    systolicMmHg: z
      .number(msg('Enter the upper reading.'))
      .int(msg('Whole mmHg.'))
      .min(60, msg('Below 60: read again.'))
      .max(280, msg('Above 280: read again.')),
    diastolicMmHg: z
      .number(msg('Enter the lower reading.'))
      .int(msg('Whole mmHg.'))
      .min(30, msg('Below 30: read again.'))
      .max(180, msg('Above 180: read again.')),
  })
  .superRefine((reading, context) => {
    if (reading.diastolicMmHg < reading.systolicMmHg) return;
    context.addIssue(
      issue(
        msg('The lower reading {diastolicMmHg} is not below the upper {systolicMmHg}: swap or read again.', {
          diastolicMmHg: reading.diastolicMmHg,
          systolicMmHg: reading.systolicMmHg,
        }),
        'diastolicMmHg',
      ),
    );
  });
export type BloodPressure = z.infer<typeof bloodPressureSchema>;

// Rules SCR-1 and SCR-3: at or above either figure.
const { stopAt: STOP, clearAt: CLEAR, lowSystolicMmHg: LOW_SYSTOLIC } = RULES['SCR-1'].figures;
const HOLD_TODAY = RULES['SCR-3'].figures.holdAt;

const reaches = (reading: BloodPressure, limit: BloodPressure): boolean =>
  reading.systolicMmHg >= limit.systolicMmHg || reading.diastolicMmHg >= limit.diastolicMmHg;

/**
 * Mean of the readings of one sitting, in whole mmHg, rounded up: the higher is the safer one to judge (rule SCR-1).
 * @throws RangeError when there is none
 */
export function meanBloodPressure(readings: readonly BloodPressure[]): BloodPressure {
  return {
    systolicMmHg: Math.ceil(mean(readings.map(({ systolicMmHg }) => systolicMmHg))),
    diastolicMmHg: Math.ceil(mean(readings.map(({ diastolicMmHg }) => diastolicMmHg))),
  };
}

/** What a resting blood pressure means for starting (rule SCR-1), or `null` when it is no matter. */
export function bloodPressureLevel(reading: BloodPressure): Exclude<ItemLevel, 'note'> | null {
  if (reaches(reading, STOP)) return 'stop';
  return reaches(reading, CLEAR) || reading.systolicMmHg < LOW_SYSTOLIC ? 'clear' : null;
}

/** Whether a reading of today holds the session for the day (rule SCR-3). */
export const holdsToday = (reading: BloodPressure): boolean => reaches(reading, HOLD_TODAY);

export const bloodPressureWords = ({ systolicMmHg, diastolicMmHg }: BloodPressure): string =>
  `${systolicMmHg}/${diastolicMmHg}`;
