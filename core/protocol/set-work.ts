import { z } from 'zod';
import { msg } from '../message/message';
import { setMs } from './pace';
import type { Tempo } from './tempo';

const wholeReps = z
  .number(msg('Enter repetitions.'))
  .int(msg('Whole repetitions only.'))
  .min(1, msg('A set of nothing: enter at least one repetition, or a time.'))
  .max(100, msg('At most 100 repetitions in a set.'));

/** What is done in a set: repetitions at the pace, as many as go (paced up to a number), or work for a time. */
export const setWorkSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('reps'), reps: wholeReps }),
  z.object({ kind: z.literal('to-failure'), pacedTo: wholeReps }),
  z.object({
    kind: z.literal('timed'),
    workMs: z
      .number(msg('Enter a time.'))
      .int()
      .min(10_000, msg('At least 10 s.'))
      .max(1_800_000, msg('At most 30 min.')),
  }),
]);
export type SetWork = z.infer<typeof setWorkSchema>;

/** Repetitions the pace goes to; `null` for work by the clock. */
export function pacedReps(work: SetWork): number | null {
  switch (work.kind) {
    case 'reps':
      return work.reps;
    case 'to-failure':
      return work.pacedTo;
    case 'timed':
      return null;
  }
}

/** How long the work of a set lasts, in ms: at its pace, or by the clock. */
export const workMsOf = (work: SetWork, tempo: Tempo): number =>
  work.kind === 'timed' ? work.workMs : setMs(pacedReps(work) ?? 0, tempo);
