import { z } from 'zod';
import { msg } from '#core/message';

/** A note for the next shift: of one client, or of the day. */
export const newHandoverSchema = z.object({
  id: z.uuid(),
  /** Null for a note of the day. */
  clientId: z.string().min(1).max(80).nullable(),
  words: z.string().trim().min(1, msg('Write the note.')).max(500, msg('At most 500 characters.')),
});
export type NewHandover = z.infer<typeof newHandoverSchema>;

/** One that was not marked as read yet. */
export type Handover = {
  id: string;
  client: { id: string; name: string } | null;
  atMs: number;
  practitionerId: string;
  words: string;
};
