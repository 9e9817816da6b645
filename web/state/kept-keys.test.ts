import { describe, expect, it } from 'vitest';
import { type KeptKey, stillMeant, withKey } from './kept-keys';

const pressed = (key: string, atMs: number): KeptKey => ({ key, code: `Key${key}`, shiftKey: false, atMs });

describe('keys pressed before a view is shown', () => {
  it('are kept in their order', () => {
    const kept = [pressed('g', 0), pressed('f', 80)].reduce<readonly KeptKey[]>(withKey, []);
    expect(stillMeant(kept, 900).map(({ key }) => key)).toEqual(['g', 'f']);
  });
  it('are no longer meant after three seconds', () => {
    expect(stillMeant([pressed('w', 0), pressed('1', 2_000)], 3_001).map(({ key }) => key)).toEqual(['1']);
  });
  it('are none where they are too many to be meant', () => {
    const leant = Array.from({ length: 13 }, (_, place) => pressed(' ', place));
    expect(leant.reduce<readonly KeptKey[]>(withKey, [])).toEqual([]);
  });
});
