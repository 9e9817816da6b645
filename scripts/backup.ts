import { resolve } from 'node:path';
import { backUp } from '#server/backup/back-up';
import { backupPassphrase, databaseFile } from '#server/environment';
import { start } from '#server/start';

// `npm run backup [-- FOLDER]`: copies the practice while it runs, and looks into the copy.
const file = databaseFile();
const folder = resolve(process.argv[2] ?? process.env.NERVATO_BACKUPS ?? 'data/backups');
const passphrase = backupPassphrase();
await start(async () => {
  const made = await backUp(file, { folder, passphrase, of: 'practice' }, Date.now());
  console.log(`Backed up to ${made}${passphrase === null ? '' : ', encrypted'}. Its SHA-256 is next to it.`);
});
