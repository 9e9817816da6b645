import { resolve } from 'node:path';
import { restore } from '#server/backup/restore';
import { start } from '#server/start';

// `npm run restore -- FILE`: puts a backup in the place of the practice; what stood there is moved aside. Stop the server first.
const file = resolve(process.env.NERVATO_DB ?? 'data/nervato.sqlite');
const [, , backup] = process.argv;
if (!backup) {
  console.error('Say which backup to restore: npm run restore -- data/backups/nervato-practice-….sqlite');
  process.exit(1);
}
await start(async () => {
  const aside = await restore(
    resolve(backup),
    file,
    process.env.NERVATO_BACKUP_PASSPHRASE || null,
    Date.now(),
  );
  console.log(`Restored to ${file}.${aside ? ` What stood there before is now ${aside}.` : ''}`);
});
