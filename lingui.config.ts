import { readdirSync } from 'node:fs';
import { defineConfig } from '@lingui/conf';
import { formatter } from '@lingui/format-po';
import { messageExtractor } from './scripts/message-extractor';

const TESTS = ['**/*.test.*', '**/*.fixture.*'];
/** What is drawn on many pages has one catalogue together. */
const SHARED = ['data', 'devices', 'language', 'parts', 'routes', 'shell', 'sound', 'state', 'words'];

const foldersOf = (folder: string): string[] =>
  readdirSync(folder, { withFileTypes: true })
    .filter((entry) => entry.isDirectory())
    .map(({ name }) => name);

/** English is in the code and is what a message is found by; each view has its other languages in a catalogue. */
export default defineConfig({
  sourceLocale: 'en',
  locales: ['de'],
  catalogs: [
    {
      path: '<rootDir>/web/words/shared/{locale}',
      include: SHARED.map((folder) => `<rootDir>/web/${folder}`),
      exclude: TESTS,
    },
    ...foldersOf('web/views').flatMap((group) =>
      foldersOf(`web/views/${group}`).map((view) => ({
        path: `<rootDir>/web/words/views/${view}/{locale}`,
        include: [`<rootDir>/web/views/${group}/${view}`],
        exclude: TESTS,
      })),
    ),
    ...foldersOf('core').map((folder) => ({
      path: `<rootDir>/web/words/core/${folder}/{locale}`,
      include: [`<rootDir>/core/${folder}`],
      exclude: TESTS,
    })),
    { path: '<rootDir>/web/words/contract/{locale}', include: ['<rootDir>/contract'], exclude: TESTS },
    { path: '<rootDir>/web/words/server/{locale}', include: ['<rootDir>/server'], exclude: TESTS },
  ],
  extractors: [messageExtractor],
  format: formatter({ lineNumbers: false }),
  orderBy: 'origin',
});
