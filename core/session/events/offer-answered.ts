import { z } from 'zod';
import { msg } from '../../message/message';
import { textSchema } from '../../message/message-schema';
import { defineEvent } from './define';
import { offerSchema, setPlace } from './values';

export const offerAnswered = defineEvent({
  type: 'offer-answered',
  body: { ...setPlace, offer: offerSchema, accepted: z.boolean(), reason: textSchema },
  undoable: false,
  afterFinish: false,
  corrects: false,
  atHome: false,
  deflates: false,
  changesSummary: false,
  words: msg('the answer to the offer'),
  apply: (_, state, { exerciseIndex, setIndex, offer, accepted }) => {
    state.offers.push({ exerciseIndex, setIndex, offer, accepted });
  },
});
