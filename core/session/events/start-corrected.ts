import { z } from 'zod';
import { msg } from '../../message/message';
import { findSet } from '../state';
import { defineEvent } from './define';
import { setPlace } from './values';

/** The set was begun earlier or later than it was noted; it moves by this much. */
export const startCorrected = defineEvent({
  type: 'start-corrected',
  body: { ...setPlace, byMs: z.number().int().min(-600_000).max(600_000) },
  undoable: true,
  afterFinish: true,
  corrects: true,
  atHome: false,
  deflates: false,
  changesSummary: false,
  words: msg('the start'),
  apply: (_, state, event) => {
    const set = findSet(state, event);
    // A set cannot end before it began.
    if (set)
      set.startedAtMs = Math.min(set.startedAtMs + event.byMs, set.endedAtMs ?? Number.POSITIVE_INFINITY);
  },
});
