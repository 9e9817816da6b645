import { randomInt } from 'node:crypto';
import { serveStatic } from '@hono/node-server/serve-static';
import type { MikroORM } from '@mikro-orm/libsql';
import { Hono } from 'hono';
import { bodyLimit } from 'hono/body-limit';
import { compress } from 'hono/compress';
import { createMiddleware } from 'hono/factory';
import { secureHeaders } from 'hono/secure-headers';
import type { Logger } from 'pino';
import { RULES } from '#core/rules/catalogue';
import { knownHost } from './access/known-host';
import { withPractitioner } from './access/practitioner';
import type { Env } from './context';
import { DeviceHub } from './devices/device-hub';
import { Feed } from './live/feed';
import { Lines } from './live/lines';
import type { Print } from './print';
import { answerProblem, notFound, Problem } from './problem';
import { archiveRoutes } from './routes/archive';
import { blockRoutes } from './routes/blocks';
import { calendarRoutes } from './routes/calendar';
import { clientRoutes } from './routes/clients';
import { clockRoutes, type MoveClock } from './routes/clock';
import { coursePlanRoutes } from './routes/course-plans';
import { deviceRoutes } from './routes/devices';
import { feedRoutes } from './routes/feed';
import { historyRoutes } from './routes/history';
import { occlusionPressureRoutes } from './routes/occlusion-pressures';
import { outcomeRoutes } from './routes/outcomes';
import { practiceRoutes } from './routes/practice';
import { practiceAttemptRoutes } from './routes/practice-attempts';
import { prescriptionRoutes } from './routes/prescriptions';
import { sessionRoutes } from './routes/sessions';
import { tableRoutes } from './routes/tables';
import { isStorable } from './storable';

export type AppOptions = {
  orm: MikroORM;
  /** Wall clock in ms, so that tests can set the day. */
  now: () => number;
  log: Logger;
  /** Prints pages of this server; left out where nothing can. */
  print?: Print | null;
  /** Draws what nobody is to choose, so that tests and the demonstration can: from 0 up to 2^31. */
  draw?: () => number;
  /** Moves that clock on by whole days, in a demonstration only. */
  moveClock?: MoveClock;
  /** How far ahead of the server's clock an event may be (rule RUN-9). */
  aheadMs?: number;
  /** What is told to devices, and lines of the roster as they were worked out; shared with whoever else changes the database. */
  feed?: Feed;
  lines?: Lines;
  /** Names this server may be asked by beside localhost and figures. */
  hosts?: readonly string[];
  /** Folder of the built interface; left out where another server shows it. */
  webRoot?: string;
};

/** Typed routes under /api; the web client takes its types from here. */
const apiRoutes = (now: () => number, aheadMs: number, moveClock: MoveClock | undefined) =>
  new Hono<Env>()
    .get('/health', (c) => c.json({ ok: true }))
    .route('/clock', clockRoutes(now, moveClock))
    .route('/practice', practiceRoutes)
    .route('/clients', clientRoutes)
    .route('/clients', occlusionPressureRoutes)
    .route('/clients', prescriptionRoutes)
    .route('/clients', blockRoutes)
    .route('/clients', coursePlanRoutes)
    .route('/clients', historyRoutes)
    .route('/clients', outcomeRoutes)
    .route('/sessions', sessionRoutes(aheadMs))
    .route('/feed', feedRoutes)
    .route('/archive', archiveRoutes)
    .route('/calendar', calendarRoutes)
    .route('/tables', tableRoutes(aheadMs))
    .route('/practice-attempts', practiceAttemptRoutes)
    .route('/devices', deviceRoutes(new DeviceHub(), now));

export type AppType = ReturnType<typeof apiRoutes>;

