import { resolve } from 'node:path';
import { restore } from '#server/backup/restore';
import { backupPassphrase, databaseFile } from '#server/environment';
import { start } from '#server/start';

// `npm run restore -- FILE`: puts a backup in the place of the practice; what stood there is moved aside. Stop the server first.
const file = databaseFile();
const [, , backup] = process.argv;
if (!backup) {
  console.error('Say which backup to restore: npm run restore -- data/backups/nervato-practice-….sqlite');
  process.exit(1);
}
await start(async () => {
  const aside = await restore(resolve(backup), file, backupPassphrase(), Date.now());
  console.log(`Restored to ${file}.${aside ? ` What stood there before is now ${aside}.` : ''}`);
});
