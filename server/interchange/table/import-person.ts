import { randomUUID } from 'node:crypto';
import { NOTHING_KNOWN } from '#contract/client';
import type { TableRow } from '#contract/table';
import { msg } from '#core/message';
import { isEqual } from '#core/quantity';
import { writeAudit } from '../../db/audit';
import { clientRecord } from '../../record/client';
import { keepClient } from '../../record/commands/keep-client';
import { findRow } from '../../record/read';
import { changeRows } from '../../record/write';
import type { Came } from './keep-once';
import { addByName, type KeepingRows, RefusedCell, refuseToCome, SEVERAL } from './keeping';

/** Keeps a person of a table, or completes what is known of the one who has the name already. @throws RefusedCell */
export function keepPerson({ person, ...said }: TableRow<'people'>, keeping: KeepingRows): Came {
  const { prepare, nowMs, people } = keeping;
  const [known, another] = people.get(person.toLowerCase()) ?? [];
  if (another) throw new RefusedCell('person', SEVERAL({ person }));
  if (said.bornOn !== null) refuseToCome('bornOn', said.bornOn, nowMs);
  if (known) return { did: completeAbout(keeping, known, said) ? 'updated' : 'same', added: [] };
  const id = randomUUID();
  const { story, ...about } = said;
  keepClient(prepare, { id, name: person, story: story ?? '', addedAtMs: nowMs });
  changeRows(prepare, clientRecord, { id }, { about: { ...NOTHING_KNOWN, ...filled(about) } });
  addByName(people, person, id);
  return { did: 'added', added: [{ kind: 'client', rowId: id }] };
}

/** What a table says of a person, but for what it leaves empty. */
const filled = <T extends object>(said: T): Partial<{ [K in keyof T]: NonNullable<T[K]> }> =>
  Object.fromEntries(Object.entries(said).filter(([, value]) => value !== null)) as never;

/** Adds what a table says of a person who is here. @returns whether that changes anything */
function completeAbout(
  { prepare, practitionerId, nowMs }: KeepingRows,
  clientId: string,
  { story, ...said }: Omit<TableRow<'people'>, 'person'>,
): boolean {
  const known = findRow(prepare, clientRecord, { id: clientId }, ['name', 'story', 'about']);
  if (!known) return false;
  if (said.bornOn !== null && known.about.bornOn !== '' && known.about.bornOn !== said.bornOn)
    throw new RefusedCell(
      'bornOn',
      msg('{name} is here with another birth date. Correct one of them, or name this person otherwise.', {
        name: known.name,
      }),
    );
  const now = { story: story ?? known.story, about: { ...known.about, ...filled(said) } };
  if (isEqual(now, { story: known.story, about: known.about })) return false;
  changeRows(prepare, clientRecord, { id: clientId }, now);
  const detail = { from: known, to: now };
  writeAudit(
    prepare,
    { action: 'person-changed', subject: clientId, detail },
    { practitionerId, atMs: nowMs },
  );
  return true;
}
