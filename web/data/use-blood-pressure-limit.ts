import type { PracticeSettings } from '#contract/practice';
import { RULES } from '#core/rules';
import type { BloodPressure } from '#core/screening';
import { usePractice } from './queries';

/** Above what work ends in this practice; the rule's own while that is not known (rule RUN-8). */
export const useBloodPressureLimit = (): BloodPressure => stopAboveOf(usePractice().data?.settings);

/** The same of settings as they were read. */
export const stopAboveOf = (settings: PracticeSettings | undefined): BloodPressure =>
  settings
    ? { systolicMmHg: settings.stopAboveSystolicMmHg, diastolicMmHg: settings.stopAboveDiastolicMmHg }
    : RULES['RUN-8'].figures.stopAbove;
