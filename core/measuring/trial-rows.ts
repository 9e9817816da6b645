import { type Trial, trialSchema } from '../occlusion-pressure/trial';
import { toNumber } from '../quantity/units';
import { RULES } from '../rules/catalogue';

/** The steps a trial is taken with, in mmHg. */
export type Steps = { upMmHg: number; downMmHg: number };

/** A trial as typed or keyed in so far, with its own steps; readings as text, so nothing typed is lost. */
export type TrialRow = Steps & { gone: string; back: string };

export const emptyRow = (steps: Steps): TrialRow => ({ gone: '', back: '', ...steps });

export const rowOf = ({ goneMmHg, backMmHg, upMmHg, downMmHg }: Trial): TrialRow => ({
  gone: String(goneMmHg),
  back: String(backMmHg),
  upMmHg,
  downMmHg,
});

export type ReadRow =
  | { state: 'empty' }
  | { state: 'rising-done' }
  | { state: 'wrong'; field: 'gone' | 'back'; words: string }
  | { state: 'whole'; trial: Trial };

const typedNumber = (typed: string): number | undefined =>
  typed.trim() === '' ? undefined : toNumber(typed);

/** What a row amounts to, with what is wrong beside the field it concerns. */
export function readRow({ gone, back, upMmHg, downMmHg }: TrialRow): ReadRow {
  if (gone.trim() === '' && back.trim() === '') return { state: 'empty' };
  const parsed = trialSchema.safeParse({
    goneMmHg: typedNumber(gone),
    backMmHg: typedNumber(back),
    upMmHg,
    downMmHg,
  });
  if (parsed.success) return { state: 'whole', trial: parsed.data };
  const issue = parsed.error.issues.find(({ path }) => path[0] !== 'backMmHg' || back.trim() !== '');
  if (!issue) return { state: 'rising-done' };
  return { state: 'wrong', field: issue.path[0] === 'backMmHg' ? 'back' : 'gone', words: issue.message };
}

/** Rows with one more to fill while another trial is allowed (rule LOP-3). */
export function withRoom(rows: readonly TrialRow[], steps: Steps): TrialRow[] {
  const full = rows.every((row) => readRow(row).state === 'whole');
  return full && rows.length < RULES['LOP-3'].figures.trials.most ? [...rows, emptyRow(steps)] : [...rows];
}
