import { describe, expect, it } from 'vitest';
import { hasLetters, messageExtractor } from './message-extractor';

async function collected(code: string): Promise<string[]> {
  const ids: string[] = [];
  await messageExtractor.extract('/core/made-up.ts', code, ({ id }) => ids.push(id), undefined);
  return ids;
}

describe('messages for the catalogues', () => {
  it('are the templates of msg, each its own id', async () => {
    expect(
      await collected("const a = msg('Set {percent} % or lower.', { percent: 35 }), b = other('no');"),
    ).toEqual(['Set {percent} % or lower.']);
  });

  it('are refused where the template is not written out, since it could not be collected', async () => {
    await expect(collected('const a = msg(template);')).rejects.toThrow(/as one text in quotes/);
  });

  it.each([
    ['{low}–{high} %', false],
    ['{value}', false],
    ['{n, plural, one {#} other {#}}', false],
    ['{n, plural, one {# set} other {# sets}}', true],
    ['{limb}, passive', true],
  ])('%s: letters of its own %s', (template, has) => expect(hasLetters(template)).toBe(has));
});
