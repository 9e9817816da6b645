import { msg } from '../../message/message';
import { limbSchema } from '../../quantity/limb';
import { openInflation } from '../state';
import { defineEvent } from './define';

export const cuffReleased = defineEvent({
  type: 'cuff-released',
  body: { limb: limbSchema },
  undoable: false,
  afterFinish: true,
  corrects: false,
  atHome: true,
  deflates: true,
  changesSummary: false,
  words: msg('the release'),
  apply: (_, state, { atMs, limb: id }) => {
    const inflation = openInflation(state.limbs.find(({ limb }) => limb === id));
    if (!inflation) return;
    inflation.toMs = Math.max(atMs, inflation.fromMs);
    state.toDecide = null;
  },
});
