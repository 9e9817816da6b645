import { readdirSync } from 'node:fs';
import babel from '@lingui/cli/api/extractors/babel';
import { defineConfig } from '@lingui/conf';
import { formatter } from '@lingui/format-po';
import { coreWords } from './scripts/core-words';

const TESTS = ['**/*.test.*', '**/*.fixture.*'];
/** What is drawn on many pages has one catalogue together. */
const SHARED = ['data', 'devices', 'language', 'parts', 'routes', 'shell', 'sound', 'state', 'words'];

/** Where the server says something to whoever asked it; the rest of it speaks to who runs it. */
const ANSWERS = [
  'access',
  'db/client-facts.ts',
  'db/day-check.ts',
  'db/enter-session.ts',
  'db/home-links.ts',
  'db/kit.ts',
  'db/mend.ts',
  'db/prescriptions.ts',
  'db/take-events.ts',
  'edge.ts',
  'happened.ts',
  'interchange/archive',
  'interchange/spool.ts',
  'limits.ts',
  'live',
  'opening.ts',
  'print.ts',
  'problem.ts',
  'routes',
];

const foldersOf = (folder: string): string[] =>
  readdirSync(folder, { withFileTypes: true })
    .filter((entry) => entry.isDirectory())
    .map(({ name }) => name);

/** English stands in the code and is what a sentence is found by; each view has its other languages in a catalogue. */
export default defineConfig({
  sourceLocale: 'en',
  locales: ['de'],
  catalogs: [
    {
      path: '<rootDir>/web/words/shared/{locale}',
      include: SHARED.map((folder) => `<rootDir>/web/${folder}`),
      exclude: TESTS,
    },
    ...foldersOf('web/views').map((view) => ({
      path: `<rootDir>/web/words/views/${view}/{locale}`,
      include: [`<rootDir>/web/views/${view}`],
      exclude: TESTS,
    })),
    ...foldersOf('core').map((folder) => ({
      path: `<rootDir>/web/words/core/${folder}/{locale}`,
      include: [`<rootDir>/core/${folder}`],
      exclude: TESTS,
    })),
    { path: '<rootDir>/web/words/contract/{locale}', include: ['<rootDir>/contract'], exclude: TESTS },
    {
      path: '<rootDir>/web/words/server/{locale}',
      include: ANSWERS.map((part) => `<rootDir>/server/${part}`),
      exclude: TESTS,
    },
  ],
  extractors: [coreWords, babel],
  format: formatter({ lineNumbers: false }),
  orderBy: 'origin',
});
