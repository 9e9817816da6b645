import { msg } from '../../message/message';
import { RULES } from '../../rules/catalogue';
import { lastSet } from '../places';
import { defineEvent } from './define';
import { setPlace } from './values';

/** How long an accidental end of a set can be taken back (rule RUN-2). */
export const TAKE_BACK_MS = RULES['RUN-2'].figures.takeBackMs;

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
