import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, it } from 'vitest';
import { ROOT } from './sources.mjs';

/** Words that a reader from another country has to look up, with what to say in their place (docs/glossary.md). */
const SAY_INSTEAD: Readonly<Record<string, string>> = {
  deed: 'permission, action',
  mend: 'correct, fix',
  door: 'sign-in, lock',
  amidst: 'within',
  thereof: 'of it',
  upon: 'on',
  riddle: 'never fail silently',
};
const FOLDERS = ['core', 'language', 'contract', 'server', 'web', 'demo', 'scripts', 'tests', 'docs'];
/** Names that are stored or published, and text that is no English. */
const STANDS = [
  // Of attempts that are kept, and go with archives.
  /\bdeeds\b/g,
  /011-mended-records|MendedRecords/g,
  // A passphrase that is refused.
  /openthedoor/g,
  // Somebody's trade.
  /Net mender/g,
];
const NOT_READ = /words\/.*\.po$|docs\/guide\/de\/|archive\.schema\.json|plain-english\.test|docs\/glossary/;

const WORDS = new RegExp(`\\b(${Object.keys(SAY_INSTEAD).join('|')})(s|ed|ing|er)?\\b`, 'i');

it('code, comments and docs say it in plain English', () => {
  const files = FOLDERS.flatMap((folder) =>
    readdirSync(join(ROOT, folder), { recursive: true, encoding: 'utf8' }).map((file) => `${folder}/${file}`),
  ).filter((file) => /\.(tsx?|mjs|md|css)$/.test(file) && !NOT_READ.test(file));
  expect(files.length).toBeGreaterThan(1_000);
  const said = files.flatMap((file) =>
    readFileSync(join(ROOT, file), 'utf8')
      .split('\n')
      .flatMap((line, place) => {
        const word = WORDS.exec(
          STANDS.reduce((rest, name) => rest.replaceAll(name, ''), line),
        )?.[1]?.toLowerCase();
        return word
          ? [`${file}:${place + 1}: “${word}”, say ${SAY_INSTEAD[word]}: ${line.trim().slice(0, 80)}`]
          : [];
      }),
  );
  expect(said).toEqual([]);
});
