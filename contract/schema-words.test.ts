import { describe, expect, it } from 'vitest';
import { z } from 'zod';
import { messageOf } from '#core/message';
import { inEnglish } from '#language/render';
import './schema-words';

const wordsOf = (schema: z.ZodType, value: unknown): string | undefined => {
  const [issue] = schema.safeParse(value).error?.issues ?? [];
  return issue && inEnglish(messageOf(issue));
};

describe('what is wrong with a value, in words', () => {
  it.each<[string, z.ZodType, unknown]>([
    ['Enter a number.', z.number(), Number.NaN],
    ['Enter a number.', z.number(), 'five'],
    ['Enter a whole number.', z.number().int(), 1.5],
    ['At least 10.', z.number().min(10), 9],
    ['More than 0.', z.number().positive(), 0],
    ['At most 20.', z.number().max(20), 21],
    ['Less than 20.', z.number().lt(20), 20],
    ['Fill this in.', z.string().min(1), ''],
    ['Fill this in.', z.string(), undefined],
    ['At least 12 characters.', z.string().min(12), 'short'],
    ['At most 3 characters.', z.string().max(3), 'long'],
    ['It has to be one of these: arm, leg.', z.enum(['arm', 'leg']), 'toe'],
    ['Enter at least one.', z.array(z.string()).min(1), []],
    ['Enter at least 2 of them.', z.array(z.string()).min(2), ['one']],
    ['Enter at most 1 of them.', z.array(z.string()).max(1), ['one', 'two']],
  ])('says "%s"', (words, schema, value) => expect(wordsOf(schema, value)).toBe(words));

  it("keeps a schema's own words", () =>
    expect(wordsOf(z.number('Enter the load.').max(500, 'At most 500 kg.'), 501)).toBe('At most 500 kg.'));

  it('leaves what no field lets a person type to the library', () =>
    expect(wordsOf(z.strictObject({}), { other: 1 })).toBe('Unrecognized key: "other"'));
});
