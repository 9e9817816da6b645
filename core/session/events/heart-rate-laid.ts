import { z } from 'zod';
import { msg } from '../../message/message';
import { defineEvent } from './define';

const MOST_STEPS = 1_000;

/** Heart rate of the whole session from a strap or a watch, and the watts in its file, laid on the session's clock (rule RUN-5). */
export const heartRateLaid = defineEvent({
  type: 'heart-rate-laid',
  body: {
    fromAtMs: z.number().int().positive(),
    everyMs: z.number().int().min(1_000).max(600_000),
    beatsPerMinute: z.array(z.number().int().min(20).max(260).nullable()).min(1).max(MOST_STEPS),
    watts: z.array(z.number().int().min(0).max(2_000).nullable()).min(1).max(MOST_STEPS).optional(),
  },
  undoable: true,
  afterFinish: true,
  corrects: false,
  atHome: false,
  deflates: false,
  changesSummary: false,
  words: msg('the heart rate of the session'),
  apply: (_, state, { fromAtMs, everyMs, beatsPerMinute, watts }) => {
    state.heartRate = { fromAtMs, everyMs, beatsPerMinute, ...(watts ? { watts } : {}) };
  },
});
