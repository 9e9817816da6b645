import { describe, expect, it } from 'vitest';
import { strapSchema } from './strap';

const strap = { id: 's', label: ' Wrap ', limbKind: 'leg', widthCm: 5, firstMark: 0, lastMark: 12 };
const wrong = (changes: object) =>
  strapSchema
    .safeParse({ ...strap, ...changes })
    .error?.issues.map(({ path, message }) => `${path.join('.')}: ${message}`);

describe('a strap (FIT-5)', () => {
  it('has a name, a width that goes round a limb, and marks that rise', () => {
    expect(strapSchema.parse(strap)).toEqual({ ...strap, label: 'Wrap', counts: 'marks' });
    for (const edge of [{ widthCm: 2 }, { widthCm: 25 }, { firstMark: 99, lastMark: 100 }]) {
      expect(wrong(edge)).toBeUndefined();
    }
    expect(wrong({ widthCm: 1.9 })).toEqual(['widthCm: At least 2 cm.']);
    expect(wrong({ widthCm: 25.1 })).toEqual(['widthCm: At most 25 cm.']);
    expect(wrong({ label: '  ' })).toEqual(['label: Give the strap a name.']);
    expect(wrong({ label: 'x'.repeat(61) })).toHaveLength(1);
    expect(wrong({ id: '' })).toHaveLength(1);
    expect(wrong({ firstMark: 12 })).toEqual(['lastMark: The last must be above the first.']);
    expect(wrong({ firstMark: 13 })).toHaveLength(1);
    expect(wrong({ firstMark: -1 })).toHaveLength(1);
    expect(wrong({ lastMark: 101 })).toHaveLength(1);
  });
});
