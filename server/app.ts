import { randomBytes, randomInt } from 'node:crypto';
import { serveStatic } from '@hono/node-server/serve-static';
import type { MikroORM } from '@mikro-orm/libsql';
import { type Context, Hono } from 'hono';
import { HTTPException } from 'hono/http-exception';
import { requestId } from 'hono/request-id';
import type { Logger } from 'pino';
import { msg } from '#core/message';
import { RULES } from '#core/rules';
import { knownHost } from './access/known-host';
import { Looks } from './access/looks';
import { asAllowed } from './access/practitioner';
import { routeOf } from './access/route-of';
import { SignIns } from './access/sign-ins';
import type { Env } from './context';
import { writeAudit } from './db/audit';
import { inTransaction, renewConnection } from './db/dialect/connection';
import { DeviceHub } from './devices/device-hub';
import { compressLong, keepNoCopies, limitBody, refuseUnstorable, withSecureHeaders } from './edge';
import { limitRequests, limitSignIns } from './limits';
import { Feed } from './live/feed';
import { Lines } from './live/lines';
import type { Print } from './print';
import { PrintTickets } from './print-tickets';
import { answerProblem, notFound, Problem } from './problem';
import { Requests } from './requests';
import { accountRoutes } from './routes/accounts';
import { archiveRoutes } from './routes/archive';
import { attachmentRoutes } from './routes/attachments';
import { auditRoutes } from './routes/audit';
import { blockRoutes } from './routes/blocks';
import { calendarRoutes } from './routes/calendar';
import { clientRoutes } from './routes/clients';
import { clockRoutes, type MoveClock } from './routes/clock';
import { correctionRoutes } from './routes/corrections';
import { coursePlanRoutes } from './routes/course-plans';
import { deviceRoutes } from './routes/devices';
import { feedRoutes } from './routes/feed';
import { handoverRoutes } from './routes/handover';
import { healthRoutes } from './routes/health';
import { historyRoutes } from './routes/history';
import { homeRoutes } from './routes/home';
import { homeLinkRoutes } from './routes/home-links';
import { meRoutes } from './routes/me';
import { occlusionPressureRoutes } from './routes/occlusion-pressures';
import { outcomeRoutes } from './routes/outcomes';
import { practiceRoutes } from './routes/practice';
import { practiceAttemptRoutes } from './routes/practice-attempts';
import { prescriptionRoutes } from './routes/prescriptions';
import { printRoutes } from './routes/print';
import { sessionAttemptRoutes } from './routes/session-attempts';
import { sessionRoutes } from './routes/sessions';
import { type DemoAccount, signInRoutes, signOutRoutes } from './routes/sign-in';
import { tableRoutes } from './routes/tables';
import { visitNoteRoutes } from './routes/visit-notes';
import { forTheLog, troubleOf } from './trouble';

export type AppOptions = {
  orm: MikroORM;
  /** The practice's clock in ms since 1970. */
  now: Now;
  log: Logger;
  /** Prints pages of this server; left out where nothing can. */
  print?: Print | null;
  /** Draws what must not be chosen, so that tests and the demonstration can: from 0 up to 2^31. */
  draw?: () => number;
  /** Moves that clock on by whole days, in a demonstration only. */
  moveClock?: MoveClock;
  /** How far ahead of the server's clock an event may be (rule RUN-9). */
  aheadMs?: number;
  /** What is sent to devices, and lines of the roster as they were worked out; shared with everything else that changes the database. */
  feed?: Feed;
  lines?: Lines;
  /** Names this server may be asked by beside localhost and figures. */
  hosts?: readonly string[];
  /** What the terminal shows at a first start; who types it owns the practice. */
  firstWord?: string;
  /** Who may sign in to a demonstration, shown on its sign-in page. */
  demoAccounts?: DemoAccount[];
  /** Whether what a proxy says of a request is believed. */
  trustsProxy?: boolean;
  /** Real time in ms, by which sign-ins end; a demonstration does not move it. */
  realNow?: () => number;
  /** Folder of the built interface; left out where another server shows it. */
  webRoot?: string;
};

type Now = () => number | Promise<number>;

/** Typed routes under /api; the web client takes its types from here. */
const apiRoutes = (
  now: Now,
  aheadMs: number,
  moveClock: MoveClock | undefined,
  firstWord: string,
  demoAccounts: DemoAccount[],
  requests: Requests,
) =>
  new Hono<Env>()
    .route('/health', healthRoutes(requests))
    .route('/sign-in', signInRoutes(firstWord, demoAccounts))
    .route('/sign-out', signOutRoutes)
    .route('/me', meRoutes())
    .route('/accounts', accountRoutes)
    .route('/audit', auditRoutes)
    .route('/print', printRoutes)
    .route('/clock', clockRoutes(now, moveClock))
    .route('/practice', practiceRoutes)
    // Before a person's own address: “notes” is no id.
    .route('/clients', visitNoteRoutes)
    .route('/clients', attachmentRoutes)
    .route('/clients', clientRoutes)
    .route('/clients', occlusionPressureRoutes)
    .route('/clients', prescriptionRoutes)
    .route('/clients', blockRoutes)
    .route('/clients', coursePlanRoutes)
    .route('/clients', historyRoutes)
    .route('/clients', outcomeRoutes)
    .route('/clients', correctionRoutes)
    .route('/clients', homeLinkRoutes)
    .route('/home', homeRoutes(aheadMs))
    .route('/sessions', sessionRoutes(aheadMs))
    .route('/handover', handoverRoutes)
    .route('/feed', feedRoutes)
    .route('/archive', archiveRoutes)
    .route('/calendar', calendarRoutes)
    .route('/tables', tableRoutes(aheadMs))
    .route('/practice-attempts', practiceAttemptRoutes)
    .route('/session-attempts', sessionAttemptRoutes)
    .route('/devices', deviceRoutes(new DeviceHub(), now));

