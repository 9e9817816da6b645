import { z } from 'zod';
import { msg } from '../../message/message';
import { messageSchema } from '../../message/message-schema';
import { defineEvent } from './define';

/** Why a session was stopped where no sign is named: it was stopped by a key. */
export const STOPPED_BY_KEY = msg('Stopped by the operator');

export const stopped = defineEvent({
  type: 'stopped',
  /** What stopped it: a message of ours, or text of an earlier release. */
  body: { why: z.union([z.string().trim().min(1).max(300), messageSchema]) },
  undoable: false,
  afterFinish: false,
  corrects: false,
  atHome: true,
  deflates: true,
  changesSummary: true,
  words: msg('the stop'),
  apply: (_, state, { atMs, why }) => {
    state.stopped ??= { atMs, why, restBefore: state.rest };
    state.rest = null;
    state.toDecide = null;
  },
});
