import { defineEvent } from './define';

export const sessionFinished = defineEvent({
  type: 'session-finished',
  body: {},
  undoable: false,
  // Two devices may both have finished it.
  afterFinish: true,
  words: 'the end',
  apply: (_, state, { atMs }) => {
    state.finishedAtMs ??= atMs;
    state.rest = null;
    state.toDecide = null;
  },
});
