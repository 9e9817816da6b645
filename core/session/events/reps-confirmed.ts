import { msg } from '../../message/message';
import { findSet } from '../state';
import { defineEvent } from './define';
import { setPlace } from './values';

/** The operator watched, and the count of the clock is right (rule RUN-2). */
export const repsConfirmed = defineEvent({
  type: 'reps-confirmed',
  body: setPlace,
  undoable: true,
  afterFinish: true,
  corrects: false,
  atHome: true,
  deflates: false,
  changesSummary: false,
  words: msg('the count'),
  apply: (_, state, event) => {
    const set = findSet(state, event);
    if (set) set.countedBy = 'person';
  },
});
