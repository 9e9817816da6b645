import { msg } from '../../message/message';
import { limbSchema } from '../../quantity/limb';
import { signedInHand } from '../in-hand';
import { openInflation } from '../state';
import { defineEvent } from './define';
import { pressureMmHgSchema } from './values';

export const cuffInflated = defineEvent({
  type: 'cuff-inflated',
  /** Null under a strap, whose pressure is not known. */
  body: { limb: limbSchema, pressureMmHg: pressureMmHgSchema.nullable() },
  undoable: false,
  afterFinish: false,
  corrects: false,
  atHome: true,
  deflates: false,
  changesSummary: false,
  words: msg('the inflation'),
  apply: (plan, state, { limb: id, atMs, pressureMmHg }) => {
    let limb = state.limbs.find((candidate) => candidate.limb === id);
    if (!limb) {
      limb = { limb: id, inflations: [] };
      state.limbs.push(limb);
    }
    const signed = signedInHand(plan, state, id);
    // Logs of older devices wrote 0 for a strap.
    const step = { atMs, pressureMmHg: signed?.kind === 'by-feel' ? null : pressureMmHg };
    const open = openInflation(limb);
    // Inflating a cuff that is already up is a change of pressure, not a new clock.
    if (open) {
      open.steps.push(step);
      return;
    }
    const occlusionMmHg = signed?.kind === 'measured' ? signed.occlusion.value : null;
    limb.inflations.push({ fromMs: atMs, toMs: null, occlusionMmHg, steps: [step] });
  },
});
