import { defineEvent } from './define';

export const sessionFinished = defineEvent({
  type: 'session-finished',
  body: {},
  undoable: false,
  afterFinish: false,
  words: 'the end',
  apply: (_, state, { atMs }) => {
    state.finishedAtMs ??= atMs;
    state.rest = null;
    state.toDecide = null;
  },
});
