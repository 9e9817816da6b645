import { z } from 'zod';
import { type Message, msg } from '../message/message';

const figure = (enter: Message, low: number, high: number) =>
  z
    .number(enter)
    .min(low, msg('At least {minimum}.', { minimum: low }))
    .max(high, msg('At most {maximum}.', { maximum: high }));

const byHeartRate = z
  .object({
    by: z.literal('heart-rate'),
    lowPerMinute: figure(msg('Enter beats a minute.'), 40, 220),
    highPerMinute: figure(msg('Enter beats a minute.'), 40, 220),
  })
  .refine(({ lowPerMinute, highPerMinute }) => lowPerMinute <= highPerMinute, {
    message: msg('The lower end is not above the upper.').message,
    path: ['lowPerMinute'],
  });

/** How hard aerobic work is: by talking, a figure of the machine, the heart, or a share of a tested VO2max (chapter 6). */
export const intensitySchema = z.union([
  z.object({ by: z.literal('talking') }),
  z.object({ by: z.literal('watts'), watts: figure(msg('Enter watts.'), 5, 600) }),
  z.object({
    by: z.literal('speed'),
    kmPerHour: figure(msg('Enter km/h.'), 0.5, 30),
    gradientPercent: figure(msg('Enter the gradient in %.'), 0, 30),
  }),
  byHeartRate,
  z.object({ by: z.literal('vo2max'), percent: figure(msg('Enter a share of VO2max in %.'), 10, 100) }),
]);
export type Intensity = z.infer<typeof intensitySchema>;

/** What each is called, and what it begins with when it is chosen. */
export const INTENSITIES: {
  [By in Intensity['by']]: { label: Message; first: Extract<Intensity, { by: By }> };
} = {
  talking: { label: msg('at talking pace'), first: { by: 'talking' } },
  watts: { label: msg('by watts'), first: { by: 'watts', watts: 60 } },
  speed: { label: msg('by speed'), first: { by: 'speed', kmPerHour: 4.5, gradientPercent: 0 } },
  'heart-rate': {
    label: msg('by heart rate'),
    first: { by: 'heart-rate', lowPerMinute: 100, highPerMinute: 120 },
  },
  vo2max: { label: msg('by share of VO2max'), first: { by: 'vo2max', percent: 40 } },
};

/**
 * An intensity as it is written on a plan, a sheet and the bench.
 * @example intensityWords({ by: 'speed', kmPerHour: 5, gradientPercent: 3 }) //=> '5 km/h at 3 %'
 */
export function intensityWords(intensity: Intensity): Message {
  switch (intensity.by) {
    case 'talking':
      return msg('talking pace');
    case 'watts':
      return msg('{watts} W', { watts: intensity.watts });
    case 'speed':
      return intensity.gradientPercent > 0
        ? msg('{kmPerHour} km/h at {gradientPercent} %', {
            kmPerHour: intensity.kmPerHour,
            gradientPercent: intensity.gradientPercent,
          })
        : msg('{kmPerHour} km/h', { kmPerHour: intensity.kmPerHour });
    case 'heart-rate':
      return msg('{lowPerMinute}–{highPerMinute} beats a minute', {
        lowPerMinute: intensity.lowPerMinute,
        highPerMinute: intensity.highPerMinute,
      });
    case 'vo2max':
      return msg('{percent} % of VO2max', { percent: intensity.percent });
  }
}
