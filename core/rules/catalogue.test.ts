import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { inEnglish } from '#language/render';
import { RULE_IDS, RULES } from './catalogue';
import type { Figures, Rule } from './rule';

const CORE = join(import.meta.dirname, '..');
const ALL: readonly (readonly [string, Rule])[] = RULE_IDS.map((id) => [id, RULES[id] as unknown as Rule]);

/** Numbers of a sentence: not those inside a name such as 1RM or LOP-3. */
const numbersIn = (words: string): string[] =>
  [...words.matchAll(/(?<![\w.-])\d+(?:\.\d+)?(?!\w)/g)].map(([number]) => number);

/** The same figures, each another number. */
const moved = (figures: Figures): Figures =>
  Object.fromEntries(
    Object.entries(figures).map(([name, figure]) => [
      name,
      typeof figure === 'number' ? figure * 1.531_1 + 0.013 : moved(figure),
    ]),
  );

const sourcesOf = (folder: string): string[] =>
  readdirSync(folder, { recursive: true, encoding: 'utf8' })
    .filter(
      (file) => file.endsWith('.ts') && !file.startsWith('rules') && !/\.(test|fixture)\.ts$/.test(file),
    )
    .map((file) => readFileSync(join(folder, file), 'utf8'));

const sources = [...sourcesOf(CORE), ...sourcesOf(join(CORE, '../server'))];

describe('the rule catalogue', () => {
  it('has the rules of the practice that the app keeps, and no other', () => {
    // By chapter, those there are; the others belong to work that is not done yet.
    const chapters = {
      START: 5,
      SCR: 6,
      FIT: 5,
      LOP: 7,
      PRS: 6,
      LOAD: 5,
      PRO: 6,
      CRS: 6,
      RUN: 8,
      REV: 8,
      OUT: 7,
    };
    const expected = Object.entries(chapters).flatMap(([chapter, count]) =>
      Array.from({ length: count }, (_, i) => `${chapter}-${i + 1}`),
    );
    expect([...RULE_IDS].sort()).toEqual(
      [...expected, 'PRO', 'PRS-7', 'PRS-8', 'PRS-9', 'REV-10', 'RUN-9', 'RUN-10', 'TIGHT'].sort(),
    );
  });

  it.each(ALL)('%s says every number of its sentence from its figures', (_, { figures, words, text }) => {
    expect(inEnglish(text).length).toBeGreaterThan(25);
    const elsewhere = numbersIn(inEnglish(words(moved(figures))));
    expect(numbersIn(inEnglish(text)).filter((number) => elsewhere.includes(number))).toEqual([]);
  });

  it.each(ALL)('%s is computed where it says', (id, { by }) => {
    const [file = '', name] = by.split(' ');
    const source = readFileSync(join(CORE, file), 'utf8');
    expect(source).toMatch(new RegExp(`export (function|const) ${name}\\b`));
    expect(source).toMatch(new RegExp(`\\b${id}\\b`));
  });

  it.each(ALL.filter(([, { figures }]) => Object.keys(figures).length > 0))(
    '%s has its figures used by what computes it',
    (id, { figures }) => {
      const taken = sources.filter(
        (source) => source.includes(`RULES['${id}'].figures`) || source.includes(`RULES.${id}.figures`),
      );
      for (const name of Object.keys(figures)) {
        expect(
          taken.some((source) => new RegExp(`\\b${name}\\b`).test(source)),
          `${id}: nothing takes ${name}`,
        ).toBe(true);
      }
    },
  );
});
