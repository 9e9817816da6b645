import { z } from 'zod';
import { limbSchema, positionSchema } from '#core/quantity';

const pressure = z.number().min(0).max(400);

/** The commands a device takes (docs/device-protocol.md). Commands a device does not know change nothing. */
export const deviceCommandSchema = z.discriminatedUnion('do', [
  z.object({ do: z.literal('squeeze'), byMmHg: pressure }),
  z.object({ do: z.literal('bleed'), byMmHg: pressure }),
  z.object({ do: z.literal('inflate-to'), pressureMmHg: pressure }),
  z.object({ do: z.literal('release') }),
  z.object({ do: z.literal('unplug') }),
  z.object({ do: z.literal('plug') }),
  z.object({ do: z.literal('contract') }),
  z.object({ do: z.literal('measure') }),
]);
export type DeviceCommand = z.infer<typeof deviceCommandSchema>;

/** One frame of a device's stream (docs/device-protocol.md). */
export const deviceFrameSchema = z.object({
  v: z.literal(1),
  deviceId: z.string(),
  /** Rises by one with each frame; a gap is a lost frame. */
  seq: z.number().int(),
  atMs: z.number().int(),
  pressureMmHg: pressure,
  valve: z.enum(['open', 'closed']),
  plugged: z.boolean(),
  /** Beyond the cuff: strength 0–1, where in the beat 0–1, and the rate. Absent where nothing listens. */
  pulse: z.object({ strength: z.number(), phase: z.number(), rateBpm: z.number() }).optional(),
  /** Height of the oximeter trace, 0–1; it reacts late. */
  oximeter: z.number().optional(),
  measuring: z.boolean(),
  measuredMmHg: z.number().nullable(),
});
export type DeviceFrame = z.infer<typeof deviceFrameSchema>;

/** A simulated cuff on one person's limb. */
export const newDeviceSchema = z.object({
  clientId: z.string().min(1),
  limb: limbSchema,
  position: positionSchema,
  kind: z.enum(['by-hand', 'regulated']),
});
export type NewDevice = z.infer<typeof newDeviceSchema>;

/** The JSON Schemas of a frame and of a command, as docs/device.schema.json says them. */
export const deviceJsonSchema = (): object => ({
  $schema: 'https://json-schema.org/draft/2020-12/schema',
  $defs: { frame: z.toJSONSchema(deviceFrameSchema), command: z.toJSONSchema(deviceCommandSchema) },
});
