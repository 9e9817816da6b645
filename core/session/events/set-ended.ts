import { z } from 'zod';
import { msg } from '../../message/message';
import { findSet } from '../state';
import { defineEvent } from './define';
import { setPlace, stopReasonSchema } from './values';

export const setEnded = defineEvent({
  type: 'set-ended',
  body: { ...setPlace, reps: z.number().int().min(0).max(500), reason: stopReasonSchema },
  undoable: false,
  afterFinish: false,
  corrects: false,
  atHome: true,
  deflates: true,
  changesSummary: false,
  words: msg('the end of the set'),
  apply: (_, state, event) => {
    const set = findSet(state, event);
    if (!set || set.endedAtMs !== null) return;
    set.endedAtMs = Math.max(event.atMs, set.startedAtMs);
    set.countedReps = event.reps;
    set.reason ??= event.reason;
  },
});
