import { z } from 'zod';
import { defineEvent } from './define';

export const sessionStarted = defineEvent({
  type: 'session-started',
  /** The device that runs it and writes what the clock owes (rule RUN-9); older ones did not say. */
  body: { runner: z.string().min(1).max(64).optional() },
  undoable: false,
  afterFinish: false,
  words: 'the start',
  apply: (_, state, { atMs, runner }) => {
    if (state.startedAtMs !== null) return;
    state.startedAtMs = atMs;
    state.runner = runner ?? null;
  },
});
