import { z } from 'zod';
import { defineEvent } from './define';
import { offerSchema, setPlace } from './values';

export const offerAnswered = defineEvent({
  type: 'offer-answered',
  body: { ...setPlace, offer: offerSchema, accepted: z.boolean(), reason: z.string().max(300) },
  undoable: false,
  afterFinish: false,
  corrects: false,
  atHome: false,
  letsDown: false,
  changesSummary: false,
  words: 'the answer to the offer',
  apply: (_, state, { exerciseIndex, setIndex, offer, accepted }) => {
    state.offers.push({ exerciseIndex, setIndex, offer, accepted });
  },
});
