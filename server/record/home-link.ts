import { p } from '@mikro-orm/core';
import type { HomeLink } from '#contract/home';
import { msg } from '#core/message';
import type { Prepare } from '../db/dialect/connection';
import { notFound } from '../problem';
import { sha256 } from '../sha256';
import { atMs, clientId, defineRecord, id } from './define';
import { changeRows, keepRow } from './write';

/** A link with which a client trains at home; of its secret only the hash is kept. */
export const homeLinkRecord = defineRecord({
  name: 'HomeLink',
  table: 'home_link',
  of: 'client',
  properties: {
    id: id(),
    clientId: clientId(),
    coursePlanId: p.string(),
    secretSha256: p.string().fieldName('secret_sha256'),
    madeBy: p.string(),
    madeAtMs: atMs(),
    untilMs: atMs(),
    endedAtMs: p.bigint('number').nullable(),
    sessions: p.integer().default(0),
  },
  refers: { coursePlanId: 'course_plan', madeBy: 'person' },
  unique: ['secret_sha256'],
  indexes: ['home_link (client_id, made_at_ms)'],
});

/** A link as it is kept: whose it is, and who stands for what comes by it. */
export type KeptLink = HomeLink & { clientId: string; madeBy: string };

const SELECT = `select id, client_id as "clientId", course_plan_id as "coursePlanId", made_by as "madeBy",
  made_at_ms as "madeAtMs", until_ms as "untilMs", ended_at_ms as "endedAtMs", sessions from home_link`;

export function keepLink(
  prepare: Prepare,
  link: Omit<KeptLink, 'endedAtMs' | 'sessions'>,
  secret: string,
): void {
  keepRow(prepare, homeLinkRecord, { ...link, secretSha256: sha256(secret) });
}

/** Links of a person that are good still, the newest first. */
export const readLinks = (prepare: Prepare, clientId: string, nowMs: number): HomeLink[] =>
  (
    prepare(
      `${SELECT} where client_id = ? and ended_at_ms is null and until_ms > ? order by made_at_ms desc`,
    ).all(clientId, nowMs) as KeptLink[]
  ).map(({ clientId: _client, madeBy: _maker, ...link }) => link);

export function endLink(prepare: Prepare, clientId: string, id: string, nowMs: number): void {
  const ended = changeRows(prepare, homeLinkRecord, { id, clientId, endedAtMs: null }, { endedAtMs: nowMs });
  if (ended === 0) throw notFound(msg('This link'));
}

/** The link of a secret, ended and outdated ones too. @throws Problem 404 for an unknown secret */
export function findLink(prepare: Prepare, secret: string): KeptLink {
  const link = prepare(`${SELECT} where secret_sha256 = ?`).get(sha256(secret)) as KeptLink | undefined;
  if (!link) throw notFound(msg('This link'));
  return link;
}

export const countSession = (prepare: Prepare, { id, sessions }: KeptLink): void => {
  changeRows(prepare, homeLinkRecord, { id }, { sessions: sessions + 1 });
};

/** Until when a link is good, in ms. */
export const goodUntilMs = ({ untilMs, endedAtMs }: Pick<HomeLink, 'untilMs' | 'endedAtMs'>): number =>
  Math.min(untilMs, endedAtMs ?? untilMs);
