import { msg } from '../../message/message';
import { besideDone } from '../../protocol/beside';
import { defineEvent } from './define';

/** Something of the same sitting that no cuff was needed for (rule PRO-4). */
export const besideNoted = defineEvent({
  type: 'beside-noted',
  body: besideDone,
  undoable: true,
  afterFinish: true,
  corrects: false,
  atHome: false,
  letsDown: false,
  changesSummary: false,
  words: msg('what was done beside'),
  apply: (_, state, { atMs, what, words, girthCm }) => {
    state.beside.push({ atMs, what, words, ...(girthCm === undefined ? {} : { girthCm }) });
  },
});
