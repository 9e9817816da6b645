import { randomBytes, randomUUID } from 'node:crypto';
import type { EntityManager } from '@mikro-orm/libsql';
import { type Prepare, withStatements } from '../db/dialect/connection';
import { findRow, findRows } from '../record/read';
import { findSignedIn, readSignedInOn, type SignedIn, signInRecord } from '../record/sign-in';
import { changeRows, keepRow } from '../record/write';
import { sha256 } from '../sha256';
import { troubleOf } from '../trouble';

/** A sign-in that is not used for so long has ended; however it is used, it ends after a long working day. */
export const IDLE_MS = 2 * 3_600_000;

export const LONGEST_MS = 14 * 3_600_000;

/** A practitioner is signed in on so many devices at once; of one more the longest unused ends. */
const MOST_DEVICES = 10;

/** A use is written down at most so often: every request is one. */
const NOTED_EVERY_MS = 60_000;

/**
 * Who is signed in where. What was found once is kept here: every request asks. One process alone has the database, so that
 * no other request changes it.
 */
export class SignIns {
  private readonly known = new Map<string, SignedIn>();
  private readonly leaving = new Map<string, Set<() => void>>();

  /** @param now real time, which a demonstration does not move */
  constructor(readonly now: () => number) {}

  /** Who holds a token; its use is noted. @returns null where it is none, or has ended */
  async find(em: EntityManager, token: string): Promise<SignedIn | null> {
    const hash = sha256(token);
    const found =
      this.known.get(hash) ?? (await withStatements(em, (prepare) => findSignedIn(prepare, hash)));
    if (!found) return null;
    const nowMs = this.now();
    if (hasEnded(found, nowMs)) {
      await withStatements(em, (prepare) => this.end(prepare, [found.id]));
      return null;
    }
    if (nowMs - found.usedAtMs >= NOTED_EVERY_MS) {
      found.usedAtMs = nowMs;
      await withStatements(em, (prepare) =>
        changeRows(prepare, signInRecord, { id: found.id }, { usedAtMs: nowMs }),
      ).catch(unlessTrouble);
    }
    this.known.set(hash, found);
    return found;
  }

  /**
   * Signs a person in on a device; one who was signed in there is locked, and comes back by PIN. One person has one sign-in on a
   * device, under a token that is new each time.
   * @returns the token, which is kept nowhere else
   */
  open(prepare: Prepare, practitionerId: string, deviceSha256: string): string {
    const nowMs = this.now();
    const here = this.onDevice(prepare, deviceSha256);
    const [own, others] = [
      here.filter(({ practitioner }) => practitioner.id === practitionerId),
      here.filter(({ practitioner }) => practitioner.id !== practitionerId),
    ];
    this.end(
      prepare,
      [...own, ...this.longestAgo(prepare, practitionerId)].map(({ id }) => id),
    );
    for (const other of others) this.lock(prepare, other);
    const token = randomBytes(32).toString('base64url');
    keepRow(prepare, signInRecord, {
      id: randomUUID(),
      tokenSha256: sha256(token),
      practitionerId,
      deviceSha256,
      madeAtMs: nowMs,
      usedAtMs: nowMs,
      endedAtMs: null,
    });
    return token;
  }

  /** The sign-ins of a practitioner that one more would be too many of. */
  private longestAgo(prepare: Prepare, practitionerId: string): { id: string }[] {
    return findRows(prepare, signInRecord, { practitionerId, endedAtMs: null }, ['id'], {
      order: 'used_at_ms desc',
    }).slice(MOST_DEVICES - 1);
  }

  /** Signs a person who was locked on this device back in, under a new token; anyone else who is signed in there is locked. */
  unlock(prepare: Prepare, signedIn: SignedIn): string {
    for (const other of this.onDevice(prepare, signedIn.deviceSha256)) {
      if (other.id !== signedIn.id) this.lock(prepare, other);
    }
    const token = randomBytes(32).toString('base64url');
    this.forget(signedIn.tokenSha256);
    changeRows(
      prepare,
      signInRecord,
      { id: signedIn.id },
      { tokenSha256: sha256(token), isLocked: false, pinFailures: 0, usedAtMs: this.now() },
    );
    return token;
  }

  /** Whether a sign-in is still valid. */
  isIn = (signedIn: SignedIn): boolean => !hasEnded(signedIn, this.now());

  lock(prepare: Prepare, signedIn: SignedIn): void {
    changeRows(prepare, signInRecord, { id: signedIn.id }, { isLocked: true });
    this.forget(signedIn.tokenSha256);
  }

  /** Who is signed in on a device and has not ended, longest in first. */
  onDevice(prepare: Prepare, deviceSha256: string): SignedIn[] {
    return readSignedInOn(prepare, deviceSha256).filter((one) => !hasEnded(one, this.now()));
  }

  /** Ends sign-ins: their tokens are worth nothing from now on, and streams opened with them close. */
  end(prepare: Prepare, ids: readonly string[]): void {
    for (const id of ids) {
      const known = findRow(prepare, signInRecord, { id }, ['tokenSha256']);
      if (!known) continue;
      changeRows(prepare, signInRecord, { id }, { endedAtMs: this.now() });
      this.forget(known.tokenSha256);
    }
  }

  /** Ends every sign-in of a practitioner, but for one. */
  endAllOf(prepare: Prepare, practitionerId: string, but?: string): void {
    const rows = findRows(prepare, signInRecord, { practitionerId, endedAtMs: null }, ['id']);
    this.end(
      prepare,
      rows.flatMap(({ id }) => (id === but ? [] : [id])),
    );
  }

  /** Account or role may have changed: they are looked up again. */
  forgetAll(): void {
    this.known.clear();
  }

  /** Has something done when a sign-in ends or is locked: a stream closes. @returns how to leave it */
  whenLeft({ tokenSha256 }: SignedIn, callback: () => void): () => void {
    const callbacks = this.leaving.get(tokenSha256) ?? new Set();
    this.leaving.set(tokenSha256, callbacks.add(callback));
    return () => {
      callbacks.delete(callback);
      if (callbacks.size === 0) this.leaving.delete(tokenSha256);
    };
  }

  /** How many streams a sign-in has open. */
  streamsOf = ({ tokenSha256 }: SignedIn): number => this.leaving.get(tokenSha256)?.size ?? 0;

  private forget(tokenSha256: string): void {
    this.known.delete(tokenSha256);
    for (const callback of this.leaving.get(tokenSha256) ?? []) callback();
  }
}

// A locked one asks for its PIN however long it rests, as long as the day lasts.
const hasEnded = ({ madeAtMs, usedAtMs, isLocked }: SignedIn, nowMs: number): boolean =>
  (!isLocked && nowMs - usedAtMs > IDLE_MS) || nowMs - madeAtMs > LONGEST_MS;

/** Where the disk is full, or another program has the database, a sign-in stays valid. */
function unlessTrouble(error: unknown): void {
  if (!troubleOf(error)) throw error;
}