const USUAL_AHEAD_MS = RULES['RUN-9'].figures.afterReceiptMs;
const WHOLE_FILES = /^\/api\/(archive|tables)(\/|$)/;
const MOST_BYTES = 2 * 1024 * 1024;

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
}: AppOptions): Hono<Env> {
  const app = new Hono<Env>();
  app.use(withSecureHeaders);
  app.use('*', knownHost(hosts));
  app.use('/api/*', keepNoCopies);
  app.use('/api/*', compressLong);
  app.use('/api/*', limitBody);
  app.use('/api/*', refuseUnstorable);
  app.use('/api/*', async (c, next) => {
    c.set('em', orm.em.fork());
    c.set('nowMs', now());
    c.set('draw', draw);
    c.set('print', print);
    c.set('feed', feed);
    c.set('lines', lines);
    await next();
  });
  app.use('/api/*', withPractitioner());
  app.route('/api', apiRoutes(now, aheadMs, moveClock));
  app.all('/api/*', () => {
    throw notFound('This address');
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
  app.onError((error, c) => {
    if (error instanceof Problem) return answerProblem(c, error);
    if (error instanceof SyntaxError || error.message.includes('Malformed JSON')) {
      return answerProblem(c, new Problem(400, 'Not JSON', 'The request body is not valid JSON.'));
    }
    log.error({ err: error, path: c.req.path }, 'request failed');
    return answerProblem(
      c,
      new Problem(
        500,
        'Something broke here',
        'Nothing was stored. Try again; if it stays, see the server log.',
      ),
    );
  });
  return app;
}

const secureAnswer = secureHeaders({
  contentSecurityPolicy: {
    defaultSrc: ["'self'"],
    scriptSrc: ["'self'"],
    styleSrc: ["'self'", "'unsafe-inline'"],
    imgSrc: ["'self'", 'data:'],
    fontSrc: ["'self'"],
    frameAncestors: ["'none'"],
  },
});

/**
 * What a page may do is said with the page; a script or a font asks for no more than to be taken as what it is. A first view
 * has some forty of them, and headers are not compressed.
 */
const withSecureHeaders = createMiddleware<Env>(async (c, next) => {
  if (!c.req.path.startsWith('/assets/')) return secureAnswer(c, next);
  await next();
  c.header('X-Content-Type-Options', 'nosniff');
  c.header('Cross-Origin-Resource-Policy', 'same-origin');
});

const SHORT_ANSWERS = /\/(events|health|clock)$/;
const compressAnswer = compress();

/** Streams are left as they are, which the package knows by their type; so are answers of a few bytes, which are asked often. */
const compressLong = createMiddleware<Env>((c, next) =>
  SHORT_ANSWERS.test(c.req.path) ? next() : compressAnswer(c, next),
);

const limitStream = bodyLimit({ maxSize: MOST_BYTES, onError: (c) => answerProblem(c, tooLarge) });

/** A body that says how long it is is refused or read as a whole; only one that does not is counted as it streams in. */
const limitBody = createMiddleware<Env>(async (c, next) => {
  // Whole files come as a stream, which who reads it bounds.
  if (WHOLE_FILES.test(c.req.path)) return next();
  const length = c.req.header('content-length');
  if (length === undefined || c.req.header('transfer-encoding') !== undefined) return limitStream(c, next);
  if (Number(length) > MOST_BYTES) return answerProblem(c, tooLarge);
  await next();
});

/** Records are not left in the caches of browsers and of what stands between. */
const keepNoCopies = createMiddleware<Env>(async (c, next) => {
  await next();
  if (!c.res.headers.has('cache-control')) c.res.headers.set('cache-control', 'no-store');
});

/** No text that cannot be stored as it is comes further than here. */
const refuseUnstorable = createMiddleware<Env>(async (c, next) => {
  if (c.req.method === 'POST' && !WHOLE_FILES.test(c.req.path) && !isStorable(await c.req.text())) {
    throw new Problem(
      400,
      'Letters that are none',
      'A text has a character that cannot be stored (U+0000, or half of a letter). Take it out, or type the text again.',
    );
  }
  await next();
});

const tooLarge = new Problem(413, 'Too large', `A request is at most ${MOST_BYTES / 1024 / 1024} MB.`);
