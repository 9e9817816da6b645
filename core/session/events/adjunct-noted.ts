import { msg } from '../../message/message';
import { adjunctDone } from '../../protocol/adjunct';
import { defineEvent } from './define';

/** Something of the same sitting that no cuff was needed for (rule PRO-4). */
export const adjunctNoted = defineEvent({
  type: 'adjunct-noted',
  body: adjunctDone,
  undoable: true,
  afterFinish: true,
  corrects: false,
  atHome: false,
  deflates: false,
  changesSummary: false,
  words: msg('an adjunct'),
  apply: (_, state, { atMs, what, words, girthCm, painOfTen }) => {
    state.adjuncts.push({
      atMs,
      what,
      words,
      ...(girthCm === undefined ? {} : { girthCm }),
      ...(painOfTen === undefined ? {} : { painOfTen }),
    });
  },
});
