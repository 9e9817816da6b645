import { z } from 'zod';
import { msg } from '../../message/message';
import { findSet } from '../state';
import { defineEvent } from './define';
import { setPlace } from './values';

/** A difference, not a total: two operators correcting at once both count. */
export const repsCorrected = defineEvent({
  type: 'reps-corrected',
  body: { ...setPlace, byReps: z.number().int().min(-100).max(100) },
  undoable: true,
  afterFinish: true,
  corrects: true,
  atHome: true,
  deflates: false,
  changesSummary: false,
  words: msg('the repetitions'),
  apply: (_, state, event) => {
    const set = findSet(state, event);
    if (!set) return;
    set.correctedBy += event.byReps;
    set.countedBy = 'person';
  },
});
