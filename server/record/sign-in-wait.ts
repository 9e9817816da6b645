import { p } from '@mikro-orm/core';
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
