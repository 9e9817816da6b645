import { execFile } from 'node:child_process';
import { promisify } from 'node:util';
import type { Logger } from 'pino';
import { backupsIn, keepNewest, madeAtMs } from './back-up';

const run = promisify(execFile);

const MS_PER_HOUR = 3_600_000;
const OF = 'practice';

/** What the environment says of backups (README); null where the server makes none. */
export type BackupPlan = {
  folder: string;
  everyHours: number;
  keep: number;
};

export function backupPlan(env: NodeJS.ProcessEnv): BackupPlan | null {
  const folder = env.NERVATO_BACKUPS;
  if (!folder) return null;
  return {
    folder,
    everyHours: positive(env.NERVATO_BACKUP_HOURS, 24),
    keep: positive(env.NERVATO_BACKUP_KEEP, 14),
  };
}

const positive = (text: string | undefined, usual: number): number =>
  Number(text) > 0 ? Number(text) : usual;

/**
 * Backs the practice up now, where the newest backup is too old, and from then on; the oldest beyond what is kept go. In a
 * process of its own: copying a practice of years takes seconds, and no request waits for it.
 * @param program makes a backup by what the environment says (`scripts/backup.ts`, built)
 */
export function scheduleBackups(
  program: string,
  { folder, everyHours, keep }: BackupPlan,
  log: Logger,
): void {
  const back = async () => {
    const [newest] = await backupsIn(folder, OF);
    if (newest && Date.now() - madeAtMs(newest) < everyHours * MS_PER_HOUR) return;
    const { stdout } = await run(process.execPath, [program]);
    await keepNewest(folder, OF, keep);
    log.info(stdout.trim());
  };
  const attempt = () => void back().catch((error) => log.error({ err: error }, 'the backup failed'));
  attempt();
  // Looked at more often than it is made, so that a machine that slept makes up for it.
  setInterval(attempt, Math.min(MS_PER_HOUR, (everyHours * MS_PER_HOUR) / 2)).unref();
}
