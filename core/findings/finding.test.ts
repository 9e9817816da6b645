import { expect, it } from 'vitest';
import { type Finding, guardFindings, hardFindings } from './finding';

const found = (level: Finding['level']): Finding => ({
  rule: 'PRS-2',
  level,
  subject: 'percentLop',
  message: level,
  remedy: '',
});

it('tells what nobody may pass from what a clinician may, and both from what only informs', () => {
  const all = [found('note'), found('guard'), found('hard'), found('guard')];
  expect(hardFindings(all).map(({ message }) => message)).toEqual(['hard']);
  expect(guardFindings(all).map(({ message }) => message)).toEqual(['guard', 'guard']);
});
