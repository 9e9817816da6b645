import { type Message, msg } from '#core/message';
import { Problem } from './problem';

/** What the driver calls trouble that is not of the request, what to say of it, and after how many seconds to try again. */
const TROUBLES: { code: RegExp; title: Message; says: Message; againS: number }[] = [
  {
    code: /^SQLITE_FULL/,
    title: msg('The disk is full'),
    says: msg(
      'Nothing was stored: the disk of the server is full. Make room on it; what is on this device waits here.',
    ),
    againS: 30,
  },
  {
    code: /^SQLITE_READONLY/,
    title: msg('The record cannot be written'),
    says: msg(
      'Nothing was stored: the server may only read its database. Give it the right to write the file and its folder.',
    ),
    againS: 30,
  },
  {
    code: /^SQLITE_(BUSY|LOCKED)/,
    title: msg('The record is busy'),
    says: msg('Nothing was stored: another program holds the database. Try again in a moment.'),
    againS: 2,
  },
  {
    code: /^SQLITE_(IOERR|CANTOPEN|PROTOCOL|NOMEM)/,
    title: msg('The disk does not answer'),
    says: msg(
      'Nothing was stored: the disk of the server does not answer. Look at the machine; try again in a moment.',
    ),
    againS: 10,
  },
];

/** The driver's code of a failure, wherever the ORM has wrapped it. */
function codeOf(error: unknown): string {
  for (let at: unknown = error, depth = 0; at instanceof Error && depth < 5; depth += 1) {
    if ('code' in at && typeof at.code === 'string' && at.code.startsWith('SQLITE')) return at.code;
    at = 'previous' in at ? at.previous : at.cause;
  }
  return '';
}

/** What to answer when it is the machine that is in trouble, and not the request; undefined for anything else. */
export function troubleOf(error: unknown): Problem | undefined {
  const code = codeOf(error);
  const trouble = TROUBLES.find((one) => one.code.test(code));
  return (
    trouble && new Problem(503, trouble.title, trouble.says, [], { 'retry-after': String(trouble.againS) })
  );
}

/**
 * A failure as the log may have it: what kind it was and where in the code. Not its words: those of the driver and the ORM hold
 * the statement with its values, and values are people's.
 */
export function forTheLog(error: unknown): { name: string; code: string; at: string[] } {
  const name = error instanceof Error ? error.name : typeof error;
  const stack = error instanceof Error ? (error.stack ?? '').split('\n') : [];
  const at = stack.filter((line) => /^\s+at /.test(line)).map((line) => line.trim());
  return { name, code: codeOf(error), at: at.slice(0, 12) };
}
