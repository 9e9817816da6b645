import { describe, expect, it } from 'vitest';
import { RULE_IDS, RULES } from './catalogue';
import { SCHOOLS } from './schools';

/** Ids the practice defines, by chapter and how many each has. */
const CHAPTERS = { START: 2, SCR: 5, FIT: 5, LOP: 7, PRS: 8, LOAD: 5, PRO: 6, RUN: 7, REV: 10 };

describe('the rule catalogue', () => {
  it('has every rule of the practice and no other', () => {
    const expected = Object.entries(CHAPTERS).flatMap(([chapter, count]) =>
      Array.from({ length: count }, (_, i) => `${chapter}-${i + 1}`),
    );
    expect([...RULE_IDS].sort()).toEqual([...expected, 'PRO', 'RUN-9', 'TIGHT'].sort());
  });

  it('gives each rule words and a source', () => {
    for (const id of RULE_IDS) {
      expect(RULES[id].text.length, id).toBeGreaterThan(30);
      expect(RULES[id].source.length, id).toBeGreaterThan(10);
    }
  });

  it('lets no school start below its guard or top above the hard limit', () => {
    for (const { percentLop } of Object.values(SCHOOLS)) {
      for (const { start, usual, top } of Object.values(percentLop)) {
        expect(start).toBeGreaterThanOrEqual(30);
        expect([start, usual, top]).toEqual([start, usual, top].sort((a, b) => a - b));
        expect(top).toBeLessThanOrEqual(80);
      }
    }
  });
});
