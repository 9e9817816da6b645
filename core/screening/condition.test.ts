import { describe, expect, it } from 'vitest';
import { together } from './condition';

describe('what is typed beside what is on record (SCR-1)', () => {
  const calm = { systolicMmHg: 120, diastolicMmHg: 76 };
  const answered = (changes: object) => ({ yes: [], places: [], bloodPressures: [], ...changes });

  it('adds to it: items, and to each the limbs that either names', () => {
    const onRecord = answered({
      yes: ['varicose-veins', 'nerve-injury'],
      places: [
        { item: 'varicose-veins', limbs: ['left-thigh'] },
        { item: 'nerve-injury', limbs: ['left-arm'] },
      ],
    });
    const typed = answered({
      yes: ['varicose-veins', 'smoker'],
      places: [{ item: 'varicose-veins', limbs: ['right-thigh'] }],
      bloodPressures: [calm, calm],
    });
    const both = together(onRecord, typed);
    expect(both.yes).toEqual(['varicose-veins', 'nerve-injury', 'smoker']);
    expect(both.places).toEqual([
      { item: 'varicose-veins', limbs: ['left-thigh', 'right-thigh'] },
      { item: 'nerve-injury', limbs: ['left-arm'] },
    ]);
  });
});
