import { z } from 'zod';

const figure = (what: string, low: number, high: number) =>
  z.number(`Enter ${what}.`).min(low, `At least ${low}.`).max(high, `At most ${high}.`);

const byHeartRate = z
  .object({
    by: z.literal('heart-rate'),
    lowPerMinute: figure('beats a minute', 40, 220),
    highPerMinute: figure('beats a minute', 40, 220),
  })
  .refine(({ lowPerMinute, highPerMinute }) => lowPerMinute <= highPerMinute, {
    message: 'The lower end is not above the upper.',
    path: ['lowPerMinute'],
  });

/** How hard aerobic work is: by talking, a figure of the machine, the heart, or a share of a tested VO2max (chapter 6). */
export const intensitySchema = z.union([
  z.object({ by: z.literal('talking') }),
  z.object({ by: z.literal('watts'), watts: figure('watts', 5, 600) }),
  z.object({
    by: z.literal('speed'),
    kmPerHour: figure('km/h', 0.5, 30),
    gradientPercent: figure('the gradient in %', 0, 30),
  }),
  byHeartRate,
  z.object({ by: z.literal('vo2max'), percent: figure('a share of VO2max in %', 10, 100) }),
]);
export type Intensity = z.infer<typeof intensitySchema>;

/** What each is called, and what it begins with when it is chosen. */
export const INTENSITIES: {
  [By in Intensity['by']]: { label: string; first: Extract<Intensity, { by: By }> };
} = {
  talking: { label: 'at talking pace', first: { by: 'talking' } },
  watts: { label: 'by watts', first: { by: 'watts', watts: 60 } },
  speed: { label: 'by speed', first: { by: 'speed', kmPerHour: 4.5, gradientPercent: 0 } },
  'heart-rate': {
    label: 'by heart rate',
    first: { by: 'heart-rate', lowPerMinute: 100, highPerMinute: 120 },
  },
  vo2max: { label: 'by share of VO2max', first: { by: 'vo2max', percent: 40 } },
};

/**
 * An intensity as it is written on a plan, a sheet and the bench.
 * @example intensityWords({ by: 'speed', kmPerHour: 5, gradientPercent: 3 }) //=> '5 km/h at 3 %'
 */
export function intensityWords(intensity: Intensity): string {
  switch (intensity.by) {
    case 'talking':
      return 'talking pace';
    case 'watts':
      return `${intensity.watts} W`;
    case 'speed':
      return `${intensity.kmPerHour} km/h${intensity.gradientPercent > 0 ? ` at ${intensity.gradientPercent} %` : ''}`;
    case 'heart-rate':
      return `${intensity.lowPerMinute}–${intensity.highPerMinute} beats a minute`;
    case 'vo2max':
      return `${intensity.percent} % of VO2max`;
  }
}

/**
 * What a heart rate says against the zone of the plan; null where it is within, or the plan has none.
 * @example heartRateWords({ by: 'heart-rate', lowPerMinute: 100, highPerMinute: 120 }, 131) //=> '131 is above the 100–120 of the plan: ease off.'
 */
export function heartRateWords(intensity: Intensity | undefined, beatsPerMinute: number): string | null {
  if (intensity?.by !== 'heart-rate') return null;
  const { lowPerMinute, highPerMinute } = intensity;
  const zone = `the ${lowPerMinute}–${highPerMinute} of the plan`;
  if (beatsPerMinute > highPerMinute) return `${beatsPerMinute} is above ${zone}: ease off.`;
  if (beatsPerMinute < lowPerMinute) return `${beatsPerMinute} is below ${zone}.`;
  return null;
}
