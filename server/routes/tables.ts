import { type Context, Hono } from 'hono';
import { type TableAnswer, takingTableSchema } from '#contract/table';
import { measureBook } from '#core/outcomes/measures';
import { libraryOf } from '#core/protocol/exercises';
import { TABLES, type TableKind } from '#core/table/tables';
import { clinicianOnly } from '../access/practitioner';
import type { Env } from '../context';
import { readKit } from '../db/kit';
import { ownMeasures, readOwnExercises } from '../db/library';
import { inTransaction, withStatements } from '../db/sqlite';
import { linesOf, spooled } from '../interchange/spool';
import { readPeopleByName } from '../interchange/table/keep-row';
import { LONGEST_ROW, takeTable } from '../interchange/table/take-table';
import { notFound } from '../problem';
import { query } from '../validate';

const TABLE = { mostMb: 48, else: 'Split the table into several.' };

/** Thrown to undo what is not to be kept. */
class NotKept extends Error {
  constructor(readonly answer: TableAnswer) {
    super();
  }
}

/** Tables as the browser has read them, a row a line. @param aheadMs how far ahead of the server's clock an event may be */
export const tableRoutes = (aheadMs: number) =>
  new Hono<Env>().post('/:kind', clinicianOnly('bring a table in'), query(takingTableSchema), async (c) => {
    const kind = c.req.param('kind') as TableKind;
    if (!Object.hasOwn(TABLES, kind)) throw notFound('This kind of table');
    const { name, take, preview } = c.req.valid('query');
    const keeping = await whatToKeepBy(c, aheadMs);
    const answer = await spooled(c.req.raw.body, TABLE, async (file) => {
      try {
        return await inTransaction(c.var.em, (prepare) => {
          const taken = takeTable(kind, linesOf(file, LONGEST_ROW), name, {
            ...keeping,
            prepare,
            people: readPeopleByName(prepare),
          });
          if (preview === 'yes' || (take === 'all' && taken.refused > 0)) throw new NotKept(taken);
          return taken;
        });
      } catch (error) {
        if (error instanceof NotKept)
          return { ...error.answer, taken: preview === 'yes' ? error.answer.taken : 0 };
        throw error;
      }
    });
    if (preview === 'no' && answer.taken > 0) {
      c.var.lines.clear();
      c.var.feed.publish({ said: 'practice' });
    }
    return c.json(answer satisfies TableAnswer);
  });

async function whatToKeepBy(c: Context<Env>, aheadMs: number) {
  const { cuffs, pumps } = await readKit(c.var.em);
  return {
    practitionerId: c.var.practitioner.id,
    nowMs: c.var.nowMs,
    aheadMs,
    cuffs,
    pumps,
    library: libraryOf(await readOwnExercises(c.var.em)),
    measures: measureBook(await withStatements(c.var.em, ownMeasures)),
  };
}
