import { type Context, Hono } from 'hono';
import { type TableAnswer, takingTableSchema } from '#contract/table';
import { mayDo } from '#core/access';
import { msg } from '#core/message';
import { measureBook } from '#core/outcomes';
import { libraryOf } from '#core/protocol';
import { TABLES, type TableKind } from '#core/table';
import type { Env } from '../context';
import { inTransaction, withStatements } from '../db/dialect/connection';
import { readPracticeSpread } from '../db/practice-spread';
import { linesOf, spooled } from '../interchange/spool';
import { type InTurn, importTable, LONGEST_ROW } from '../interchange/table/import-table';
import { readPeopleByName } from '../interchange/table/keeping';
import { tellPractice } from '../live/tell-change';
import { notFound } from '../problem';
import { readOwnExercises } from '../record/exercise';
import { readKit } from '../record/kit';
import { ownMeasures } from '../record/measure';
import { query } from '../validate';

const TABLE = { mostMb: 48, else: msg('Split the table into several.') };

/** Tables as the browser has read them, a row a line. @param aheadMs how far ahead of the server's clock an event may be */
export const tableRoutes = (aheadMs: number) =>
  new Hono<Env>().post('/:kind', query(takingTableSchema), async (c) => {
    const kind = c.req.param('kind') as TableKind;
    if (!Object.hasOwn(TABLES, kind)) throw notFound(msg('This kind of table'));
    const { name, take, preview } = c.req.valid('query');
    const answer = await spooled(c.req.raw.body, TABLE, async (file): Promise<TableAnswer> => {
      const taking = async (isPreview: boolean) => {
        const keeping = await whatToKeepBy(c, aheadMs);
        return importTable(
          { kind, name, lines: linesOf(file, LONGEST_ROW), keeping, isPreview },
          inTurnOf(c),
        );
      };
      if (preview === 'yes') return taking(true);
      if (take === 'good') return taking(false);
      const before = await taking(true);
      return before.refused > 0 ? { ...before, taken: 0 } : taking(false);
    });
    if (preview === 'no' && answer.taken > 0) {
      tellPractice(c);
    }
    return c.json(answer);
  });

/** A transaction for some of the work; other requests are answered before it comes back. */
const inTurnOf =
  (c: Context<Env>): InTurn =>
  async (work, then) => {
    await inTransaction(c.var.em, work, then);
    await new Promise((done) => setImmediate(done));
  };

async function whatToKeepBy(c: Context<Env>, aheadMs: number) {
  const { cuffs, pumps } = await readKit(c.var.em);
  return {
    practitionerId: c.var.practitioner.id,
    mayCorrect: mayDo(c.var.practitioner, 'correct-record'),
    nowMs: c.var.nowMs,
    aheadMs,
    cuffs,
    pumps,
    library: libraryOf(await readOwnExercises(c.var.em)),
    spread: await readPracticeSpread(c.var.em),
    measures: measureBook(await withStatements(c.var.em, ownMeasures)),
    people: await withStatements(c.var.em, readPeopleByName),
  };
}