export type AppType = ReturnType<typeof apiRoutes>;

const USUAL_AHEAD_MS = RULES['RUN-9'].figures.afterReceiptMs;

/** The whole HTTP application over one database. */
export function createApp({
  orm,
  now,
  log,
  webRoot,
  hosts = [],
  moveClock,
  print = null,
  draw = () => randomInt(2 ** 31),
  aheadMs = USUAL_AHEAD_MS,
  feed = new Feed(),
  lines = new Lines(),
  firstWord = randomBytes(16).toString('hex'),
  demoAccounts = [],
  trustsProxy = false,
  realNow = Date.now,
}: AppOptions): Hono<Env> {
  const app = new Hono<Env>();
  const signIns = new SignIns(realNow);
  const looks = new Looks(() => orm.em.fork());
  const tickets = new PrintTickets();
  const requests = new Requests(log);
  app.use(withSecureHeaders);
  app.use('*', knownHost(hosts));
  app.use('/api/*', requestId());
  app.use('/api/*', requests.note);
  app.use('/api/*', keepNoCopies);
  app.use('/api/*', compressLong);
  app.use('/api/*', limitBody);
  app.use('/api/*', refuseUnstorable);
  app.use('/api/*', async (c, next) => {
    c.set('em', orm.em.fork());
    c.set('nowMs', await now());
    c.set('draw', draw);
    c.set('print', print);
    c.set('feed', feed);
    c.set('lines', lines);
    c.set('signIns', signIns);
    c.set('tickets', tickets);
    c.set('trustsProxy', trustsProxy);
    await next();
  });
  app.use('/api/*', limitRequests);
  app.use('/api/sign-in/*', limitSignIns);
  app.use('/api/*', asAllowed);
  app.use('/api/*', looks.note);
  app.route('/api', apiRoutes(now, aheadMs, moveClock, firstWord, demoAccounts, requests));
  app.all('/api/*', () => {
    throw notFound(msg('This address'));
  });
  if (webRoot) {
    // Built files carry a digest of their content in their names: what was fetched once never changes.
    app.use('/assets/*', async (c, next) => {
      await next();
      if (c.res.ok) c.header('Cache-Control', 'public, max-age=31536000, immutable');
    });
    app.use('*', serveStatic({ root: webRoot, precompressed: true }));
    app.get('/assets/*', (c) => c.notFound());
    app.get('*', serveStatic({ root: webRoot, path: 'index.html', precompressed: true }));
  }
  app.onError(async (error, c) => {
    if (error instanceof Problem) {
      await noteRefusal(c, orm, error);
      return answerProblem(c, error);
    }
    // What the validator throws of a body that is no JSON.
    if (error instanceof SyntaxError || (error instanceof HTTPException && error.status === 400)) {
      return answerProblem(c, new Problem(400, msg('Not JSON'), msg('The request body is not valid JSON.')));
    }
    const trouble = troubleOf(error);
    log.error(
      { request: c.get('requestId'), route: routeOf(c), failed: forTheLog(error) },
      trouble ? 'the machine is in trouble' : 'request failed',
    );
    await renewConnection(orm.em.fork()).catch(() => {});
    if (trouble) return answerProblem(c, trouble);
    return answerProblem(
      c,
      new Problem(
        500,
        msg('Something broke here'),
        msg('Nothing was stored. Try again; if it stays, see the server log.'),
      ),
    );
  });
  return app;
}

/** What was refused by a rule or for lack of a permission is in the audit. */
async function noteRefusal(
  c: Context<Env>,
  orm: MikroORM,
  { status, title, errors }: Problem,
): Promise<void> {
  const practitioner = c.get('practitioner');
  const rules = errors.flatMap(({ rule }) => rule ?? []);
  if (!practitioner || (status !== 403 && rules.length === 0)) return;
  const detail = {
    asked: `${c.req.method} ${c.req.path}`,
    title,
    rules,
  };
  await inTransaction(orm.em.fork(), (prepare) =>
    writeAudit(
      prepare,
      { action: 'refused', subject: c.req.param('id') ?? 'practice', detail },
      { practitionerId: practitioner.id, atMs: c.var.nowMs },
    ),
  );
}
