import { p } from '@mikro-orm/core';
import type { HomeLink } from '#contract/home';
import { msg } from '#core/message';
import type { Prepare } from '../db/dialect/connection';
import { notFound } from '../problem';
import { sha256 } from '../sha256';
import { atMs, clientId, defineRecord, id } from './define';
import { findRow, findRows } from './read';
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

const LINK = ['id', 'coursePlanId', 'madeAtMs', 'untilMs', 'endedAtMs', 'sessions'] as const;

export function keepLink(
  prepare: Prepare,
  link: Omit<KeptLink, 'endedAtMs' | 'sessions'>,
  secret: string,
): void {
  keepRow(prepare, homeLinkRecord, { ...link, secretSha256: sha256(secret) });
}

/** Links of a person that are good still, the newest first. */
export const readLinks = (prepare: Prepare, clientId: string, nowMs: number): HomeLink[] =>
  findRows(prepare, homeLinkRecord, { clientId, endedAtMs: null }, LINK, { order: 'made_at_ms desc' }).filter(
    ({ untilMs }) => untilMs > nowMs,
  );

export function endLink(prepare: Prepare, clientId: string, id: string, nowMs: number): void {
  const ended = changeRows(prepare, homeLinkRecord, { id, clientId, endedAtMs: null }, { endedAtMs: nowMs });
  if (ended === 0) throw notFound(msg('This link'));
}

/** The link of a secret, ended and outdated ones too. @throws Problem 404 for an unknown secret */
export function findLink(prepare: Prepare, secret: string): KeptLink {
  const link = findRow(prepare, homeLinkRecord, { secretSha256: sha256(secret) }, [
    ...LINK,
    'clientId',
    'madeBy',
  ]);
  if (!link) throw notFound(msg('This link'));
  return link;
}

export const countSession = (prepare: Prepare, { id, sessions }: KeptLink): void => {
  changeRows(prepare, homeLinkRecord, { id }, { sessions: sessions + 1 });
};

/** Until when a link is good, in ms. */
export const goodUntilMs = ({ untilMs, endedAtMs }: Pick<HomeLink, 'untilMs' | 'endedAtMs'>): number =>
  Math.min(untilMs, endedAtMs ?? untilMs);
