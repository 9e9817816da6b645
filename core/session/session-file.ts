import { messageOf } from '../message/issue';
import { type Message, msg } from '../message/message';
import { MessageError } from '../message/message-error';
import type { Plan } from '../plan/plan';
import { isPlan } from '../plan/versions/plan-schema';
import { readPlan } from '../plan/versions/read-plan';
import { type SessionEvent, sessionEventSchema } from './events';
import { fold } from './fold';
import { type Log, mergeLogs } from './log';
import { presentName } from './versions/present-name';

/** A session as it is kept in a file: the plan as it was frozen, and everything that happened; whose it was is not in it. */
export type SessionFile = { sessionId: string; openedAtMs: number; plan: Plan; events: Log };

/** The same to be written, with the release of the app that writes it. */
type Written = Omit<SessionFile, 'events'> & { events: readonly SessionEvent[]; release: string };

const FORMAT = 'nervato-session';
const VERSION = 1;

/** What is wrong with a file, on which of its lines from 1, and how to correct it. */
export class NotASessionFile extends MessageError {
  readonly code = 'not-a-session-file';

  constructor(
    readonly line: number,
    what: Message,
  ) {
    super(msg('Line {line}: {what}', { line, what }));
  }
}

/**
 * A session as text, a JSON value a line: first what it is with its plan, then one event a line in their order
 * (docs/session-file.md). Times are wall-clock ms, pressures mmHg, loads kg.
 */
export const writeSessionFile = ({ release, sessionId, openedAtMs, plan, events }: Written): string =>
  [{ format: FORMAT, version: VERSION, release, sessionId, openedAtMs, plan }, ...mergeLogs(events)]
    .map((line) => `${JSON.stringify(line)}\n`)
    .join('');

/**
 * The session of such a text; it folds to the same record.
 * @throws NotASessionFile with the line and what to do
 */
export function readSessionFile(text: string): SessionFile {
  const lines = text.split('\n').map((line) => line.trim());
  const values = lines.flatMap((line, place) =>
    line === '' ? [] : [{ value: jsonOf(line, place + 1), at: place + 1 }],
  );
  const [first, ...others] = values;
  const { sessionId, openedAtMs, plan } = headOf(first?.value);
  const events = others.map(({ value, at }) => {
    const event = sessionEventSchema.safeParse(presentName(value));
    if (event.success && event.data.sessionId === sessionId) return event.data;
    const issue = event.error?.issues[0];
    throw new NotASessionFile(
      at,
      event.success
        ? msg('this event is of another session. Take it out.')
        : msg('no event of this release ({path}: {why}).', {
            path: issue?.path.join('.') || 'type',
            why: issue ? messageOf(issue) : '',
          }),
    );
  });
  const log = mergeLogs(events);
  try {
    fold(plan, log);
  } catch {
    throw new NotASessionFile(1, msg('the events do not go with this plan: they are of another session.'));
  }
  return { sessionId, openedAtMs, plan, events: log };
}

function jsonOf(line: string, at: number): unknown {
  try {
    return JSON.parse(line);
  } catch {
    throw new NotASessionFile(at, msg('not JSON. Each line is one whole value; the file may be cut short.'));
  }
}

function headOf(value: unknown): Omit<SessionFile, 'events'> {
  const head = (typeof value === 'object' && value !== null ? value : {}) as Record<string, unknown>;
  if (head.format !== FORMAT)
    throw new NotASessionFile(1, msg('not a session written by Nervato. Choose another file.'));
  if (head.version !== VERSION)
    throw new NotASessionFile(
      1,
      msg('written in version {version} of the format, by a newer release. Update this one.', {
        version: String(head.version),
      }),
    );
  const { sessionId, openedAtMs } = head;
  const plan = planOf(head.plan);
  if (typeof sessionId !== 'string' || typeof openedAtMs !== 'number' || !plan)
    throw new NotASessionFile(
      1,
      msg('its session, time or plan is missing. The file may have been changed.'),
    );
  return { sessionId, openedAtMs, plan };
}

const planOf = (stored: unknown): Plan | null => (isPlan(stored) ? readPlan(stored) : null);
