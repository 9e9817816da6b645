import { msg } from '../../message/message';
import { openSet } from '../state';
import { defineEvent } from './define';
import { setPlace } from './values';

/**
 * The cuff pinched: it comes down and moves up, and the set under way is done again and does not count
 * (rule FIT-4).
 */
export const reFitted = defineEvent({
  type: 're-fitted',
  body: setPlace,
  undoable: false,
  afterFinish: false,
  corrects: false,
  atHome: true,
  deflates: false,
  changesSummary: false,
  words: msg('the re-fit'),
  apply: (_, state, { exerciseIndex, setIndex, atMs }) => {
    const set = openSet(state);
    if (set && (set.exerciseIndex !== exerciseIndex || set.setIndex !== setIndex)) return;
    if (set) state.sets = state.sets.filter((other) => other !== set);
    state.refits.push({ exerciseIndex, setIndex, atMs });
    state.rest = null;
  },
});
