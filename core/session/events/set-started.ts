import { msg } from '../../message/message';
import { plannedKg } from '../../plan/planned-load';
import { pacedReps } from '../../protocol/set-work';
import { loadInHand } from '../in-hand';
import { findSet, openSet } from '../state';
import { defineEvent } from './define';
import { setPlace } from './values';

export const setStarted = defineEvent({
  type: 'set-started',
  body: setPlace,
  undoable: false,
  afterFinish: false,
  corrects: false,
  atHome: true,
  deflates: false,
  changesSummary: true,
  words: msg('the start of the set'),
  apply: (plan, state, event) => {
    const exercise = plan.exercises[event.exerciseIndex];
    const planned = exercise?.sets[event.setIndex];
    if (!exercise || !planned || findSet(state, event) || openSet(state)) return;
    const lifted = loadInHand(state, event.exerciseIndex, exercise.load);
    state.sets.push({
      exerciseIndex: event.exerciseIndex,
      setIndex: event.setIndex,
      plannedReps: pacedReps(planned.work),
      startedAtMs: event.atMs,
      endedAtMs: null,
      countedReps: null,
      countedBy: 'clock',
      correctedBy: 0,
      hardAtRep: null,
      reason: null,
      effort: null,
      jointPain: null,
      loadKg: lifted === plannedKg(exercise.load) ? null : lifted,
      heartRates: [],
      output: null,
      colourGood: null,
      endsTakenBack: 0,
    });
    state.rest = null;
  },
});
