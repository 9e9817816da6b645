import { msg } from '../../message/message';
import { canTakeBackStop } from '../take-back';
import { defineEvent } from './define';

/** A stop by a key that was a touch in error: the session goes on, and cuffs that were up come down first. */
export const stopTakenBack = defineEvent({
  type: 'stop-taken-back',
  body: {},
  undoable: false,
  afterFinish: false,
  corrects: false,
  atHome: true,
  deflates: false,
  changesSummary: true,
  words: msg('the stop that was taken back'),
  apply: (_, state, { atMs }) => {
    if (!state.stopped || !canTakeBackStop(state, atMs)) return;
    state.rest = state.stopped.restBefore;
    state.stopped = null;
    state.stopTakenBackAtMs = atMs;
  },
});
