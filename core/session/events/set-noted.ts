import { msg } from '../../message/message';
import { findSet } from '../state';
import { defineEvent } from './define';
import { effortSchema, scaleSchema, setPlace, stopReasonSchema } from './values';

export const setNoted = defineEvent({
  type: 'set-noted',
  body: {
    ...setPlace,
    reason: stopReasonSchema.optional(),
    effort: effortSchema.optional(),
    jointPain: scaleSchema.optional(),
  },
  undoable: true,
  afterFinish: true,
  corrects: false,
  atHome: true,
  deflates: false,
  changesSummary: false,
  words: msg('the note'),
  apply: (_, state, event) => {
    const set = findSet(state, event);
    if (!set) return;
    set.reason = event.reason ?? set.reason;
    set.effort = event.effort ?? set.effort;
    set.jointPain = event.jointPain ?? set.jointPain;
  },
});
