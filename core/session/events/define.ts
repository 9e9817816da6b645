import { z } from 'zod';
import type { Message } from '../../message/message';
import type { Plan } from '../../plan/plan';
import type { SessionState } from '../state';

/** What every event carries. */
export const STAMP = {
  id: z.uuid(),
  sessionId: z.uuid(),
  deviceId: z.string().min(1).max(64),
  /** Rises by one with each event of a device. */
  seq: z.number().int().nonnegative(),
  /** By the server's clock, in ms since 1970 (rule RUN-9). */
  atMs: z.number().int().positive(),
  /** What the device said, where its clock was behind and the event was timed by its receipt. */
  saidAtMs: z.number().int().positive().optional(),
};

type Shape<T extends string, S extends z.ZodRawShape> = typeof STAMP & { type: z.ZodLiteral<T> } & S;
type Made<T extends string, S extends z.ZodRawShape> = z.infer<z.ZodObject<Shape<T, S>>>;

/** Everything about one kind of event, in one file of this folder. */
export type EventDefinition<T extends string, S extends z.ZodRawShape> = {
  type: T;
  /** What it says beside its stamp. */
  body: S;
  /** A correction or a note that can be taken back; what happened to a limb cannot. */
  undoable: boolean;
  /** Whether it may still be said of a session that is finished. */
  afterFinish: boolean;
  /** Whether it puts right what was counted, timed or loaded. */
  corrects: boolean;
  /** Whether a person who trains at home may say it; the rest is for a practitioner. */
  atHome: boolean;
  /** Whether it lets a cuff down, or goes with that: it is taken from a locked device too. */
  deflates: boolean;
  /** Whether it changes what later sessions ask of this one while it still runs. */
  changesSummary: boolean;
  /** Changes the state by it; where it makes no sense, nothing. */
  apply: (plan: Plan, state: SessionState, event: Made<T, S>) => void;
  /** What it is, in the fewest words: "the repetitions". */
  words: Message;
};

/** An event's definition with the schema of the whole event. */
export const defineEvent = <T extends string, S extends z.ZodRawShape>(
  definition: EventDefinition<T, S>,
) => ({
  ...definition,
  schema: z.object({ ...STAMP, type: z.literal(definition.type), ...definition.body } as Shape<T, S>),
});
