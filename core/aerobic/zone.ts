import { type Message, msg } from '../message/message';
import type { Intensity } from '../protocol/intensity';
import type { AerobicEstimate } from './estimate';

/** Beats a minute that work is kept within. */
export type Zone = { lowPerMinute: number; highPerMinute: number };

/** A zone that was worked out, as its figures. */
export const figuresOf = ({ lowPerMinute, highPerMinute }: NonNullable<AerobicEstimate['zone']>): Zone => ({
  lowPerMinute: lowPerMinute.value,
  highPerMinute: highPerMinute.value,
});

/** The zone of an exercise: the one that was planned, else the one its share of VO2max comes to; null where it has none. */
export function zoneOf(
  exercise: { intensity?: Intensity | undefined; estimate?: AerobicEstimate | undefined } | undefined,
): Zone | null {
  if (exercise?.intensity?.by === 'heart-rate') return exercise.intensity;
  const zone = exercise?.estimate?.zone;
  return zone ? figuresOf(zone) : null;
}

/**
 * What a heart rate says against the zone of the plan; null where it is within, or the plan has none.
 * @example heartRateWords({ lowPerMinute: 100, highPerMinute: 120 }, 131) //=> '131 is above the 100–120 of the plan: ease off.'
 */
export function heartRateWords(zone: Zone | null, beatsPerMinute: number): Message | null {
  if (!zone) return null;
  const { lowPerMinute, highPerMinute } = zone;
  const values = { beatsPerMinute, lowPerMinute, highPerMinute };
  if (beatsPerMinute > highPerMinute)
    return msg('{beatsPerMinute} is above the {lowPerMinute}–{highPerMinute} of the plan: ease off.', values);
  if (beatsPerMinute < lowPerMinute)
    return msg('{beatsPerMinute} is below the {lowPerMinute}–{highPerMinute} of the plan.', values);
  return null;
}
