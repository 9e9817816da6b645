import { msg } from '../../message/message';
import { findSet } from '../state';
import { defineEvent } from './define';
import { loadKgSchema, setPlace } from './values';

/** Another load was lifted than planned, in this set and those of the exercise after it. */
export const loadCorrected = defineEvent({
  type: 'load-corrected',
  body: { ...setPlace, loadKg: loadKgSchema },
  undoable: true,
  afterFinish: true,
  corrects: true,
  atHome: false,
  deflates: false,
  changesSummary: false,
  words: msg('the load'),
  apply: (_, state, event) => {
    const set = findSet(state, event);
    if (set) set.loadKg = event.loadKg;
  },
});
