import { z } from 'zod';
import { type Message, msg, type Text } from '../message/message';

const placeKindSchema = z.enum(['clinic', 'gym', 'home', 'travelling']);
/** What kind of place one trains at: a machine is in a clinic and in a gym. */
export type PlaceKind = z.infer<typeof placeKindSchema>;
export const PLACE_KINDS = placeKindSchema.options;

export const PLACE_LABELS: Record<PlaceKind, Message> = {
  clinic: msg('in the clinic'),
  gym: msg('in the gym'),
  home: msg('at home'),
  travelling: msg('travelling'),
};

const idSchema = z.string().min(1).max(80);

/** A place of the practice, with a name of its own. */
export const ownPlaceSchema = z.object({
  id: idSchema,
  kind: placeKindSchema,
  name: z.string().trim().min(1, msg('Give the place a name.')).max(60, msg('At most 60 characters.')),
  /** When it is open, in the words of the practice. */
  hours: z.string().trim().max(120, msg('At most 120 characters.')),
  /** The emergency number there; empty where it is that of the practice. */
  emergencyPhone: z
    .string()
    .trim()
    .max(20, msg('At most 20 characters.'))
    .refine((phone) => phone.length !== 1, { message: msg('Give the whole number.').message }),
});
export type OwnPlace = z.infer<typeof ownPlaceSchema>;

/** Where one trains: a place of the practice, or of a kind where it has none of that kind. */
export type Place = {
  id: string;
  kind: PlaceKind;
  /** As it is within a sentence. */
  label: Text;
  hours: string;
  emergencyPhone: string;
};

/**
 * Where one can train: at the places of the practice, and at a place of each other kind.
 * @example placesOf([]).map(({ id }) => id) //=> ['clinic', 'gym', 'home', 'travelling']
 */
export const placesOf = (own: readonly OwnPlace[]): Place[] => [
  ...own.map(({ name, ...place }) => ({ ...place, label: msg('at {name}', { name }) })),
  ...PLACE_KINDS.filter((kind) => !own.some((place) => place.kind === kind)).map((kind) => ({
    id: kind,
    kind,
    label: PLACE_LABELS[kind],
    hours: '',
    emergencyPhone: '',
  })),
];

/** The emergency number where a plan is done: that of the place, else of the practice. */
export const emergencyPhoneAt = (
  place: Pick<Place, 'emergencyPhone'> | undefined,
  practice: { emergencyPhone: string },
): string => place?.emergencyPhone || practice.emergencyPhone;

/** Of a piece of kit: where it is, by kinds of places and by places of the practice. Not there, it is wherever one trains. */
export const placesSchema = z.array(idSchema).max(24).optional();
export type Somewhere = { places?: readonly string[] | undefined };

/** Whether a piece of kit is bound to places at all. */
export const isBound = ({ places = [] }: Somewhere): boolean => places.length > 0;

/** Whether a piece of kit is at a place: one that is in every gym is in this gym. */
export const isAt = (item: Somewhere, { id, kind }: Pick<Place, 'id' | 'kind'>): boolean =>
  !isBound(item) || (item.places ?? []).some((place) => place === id || place === kind);
