import { msg } from '../../message/message';
import { defineEvent } from './define';
import { effortSchema } from './values';

/** How hard the whole session was, 0 to 10; the last that is said counts. */
export const sessionRated = defineEvent({
  type: 'session-rated',
  body: { effort: effortSchema },
  undoable: true,
  afterFinish: true,
  corrects: false,
  atHome: true,
  deflates: false,
  changesSummary: false,
  words: msg('the effort of the session'),
  apply: (_, state, { effort }) => {
    state.effort = effort;
  },
});
