import { describe, expect, it } from 'vitest';
import { answeredInForce, isMinor, watchesBloodPressure } from './in-force';
import { NOW_MS, testFacts, testScreening } from './record.fixture';

const YEAR_MS = 365.25 * 86_400_000;
const born = (yearsAgo: number) => new Date(NOW_MS - yearsAgo * YEAR_MS).toISOString().slice(0, 10);
const facts = (bornOn: string | null, ...yes: ('under-18' | 'over-65' | 'smoker')[]) =>
  testFacts({ bornOn, screenings: [testScreening({ yes })] });

describe('a birth date', () => {
  it('says who is under 18 and who is 65 or older, whatever was answered', () => {
    expect(answeredInForce(facts(born(17.5), 'smoker'), NOW_MS).yes).toEqual(['smoker', 'under-18']);
    expect(answeredInForce(facts(born(40), 'smoker', 'over-65'), NOW_MS).yes).toEqual(['smoker']);
    expect(answeredInForce(facts(born(65.1)), NOW_MS).yes).toEqual(['over-65']);
    expect(isMinor(facts(born(18.1), 'under-18'), NOW_MS)).toBe(false);
    expect(watchesBloodPressure(facts(born(80)), NOW_MS)).toBe(true);
  });

  it('leaves it to the answers where it is not known', () => {
    expect(answeredInForce(facts(null, 'over-65'), NOW_MS).yes).toEqual(['over-65']);
    expect(isMinor(facts(null, 'under-18'), NOW_MS)).toBe(true);
  });
});
