import { bodyLimit } from 'hono/body-limit';
import { compress } from 'hono/compress';
import { createMiddleware } from 'hono/factory';
import { secureHeaders } from 'hono/secure-headers';
import { MOST_ATTACHED_BYTES } from '#contract/attachments';
import { msg } from '#core/message';
import type { Env } from './context';
import { answerProblem, Problem } from './problem';
import { isStorable } from './storable';

// What every request meets before its route, and every answer after it: headers, sizes, compression, letters.

const WHOLE_FILES = /^\/api\/(archive|tables)(\/|$)/;
/** Attachments go in and out as files. */
const ATTACHMENTS = /^\/api\/clients\/[^/]+\/attachments(\/|$)/;
const MOST_BYTES = 2 * 1024 * 1024;

const secureAnswer = secureHeaders({
  contentSecurityPolicy: {
    defaultSrc: ["'self'"],
    scriptSrc: ["'self'"],
    styleSrc: ["'self'"],
    imgSrc: ["'self'", 'data:'],
    fontSrc: ["'self'"],
    connectSrc: ["'self'"],
    objectSrc: ["'none'"],
    baseUri: ["'none'"],
    formAction: ["'self'"],
    frameAncestors: ["'none'"],
  },
  // A browser keeps to TLS once it was served by it; over plain HTTP the header says nothing.
  strictTransportSecurity: 'max-age=31536000',
  permissionsPolicy: {
    camera: ['self'],
    microphone: [],
    geolocation: [],
    payment: [],
    usb: [],
  },
});

/** An attachment that is opened by itself runs nothing, sends nothing and asks for nothing. */
const secureAttachment = secureHeaders({
  contentSecurityPolicy: {
    defaultSrc: ["'none'"],
    imgSrc: ["'self'"],
    styleSrc: ["'unsafe-inline'"],
    baseUri: ["'none'"],
    formAction: ["'none'"],
    frameAncestors: ["'none'"],
  },
});

/**
 * What a page may do is said with the page; a script or a font asks for no more than to be taken as what it is. A first view
 * has some forty of them, and headers are not compressed.
 */
export const withSecureHeaders = createMiddleware<Env>(async (c, next) => {
  if (ATTACHMENTS.test(c.req.path)) return secureAttachment(c, next);
  if (!c.req.path.startsWith('/assets/')) return secureAnswer(c, next);
  await next();
  c.header('X-Content-Type-Options', 'nosniff');
  c.header('Cross-Origin-Resource-Policy', 'same-origin');
});

const SHORT_ANSWERS = /\/(events|health|clock)$/;
const compressAnswer = compress();

/** Streams are left as they are, which the package knows by their type; so are answers of a few bytes, which are asked often. */
export const compressLong = createMiddleware<Env>((c, next) =>
  SHORT_ANSWERS.test(c.req.path) ? next() : compressAnswer(c, next),
);

const limitStream = (maxSize: number) =>
  bodyLimit({ maxSize, onError: (c) => answerProblem(c, tooLarge(maxSize)) });
const limitUsual = limitStream(MOST_BYTES);
const limitAttachment = limitStream(MOST_ATTACHED_BYTES);

/** A body that says how long it is is refused or read as a whole; only one that does not is counted as it streams in. */
export const limitBody = createMiddleware<Env>(async (c, next) => {
  // Whole files come as a stream, which who reads it bounds.
  if (WHOLE_FILES.test(c.req.path)) return next();
  const isAttachment = ATTACHMENTS.test(c.req.path);
  const most = isAttachment ? MOST_ATTACHED_BYTES : MOST_BYTES;
  const length = c.req.header('content-length');
  if (length === undefined || c.req.header('transfer-encoding') !== undefined)
    return (isAttachment ? limitAttachment : limitUsual)(c, next);
  if (Number(length) > most) return answerProblem(c, tooLarge(most));
  await next();
});

/** Records are not left in the caches of browsers and of what is between. */
export const keepNoCopies = createMiddleware<Env>(async (c, next) => {
  await next();
  if (!c.res.headers.has('cache-control')) c.res.headers.set('cache-control', 'no-store');
});

const notStorable = new Problem(
  400,
  msg('Letters that are none'),
  msg(
    'A text has a character that cannot be stored (U+0000, or half of a letter). Take it out, or type the text again.',
  ),
);

/** No text that cannot be stored as it is comes further than here, neither in what is sent nor in the address. */
export const refuseUnstorable = createMiddleware<Env>(async (c, next) => {
  if (!isStorableAddress(c.req.url)) throw notStorable;
  const isText = !WHOLE_FILES.test(c.req.path) && !ATTACHMENTS.test(c.req.path);
  if (c.req.method === 'POST' && isText && !isStorable(await c.req.text())) throw notStorable;
  await next();
});

/** Whether an address is made of letters: an id or a search with U+0000 in it would be cut short where it is kept. */
function isStorableAddress(url: string): boolean {
  try {
    return isStorable(decodeURIComponent(url));
  } catch {
    // What does not decode is no text: a half of a letter, or a % by itself.
    return false;
  }
}

const tooLarge = (mostBytes: number) =>
  new Problem(
    413,
    msg('Too large'),
    msg('A request is at most {mostBytes} MB.', { mostBytes: mostBytes / 1024 / 1024 }),
  );
