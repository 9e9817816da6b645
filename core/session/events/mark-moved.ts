import { z } from 'zod';
import { msg } from '../../message/message';
import { limbSchema } from '../../quantity/limb';
import { defineEvent } from './define';

/** A strap one mark tighter or looser (rule TIGHT). */
export const markMoved = defineEvent({
  type: 'mark-moved',
  body: { limb: limbSchema, byMarks: z.union([z.literal(-1), z.literal(1)]) },
  undoable: false,
  afterFinish: false,
  corrects: false,
  atHome: true,
  deflates: false,
  changesSummary: false,
  words: msg('the mark'),
  apply: (_, state, { limb, byMarks, atMs }) => {
    state.marksMoved[limb] = (state.marksMoved[limb] ?? 0) + byMarks;
    if (byMarks > 0) state.raisedAtMs[limb] = atMs;
    else state.toDecide = null;
  },
});
