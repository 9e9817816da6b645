import { z } from 'zod';
import { msg } from '../../message/message';
import { limbSchema } from '../../quantity/limb';
import { defineEvent } from './define';

/** The target of a limb made lower while its cuff is down, for the next inflation; below 0 takes it back (rule RUN-7). */
export const loosened = defineEvent({
  type: 'loosened',
  body: { limb: limbSchema, byMmHg: z.number().int().min(-50).max(50) },
  undoable: false,
  afterFinish: false,
  corrects: false,
  atHome: true,
  deflates: true,
  changesSummary: false,
  words: msg('the loosening'),
  apply: (_, state, { limb, byMmHg, atMs }) => {
    state.loosenedMmHg[limb] = Math.max(0, (state.loosenedMmHg[limb] ?? 0) + byMmHg);
    if (byMmHg < 0) state.raisedAtMs[limb] = atMs;
    else state.toDecide = null;
  },
});
