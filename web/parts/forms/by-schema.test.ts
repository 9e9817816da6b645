import { describe, expect, it } from 'vitest';
import { z } from 'zod';
import { bySchema } from './by-schema';
import { reads } from './use-fields';

type Typed = { load: string; sets: { reps: string }[] };
const schema = z.object({
  loadKg: z.number('Enter the load.').max(500, 'At most 500 kg.'),
  sets: z.array(z.object({ reps: z.number().int().max(30) })).min(1),
});
const fieldOf = (path: string) => (path === 'loadKg' ? 'load' : path) as keyof Typed;
const judge = (made: unknown) => bySchema<Typed, z.infer<typeof schema>>(schema, made, fieldOf);

describe('what a schema makes of a form', () => {
  it('is what is sent', () =>
    expect(judge({ loadKg: 20, sets: [{ reps: 15 }] })).toEqual({
      sent: { loadKg: 20, sets: [{ reps: 15 }] },
    }));

  it('is what is wrong at each field, also one of several', () =>
    expect(judge({ loadKg: Number.NaN, sets: [{ reps: 15 }, { reps: 30.5 }, { reps: 31 }] })).toEqual({
      wrong: {
        load: 'Enter the load.',
        'sets.1.reps': 'Enter a whole number.',
        'sets.2.reps': 'At most 30.',
      },
    }));

  it('is at the fields of the form', () => {
    const resolve = reads<Typed, unknown>((typed) => judge({ loadKg: Number(typed.load), sets: [] }));
    const typed = { load: '501', sets: [] };
    expect(resolve(typed, undefined, { fields: {}, shouldUseNativeValidation: false })).toMatchObject({
      values: {},
      errors: { load: { message: 'At most 500 kg.' }, sets: { message: 'Enter at least one.' } },
    });
  });
});
