import { z } from 'zod';
import type { Message, Text, Value } from './message';

const MOST_TEXT = 4_000;
const MOST_VALUES = 200;

const valueSchema: z.ZodType<Value> = z.lazy(() =>
  z.union([
    z.string().max(MOST_TEXT),
    z.number(),
    messageSchema,
    z.strictObject({ massKg: z.number() }),
    z.strictObject({ lengthCm: z.number(), isBare: z.literal(true).optional() }),
    z.strictObject({ figure: z.number(), decimals: z.number().int().min(0).max(10) }),
    z.strictObject({ isoDay: z.iso.date() }),
    z.strictObject({
      list: z.array(valueSchema).max(MOST_VALUES),
      joined: z.enum(['and', 'or', ', ', '/', '; ', ' · ', ' ', ' + ', ': ', '']),
    }),
    z.strictObject({ capital: valueSchema }),
  ]),
);

/** A message as it crosses HTTP or is stored. */
export const messageSchema: z.ZodType<Message> = z.lazy(() =>
  z.strictObject({
    message: z.string().max(MOST_TEXT),
    values: z.record(z.string().max(60), valueSchema).optional(),
  }),
);

export const textSchema: z.ZodType<Text> = z.union([z.string().max(MOST_TEXT), messageSchema]);
