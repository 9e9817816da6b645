import { z } from 'zod';
import { defineEvent } from './define';

/** Why a session was stopped where nobody names a sign: it was stopped by a key. */
export const STOPPED_BY_KEY = 'Stopped by the operator';

export const stopped = defineEvent({
  type: 'stopped',
  body: { why: z.string().trim().min(1).max(300) },
  undoable: false,
  afterFinish: false,
  corrects: false,
  atHome: true,
  letsDown: true,
  changesSummary: true,
  words: 'the stop',
  apply: (_, state, { atMs, why }) => {
    state.stopped ??= { atMs, why };
    state.rest = null;
    state.toDecide = null;
  },
});
