import type { Message } from './message';

/** A refusal that is shown to the user: what is wrong and what to do. Its class and its code distinguish it from others. */
export abstract class MessageError extends Error {
  abstract readonly code: string;

  /** @param says shown in the reader's language; the template alone is in logs */
  constructor(readonly says: Message) {
    super(says.message);
  }
}
