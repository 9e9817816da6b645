import type { Context } from 'hono';
import { createMiddleware } from 'hono/factory';
import { PRACTITIONER_HEADER } from '#contract/header';
import { mayDo, type Permission, whoMay } from '#core/access';
import { msg } from '#core/message';
import type { Env } from '../context';
import { Problem } from '../problem';
import type { SignedIn } from '../record/sign-in';
import { readKept } from './cookies';
import { routeOf } from './route-of';
import { type Asks, ROUTE_ASKS, THOUGH_LOCKED } from './route-permissions';

/** Ways to ask that change nothing. */
export const READS: ReadonlySet<string> = new Set(['GET', 'HEAD', 'OPTIONS']);

/** Finds who is signed in on the device that asks, by its cookie, and lets a request pass where its route lets them. */
export const asAllowed = createMiddleware<Env>(async (c, next) => {
  const token = readKept(c, 'nervato');
  const signedIn = token === undefined ? null : await c.var.signIns.find(c.var.em, token);
  if (signedIn) c.set('signedIn', signedIn);
  const route = routeOf(c);
  const mayNow = signedIn && (!signedIn.isLocked || THOUGH_LOCKED.has(route ?? ''));
  if (mayNow) c.set('practitioner', signedIn.practitioner);
  const asks = asksOf(route);
  if (asks !== 'anyone') refuseNotAllowed(c, signedIn, asks);
  await next();
});

/** @returns the refusal of a locked device */
export const lockedNow = () =>
  new Problem(401, msg('Locked'), msg('This device is locked. Give the PIN, or sign in.'));

/** What the route of a request asks; an address that is none asks for nothing, and is not found. */
function asksOf(route: string | undefined): Asks {
  if (!route) return 'anyone';
  const asks = ROUTE_ASKS[route];
  if (asks === undefined) throw new Error(`${route} does not say who may ask.`);
  return asks;
}

function refuseNotAllowed(c: Context<Env>, signedIn: SignedIn | null, asks: Permission | 'signed-in'): void {
  if (!signedIn)
    throw new Problem(401, msg('Sign in first'), msg('Not signed in here, or it was too long ago. Sign in.'));
  // A page that another person opened, before the device changed hands, writes and reads nothing as who is here now.
  const expected = c.req.header(PRACTITIONER_HEADER);
  if (expected && expected !== signedIn.practitioner.id)
    throw new Problem(
      401,
      msg('Another person is signed in'),
      msg('Another person has signed in on this device. Reload the page.'),
    );
  if (asks === 'signed-in') return;
  if (!c.get('practitioner')) throw lockedNow();
  if (signedIn.mustChange)
    throw new Problem(
      403,
      msg('A passphrase of your own first'),
      msg('The passphrase was given to you: choose one of your own.'),
    );
  requirePermission(signedIn.practitioner, asks);
}

/** Refuses who may not do something, where it depends on what is posted. @throws Problem 403 that says who may */
export function requirePermission(
  practitioner: Env['Variables']['practitioner'],
  permission: Permission,
  path = '',
): void {
  if (mayDo(practitioner, permission)) return;
  const message = whoMay(permission);
  throw new Problem(403, msg('Not for this account'), message, [
    { path, message, remedy: msg('Ask one of them.'), rule: 'SCR-4', level: 'hard' },
  ]);
}
