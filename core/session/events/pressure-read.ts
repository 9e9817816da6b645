import { z } from 'zod';
import { msg } from '../../message/message';
import { limbSchema } from '../../quantity/limb';
import { dueMmHg, inHand } from '../in-hand';
import { openInflation } from '../state';
import { defineEvent } from './define';
import { pressureMmHgSchema } from './values';

/** A reading; one that was meant to change the pressure also changes the target in hand (rules RUN-4, RUN-7). */
export const pressureRead = defineEvent({
  type: 'pressure-read',
  body: {
    limb: limbSchema,
    pressureMmHg: pressureMmHgSchema,
    cause: z.enum(['read', 'top-up', 'loosened', 'raised']),
  },
  undoable: false,
  afterFinish: true,
  corrects: false,
  atHome: true,
  deflates: false,
  changesSummary: false,
  words: msg('the reading'),
  apply: (plan, state, { limb, atMs, pressureMmHg, cause }) => {
    const open = openInflation(state.limbs.find((candidate) => candidate.limb === limb));
    if (!open) return;
    open.steps.push({ atMs, pressureMmHg });
    if (cause === 'read') return;
    const now = inHand(plan, state);
    const target = now?.limbs.find((candidate) => candidate.limb === limb);
    if (!now || !target || target.kind === 'by-feel') return;
    const under = Math.max(0, dueMmHg(state, now.exercise, now.place, target.signed) - pressureMmHg);
    const before = state.loosenedMmHg[limb] ?? 0;
    state.loosenedMmHg[limb] = cause === 'loosened' ? Math.max(before, under) : Math.min(before, under);
    if (cause === 'raised') state.raisedAtMs[limb] = atMs;
    if (cause === 'loosened') state.toDecide = null;
  },
});
