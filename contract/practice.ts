import { z } from 'zod';
import { ROLES, type Role } from '#core/access';
import { rungSessionsSchema } from '#core/course';
import { cuffSchema } from '#core/cuff';
import { pumpSchema, strapSchema } from '#core/kit';
import { weightKitSchema } from '#core/load';
import { msg } from '#core/message';
import { type MeasureBook, measureIdSchema, measureSchema } from '#core/outcomes';
import { sessionChoiceSchema } from '#core/plan';
import { CEILING_MMHG } from '#core/pressure';
import { type Exercise, exerciseSchema, schoolIdSchema } from '#core/protocol';
import { ownPlaceSchema } from '#core/quantity';
import { RULES } from '#core/rules';
import { stricterSchema } from '#core/screening';
import { EFFORT_IN } from '#core/session';
import { DATE_ORDER_IDS } from '#core/table';
import { whyNotReachable } from './reachable';

export const roleSchema = z.enum(ROLES);

const effortInSchema = z.enum(EFFORT_IN);

/** A practice's own limit: not so low that no one could work, and never above the rule's. */
const stopAbove = (which: 'systolicMmHg' | 'diastolicMmHg', least: number) => {
  const { stopAbove: usual, neverAbove } = RULES['RUN-8'].figures;
  return z
    .number(msg('Enter it in mmHg.'))
    .int(msg('Whole mmHg.'))
    .min(least, msg('At least {minimum} mmHg.', { minimum: least }))
    .max(neverAbove[which], msg('At most {maximum} mmHg (RUN-8).', { maximum: neverAbove[which] }))
    .default(usual[which]);
};

export const practiceSettingsSchema = z.object({
  name: z.string().trim().min(1, msg('Give the practice a name.')).max(80),
  schoolId: schoolIdSchema,
  massUnit: z.enum(['kg', 'lb']),
  lengthUnit: z.enum(['cm', 'in']),
  /** The number people call; printed on their sheets. */
  phone: z.string().trim().max(40, msg('At most 40 characters.')).default(''),
  /** The emergency number, at home too (rule RUN-6): it is another in other places. */
  emergencyPhone: z
    .string()
    .trim()
    .min(2, msg('Give the emergency number of the place.'))
    .max(20, msg('At most 20 characters.'))
    .default('112'),
  /** What is at the head of a report beneath the name: address, licences, opening hours. */
  letterhead: z.string().trim().max(400, msg('At most 400 characters.')).default(''),
  /** The address of the server as a phone reaches it, for the codes on paper and at home; empty for that of the page they are made on. */
  publicAddress: z
    .string()
    .trim()
    .max(200, msg('At most 200 characters.'))
    .refine((address) => address === '' || whyNotReachable(address) === null, {
      message: msg('Enter an address that a phone can open, such as http://192.168.1.20:4400; not localhost.')
        .message,
    })
    .default(''),
  stricter: stricterSchema,
  /** Tolerated sessions on a rung before the next (rule PRO-5). */
  rungSessions: rungSessionsSchema.default({}),
  /** Its places, each with a name, hours and an emergency number of its own; none where it has one. */
  places: z
    .array(ownPlaceSchema)
    .max(20, msg('At most {maximum} places.', { maximum: 20 }))
    .default([]),
  /** How effort is said: 0 to 10, or repetitions that were left (rule RUN-2). */
  effortIn: effortInSchema.default('of-ten'),
  /** In which order dates are written and typed. */
  dateOrder: z.enum(DATE_ORDER_IDS).default('day-month-year'),
  /** Above these work ends at once (rule RUN-8). */
  stopAboveSystolicMmHg: stopAbove('systolicMmHg', 140),
  stopAboveDiastolicMmHg: stopAbove('diastolicMmHg', 85),
  /** The most that is put on a limb without a LOP, in mmHg; null where the practice does not work so (rule PRS-7). */
  arbitraryUpToMmHg: z
    .number(msg('Enter it in mmHg.'))
    .int(msg('Whole mmHg.'))
    .min(CEILING_MMHG.least, msg('At least {minimum} mmHg.', { minimum: CEILING_MMHG.least }))
    .max(CEILING_MMHG.most, msg('At most {maximum} mmHg (PRS-7).', { maximum: CEILING_MMHG.most }))
    .nullable()
    .default(null),
  /** How many years a record is kept after the client was last here; null where the practice has not said. */
  keepYears: z
    .number(msg('Enter the years.'))
    .int(msg('Whole years.'))
    .min(1, msg('At least {minimum} years.', { minimum: 1 }))
    .max(50, msg('At most {maximum} years.', { maximum: 50 }))
    .nullable()
    .default(null),
});
export type PracticeSettings = z.infer<typeof practiceSettingsSchema>;

/** A person who signs; `elsewhere` of another practice, named in records that came from there. */
export type Practitioner = {
  id: string;
  name: string;
  role: Role;
  /** Whether accounts, backups and exports are theirs to keep, whatever the role. */
  isOwner: boolean;
  elsewhere?: true | undefined;
};

/** One piece of kit, with the list it belongs to. Its id is made by the client. */
export const kitItemSchema = z.discriminatedUnion('list', [
  z.object({ list: z.literal('cuffs'), item: cuffSchema }),
  z.object({ list: z.literal('pumps'), item: pumpSchema }),
  z.object({ list: z.literal('weightKits'), item: weightKitSchema }),
  z.object({ list: z.literal('straps'), item: strapSchema }),
]);
export type KitItem = z.infer<typeof kitItemSchema>;
export type KitList = KitItem['list'];

/** What pressures rest on: only a clinician changes it (rule SCR-4). */
export const CLINICIANS_KIT: readonly KitList[] = ['cuffs', 'pumps'];

/** Something to retire, or to bring back as it was. */
export const retireSchema = z.object({ id: z.string().min(1), isRetired: z.boolean().default(true) });
export const retireKitSchema = retireSchema.extend({
  list: z.enum(['cuffs', 'pumps', 'weightKits', 'straps']),
});

/** What the practice owns, by list. */
export type Kit = { [L in KitList]: Extract<KitItem, { list: L }>['item'][] };

/** An exercise the practice has added, or its own version of a standard one under the same id. */
export const ownExerciseSchema = z.object({
  id: z.string().regex(/^[a-z0-9-]{1,60}$/, msg('An id is of small letters, figures and dashes.')),
  exercise: exerciseSchema,
});
export type OwnExercise = z.infer<typeof ownExerciseSchema>;

/** A measure the practice has added, or what it says otherwise of a standard one under the same id. */
export const ownMeasureSchema = z.object({ id: measureIdSchema, measure: measureSchema });
export type OwnMeasure = z.infer<typeof ownMeasureSchema>;

/** A session kept under a name, to be applied to anyone. Its id is made by the client. */
export const templateSchema = z.object({
  id: z.uuid(),
  name: z.string().trim().min(1, msg('Give the template a name.')).max(60, msg('At most 60 characters.')),
  session: sessionChoiceSchema,
});
export type Template = z.infer<typeof templateSchema>;

/** The practice, its people, its kit, its own exercises, measures and templates, as one read. */
export type PracticeView = Kit & {
  settings: PracticeSettings;
  practitioners: Practitioner[];
  ownExercises: Record<string, Exercise>;
  ownMeasures: MeasureBook;
  /** Whether the server can print by itself. */
  canPrint: boolean;
  templates: Template[];
};
