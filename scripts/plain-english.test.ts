import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, it } from 'vitest';
import { ROOT } from './sources.mjs';

/** Words that a reader from another country has to look up, with what to say in their place (docs/glossary.md). */
const SAY_INSTEAD: Readonly<Record<string, string>> = {
  deed: 'permission, action',
  mend: 'correct, fix',
  door: 'sign-in, lock',
  riddle: 'never fail silently',
  amidst: 'within',
  thereof: 'of it',
  upon: 'on',
  anew: 'again',
  besides: 'in addition',
  nobody: 'what is missing: “not measured”',
  somebody: 'who it is: “the operator”, “a person”',
  everybody: 'everyone',
  anybody: 'anyone',
  whoever: 'the person who',
  whom: 'the person, the client',
  told: 'sent, shown, notified',
  tells: 'sends, shows, distinguishes',
  'taken in': 'imported',
  'taken out': 'exported, removed',
  'let down': 'deflated',
  'lets down': 'deflates',
  'beside the cuff': 'adjunct',
};
const FOLDERS = ['core', 'language', 'contract', 'server', 'web', 'demo', 'scripts', 'tests', 'docs'];
/** Names that are stored or published, text that is kept as it was, and text that is no English. */
const STANDS = [
  // What earlier releases stored, where it is read.
  /'?deeds'?/g,
  /'told'|"told"|told to notified|MendedRecords|011-mended-records/g,
  // In the audit, whose hashes are of it.
  /told-from-home|taken-in|'nobody'/g,
  // A passphrase that is refused.
  /openthedoor/g,
  // A trade.
  /Net mender/g,
  // Values are taken, in Outcomes and in turn.
  /taken in (Outcomes|the \w+ (days|fortnight|first)|the \{|turn|steps|proportion)|value taken in the|it was taken in|are taken in (turn|order)/gi,
];
const NOT_READ =
  /words\/.*\.po$|docs\/guide\/de\/|archive\.schema\.json|plain-english\.test|docs\/glossary|consent-texts|migrations\/0[0-2]/;

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
