import { z } from 'zod';

/** Whether a practitioner has an address to subscribe to, and whether it names people. */
export type CalendarFeed = { exists: boolean; namesPeople: boolean };

export const newCalendarFeedSchema = z.object({ namesPeople: z.boolean() });

/** The address as it is made; it is shown once. */
export type NewCalendarFeed = CalendarFeed & { path: string };
