import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, it } from 'vitest';
import { RELEASE } from '#contract/release';
import { ROOT } from './sources.mjs';

const read = (file: string): string => readFileSync(join(ROOT, file), 'utf8');

it('the app, its package and its changes name the same release', () => {
  expect(JSON.parse(read('package.json')).version).toBe(RELEASE);
  expect(JSON.parse(read('package-lock.json')).version).toBe(RELEASE);
  expect(read('CHANGELOG.md')).toMatch(
    new RegExp(`^## ${RELEASE.replaceAll('.', '\\.')}, \\d{4}-\\d{2}-\\d{2}$`, 'm'),
  );
});
