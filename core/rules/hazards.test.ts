import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, it } from 'vitest';
import { RULE_IDS, RULES } from './catalogue';

const DOCS = join(import.meta.dirname, '../../docs');
const idsIn = (text: string): string[] =>
  Array.from(text.matchAll(/\b(?:[A-Z]+-\d+|TIGHT)\b/g), ([id]) => id);

/** A line of the table of hazards: its rules, and the files of its tests. */
const lines = readFileSync(join(DOCS, 'hazards.md'), 'utf8')
  .split('\n')
  .filter((line) => line.startsWith('| ') && line.includes(']('))
  .map((line) => {
    const [, what = '', , rules = '', , tests = ''] = line.split('|');
    return {
      what: what.trim(),
      rules: idsIn(rules),
      files: [...tests.matchAll(/\]\(([^)]+)\)/g)].map(([, file = '']) => join(DOCS, file)),
    };
  });

/** The rules that the names of a file's tests say they prove. */
const provenIn = (file: string): string[] =>
  [
    ...readFileSync(file, 'utf8').matchAll(
      /\b(?:describe|it|test|inDemonstration)\b[^\n]*(?:\n\s*['"`][^\n]*)?/g,
    ),
  ].flatMap(([name]) => idsIn(name));

it.each(lines)('$what: has rules of the catalogue and tests that are there', ({ rules, files }) => {
  expect(rules.length).toBeGreaterThan(0);
  for (const rule of rules) expect(RULE_IDS).toContain(rule);
  expect(files.length).toBeGreaterThan(0);
  for (const file of files) expect(existsSync(file), file).toBe(true);
});

it.each(RULE_IDS.filter((id) => RULES[id].level === 'hard'))(
  '%s, which is hard, has a hazard and a test of that line',
  (id) => {
    const mine = lines.filter(({ rules }) => rules.includes(id));
    expect(mine, `${id} is in no line of docs/hazards.md`).not.toEqual([]);
    const proven = mine.flatMap(({ files }) => files).flatMap(provenIn);
    expect(proven, `no test that docs/hazards.md names for ${id} says it proves it`).toContain(id);
  },
);
