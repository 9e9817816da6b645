import { resolve } from 'node:path';

// What of the environment (README) more than one program reads.

/** The database file. */
export const databaseFile = (): string => resolve(process.env.NERVATO_DB ?? 'data/nervato.sqlite');

/** What backups are encrypted with; null leaves them readable. */
export const backupPassphrase = (): string | null => process.env.NERVATO_BACKUP_PASSPHRASE || null;
