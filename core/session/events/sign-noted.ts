import { z } from 'zod';
import { msg } from '../../message/message';
import { limbSchema } from '../../quantity/limb';
import { signIdSchema } from '../signs';
import { defineEvent } from './define';

export const signNoted = defineEvent({
  type: 'sign-noted',
  /** Where it was felt, all limbs under a cuff where not said; and what else is to be said of it. */
  body: {
    sign: signIdSchema,
    limbs: z.array(limbSchema).optional(),
    note: z.string().trim().max(300).optional(),
  },
  undoable: false,
  afterFinish: true,
  corrects: false,
  atHome: true,
  deflates: false,
  changesSummary: true,
  words: msg('the symptom'),
  apply: (_, state, { atMs, sign, note }) => {
    state.signs.push({ atMs, sign, note: note ?? '' });
    state.toDecide = null;
  },
});
