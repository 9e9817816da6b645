import { createWriteStream } from 'node:fs';
import { writeFile } from 'node:fs/promises';
import { basename } from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import Database from 'libsql';
import { archiveJsonSchema } from '#contract/archive';
import { inEnglish } from '#language/render';
import { lookInto, Unusable } from '#server/backup/database-file';
import { inTransaction } from '#server/db/dialect/connection';
import { databaseFile } from '#server/environment';
import { takeIn } from '#server/interchange/archive/import-archive';
import { LONGEST_LINE, NotAnArchive } from '#server/interchange/archive/read-archive';
import { type SiteKey, siteKey } from '#server/interchange/archive/site-key';
import { writeArchive } from '#server/interchange/archive/write-archive';
import { linesOf } from '#server/interchange/spool';
import { openFile } from '#server/open-file';
import { start } from '#server/start';

// `npm run archive -- out FILE`, `npm run archive -- in FILE [KEY]`: the whole practice as one open file (docs/archive-format.md).
const [what = '', file = '', ...key] = process.argv.slice(2);

/** Who has a shell on the machine may do everything; what comes in is held until a clinician has looked (rule START-3). */
const MACHINE = { role: 'clinician', isOwner: true } as const;

/** The key of a site, whose server may run beside. */
function keyOf(file: string): SiteKey {
  const database = new Database(file);
  try {
    database.pragma('busy_timeout = 5000');
    return database.transaction(() => siteKey((text) => database.prepare(text)))();
  } finally {
    database.close();
  }
}

const COMMANDS: Record<string, () => Promise<string>> = {
  out: async () => {
    // One of an earlier release is brought to this one first; one of this release may be in use.
    if (lookInto(databaseFile()) !== 'current') await (await openFile()).close();
    const { sign, fingerprint } = keyOf(databaseFile());
    await pipeline(
      Readable.from(writeArchive(databaseFile(), { kind: 'practice' }, sign)),
      createWriteStream(file, { mode: 0o600 }),
    );
    return `The practice is in ${file}, signed by ${fingerprint}. Anyone who has it can read it.`;
  },
  in: async () => {
    const orm = await openFile();
    const by = {
      matches: {},
      words: basename(file),
      practitionerId: 'machine',
      doer: MACHINE,
      nowMs: Date.now(),
      movedFrom: key.join(' '),
    };
    try {
      const { people, counts, isMove } = await inTransaction(orm.em.fork(), (prepare) =>
        takeIn(prepare, linesOf(file, LONGEST_LINE), by),
      );
      const added = counts.reduce((sum, count) => sum + count.added, 0);
      const signed = isMove ? 'What was signed there counts here.' : 'Plans are to be signed here.';
      return `Imported: ${people.length} people, ${added} rows that were new. ${signed}`;
    } catch (error) {
      throw error instanceof NotAnArchive
        ? new Unusable(`${inEnglish(error.says)} Nothing was stored.`)
        : error;
    } finally {
      await orm.close();
    }
  },
  schema: async () => {
    await writeFile(file, `${JSON.stringify(archiveJsonSchema(), null, 1)}\n`);
    return `The JSON Schema of a line is in ${file}.`;
  },
};

await start(async () => {
  const command = COMMANDS[what];
  if (!command || file === '')
    throw new Unusable('Say what to do with which file: npm run archive -- out FILE, or: in FILE [KEY]');
  console.log(await command());
});
