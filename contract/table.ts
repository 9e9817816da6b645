import { z } from 'zod';
import type { Message } from '#core/message';
import { pulseMethodSchema } from '#core/occlusion-pressure';
import { measureIdSchema } from '#core/outcomes';
import { isoDaySchema, limbSchema, positionSchema } from '#core/quantity';
import { sideSchema } from '#core/strength';
import type { TableKind } from '#core/table';

const person = z.string().trim().min(1).max(80);
const text = (most: number) => z.string().trim().max(most).nullable();
const day = isoDaySchema;

/** A row of each kind of table, as the core reads it of its cells: cm, kg, mmHg, ISO days. */
export const TABLE_ROWS = {
  people: z.strictObject({
    person,
    story: text(400),
    bornOn: day.nullable().default(null),
    contact: text(200).default(null),
    goals: text(400).default(null),
    notes: text(800).default(null),
  }),
  fits: z.strictObject({ person, day, limb: limbSchema, girthCm: z.number(), cuffId: z.string().min(1) }),
  pressures: z.strictObject({
    person,
    day,
    limb: limbSchema,
    position: positionSchema,
    cuffId: z.string().min(1),
    method: pulseMethodSchema,
    pressureMmHg: z.number().min(20).max(300),
    stepMmHg: z.number().min(1).max(100).nullable(),
  }),
  'strength-tests': z.strictObject({
    person,
    day,
    exerciseId: z.string().min(1),
    side: sideSchema,
    loadKg: z.number().positive().max(500),
    reps: z.number().int().min(1).max(15),
  }),
  outcomes: z.strictObject({
    person,
    day,
    measureId: measureIdSchema,
    limb: limbSchema.nullable(),
    values: z.array(z.number()).min(1).max(10),
    setting: text(80),
    note: text(200),
  }),
  sessions: z.strictObject({
    person,
    day,
    time: z
      .string()
      .regex(/^([01]\d|2[0-3]):[0-5]\d$/)
      .nullable(),
    plan: text(60),
    reps: z.array(z.number().int().min(0).max(500)).min(1).max(100),
    effort: z.number().int().min(0).max(10).nullable(),
    jointPain: z.number().int().min(0).max(10).nullable(),
  }),
} as const satisfies Record<TableKind, z.ZodType>;

export type TableRow<K extends TableKind = TableKind> = z.output<(typeof TABLE_ROWS)[K]>;

/** A row that was not imported: its number in what was sent, from 1, the field, and why. */
export type RefusedRow = { row: number; field: string; reason: Message };

/**
 * What came of a table: how many rows went in, how many of those took the place of what an earlier table said, how many were on record
 * already, and which did not go in; the first thousand of those are named.
 */
export type TableAnswer = {
  id: string;
  taken: number;
  updated: number;
  same: number;
  refused: number;
  rows: RefusedRow[];
};

export const takingTableSchema = z.object({
  /** What the file is called. */
  name: z.string().max(200).default('a table'),
  /** All rows or none, or those that are good. */
  take: z.enum(['all', 'good']),
  /** Only shows what would come of it. */
  preview: z.enum(['yes', 'no']).default('no'),
});
