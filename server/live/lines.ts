import type { ClientSummary } from '#contract/client';

/** A line says what it said a minute ago at most: what changes by the clock alone changes by the day. */
const KEPT_MS = 60_000;
/** So many people are looked at in a day at most; beyond it all are read again. */
const MOST = 20_000;

/**
 * Lines of the roster as they were last worked out. A write puts the new line of its person here, a change of the practice
 * empties it: one process writes to the database, so nothing changes behind its back.
 */
export class Lines {
  private readonly kept = new Map<string, { line: ClientSummary; atMs: number }>();

  get(clientId: string, nowMs: number): ClientSummary | undefined {
    const known = this.kept.get(clientId);
    return known && Math.abs(nowMs - known.atMs) < KEPT_MS ? known.line : undefined;
  }

  put(line: ClientSummary, nowMs: number): void {
    if (this.kept.size >= MOST) this.kept.clear();
    this.kept.set(line.id, { line, atMs: nowMs });
  }

  clear(): void {
    this.kept.clear();
  }
}
