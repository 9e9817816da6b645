import { msg } from '../../message/message';
import { defineEvent } from './define';

export const sessionFinished = defineEvent({
  type: 'session-finished',
  body: {},
  undoable: false,
  // Two devices may both have finished it.
  afterFinish: true,
  corrects: false,
  atHome: true,
  deflates: false,
  changesSummary: true,
  words: msg('the end'),
  apply: (_, state, { atMs }) => {
    state.finishedAtMs ??= atMs;
    state.rest = null;
    state.toDecide = null;
  },
});
