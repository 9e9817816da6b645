import { z } from 'zod';
import { type Message, msg } from '../message/message';

const placeSchema = z.enum(['clinic', 'gym', 'home', 'travelling']);
/** Where one trains, as far as it decides which kit is there. */
export type Place = z.infer<typeof placeSchema>;
export const PLACE_IDS = placeSchema.options;

export const PLACE_LABELS: Record<Place, Message> = {
  clinic: msg('in the clinic'),
  gym: msg('in the gym'),
  home: msg('at home'),
  travelling: msg('travelling'),
};

/** Of a piece of kit: where it is. Not there, it is wherever one trains. */
export const placesSchema = z.array(placeSchema).max(4).optional();

/** Whether a piece of kit is there. */
export const isAt = (item: { places?: readonly Place[] | undefined }, place: Place): boolean =>
  item.places === undefined || item.places.length === 0 || item.places.includes(place);
