import type { EntityManager } from '@mikro-orm/libsql';
import { type Context, Hono } from 'hono';
import type { ClientRecord } from '#contract/client';
import { HOME_HEADER, type HomeSheet, type ReportFromHome, reportFromHomeSchema } from '#contract/home';
import type { Kit } from '#contract/practice';
import { writingOf } from '#contract/writing';
import { guardFindings } from '#core/findings';
import { msg } from '#core/message';
import { readPlan } from '#core/plan';
import { emergencyPhoneAt } from '#core/quantity';
import {
  daySignsAsked,
  holdsInForce,
  holdsOfSign,
  needsBloodPressure,
  type PrescriptionFact,
  planOfDay,
  sessionToAskAbout,
  waitsToBeSeen,
} from '#core/record';
import { mergeLogs, whyNotFromHome } from '#core/session';
import type { Env } from '../context';
import { type AuditNote, writeAudit } from '../db/audit';
import { readClient } from '../db/client-facts';
import { inTransaction, type Prepare, withStatements } from '../db/dialect/connection';
import { tellChange } from '../live/tell-change';
import { opening } from '../opening';
import { notFound, Problem, refusedField } from '../problem';
import { asWasDone, keepDone } from '../record/commands/enter-session';
import { keepDayCheck } from '../record/commands/keep-day-check';
import { raiseHolds } from '../record/commands/raise-holds';
import { takeEvents } from '../record/commands/take-events';
import { dayCheckRecord } from '../record/day-check';
import { holdRecord } from '../record/hold';
import { countSession, findLink, goodUntilMs, type KeptLink } from '../record/home-link';
import { readKit } from '../record/kit';
import { practiceRecord } from '../record/practice';
import { prescriptionRecord } from '../record/prescription';
import { countWithin, findRow, hasRow } from '../record/read';
import { readHead, sessionRecord } from '../record/session';
import { sessionEventRecord } from '../record/session-event';
import { body } from '../validate';

/** More sessions or checks than this within a day are in no plan. */
const MOST_A_DAY = 8;
const HALF_A_DAY_MS = 12 * 3_600_000;

/**
 * What the page of a home link reads and sends. Its secret is its identity: it opens one plan of one person, and nothing else.
 * @param aheadMs how far ahead of the server's clock something may have happened (rule RUN-9)
 */
export const homeRoutes = (aheadMs: number) =>
  new Hono<Env>()
    .get('/', async (c) => {
      const link = await linkOf(c);
      if (goodUntilMs(link) <= c.var.nowMs) throw isOver();
      return c.json(await sheetOf(c.var.em, link, c.var.nowMs));
    })

    .post('/', body(reportFromHomeSchema), async (c) => {
      const link = await linkOf(c);
      const report = c.req.valid('json');
      const { em, nowMs } = c.var;
      const client = await readClient(em, link.clientId, nowMs);
      const kit = await readKit(em);
      const by = { nowMs, aheadMs, practitionerId: link.madeBy };
      const isNew = await inTransaction(em, (prepare) => {
        const isFresh = take(prepare, report, link, { client, kit }, by);
        if (isFresh) {
          const note: AuditNote = {
            action: 'told-from-home',
            subject: link.clientId,
            detail: { link: link.id, kind: report.kind, id: report.id },
          };
          writeAudit(prepare, note, { practitionerId: link.madeBy, atMs: nowMs });
        }
        return isFresh;
      });
      if (isNew) await tellChange(c, link.clientId);
      return c.json({ taken: report.id }, isNew ? 201 : 200);
    });

const linkOf = (c: Context<Env>): Promise<KeptLink> =>
  withStatements(c.var.em, (prepare) => findLink(prepare, c.req.header(HOME_HEADER) ?? ''));

const isOver = () =>
  new Problem(
    410,
    msg('This link is over'),
    msg('This link is not good any more. Ask your practice for a new one.'),
  );

/** The plan as it may be done now, or why it may not, and what is asked first. */
async function sheetOf(em: EntityManager, link: KeptLink, nowMs: number): Promise<HomeSheet> {
  const client = await readClient(em, link.clientId, nowMs);
  const { facts } = client;
  const coursePlan = facts.coursePlans.find(({ id }) => id === link.coursePlanId);
  const prescription = facts.prescriptions.find(({ coursePlanId }) => coursePlanId === link.coursePlanId);
  if (!coursePlan || !prescription) throw isOver();
  const practice = await em.findOneOrFail(practiceRecord.entity, { id: 'practice' });
  const { plan, held } = await openingAtHome(em, client, prescription, nowMs);
  return {
    nowMs,
    untilMs: link.untilMs,
    practice: {
      name: practice.name,
      phone: practice.phone,
      emergencyPhone: emergencyPhoneAt(prescription.plan.place, practice),
      writing: writingOf(practice),
    },
    planName: coursePlan.name,
    prescriptionId: prescription.id,
    plan: plan ?? prescription.plan,
    effortIn: practice.effortIn,
    held,
    isEmergency: holdsInForce(facts, nowMs).some((hold) => hold.isEmergency),
    asks: daySignsAsked(facts, nowMs),
    asksBloodPressure: needsBloodPressure(facts, nowMs),
    askAfter: sessionToAskAbout(facts, nowMs)?.id ?? null,
  };
}

