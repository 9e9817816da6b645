import { p } from '@mikro-orm/core';
import type { Prepare } from '../db/dialect/connection';
import { atMs, defineRecord } from './define';

/** How long a name or an address has to wait after failed sign-ins. */
export const signInWaitRecord = defineRecord({
  name: 'SignInWait',
  table: 'sign_in_wait',
  of: 'site',
  properties: {
    key: p.string().primary(),
    failures: p.integer(),
    untilMs: atMs(),
    lastAtMs: atMs(),
  },
});

/** Forgets waits whose last failure is longer ago. */
export function forgetWaitsBefore(prepare: Prepare, atMs: number): void {
  prepare('delete from sign_in_wait where last_at_ms < ?').run(atMs);
}
