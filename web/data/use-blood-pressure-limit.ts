import { RULES } from '#core/rules/catalogue';
import type { BloodPressure } from '#core/screening/blood-pressure';
import { usePractice } from './queries';

/** Above what work ends in this practice; the rule's own while that is not known (rule RUN-8). */
export function useBloodPressureLimit(): BloodPressure {
  const settings = usePractice().data?.settings;
  return settings
    ? { systolicMmHg: settings.stopAboveSystolicMmHg, diastolicMmHg: settings.stopAboveDiastolicMmHg }
    : RULES['RUN-8'].figures.stopAbove;
}
