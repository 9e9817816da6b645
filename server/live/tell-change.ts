import type { Context } from 'hono';
import type { ClientRecord } from '#contract/client';
import type { Env } from '../context';
import { lineOf, readClient } from '../db/client-facts';

/** Sends every device that the practice, and so every line of the roster, may be another one now. */
export function tellPractice(c: Context<Env>): void {
  c.var.lines.clear();
  c.var.feed.publish({ said: 'practice' });
}

/** Reads a person again after a write and sends every device their new line of the roster. */
export async function tellChange(c: Context<Env>, clientId: string, added = false): Promise<ClientRecord> {
  const record = await readClient(c.var.em, clientId, c.var.nowMs);
  const line = lineOf(record);
  c.var.lines.put(line, c.var.nowMs);
  c.var.feed.publish({ said: 'client', line, asOf: record.asOf, added });
  return record;
}
