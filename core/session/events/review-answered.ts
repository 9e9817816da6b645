import { z } from 'zod';
import { defineEvent } from './define';
import { reviewChangeSchema, setPlace } from './values';

export const reviewAnswered = defineEvent({
  type: 'review-answered',
  body: {
    exerciseIndex: setPlace.exerciseIndex,
    rule: z.string().regex(/^REV-[1-9]$/),
    answer: z.enum(['accepted', 'edited', 'declined']),
    change: reviewChangeSchema,
    reason: z.string().trim().max(300),
  },
  undoable: false,
  afterFinish: true,
  words: 'the answer to the review',
  apply: (_, state, { exerciseIndex, rule, answer, change, reason }) => {
    state.reviews = state.reviews.filter((review) => review.exerciseIndex !== exerciseIndex);
    state.reviews.push({ exerciseIndex, rule, answer, change, reason });
  },
});
