import { list, type Message, msg, sentences } from '../message/message';
import { type Intensity, intensityWords } from '../protocol/intensity';
import { type Aerobic, type AerobicEstimate, estimateOf } from './estimate';
import type { Fitness } from './fitness';
import { figuresOf } from './zone';

/** An estimate in words; null where there is none. @example 'about 75 W, 104–118 beats a minute' */
export function estimateWords({ watts, speed, zone, percentVo2max }: AerobicEstimate): Message | null {
  const figures = [
    ...(watts ? [intensityWords({ by: 'watts', watts: watts.value })] : []),
    ...(speed
      ? [
          msg('{kmPerHour} km/h at {gradientPercent} %', {
            kmPerHour: speed.kmPerHour.value,
            gradientPercent: speed.gradientPercent,
          }),
        ]
      : []),
    ...(zone ? [intensityWords({ by: 'heart-rate', ...figuresOf(zone) })] : []),
    ...(percentVo2max ? [intensityWords({ by: 'vo2max', percent: percentVo2max.value })] : []),
  ];
  return figures.length === 0 ? null : msg('about {figures}', { figures: list(figures, ', ') });
}

/** An intensity with what it is on the machine and the heart. @example '40 % of VO2max, about 75 W' */
export function paceWords(intensity: Intensity, estimate: AerobicEstimate | undefined): Message {
  const about = intensity.by === 'vo2max' ? estimateWords(estimate ?? {}) : null;
  return about ? list([intensityWords(intensity), about], ', ') : intensityWords(intensity);
}

/** What to record, or to choose instead, so that a share of VO2max says what the machine is set to; null where it does. */
export function missingWords({ ergometry, intensity }: Aerobic, fitness: Fitness): Message | null {
  if (intensity.by !== 'vo2max') return null;
  if (!fitness.vo2max)
    return msg('No VO2max is on record: record it in Outcomes, or go by watts, speed or talking pace.');
  const { watts, speed, zone } = estimateOf({ ergometry, intensity }, fitness);
  const machine = !ergometry
    ? msg('This exercise has no equation: go by heart rate or talking pace.')
    : ergometry === 'cycling'
      ? watts
        ? null
        : fitness.massKg === null && fitness.vo2max.reached?.watts === undefined
          ? msg('For watts record body mass, or the watts at the end of the test, in Outcomes.')
          : msg('Even empty pedals ask for more than this share.')
      : speed
        ? null
        : msg('No walk on the level asks for just this share: choose an incline, a bike, or another share.');
  const heart = zone
    ? null
    : msg(
        'For a zone record the resting heart rate, and the heart rate at the end of the test, in Outcomes.',
      );
  return machine || heart ? sentences(machine, heart) : null;
}
