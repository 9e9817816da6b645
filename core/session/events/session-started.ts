import { z } from 'zod';
import { msg } from '../../message/message';
import { defineEvent } from './define';

export const sessionStarted = defineEvent({
  type: 'session-started',
  /** The device that runs it and writes what the clock owes (rule RUN-9); older ones did not say. */
  body: {
    runner: z.string().min(1).max(64).optional(),
    /** Who works on that device; older ones did not say. */
    practitionerId: z.string().min(1).max(64).optional(),
    /** When it was entered, for a session that was done on paper or elsewhere. */
    enteredAtMs: z.number().int().positive().optional(),
    /** Done at home, and reported by the person who did it. */
    byClient: z.literal(true).optional(),
  },
  undoable: false,
  afterFinish: false,
  corrects: false,
  atHome: true,
  deflates: false,
  changesSummary: false,
  words: msg('the start'),
  apply: (_, state, { atMs, runner, practitionerId, enteredAtMs, byClient }) => {
    if (state.startedAtMs !== null) return;
    state.startedAtMs = atMs;
    state.runner = runner ?? null;
    state.runBy = practitionerId ?? null;
    state.enteredAtMs = enteredAtMs ?? null;
    state.byClient = byClient === true;
  },
});
