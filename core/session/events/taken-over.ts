import { z } from 'zod';
import { msg } from '../../message/message';
import { defineEvent } from './define';

/** Another device runs the session from now on (rule RUN-9). */
export const takenOver = defineEvent({
  type: 'taken-over',
  body: {
    runner: z.string().min(1).max(64),
    /** Who works on it; older ones did not say. */
    practitionerId: z.string().min(1).max(64).optional(),
  },
  undoable: false,
  afterFinish: false,
  corrects: false,
  atHome: false,
  deflates: false,
  changesSummary: false,
  words: msg('the device that runs it'),
  apply: (_, state, { runner, practitionerId }) => {
    state.runner = runner;
    state.runBy = practitionerId ?? null;
    state.handedTo = null;
  },
});
