import { z } from 'zod';
import { textSchema } from '../message/message-schema';

const figure = z.number().min(-1e9).max(1e9);

/** A figure with how it came about, as it was kept (`Derived`). Rules are those of its day: some may have another id by now. */
export const derivedSchema = z.object({
  value: figure,
  unit: z.string().max(20),
  interval: z.object({ low: figure, high: figure }).optional(),
  working: z.array(z.object({ label: textSchema, detail: textSchema })).max(60),
  rules: z.array(z.string().max(20)).max(60),
});
