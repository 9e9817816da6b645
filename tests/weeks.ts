import { randomUUID } from 'node:crypto';
import type { Page } from '@playwright/test';
import type { ClientRecord, PeoplePage } from '#contract/client';
import type { PracticeView } from '#contract/practice';
import type { SessionView } from '#contract/session';
import { compile, draftSession, type GoalId } from '#core/plan';
import { dayAt, isoOf, type Limb } from '#core/quantity';
import { basisOf, blockAsItStands, plansInForce, recheck, reviewSession } from '#core/record';
import { amountDone, fold, mergeLogs, readAsPlanned } from '#core/session';
import { inEnglish } from '#language/render';

const MS_PER_MINUTE = 60_000;

/** What a simulated day was like: whether they came, the effort of each set, the worst pain of a joint. */
export type DayLived = { comes: boolean; effort: number; jointPain: number };

type LikeThat = (record: ClientRecord) => Promise<DayLived>;

/**
 * Weeks of one person in a demonstration: every day that passes, what is due by their plans and their block is done, described as a
 * session entered later, and its review accepted, all through the server's own addresses.
 */
export class Weeks {
  /** Its kit and settings do not change while a journey lasts. */
  private practice: PracticeView | undefined;

  private constructor(
    private readonly page: Page,
    readonly clientId: string,
  ) {}

  /** Of a new person, with a story. */
  static async ofNew(page: Page, name: string): Promise<Weeks> {
    const weeks = new Weeks(page, '');
    await weeks.beginOnSunday();
    const { id } = await weeks.post<ClientRecord>('/clients', { name, story: 'Weeks of a journey.' });
    return new Weeks(page, id);
  }

  static async of(page: Page, name: string): Promise<Weeks> {
    const weeks = new Weeks(page, '');
    await weeks.beginOnSunday();
    const people = await weeks.get<PeoplePage>(`/clients?search=${encodeURIComponent(name)}`);
    const id = people.people.find((one) => one.name === name)?.id ?? '';
    return new Weeks(page, id);
  }

  /** The same weeks on whatever day the journey is run: those of a block that starts tomorrow run from Monday. */
  private async beginOnSunday(): Promise<void> {
    const { nowMs } = await this.get<{ nowMs: number }>('/clock');
    const days = (7 - new Date(nowMs).getDay()) % 7;
    if (days > 0) await this.post('/clock/forward', { days });
  }

  /** The day after the one that the journey is in, as a date. */
  async tomorrow(): Promise<string> {
    const { facts, judgedAtMs } = await this.record();
    return isoOf(dayAt(judgedAtMs, facts.zoneOffsetMs) + 1);
  }

  record(): Promise<ClientRecord> {
    return this.get(`/clients/${this.clientId}`);
  }

  /** Days pass, each lived as it says. @returns the names of the plans that were done, day by day */
  live(days: number, like: LikeThat): Promise<string[][]> {
    return this.unwatched(async () => {
      const done: string[][] = [];
      for (let day = 0; day < days; day += 1) done.push(await this.liveADay(like));
      return done;
    });
  }

  /** Days pass until nothing of the block is to come. */
  liveTheBlock(like: LikeThat): Promise<string[][]> {
    return this.unwatched(async () => {
      const done: string[][] = [];
      for (;;) {
        const { facts, judgedAtMs } = await this.record();
        const entries = blockAsItStands(facts, judgedAtMs)?.entries ?? [];
        if (entries.every(({ state }) => state !== 'to-come')) return done;
        done.push(await this.liveADay(like));
      }
    });
  }

  /** A page that is open follows all that is recorded: half of the time that weeks take. */
  private async unwatched<T>(work: () => Promise<T>): Promise<T> {
    const { origin } = new URL(this.page.url());
    await this.page.goto('about:blank');
    const done = await work();
    await this.page.goto(origin);
    return done;
  }

  private async liveADay(like: LikeThat): Promise<string[]> {
    await this.post('/clock/forward', { days: 1 });
    const record = await this.record();
    const lived = await like(record);
    return lived.comes ? this.doWhatIsDue(lived, record) : [];
  }

  /** Something recorded of them, such as a fit or a measurement. */
  tell(what: string, body: unknown): Promise<ClientRecord> {
    return this.post(`/clients/${this.clientId}/${what}`, body);
  }

