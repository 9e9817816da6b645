import { msg } from '../../message/message';
import { lastSet } from '../places';
import { TAKE_BACK_MS } from '../take-back';
import { defineEvent } from './define';
import { setPlace } from './values';

export const endTakenBack = defineEvent({
  type: 'end-taken-back',
  body: setPlace,
  undoable: false,
  afterFinish: false,
  corrects: false,
  atHome: true,
  deflates: false,
  changesSummary: false,
  words: msg('the end that was taken back'),
  apply: (_, state, { exerciseIndex, setIndex, atMs }) => {
    const set = lastSet(state);
    if (!set || set.exerciseIndex !== exerciseIndex || set.setIndex !== setIndex) return;
    if (set.endedAtMs === null || atMs - set.endedAtMs > TAKE_BACK_MS || state.stopped) return;
    set.endedAtMs = null;
    set.countedReps = null;
    set.reason = null;
    set.endsTakenBack += 1;
    state.rest = null;
  },
});
