import { outputSchema } from '../../aerobic/output';
import { msg } from '../../message/message';
import { findSet } from '../state';
import { defineEvent } from './define';
import { setPlace } from './values';

/** What the machine showed in a spell of aerobic work. */
export const outputNoted = defineEvent({
  type: 'output-noted',
  body: { ...setPlace, output: outputSchema },
  undoable: true,
  afterFinish: true,
  corrects: false,
  atHome: true,
  deflates: false,
  changesSummary: false,
  words: msg('the figures of the machine'),
  apply: (_, state, { exerciseIndex, setIndex, output }) => {
    const set = findSet(state, { exerciseIndex, setIndex });
    if (set) set.output = { ...set.output, ...output };
  },
});
