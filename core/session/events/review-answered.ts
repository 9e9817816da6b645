import { msg } from '../../message/message';
import { defineEvent } from './define';
import { reviewAnswerSchema } from './values';

export const reviewAnswered = defineEvent({
  type: 'review-answered',
  body: reviewAnswerSchema.shape,
  undoable: true,
  afterFinish: true,
  corrects: false,
  atHome: false,
  deflates: false,
  changesSummary: true,
  words: msg('the answer to the review'),
  apply: (_, state, { exerciseIndex, rule, answer, change, reason }) => {
    state.reviews = state.reviews.filter((review) => review.exerciseIndex !== exerciseIndex);
    state.reviews.push({ exerciseIndex, rule, answer, change, reason });
  },
});
