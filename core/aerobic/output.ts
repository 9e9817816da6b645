import { z } from 'zod';
import { list, type Message, msg } from '../message/message';

/** What a machine showed in aerobic work: watts of a bike, speed and gradient of a treadmill (chapter 6); what was not read is not there. */
export const outputSchema = z
  .object({
    watts: z.number(msg('Enter watts.')).min(0).max(2_000, msg('At most 2000 W.')).optional(),
    kmPerHour: z.number(msg('Enter km/h.')).min(0).max(40, msg('At most 40 km/h.')).optional(),
    gradientPercent: z.number(msg('Enter the gradient in %.')).min(-30).max(40).optional(),
  })
  .refine(({ watts, kmPerHour, gradientPercent }) => (watts ?? kmPerHour ?? gradientPercent) !== undefined, {
    path: ['watts'],
    message: msg('Enter the watts, the speed or the gradient.').message,
  });
export type Output = z.infer<typeof outputSchema>;

/** @example outputWords({ kmPerHour: 5, gradientPercent: 3 }) //=> '5 km/h, 3 %' */
export const outputWords = ({ watts, kmPerHour, gradientPercent }: Output): Message =>
  list(
    [
      ...(watts === undefined ? [] : [msg('{watts} W', { watts })]),
      ...(kmPerHour === undefined ? [] : [msg('{kmPerHour} km/h', { kmPerHour })]),
      ...(gradientPercent === undefined ? [] : [msg('{gradientPercent} %', { gradientPercent })]),
    ],
    ', ',
  );
