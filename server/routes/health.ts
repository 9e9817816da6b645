import { type Context, Hono } from 'hono';
import { RELEASE } from '#contract/release';
import { msg } from '#core/message';
import { addressOf } from '../access/address';
import { isLoopback } from '../access/loopback';
import type { Env } from '../context';
import { checkChain } from '../db/audit';
import { quickCheck } from '../db/check';
import { inTransaction, withStatements } from '../db/dialect/connection';
import { Problem } from '../problem';
import type { Requests } from '../requests';

/** Whether the server lives; and for programs of this machine, whether all of it is well, and how it is used. */
export const healthRoutes = (requests: Requests) =>
  new Hono<Env>()
    .get('/', (c) => c.json({ ok: true, release: RELEASE }))

    .get('/deep', async (c) => {
      onlyHere(c);
      const whole = await withStatements(c.var.em, quickCheck);
      // A transaction that writes nothing still asks for the right to write.
      await inTransaction(c.var.em, () => undefined);
      const { broken } = await withStatements(c.var.em, checkChain);
      const ok = whole && broken === null;
      return c.json({ ok, database: whole, writes: true, audit: broken === null }, ok ? 200 : 503);
    })

    .get('/metrics', (c) => {
      onlyHere(c);
      return c.text(requests.text());
    });

/** What looks through everything, or says how busy a practice is, is for this machine. */
function onlyHere(c: Context<Env>): void {
  const address = addressOf(c).replace(/^::ffff:/, '');
  if (address === 'here' || isLoopback(address)) return;
  throw new Problem(
    403,
    msg('Not from there'),
    msg('This is for programs on the server’s own machine only.'),
  );
}
