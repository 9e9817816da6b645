import { p } from '@mikro-orm/core';
import { defineRecord } from './define';

/** The key that this site signs exported practices with. */
export const siteKeyRecord = defineRecord({
  name: 'SiteKey',
  table: 'site_key',
  of: 'site',
  properties: {
    id: p.integer().primary(),
    privateKey: p.string(),
  },
  checks: ['id = 1'],
});
