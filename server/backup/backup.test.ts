import { spawn } from 'node:child_process';
import { mkdtempSync, readdirSync, readFileSync, rmSync, truncateSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { basename, join } from 'node:path';
import { gunzipSync } from 'node:zlib';
import Database from 'libsql';
import { describe, expect, it, onTestFinished, vi } from 'vitest';
import { attackRuns } from '../../tests/attack-runs';
import { openDatabase } from '../db/database';
import { openFile } from '../open-file';
import { holdAlone } from './alone';
import { backUp, backupsIn, keepNewest } from './back-up';
import { lookInto, Unusable } from './database-file';
import { restore } from './restore';
import { backupPlan } from './schedule';

const NOW_MS = Date.parse('2026-03-02T09:00:00Z');

function newFolder(): string {
  const folder = mkdtempSync(join(tmpdir(), 'nervato-backup-'));
  onTestFinished(() => rmSync(folder, { recursive: true, force: true }));
  return folder;
}

/** A practice with a few rows that are still in the WAL: its file alone does not have them. */
async function practice() {
  const folder = newFolder();
  const file = join(folder, 'practice.sqlite');
  const orm = await openDatabase(file);
  const database = new Database(file);
  onTestFinished(async () => {
    database.close();
    await orm.close();
  });
  const say = (detail: string) =>
    database
      .prepare(
        "insert into audit (at_ms, practitioner_id, action, subject, detail) values (1, 'x', 'y', 'z', ?)",
      )
      .run(detail);
  say('{"first":1}');
  return { folder, file, say };
}

const detailsIn = (file: string): string[] => {
  const database = new Database(file);
  try {
    return (database.prepare('select detail from audit order by id').all() as { detail: string }[]).map(
      ({ detail }) => detail,
    );
  } finally {
    database.close();
  }
};

const to = (folder: string, passphrase: string | null = null) => ({ folder, passphrase, of: 'practice' });

describe('a backup', () => {
  it('is taken while the practice is in use, has all of it, and is restored on another machine', async () => {
    const { folder, file, say } = await practice();
    const copy = await backUp(file, to(join(folder, 'backups')), NOW_MS);
    expect(copy).toMatch(/nervato-practice-20260302T090000000\.sqlite$/);
    say('{"later":1}');
    const elsewhere = join(newFolder(), 'a', 'new.sqlite');
    expect(await restore(copy, elsewhere, null, NOW_MS)).toBeNull();
    expect(detailsIn(elsewhere)).toEqual(['{"first":1}']);
    expect(lookInto(elsewhere)).toBe('current');
    expect(readdirSync(join(folder, 'backups')).sort()).toEqual([
      'nervato-practice-20260302T090000000.sqlite',
      'nervato-practice-20260302T090000000.sqlite.sha256',
    ]);
  });

  it('moves what stood there aside with its WAL, and deletes nothing', async () => {
    const { folder, file } = await practice();
    const copy = await backUp(file, to(join(folder, 'backups')), NOW_MS);
    const target = join(newFolder(), 'there.sqlite');
    const orm = await openDatabase(target);
    await orm.close();
    const aside = await restore(copy, target, null, NOW_MS);
    expect(aside).toBe(`${target}.before-restore-${NOW_MS}`);
    expect(detailsIn(target)).toEqual(['{"first":1}']);
    expect(detailsIn(aside ?? '')).toEqual([]);
  });

  it('may be encrypted, and then opens with its passphrase only', async () => {
    const { folder, file } = await practice();
    const copy = await backUp(file, to(folder, 'tide and lamp'), NOW_MS);
    expect(copy).toMatch(/\.sqlite\.age$/);
    expect(readFileSync(copy).subarray(0, 14).toString()).toBe('age-encryption');
    const target = join(folder, 'there.sqlite');
    await expect(restore(copy, target, null, NOW_MS)).rejects.toThrow(/NERVATO_BACKUP_PASSPHRASE/);
    await expect(restore(copy, target, 'tide and rope', NOW_MS)).rejects.toThrow(/does not open/);
    await restore(copy, target, 'tide and lamp', NOW_MS);
    expect(detailsIn(target)).toEqual(['{"first":1}']);
  });

  it('is refused where it is not what it was, cut short, no database, or not there; what is there stays', async () => {
    const { folder, file } = await practice();
    const copy = await backUp(file, to(folder), NOW_MS);
    const target = join(folder, 'there.sqlite');
    await restore(copy, target, null, NOW_MS);
    const before = readFileSync(target);
    truncateSync(copy, 20_000);
    await expect(restore(copy, target, null, NOW_MS)).rejects.toThrow(/SHA-256 differs/);
    rmSync(`${copy}.sha256`);
    await expect(restore(copy, target, null, NOW_MS)).rejects.toThrow(Unusable);
    const letter = join(folder, 'letter.sqlite');
    writeFileSync(letter, 'Dear practice, this is a letter and no database.'.repeat(40));
    await expect(restore(letter, target, null, NOW_MS)).rejects.toThrow(/no database of Nervato/);
    await expect(restore(join(folder, 'nothing'), target, null, NOW_MS)).rejects.toThrow(/not there/);
    expect(readFileSync(target).equals(before)).toBe(true);
    expect(readdirSync(folder).filter((name) => name.includes('restoring'))).toEqual([]);
  });

  it('keeps the newest of its kind', async () => {
    const { folder, file } = await practice();
    const backups = join(folder, 'backups');
    for (const hours of [0, 1, 2, 3]) await backUp(file, to(backups), NOW_MS + hours * 3_600_000);
    await backUp(file, { ...to(backups), of: 'before-009' }, NOW_MS);
    await keepNewest(backups, 'practice', 2);
    const left = await backupsIn(backups, 'practice');
    // The name of the folder is drawn by lot, and may have such letters too.
    expect(left.map((one) => /T(\d{2})/.exec(basename(one))?.[1])).toEqual(['12', '11']);
    expect(await backupsIn(backups, 'before-009')).toHaveLength(1);
    expect(readdirSync(backups)).toHaveLength(6);
    expect(await backupsIn(join(folder, 'none'), 'practice')).toEqual([]);
    await expect(backUp(join(folder, 'none'), to(backups), NOW_MS)).rejects.toThrow(/nothing to back up/);
  });

  it('is as often as the environment says, once a day where it says nothing', () => {
    expect(backupPlan({})).toBeNull();
    expect(backupPlan({ NERVATO_BACKUPS: '/b' })).toEqual({
      folder: '/b',
      everyHours: 24,
      keep: 14,
    });
    const asked = { NERVATO_BACKUPS: '/b', NERVATO_BACKUP_HOURS: '6', NERVATO_BACKUP_KEEP: 'x' };
    expect(backupPlan(asked)).toMatchObject({ everyHours: 6, keep: 14 });
  });

  it('is whole whenever its maker is killed: what has the name of one can be restored', async () => {
    const { folder, file } = await practice();
    const backups = join(folder, 'backups');
    for (let turns = 1; turns <= attackRuns(2); turns += 1) {
      const maker = spawn(
        process.execPath,
        ['--import', 'tsx', join(import.meta.dirname, 'backing-up.fixture.ts'), file, backups],
        {
          stdio: ['ignore', 'pipe', 'inherit'],
        },
      );
      await new Promise<void>((done) => {
        maker.stdout.on('data', (text) => String(text).includes(`written ${turns}`) && done());
      });
      const ended = new Promise((done) => maker.once('exit', done));
      maker.kill('SIGKILL');
      await ended;
    }
    const made = await backupsIn(backups, 'practice');
    expect(made.length).toBeGreaterThanOrEqual(3);
    const target = join(folder, 'there.sqlite');
    const counts: number[] = [];
    for (const copy of [...made].reverse()) {
      await restore(copy, target, null, counts.length);
      counts.push(detailsIn(target).length);
    }
    // Each has all that was there when it was made.
    expect(counts).toEqual([...counts].sort((a, b) => a - b));
    expect(lookInto(file)).toBe('current');
  });
});

describe('a file that is opened', () => {
  const open = (file: string, backups: string) => {
    vi.stubEnv('NERVATO_DB', file);
    vi.stubEnv('NERVATO_BACKUPS', backups);
    onTestFinished(() => void vi.unstubAllEnvs());
    return openFile();
  };

  it('of an earlier release is backed up before it is brought to this one', async () => {
    const folder = newFolder();
    const file = join(folder, 'old.sqlite');
    const old = gunzipSync(readFileSync(join(import.meta.dirname, '../db/old/after-003.sqlite.gz')));
    writeFileSync(file, old);
    const orm = await open(file, join(folder, 'backups'));
    await orm.close();
    const [copy] = readdirSync(join(folder, 'backups'));
    expect(copy).toMatch(/^nervato-before-.*\.sqlite$/);
    expect(lookInto(join(folder, 'backups', copy ?? ''))).toBe('older');
    expect(lookInto(file)).toBe('current');
    await (await open(file, join(folder, 'backups'))).close();
    expect(readdirSync(join(folder, 'backups'))).toHaveLength(2);
  });

  it('is not created where a restore was cut short, nor in a folder that cannot be written to', async () => {
    const folder = newFolder();
    const file = join(folder, 'practice.sqlite');
    writeFileSync(`${file}.before-restore-1772442000000`, 'what stood there');
    await expect(open(file, join(folder, 'backups'))).rejects.toThrow(/a restore was cut short/);
    expect(readdirSync(folder)).toEqual(['practice.sqlite.before-restore-1772442000000']);
    const taken = join(folder, 'a-file');
    writeFileSync(taken, '');
    await expect(open(join(taken, 'practice.sqlite'), folder)).rejects.toThrow(/cannot be written to/);
  });

  it('of a newer release, or damaged, stops the start with what to do', async () => {
    const folder = newFolder();
    const file = join(folder, 'practice.sqlite');
    expect(lookInto(file)).toBe('missing');
    await (await open(file, folder)).close();
    const database = new Database(file);
    database.prepare("insert into mikro_orm_migrations (name) values ('999-later')").run();
    database.pragma('wal_checkpoint(truncate)');
    database.close();
    await expect(open(file, folder)).rejects.toThrow(/newer release \(999-later\).*npm run restore/);
    const bytes = readFileSync(file);
    bytes.fill(0xff, 8_192, 40_000);
    writeFileSync(file, bytes);
    await expect(open(file, folder)).rejects.toThrow(/damaged.*npm run restore/);
    writeFileSync(file, '');
    expect(lookInto(file)).toBe('empty');
  });
});

describe('a file in use', () => {
  it('is not opened twice, nor restored over, but read and backed up; it is free again once it is closed', async () => {
    const folder = newFolder();
    const file = join(folder, 'practice.sqlite');
    vi.stubEnv('NERVATO_DB', file);
    onTestFinished(() => {
      vi.unstubAllEnvs();
    });
    const first = await openFile();
    await expect(openFile()).rejects.toThrow(/in use by another Nervato\. Stop that one first/);
    const copy = await backUp(file, to(join(folder, 'backups')), NOW_MS);
    await expect(restore(copy, file, null, NOW_MS)).rejects.toThrow(Unusable);
    await first.close();
    await restore(copy, file, null, NOW_MS);
    await (await openFile()).close();
  });

  it('is free again when the process that held it was killed', async () => {
    const file = join(newFolder(), 'practice.sqlite');
    const script = `import('${import.meta.dirname}/alone.ts').then(({ holdAlone }) => { holdAlone(${JSON.stringify(file)}); console.log('held'); setInterval(() => {}, 1000); })`;
    const child = spawn(process.execPath, ['--import', 'tsx', '-e', script], {
      stdio: ['ignore', 'pipe', 'inherit'],
    });
    await new Promise((held) => child.stdout.once('data', held));
    expect(() => holdAlone(file)).toThrow(Unusable);
    await new Promise((gone) => {
      child.once('exit', gone);
      child.kill('SIGKILL');
    });
    holdAlone(file)();
  });
});
