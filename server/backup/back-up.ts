import { createHash } from 'node:crypto';
import { createReadStream, createWriteStream } from 'node:fs';
import { mkdir, readdir, rename, rm, writeFile } from 'node:fs/promises';
import { basename, join } from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import type { ReadableStream as WebStream } from 'node:stream/web';
import { Encrypter } from 'age-encryption';
import Database from 'libsql';
import { lookInto, Unusable } from './database-file';

/** Where a backup goes, and what it is locked with. */
export type BackupTo = {
  folder: string;
  /** Null leaves it readable by anyone who has the file. */
  passphrase: string | null;
  /** What it is of, in its name: "practice", or "before-008". */
  of: string;
};

const ENCRYPTED = '.age';
const HASH = '.sha256';
const NAME = /^nervato-(.+)-(\d{8}T\d{9})\.sqlite(\.age)?$/;

/**
 * Copies a database while it is in use, by SQLite itself (`VACUUM INTO`), and looks into the copy before it gets its name: what
 * is called a backup is one. The bare file alone is none: its newest writes may still be in the WAL file next to it.
 * @returns the file; beside it is its SHA-256
 */
export async function backUp(
  file: string,
  { folder, passphrase, of }: BackupTo,
  nowMs: number,
): Promise<string> {
  if (lookInto(file) === 'missing') throw new Unusable(`${file} is not there: nothing to back up.`);
  await mkdir(folder, { recursive: true });
  const name = `nervato-${of}-${stampOf(nowMs)}.sqlite`;
  const part = join(folder, `${name}.part`);
  await rm(part, { force: true });
  try {
    const database = new Database(file);
    try {
      database.prepare('vacuum into ?').run(part);
    } finally {
      database.close();
    }
    lookInto(part);
    const copy = passphrase === null ? join(folder, name) : join(folder, `${name}${ENCRYPTED}`);
    const ready = passphrase === null ? part : await encrypted(part, passphrase);
    await writeFile(`${copy}${HASH}`, `${await sha256Of(ready)}  ${basename(copy)}\n`);
    await rename(ready, copy);
    return copy;
  } finally {
    for (const left of [part, `${part}${ENCRYPTED}`, `${part}-wal`, `${part}-shm`])
      await rm(left, { force: true });
  }
}

/**
 * A guess at the passphrase costs 2^15 KB of memory, 32 MB, as the making does; the package’s own 2^18 takes 256, which a small
 * machine has not. A passphrase of several words is what keeps a backup shut.
 */
const SCRYPT_WORK_FACTOR = 15;

/** Piece by piece: a practice of years does not fit into memory. */
async function encrypted(part: string, passphrase: string): Promise<string> {
  const encrypter = new Encrypter();
  encrypter.setPassphrase(passphrase);
  encrypter.setScryptWorkFactor(SCRYPT_WORK_FACTOR);
  const pieces = await encrypter.encrypt(piecesOf(part));
  await pipeline(Readable.fromWeb(pieces as WebStream), createWriteStream(`${part}${ENCRYPTED}`));
  return `${part}${ENCRYPTED}`;
}

/** A file as a stream of the kind that encryption takes. */
export const piecesOf = (file: string): ReadableStream<Uint8Array> =>
  Readable.toWeb(createReadStream(file)) as ReadableStream<Uint8Array>;

/** "20261127T015233123", which sorts by time. */
const stampOf = (ms: number): string => new Date(ms).toISOString().replace(/[-:.Z]/g, '');

/** When a backup was made, by its name. */
export const madeAtMs = (backup: string): number => {
  const [, year, month, day, hour, minute, second, ms] =
    /(\d{4})(\d{2})(\d{2})T(\d{2})(\d{2})(\d{2})(\d{3})\.sqlite/.exec(backup) ?? [];
  return Date.parse(`${year}-${month}-${day}T${hour}:${minute}:${second}.${ms}Z`);
};

export async function sha256Of(file: string): Promise<string> {
  const hash = createHash('sha256');
  await pipeline(createReadStream(file), hash);
  return hash.digest('hex');
}

/** The backups of a folder, the newest first. */
export async function backupsIn(folder: string, of: string): Promise<string[]> {
  const names = await readdir(folder).catch(() => []);
  return names
    .flatMap((name) => {
      const [, kind, stamp] = NAME.exec(name) ?? [];
      return kind === of && stamp ? [{ name, stamp }] : [];
    })
    .sort((a, b) => b.stamp.localeCompare(a.stamp))
    .map(({ name }) => join(folder, name));
}

/** Takes away the oldest of more than so many backups. */
export async function keepNewest(folder: string, of: string, most: number): Promise<void> {
  for (const file of (await backupsIn(folder, of)).slice(most)) {
    await rm(file, { force: true });
    await rm(`${file}${HASH}`, { force: true });
  }
}
