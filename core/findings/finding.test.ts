import { expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import { msg } from '../message/message';
import { type Finding, guardFindings, hardFindings } from './finding';

const found = (level: Finding['level']): Finding => ({
  rule: 'PRS-2',
  level,
  subject: 'percentLop',
  message: msg('{level}', { level }),
  remedy: msg('Do it.'),
});

it('distinguishes what is never passed, what a clinician may pass, and what only informs', () => {
  const all = [found('note'), found('guard'), found('hard'), found('guard')];
  expect(englishOf(hardFindings(all).map(({ message }) => message))).toEqual(['hard']);
  expect(englishOf(guardFindings(all).map(({ message }) => message))).toEqual(['guard', 'guard']);
});
