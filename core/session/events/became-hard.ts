import { z } from 'zod';
import { msg } from '../../message/message';
import { findSet } from '../state';
import { defineEvent } from './define';
import { setPlace } from './values';

/** The repetition at which it became hard (rules RUN-2, REV-3). */
export const becameHard = defineEvent({
  type: 'became-hard',
  body: { ...setPlace, rep: z.number().int().min(0).max(500) },
  undoable: true,
  afterFinish: true,
  corrects: false,
  atHome: true,
  deflates: false,
  changesSummary: false,
  words: msg('when it became hard'),
  apply: (_, state, event) => {
    const set = findSet(state, event);
    if (set) set.hardAtRep = event.rep;
  },
});
