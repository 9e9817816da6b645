import { z } from 'zod';
import { msg } from '../../message/message';
import { openSet } from '../state';
import { defineEvent } from './define';
import { setPlace } from './values';

export const restStarted = defineEvent({
  type: 'rest-started',
  body: { ...setPlace, restMs: z.number().int().min(0).max(600_000) },
  undoable: false,
  afterFinish: false,
  corrects: false,
  atHome: true,
  deflates: true,
  changesSummary: false,
  words: msg('the rest'),
  apply: (_, state, { atMs, restMs }) => {
    if (!openSet(state)) state.rest = { startedAtMs: atMs, restMs };
  },
});
