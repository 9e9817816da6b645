import { readdirSync, readFileSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import { expect, it } from 'vitest';
import { ROOT } from './sources.mjs';

const FOLDERS = ['core', 'language', 'contract', 'server', 'web', 'demo'];
// Types count too: two files that know each other's types are one file. (Biome's rule leaves them out.)
// What is loaded only when it is needed counts as well.
const IMPORT = /(?:^(?:import|export)\b[^;'"]*?\bfrom |\bimport\()'([^']+)'/gm;
const OURS = /^#(?:core|language|contract|server|demo)\//;

it('files form no circle: each needs only such as can be read before it', () => {
  const files = FOLDERS.flatMap((folder) =>
    readdirSync(join(ROOT, folder), { recursive: true, encoding: 'utf8' })
      .filter((file) => /\.tsx?$/.test(file) && !/\.(?:test|fixture|d)\.tsx?$/.test(file))
      .map((file) => join(ROOT, folder, file)),
  );
  const known = new Set(files);
  const needsOf = (file: string): string[] =>
    [...readFileSync(file, 'utf8').matchAll(IMPORT)].flatMap(([, from = '']) => {
      const base = OURS.test(from) ? join(ROOT, from.slice(1)) : resolve(dirname(file), from);
      return ['', '.ts', '.tsx', '/index.ts'].map((end) => `${base}${end}`).filter((path) => known.has(path));
    });
  const waiting = new Map(files.map((file) => [file, needsOf(file)]));
  expect(waiting.size).toBeGreaterThan(500);
  for (let left = -1; left !== waiting.size; ) {
    left = waiting.size;
    for (const [file, needs] of waiting) if (!needs.some((need) => waiting.has(need))) waiting.delete(file);
  }
  // What is left is in a circle, or needs one that is; the first of them name it.
  const circle = [...waiting].map(
    ([file, needs]) =>
      `${file.slice(ROOT.length)} → ${needs.filter((need) => waiting.has(need)).map((need) => need.slice(ROOT.length))}`,
  );
  expect(circle).toEqual([]);
});
