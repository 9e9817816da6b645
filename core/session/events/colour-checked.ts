import { z } from 'zod';
import { msg } from '../../message/message';
import { findSet } from '../state';
import { defineEvent } from './define';
import { setPlace } from './values';

/** Colour and feeling after a set; not good asks for a decision that cannot be skipped (rules RUN-3, TIGHT). */
export const colourChecked = defineEvent({
  type: 'colour-checked',
  body: { ...setPlace, good: z.boolean() },
  undoable: true,
  afterFinish: true,
  corrects: false,
  atHome: true,
  deflates: false,
  changesSummary: false,
  words: msg('the colour'),
  apply: (_, state, event) => {
    const set = findSet(state, event);
    if (!set) return;
    set.colourGood = event.good;
    const { exerciseIndex, setIndex } = event;
    state.toDecide = event.good ? null : { exerciseIndex, setIndex };
  },
});
