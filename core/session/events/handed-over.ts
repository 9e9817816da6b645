import { z } from 'zod';
import { msg } from '../../message/message';
import { defineEvent } from './define';

/** A session is handed to another practitioner, whose device takes it over; until then it runs where it did (rule RUN-9). */
export const handedOver = defineEvent({
  type: 'handed-over',
  body: { to: z.string().min(1).max(64) },
  undoable: true,
  afterFinish: false,
  corrects: false,
  atHome: false,
  deflates: false,
  changesSummary: false,
  words: msg('the hand-over'),
  apply: (_, state, { to }) => {
    state.handedTo = to;
  },
});
