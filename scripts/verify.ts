import Database from 'libsql';
import { inEnglish } from '#language/render';
import { lookInto, Unusable } from '#server/backup/database-file';
import { checkChain } from '#server/db/audit';
import type { Statement } from '#server/db/dialect/connection';
import { databaseFile } from '#server/environment';
import { start } from '#server/start';

// `npm run verify [-- FILE]`: whether a database, or a copy of one, is whole, and every entry of its audit follows from the one
// before. What it says of the last entry is to be kept elsewhere: entries cut off at the end are found by it alone.
await start(async () => {
  const file = process.argv[2] ?? databaseFile();
  const state = lookInto(file);
  if (state !== 'current')
    throw new Unusable(`${file} is ${state}: start Nervato with it once, and its audit is chained.`);
  const database = new Database(file);
  const { rows, lastHash, broken } = checkChain((sql) => database.prepare(sql) as unknown as Statement);
  database.close();
  if (broken) throw new Unusable(`Entry ${broken.id} of the audit does not hold. ${inEnglish(broken.words)}`);
  console.log(
    `${file} is whole. ${rows} entries of the audit follow from each other; the last is ${lastHash}`,
  );
});
