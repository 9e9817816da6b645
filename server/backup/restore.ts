import { createWriteStream, existsSync } from 'node:fs';
import { copyFile, mkdir, readFile, rename, rm } from 'node:fs/promises';
import { dirname } from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import type { ReadableStream as WebStream } from 'node:stream/web';
import { Decrypter } from 'age-encryption';
import { holdAlone } from './alone';
import { piecesOf, sha256Of } from './back-up';
import { lookInto, Unusable } from './database-file';

/**
 * Puts a backup in the place of a database, after it has been found whole; what stood there is moved aside, never deleted.
 * A server that runs on it is not pulled away from under: it has to be stopped before.
 * @param passphrase for one that is encrypted; null where there is none
 * @returns where what stood there before is now; null where there was nothing
 * @throws Unusable with what to do: no such file, changed since it was made, wrong passphrase, damaged, newer
 */
export async function restore(
  backup: string,
  file: string,
  passphrase: string | null,
  nowMs: number,
): Promise<string | null> {
  if (!existsSync(backup)) throw new Unusable(`${backup} is not there. Say which file to restore.`);
  await checkHash(backup);
  await mkdir(dirname(file), { recursive: true });
  const letGo = holdAlone(file);
  const part = `${file}.restoring`;
  try {
    if (backup.endsWith('.age')) await decrypt(backup, part, passphrase);
    else await copyFile(backup, part);
    const state = lookInto(part);
    if (state === 'empty') throw new Unusable(`${backup} is empty: there is nothing to restore.`);
    const aside = existsSync(file) ? `${file}.before-restore-${nowMs}` : null;
    if (aside) {
      // The WAL belongs to what is moved: it may hold its newest writes.
      for (const end of ['', '-wal', '-shm']) {
        if (existsSync(`${file}${end}`)) await rename(`${file}${end}`, `${aside}${end}`);
      }
    }
    await rename(part, file);
    return aside;
  } finally {
    for (const end of ['', '-wal', '-shm']) await rm(`${part}${end}`, { force: true });
    letGo();
  }
}

/** A backup that has its hash beside it has to be as it was made. */
async function checkHash(backup: string): Promise<void> {
  const kept = await readFile(`${backup}.sha256`, 'utf8').catch(() => null);
  if (kept !== null && kept.split(' ')[0] !== (await sha256Of(backup))) {
    throw new Unusable(
      `${backup} is not what it was when it was made: its SHA-256 differs. Take another backup.`,
    );
  }
}

async function decrypt(backup: string, part: string, passphrase: string | null): Promise<void> {
  if (passphrase === null) {
    throw new Unusable(`${backup} is encrypted. Set NERVATO_BACKUP_PASSPHRASE to what it was made with.`);
  }
  const decrypter = new Decrypter();
  decrypter.addPassphrase(passphrase);
  try {
    const pieces = await decrypter.decrypt(piecesOf(backup));
    await pipeline(Readable.fromWeb(pieces as WebStream), createWriteStream(part));
  } catch {
    throw new Unusable(`${backup} does not open with this passphrase, or it is damaged.`);
  }
}