  /** What the app drafts for these limbs, signed as a plan of that name. */
  async sign(name: string, wish: { goal: GoalId; limbs: Limb[] }): Promise<void> {
    const {
      cuffs,
      weightKits,
      settings: { schoolId },
    } = await this.get<PracticeView>('/practice');
    const { facts, judgedAtMs } = await this.record();
    const { session, notes } = draftSession(
      {
        ...wish,
        schoolId,
        together: wish.limbs.length > 1,
        rung: 'passive',
        newcomer: true,
        isolatedOnly: false,
        carried: [],
        lowered: new Map(),
      },
      basisOf(facts, { cuffs, weightKits }, 'clinician', judgedAtMs),
    );
    if (!session) throw new Error(`No draft: ${notes.join(' ')}`);
    const signedFor = { kind: 'new-plan', name, occasion: { kind: 'any-day' }, untilMs: null };
    await this.tell('prescriptions', { ...session, signedFor });
  }

  /** Everything whose turn it is today, by the record of today. */
  async doWhatIsDue(lived: DayLived, record: ClientRecord): Promise<string[]> {
    const nowMs = record.judgedAtMs;
    this.practice ??= await this.get<PracticeView>('/practice');
    const { cuffs, weightKits } = this.practice;
    const due = plansInForce(record.facts, nowMs).filter(({ turn }) => turn.inDays === 0);
    const names: string[] = [];
    for (const [place, { coursePlan, prescription }] of due.entries()) {
      // One after the other, the last of them half an hour ago.
      const startedAtMs = nowMs - (due.length - place) * 90 * MS_PER_MINUTE + 60 * MS_PER_MINUTE;
      const { plan } = recheck(prescription, record.facts, { cuffs, weightKits }, nowMs);
      if (!plan) throw new Error(`${coursePlan.name} cannot be composed.`);
      const sets = compile(plan).sets.map((set) => ({
        exerciseIndex: set.exerciseIndex,
        setIndex: set.setIndex,
        ...amountDone(set, set.reps),
        ...readAsPlanned(plan, set),
        effort: lived.effort,
      }));
      const view = await this.post<SessionView>('/sessions/entered', {
        id: randomUUID(),
        coursePlanId: coursePlan.id,
        startedAtMs,
        sets,
        jointPain: lived.jointPain,
        signs: [],
      });
      await this.accept(view);
      names.push(inEnglish(coursePlan.name));
    }
    return names;
  }

  /** The reviews of a session, accepted as they stand. */
  private async accept(view: SessionView): Promise<void> {
    this.practice ??= await this.get<PracticeView>('/practice');
    const { weightKits } = this.practice;
    const { facts, judgedAtMs } = await this.record();
    const before = view.idBefore === null ? null : await this.get<SessionView>(`/sessions/${view.idBefore}`);
    const advices = reviewSession(
      { ...folded(view), painBefore: view.painBefore, before: before && folded(before) },
      facts,
      weightKits,
      judgedAtMs,
    );
    const events = advices.flatMap((advice, exerciseIndex) =>
      advice
        ? [
            {
              type: 'review-answered',
              exerciseIndex,
              rule: advice.rule,
              answer: 'accepted',
              change: advice.change,
              reason: '',
              id: randomUUID(),
              sessionId: view.id,
              deviceId: 'weeks',
              seq: exerciseIndex + 1,
              atMs: judgedAtMs,
            },
          ]
        : [],
    );
    await this.post(`/sessions/${view.id}/events`, { events });
  }

  async get<T>(path: string): Promise<T> {
    // A connection that was idle may be closed just as it is used again.
    const answer = await this.page.request.get(`/api${path}`, { maxRetries: 3 });
    return this.read(answer, path);
  }

  async post<T>(path: string, data: unknown): Promise<T> {
    const answer = await this.page.request.post(`/api${path}`, { data });
    return this.read(answer, path);
  }

  private async read<T>(
    answer: { ok: () => boolean; text: () => Promise<string>; json: () => Promise<unknown> },
    path: string,
  ): Promise<T> {
    if (!answer.ok()) throw new Error(`Refused at ${path}: ${await answer.text()}`);
    return (await answer.json()) as T;
  }
}

const folded = ({ plan, events }: SessionView) => ({ plan, state: fold(plan, mergeLogs(events)) });
