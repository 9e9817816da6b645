import type { Day } from '../quantity/days';

/** A plan on a day, as a number of days; with what a kept session is called by, and how often it was moved. */
export type OnDay = {
  day: Day;
  coursePlanId: string;
  id?: string | undefined;
  sequence?: number | undefined;
};
