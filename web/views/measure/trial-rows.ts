import { type Trial, trialSchema } from '#core/occlusion-pressure/trial';
import { LIMITS } from '#core/rules/limits';

/** A trial as typed or keyed in so far; readings in mmHg as text, so nothing typed is lost. */
export type TrialRow = { gone: string; back: string };
export type Steps = { upMmHg: number; downMmHg: number };

export const EMPTY_ROW: TrialRow = { gone: '', back: '' };

export type ReadRow =
  | { state: 'empty' }
  | { state: 'rising-done' }
  | { state: 'wrong'; field: 'gone' | 'back'; words: string }
  | { state: 'whole'; trial: Trial };

const toNumber = (typed: string): number | undefined =>
  typed.trim() === '' ? undefined : Number(typed.replace(',', '.'));

/** What a row amounts to, with what is wrong beside the field it concerns. */
export function readRow(row: TrialRow, steps: Steps): ReadRow {
  if (row.gone.trim() === '' && row.back.trim() === '') return { state: 'empty' };
  const parsed = trialSchema.safeParse({
    goneMmHg: toNumber(row.gone),
    backMmHg: toNumber(row.back),
    ...steps,
  });
  if (parsed.success) return { state: 'whole', trial: parsed.data };
  const issue = parsed.error.issues.find(({ path }) => path[0] !== 'backMmHg' || row.back.trim() !== '');
  if (!issue) return { state: 'rising-done' };
  return { state: 'wrong', field: issue.path[0] === 'backMmHg' ? 'back' : 'gone', words: issue.message };
}

/** Rows with one more to fill while another trial is allowed (rule LOP-3). */
export function withRoom(rows: readonly TrialRow[], steps: Steps): TrialRow[] {
  const full = rows.every((row) => readRow(row, steps).state === 'whole');
  return full && rows.length < LIMITS.trials.most ? [...rows, EMPTY_ROW] : [...rows];
}
