import { existsSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { serve } from '@hono/node-server';
import type { MikroORM } from '@mikro-orm/libsql';
import getPort from 'get-port';
import { pino } from 'pino';
import { anyAccount } from './access/accounts';
import { madePassphrase } from './access/made-passphrase';
import { createApp } from './app';
import { backupPlan, scheduleBackups } from './backup/schedule';
import { checkpoint } from './db/check';
import { withStatements } from './db/dialect/connection';
import { type LineToHere, lineToHere } from './line-to-here';
import { Feed } from './live/feed';
import { Lines } from './live/lines';
import { practiceClock } from './practice-clock';
import { chromiumPrint } from './print';
import type { DemoAccount } from './routes/sign-in';

const USUAL_PORT = 4310;
/** As many words of the kind passphrases are made of as cannot be guessed before the first start. */
const FIRST_WORDS = 4;

/** Sends every device that the practice is another one now: called by what changes the database outside the routes. */
export type TellChanged = () => void;

type How = {
  /** Lets its clock be moved on, so that one can live through weeks. */
  isDemo?: boolean;
  demoAccounts?: DemoAccount[];
};

/**
 * Serves a database by what the environment says (README), and says where; ends with the process’s signals.
 */
export async function serveDatabase(orm: MikroORM, how: How = {}): Promise<TellChanged> {
  // An asked-for port is taken as it is, so a restart comes back at the same address; the usual one may be busy.
  const port = process.env.NERVATO_PORT
    ? Number(process.env.NERVATO_PORT)
    : await getPort({ port: USUAL_PORT });
  const line = lineToHere(process.env);
  const { app, log, firstWord, tellChanged } = await practiceApp(orm, { ...how, line, port });
  const needsFirst = !(await withStatements(orm.em.fork(), anyAccount));
  const server = serve({ fetch: app.fetch, port, hostname: line.hostname, ...line.tls }, (info) => {
    console.log(`Nervato is at ${line.scheme}://localhost:${info.port}`);
    if (needsFirst) console.log(`There is no account yet. The four words for the first start: ${firstWord}`);
  });
  const backups = backupPlan(process.env);
  const program = join(dirname(process.argv[1] ?? ''), 'backup.js');
  if (backups && !how.isDemo && existsSync(program)) scheduleBackups(program, backups, log);
  for (const signal of ['SIGINT', 'SIGTERM'] as const) {
    process.on(signal, () => {
      server.close(() => void stop(orm).then(() => process.exit(0)));
      setTimeout(() => process.exit(0), 2_000).unref();
    });
  }
  return tellChanged;
}

/** The application over a database, with the clock, the log and the printer that the environment says. */
export async function practiceApp(
  orm: MikroORM,
  { isDemo = false, demoAccounts = [], line, port }: How & { line: LineToHere; port: number },
) {
  const log = pino(
    { level: process.env.NERVATO_LOG_LEVEL ?? 'info' },
    pino.destination({ dest: 2, sync: true }),
  );
  const webRoot = process.env.NERVATO_WEB_ROOT;
  const aheadMs = process.env.NERVATO_CLOCK_AHEAD_MS;
  const [feed, lines] = [new Feed(), new Lines()];
  const tellChanged: TellChanged = () => {
    lines.clear();
    feed.publish({ said: 'practice' });
  };
  const clock = await practiceClock(orm, Date.now, tellChanged);
  const firstWord = madePassphrase().split(' ').slice(0, FIRST_WORDS).join(' ');
  const app = createApp({
    orm,
    hosts: line.hosts,
    trustsProxy: line.trustsProxy,
    firstWord,
    demoAccounts,
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
            `${line.scheme}://127.0.0.1:${port}`,
          ),
        }
      : {}),
    ...(aheadMs ? { aheadMs: Number(aheadMs) } : {}),
  });
  return { app, log, firstWord, tellChanged };
}

/** All that was written is in the one file when the server has ended. */
async function stop(orm: MikroORM): Promise<void> {
  await withStatements(orm.em.fork(), checkpoint).catch(() => {});
  await orm.close();
}
