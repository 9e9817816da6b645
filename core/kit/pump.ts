import { z } from 'zod';
import type { Finding } from '../findings/finding';
import { msg } from '../message/message';
import { type Day, dayOf, isoDaySchema } from '../quantity/days';
import { placesSchema } from '../quantity/place';
import { RULES } from '../rules/catalogue';

const { gaugeCheckDays: CHECK_DAYS } = RULES['FIT-2'].figures;

/** A gauge with its pump. Pressures in mmHg. */
export const pumpSchema = z
  .object({
    id: z.string().min(1).max(80),
    label: z.string().trim().min(1, msg('Give the pump a name.')).max(60),
    /** By hand: squeezed and read by eye. Regulated: set to a pressure, which it reaches and holds. */
    kind: z.enum(['by-hand', 'regulated']),
    divisionMmHg: z
      .number(msg('Enter the division in mmHg.'))
      .int()
      .min(1, msg('At least 1 mmHg.'))
      .max(20, msg('At most 20 mmHg.')),
    /** Whether the cuff holds its pressure once the pump is unplugged. */
    keepsPressure: z.boolean(),
    /** When it was last compared with a reference, and by how much it was wrong then, up or down (rule FIT-2). */
    checkedOn: isoDaySchema.optional(),
    errorMmHg: z
      .number(msg('Enter its error in mmHg.'))
      .min(0, msg('At least 0 mmHg.'))
      .max(20, msg('At most 20 mmHg.'))
      .optional(),
    places: placesSchema,
  })
  .refine(({ checkedOn, errorMmHg }) => checkedOn === undefined || errorMmHg !== undefined, {
    path: ['errorMmHg'],
    message: msg('Enter the error that its check found.').message,
  })
  .refine(({ checkedOn, errorMmHg }) => errorMmHg === undefined || checkedOn !== undefined, {
    path: ['checkedOn'],
    message: msg('Enter when it was checked.').message,
  });
export type Pump = z.infer<typeof pumpSchema>;

/**
 * A note where the last check of a gauge is over a year ago, with what is assumed until the next; nothing of one that was never
 * checked (rule FIT-2).
 */
export function checkGauge({ label, checkedOn, errorMmHg }: Pump, today: Day): Finding[] {
  if (checkedOn === undefined || today - dayOf(checkedOn) <= CHECK_DAYS) return [];
  return [
    {
      rule: 'FIT-2',
      level: 'note',
      subject: 'pumpId',
      message: msg(
        '{label} was last checked on {checkedOn}, over twelve months ago; its error of {errorMmHg} mmHg is assumed until then.',
        { label, checkedOn: { isoDay: checkedOn }, errorMmHg: errorMmHg ?? 0 },
      ),
      remedy: msg('Compare it with a reference, and write down what it is wrong by.'),
    },
  ];
}

/** Below this a cuff counts as deflated: a gauge seldom reads zero to the millimetre. */
export const CUFF_DOWN_MMHG = 5;
