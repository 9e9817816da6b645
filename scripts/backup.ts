import { resolve } from 'node:path';
import { backUp } from '#server/backup/back-up';
import { start } from '#server/start';

// `npm run backup [-- FOLDER]`: copies the practice while it runs, and looks into the copy.
const file = resolve(process.env.NERVATO_DB ?? 'data/nervato.sqlite');
const folder = resolve(process.argv[2] ?? process.env.NERVATO_BACKUPS ?? 'data/backups');
const passphrase = process.env.NERVATO_BACKUP_PASSPHRASE || null;
await start(async () => {
  const made = await backUp(file, { folder, passphrase, of: 'practice' }, Date.now());
  console.log(
    `Backed up to ${made}${passphrase === null ? '' : ', encrypted'}. Its SHA-256 stands beside it.`,
  );
});
