import { msg } from '../../message/message';
import { canTakeBackStop } from '../take-back';
import { defineEvent } from './define';

/** A stop by a key that was a touch in error: the session goes on with the set it cut short, and cuffs that were up come down first. */
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
    // What the stop cut short is done again, as after a re-fit; what ended before it stays.
    const { atMs: stoppedAtMs } = state.stopped;
    const cut = state.sets.find(
      ({ endedAtMs, reason }) => endedAtMs === stoppedAtMs && reason === 'operator',
    );
    if (cut) {
      state.sets = state.sets.filter((other) => other !== cut);
      state.refits.push({ exerciseIndex: cut.exerciseIndex, setIndex: cut.setIndex, atMs });
    }
    state.rest = state.stopped.restBefore;
    state.stopped = null;
    state.stopTakenBackAtMs = atMs;
  },
});
