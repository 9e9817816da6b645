import { existsSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { serve } from '@hono/node-server';
import type { MikroORM } from '@mikro-orm/libsql';
import getPort from 'get-port';
import { pino } from 'pino';
import { createApp } from './app';
import { backupPlan, scheduleBackups } from './backup/schedule';
import { Feed } from './live/feed';
import { Lines } from './live/lines';
import { practiceClock } from './practice-clock';
import { chromiumPrint } from './print';

const USUAL_PORT = 4310;

/** Tells every device that the practice is another one now: whoever changes the database beside the routes calls it. */
export type TellChanged = () => void;

/**
 * Serves a database by what the environment says (README), and says where; ends with the process’s signals.
 * @param isDemo lets its clock be moved on, so that one can live through weeks
 */
export async function serveDatabase(orm: MikroORM, { isDemo = false } = {}): Promise<TellChanged> {
  const log = pino(
    { level: process.env.NERVATO_LOG_LEVEL ?? 'info' },
    pino.destination({ dest: 2, sync: true }),
  );
  const clock = await practiceClock(orm);
  const webRoot = process.env.NERVATO_WEB_ROOT;
  const aheadMs = process.env.NERVATO_CLOCK_AHEAD_MS;
  const [feed, lines] = [new Feed(), new Lines()];
  // An asked-for port is taken as it is, so a restart comes back at the same address; the usual one may be busy.
  const port = process.env.NERVATO_PORT
    ? Number(process.env.NERVATO_PORT)
    : await getPort({ port: USUAL_PORT });
  const app = createApp({
    orm,
    hosts: (process.env.NERVATO_ALLOWED_HOSTS ?? '')
      .toLowerCase()
      .split(/[\s,]+/)
      .filter(Boolean),
    feed,
    lines,
    now: clock.now,
    ...(isDemo ? { moveClock: clock.moveOn } : {}),
    log,
    ...(webRoot
      ? {
          webRoot,
          print: chromiumPrint(
            process.env.NERVATO_CHROMIUM ?? '/usr/bin/chromium',
            `http://127.0.0.1:${port}`,
          ),
        }
      : {}),
    ...(aheadMs ? { aheadMs: Number(aheadMs) } : {}),
  });
  const server = serve(
    { fetch: app.fetch, port, hostname: process.env.NERVATO_HOST ?? '127.0.0.1' },
    (info) => {
      console.log(`Nervato is at http://localhost:${info.port}`);
    },
  );
  const backups = backupPlan(process.env);
  const program = join(dirname(process.argv[1] ?? ''), 'backup.js');
  if (backups && !isDemo && existsSync(program)) scheduleBackups(program, backups, log);
  for (const signal of ['SIGINT', 'SIGTERM'] as const) {
    process.on(signal, () => {
      server.close(() => void orm.close().then(() => process.exit(0)));
      setTimeout(() => process.exit(0), 2_000).unref();
    });
  }
  return () => {
    lines.clear();
    feed.publish({ said: 'practice' });
  };
}