/** A guard is passed by a clinician at the practice, never at home. */
async function openingAtHome(
  em: EntityManager,
  client: ClientRecord,
  prescription: PrescriptionFact,
  nowMs: number,
) {
  try {
    const { plan, findings } = opening(
      client,
      await readKit(em),
      prescription.id,
      { keepsBack: waitsToBeSeen(client.facts, prescription) },
      nowMs,
      'by-itself',
    );
    const [guard] = guardFindings(findings);
    return { plan, held: guard ? guard.message : null };
  } catch (error) {
    if (!(error instanceof Problem)) throw error;
    return { plan: null, held: error.errors[0]?.message ?? error.says };
  }
}

type By = { nowMs: number; aheadMs: number; practitionerId: string };

/** @returns whether it was new */
function take(
  prepare: Prepare,
  report: ReportFromHome,
  link: KeptLink,
  { client, kit }: { client: ClientRecord; kit: Kit },
  by: By,
): boolean {
  switch (report.kind) {
    case 'check': {
      if (hasRow(prepare, dayCheckRecord, { id: report.id })) return false;
      withinLink(link, report.atMs, by);
      refuseTooMany(prepare, dayCheckRecord, link, report.atMs);
      keepDayCheck(
        prepare,
        client,
        { id: report.id, atMs: Math.min(report.atMs, by.nowMs), ...report.answers },
        by.nowMs,
      );
      return true;
    }
    case 'session':
      return takeSession(prepare, report, link, { facts: client.facts, kit }, by);
    case 'sign': {
      const cause = `sign ${report.id}`;
      if (hasRow(prepare, holdRecord, { clientId: link.clientId, cause })) return false;
      withinLink(link, report.atMs, by);
      refuseTooMany(prepare, holdRecord, link, report.atMs);
      raiseHolds(prepare, link.clientId, holdsOfSign(report, [], by.nowMs));
      return true;
    }
    case 'after': {
      const { kind: _, id, sessionId, atMs, answers } = report;
      if (readHead(prepare, sessionId)?.clientId !== link.clientId) throw notFound(msg('This session'));
      const event = {
        ...answers,
        type: 'followed-up' as const,
        id,
        sessionId,
        deviceId: deviceOf(link, id),
        seq: 0,
        atMs,
      };
      withinLink(link, atMs, by);
      // It is asked once; who wants to say more calls.
      if (hasRow(prepare, sessionEventRecord, { sessionId, type: 'followed-up' })) return false;
      return takeEvents(prepare, sessionId, [event], by).fresh.length > 0;
    }
  }
}

function takeSession(
  prepare: Prepare,
  { id, prescriptionId, events: unsorted }: Extract<ReportFromHome, { kind: 'session' }>,
  link: KeptLink,
  { facts, kit }: { facts: ClientRecord['facts']; kit: Kit },
  by: By,
): boolean {
  if (readHead(prepare, id)) return false;
  const events = mergeLogs(unsorted);
  const why =
    whyNotFromHome(events) ??
    (events[0]?.sessionId === id ? null : msg('Its events are of another session.'));
  if (why)
    throw refusedField(
      msg('Not a session at home'),
      'events',
      'RUN-9',
      why,
      msg('Do it again from the page.'),
    );
  const version = findRow(
    prepare,
    prescriptionRecord,
    { id: prescriptionId, coursePlanId: link.coursePlanId },
    ['id', 'clientId', 'plan'],
  );
  if (!version) throw notFound(msg('This plan'));
  const startMs = events[0]?.atMs ?? 0;
  withinLink(link, startMs, by);
  refuseTooMany(prepare, sessionRecord, link, startMs);
  const signed = readPlan(version.plan);
  const sets = events.filter((event) => event.type === 'set-started');
  const plan = asWasDone(planOfDay({ id: version.id, plan: signed }, facts, kit, startMs), signed, sets);
  keepDone(prepare, { id, version, plan: plan === signed ? null : plan, events }, by);
  countSession(prepare, link);
  return true;
}

/** A link that is in wrong hands fills no record. */
function refuseTooMany(
  prepare: Prepare,
  record: typeof dayCheckRecord | typeof sessionRecord | typeof holdRecord,
  { clientId }: KeptLink,
  atMs: number,
): void {
  const within = { fromMs: atMs - HALF_A_DAY_MS, untilMs: atMs + HALF_A_DAY_MS };
  if (countWithin(prepare, record, clientId, within) >= MOST_A_DAY)
    throw new Problem(422, msg('Enough for a day'), msg('So much in a day is no plan. Call your practice.'));
}

/** What is reported happened while its link was good, and not in the future. */
function withinLink(link: KeptLink, atMs: number, { nowMs, aheadMs }: By): void {
  if (atMs > nowMs + aheadMs)
    throw refusedField(
      msg('In the future'),
      'atMs',
      'RUN-9',
      msg('It is said to happen in the future: the clock of the phone is ahead.'),
      msg('Open the page with a network once, and it learns the time.'),
    );
  if (atMs < link.madeAtMs || atMs > goodUntilMs(link)) throw isOver();
}

/** Each report is a device of its own, so that two phones never share a sequence. */
const deviceOf = ({ id }: KeptLink, reportId: string): string => `home ${id.slice(0, 8)} ${reportId}`;
