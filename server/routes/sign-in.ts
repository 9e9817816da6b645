import { randomUUID } from 'node:crypto';
import { Hono } from 'hono';
import type { KitItem } from '#contract/practice';
import {
  type FirstLook,
  type FirstStart,
  firstLookSchema,
  firstStartSchema,
  pinSignInSchema,
  type SignInState,
  signInSchema,
  signOutSchema,
} from '#contract/sign-in';
import { STARTING_KIT } from '#core/kit';
import { msg } from '#core/message';
import { SCHOOLS } from '#core/protocol';
import { inEnglish } from '#language/render';
import { anyAccount, openAccount, practitionerOf } from '../access/accounts';
import { letGo, readKept } from '../access/cookies';
import { hashSecret, whyWeak } from '../access/passphrase';
import { onDevice, signIn, signInByPin } from '../access/signing-in';
import type { Env } from '../context';
import { type AuditNote, writeAudit } from '../db/audit';
import { inTransaction, type Prepare, withStatements } from '../db/dialect/connection';
import { Problem } from '../problem';
import { kitRecord } from '../record/kit';
import { practiceRecord } from '../record/practice';
import { practitionerRecord } from '../record/practitioner';
import { findRow, findRows, hasRow } from '../record/read';
import type { SignedIn } from '../record/sign-in';
import { keepRow } from '../record/write';
import { body } from '../validate';

/** An account of the demonstration, as its sign-in page shows it. */
export type DemoAccount = SignInState['demo'][number];

/**
 * Coming in: by name and passphrase, by PIN on a device one has signed in on today, or as the first of a practice.
 * @param firstWord what the terminal shows at a first start: only the owner of the machine can read it
 */
export const signInRoutes = (firstWord: string, demo: DemoAccount[]) =>
  new Hono<Env>()
    .get('/', async (c) => {
      const signedIn = c.get('signedIn');
      const view = await withStatements(c.var.em, (prepare): SignInState => {
        if (!anyAccount(prepare)) return { state: 'first-start', onDevice: [], demo: [] };
        return { state: stateOf(signedIn), onDevice: onDevice(c, prepare), demo };
      });
      return c.json(view);
    })

    .post('/', body(signInSchema), async (c) => {
      await signIn(c, c.req.valid('json'));
      return c.body(null, 204);
    })

    .post('/pin', body(pinSignInSchema), async (c) => {
      const { practitionerId, pin } = c.req.valid('json');
      await signInByPin(c, practitionerId, pin);
      return c.body(null, 204);
    })

    .post('/lock', async (c) => {
      const { em, signIns, signedIn } = c.var;
      await inTransaction(em, (prepare) => signIns.lock(prepare, signedIn));
      return c.body(null, 204);
    })

    .post('/first/look', body(firstLookSchema), async (c) => {
      refuseUnknownWord(c.req.valid('json').word, firstWord);
      return c.json(await withStatements(c.var.em, firstLook));
    })

    .post('/first', body(firstStartSchema), async (c) => {
      const start = c.req.valid('json');
      refuseUnknownWord(start.word, firstWord);
      if (!(start.schoolId in SCHOOLS))
        throw new Problem(400, msg('Something to correct'), msg('Choose a school.'));
      const weak = whyWeak(start.passphrase, [start.name, start.practiceName]);
      if (weak) throw new Problem(422, msg('Not good enough'), weak, [{ path: 'passphrase', message: weak }]);
      const passphraseHash = await hashSecret(start.passphrase);
      const id = await inTransaction(c.var.em, (prepare) => {
        if (anyAccount(prepare)) throw startedAlready();
        keepPractice(prepare, start);
        const practitionerId = practitionerOf(prepare, start.practitioner);
        const { name } = start;
        openAccount(prepare, {
          practitionerId,
          name,
          isOwner: true,
          passphraseHash,
          mustChange: false,
          madeAtMs: c.var.nowMs,
        });
        const note: AuditNote = {
          action: 'account-opened',
          subject: practitionerId,
          detail: { name, isOwner: true },
        };
        writeAudit(prepare, note, { practitionerId, atMs: c.var.nowMs });
        return practitionerId;
      });
      await signIn(c, { name: start.name, passphrase: start.passphrase });
      return c.json({ id }, 201);
    });

function stateOf(signedIn: SignedIn | undefined): SignInState['state'] {
  if (!signedIn) return 'signed-out';
  if (signedIn.isLocked) return 'locked';
  return signedIn.mustChange ? 'must-change' : 'signed-in';
}

function refuseUnknownWord(word: string, firstWord: string): void {
  if (word.trim().toLowerCase() === firstWord) return;
  const message = msg('These are not the words the terminal shows.');
  throw new Problem(403, msg('Not these words'), message, [
    {
      path: 'word',
      message,
      remedy: msg('Read them where Nervato was started; they are new at each start.'),
    },
  ]);
}

/** @throws Problem 409 once there is an account: then there is nothing left to look at */
function firstLook(prepare: Prepare): FirstLook {
  if (anyAccount(prepare)) throw startedAlready();
  const practice = findRow(prepare, practiceRecord, 'all', ['name']);
  const practitioners = findRows(prepare, practitionerRecord, { elsewhere: false }, ['id', 'name', 'role'], {
    order: 'list_order, id',
  });
  return { practiceName: practice?.name ?? null, practitioners };
}

const startedAlready = () =>
  new Problem(409, msg('Started already'), msg('There is an account here already: sign in.'));

/** The practice itself, where there is none yet; one of an earlier release stays as it is. */
function keepPractice(
  prepare: Prepare,
  { practiceName, massUnit, lengthUnit, schoolId, kitIds, kitNames }: FirstStart,
): void {
  if (hasRow(prepare, practiceRecord, 'all')) return;
  keepRow(prepare, practiceRecord, {
    id: 'practice',
    name: practiceName,
    schoolId,
    massUnit,
    lengthUnit,
    phone: '',
    letterhead: '',
    arbitraryUpToMmHg: null,
    keepYears: null,
    stricter: [],
    rungSessions: {},
    places: [],
  });
  for (const { list, item, label } of STARTING_KIT) {
    if (!kitIds.includes(item.id)) continue;
    const id = randomUUID();
    keepRow(prepare, kitRecord, {
      id,
      list,
      item: { ...item, id, label: kitNames[item.id] ?? inEnglish(label) } as KitItem['item'],
      retiredAtMs: null,
    });
  }
}

/** Going: from this device, or from all. */
export const signOutRoutes = new Hono<Env>().post('/', body(signOutSchema), async (c) => {
  const { everywhere } = c.req.valid('json');
  const { em, signIns, signedIn, nowMs } = c.var;
  const { id: practitionerId } = signedIn.practitioner;
  await inTransaction(em, (prepare) => {
    if (everywhere) signIns.endAllOf(prepare, practitionerId);
    else signIns.end(prepare, [signedIn.id]);
    const note: AuditNote = { action: 'signed-out', subject: practitionerId, detail: { everywhere } };
    writeAudit(prepare, note, { practitionerId, atMs: nowMs });
  });
  if (readKept(c, 'nervato') !== undefined) letGo(c, 'nervato');
  return c.body(null, 204);
});
