import { z } from 'zod';
import { list, type Message, msg } from '../message/message';
import { type Output, outputWords } from './output';

/** What machine and heart showed at the end of a test; what was not read is not there (chapter 6). */
export const reachedSchema = z
  .object({
    watts: z.number(msg('Enter watts.')).min(1).max(2_000, msg('At most 2000 W.')).optional(),
    kmPerHour: z.number(msg('Enter km/h.')).min(0.1).max(40, msg('At most 40 km/h.')).optional(),
    gradientPercent: z.number(msg('Enter the gradient in %.')).min(-30).max(40).optional(),
    beatsPerMinute: z
      .number(msg('Enter beats a minute.'))
      .int()
      .min(30, msg('At least 30 beats a minute.'))
      .max(240, msg('At most 240 beats a minute.'))
      .optional(),
  })
  .refine((reached) => Object.values(reached).some((figure) => figure !== undefined), {
    message: msg('Leave it out where nothing was read.').message,
  });
export type Reached = z.infer<typeof reachedSchema>;

/** What was read, in words. @example reachedWords({ watts: 250, beatsPerMinute: 182 }) //=> '250 W, 182 beats a minute' */
export const reachedWords = ({ beatsPerMinute, ...output }: Reached): Message =>
  list(
    [
      ...(Object.keys(output).length > 0 ? [outputWords(output)] : []),
      ...(beatsPerMinute === undefined ? [] : [msg('{beatsPerMinute} beats a minute', { beatsPerMinute })]),
    ],
    ', ',
  );

/** What is on record of how fit a person is: the newest of each test that counts; null where there is none. */
export type Fitness = {
  /** `age` says how old the test is. */
  vo2max: { mlPerKgMin: number; reached: Reached | null; age: Message } | null;
  massKg: number | null;
  restingPerMinute: number | null;
  /** Heart rate after five minutes of a workload. */
  atWorkload: { output: Output; beatsPerMinute: number } | null;
};

export const NO_FITNESS: Fitness = {
  vo2max: null,
  massKg: null,
  restingPerMinute: null,
  atWorkload: null,
};
