import { v5 as idFrom, v4 as newId } from 'uuid';
import { expect, it } from 'vitest';
import type { ClientRecord } from '#contract/client';
import type { SessionView } from '#contract/session';
import { doseOf } from '#core/plan';
import {
  BY_HAND,
  fold,
  type KnownSession,
  limbClocks,
  liveTimeline,
  mergeLogs,
  NO_PRACTICE,
  NO_PULSES,
  nextStep,
  openSet,
  restLeftMs,
  type SessionEvent,
  type SessionRuntime,
  sessionRuntime,
} from '#core/session';
import { type Random, seededRandom } from '#core/simulation';
import {
  type Api,
  exerciseFor,
  measuredClient,
  NOON_MS,
  prescriptionFor,
  startApi,
  WELL,
} from './api.fixture';

const PEOPLE = 30;
const LASTS_MS = 60 * 60_000;
/** One person after the other comes in. */
const ARRIVES_EVERY_MS = 60_000;
const DRIFT_MS = 200;
const RESTART_MS = 60_000;

/** A limb in the simulator: it knows when its cuff was really up, and asks no log. */
class TrueLimb {
  private readonly spans: { fromMs: number; toMs: number | null }[] = [];

  inflate = (atMs: number): void => void this.spans.push({ fromMs: atMs, toMs: null });
  release(atMs: number): void {
    const last = this.spans.at(-1);
    if (last?.toMs === null) last.toMs = atMs;
  }
  totalMs = (nowMs: number): number =>
    this.spans.reduce((sum, { fromMs, toMs }) => sum + (toMs ?? nowMs) - fromMs, 0);

  /** A clock that is off by a moment restarts a moment earlier or later: then the two cannot be compared. */
  isAboutToRestart(nowMs: number): boolean {
    const downMs = nowMs - (this.spans.at(-1)?.toMs ?? nowMs);
    return Math.abs(downMs - RESTART_MS) < DRIFT_MS;
  }

  /** Occluded time since the last minute of free flow. */
  clockMs(nowMs: number): number {
    let counted = 0;
    let nextFromMs = nowMs;
    for (const { fromMs, toMs } of [...this.spans].reverse()) {
      if (nextFromMs - (toMs ?? nowMs) >= RESTART_MS) break;
      counted += (toMs ?? nowMs) - fromMs;
      nextFromMs = fromMs;
    }
    return counted;
  }
}

/** A tablet of the floor: what it knows of its sessions, what it has not sent yet, and the runtime of its page. */
class Tablet {
  isOnline = true;
  /** While it reloads it does nothing. */
  awayUntilMs = 0;
  private readonly views = new Map<string, SessionView>();
  private readonly known = new Map<string, KnownSession>();
  private unsent: SessionEvent[] = [];
  private runtime: SessionRuntime<KnownSession>;

  constructor(
    readonly name: string,
    private readonly clockOffMs: number,
    private readonly api: Api,
    private readonly random: Random,
  ) {
    this.runtime = this.page();
  }

  private page(): SessionRuntime<KnownSession> {
    return sessionRuntime<KnownSession>({
      self: {
        deviceId: newId(),
        runner: this.name,
        newId,
        owedId: (sessionId, key) => idFrom(key, sessionId),
      },
      clock: { nowMs: () => Math.round(this.api.clock.nowMs + this.clockOffMs) },
      log: {
        open: () => [...this.known.values()].filter(({ state }) => state.finishedAtMs === null),
        newest: ({ id }) => this.session(id),
      },
      outbox: {
        keep: (events) => {
          this.unsent.push(...events);
          this.hear(events);
        },
      },
      pumps: BY_HAND,
      pulses: NO_PULSES,
      house: () => NO_PRACTICE,
      alarm: () => {},
    });
  }

  session(id: string): KnownSession {
    const session = this.known.get(id);
    if (!session) throw new Error(`${this.name} does not know ${id}`);
    return session;
  }

  private hear(events: readonly SessionEvent[]): void {
    for (const id of new Set(events.map(({ sessionId }) => sessionId))) {
      const { plan, log } = this.session(id);
      const grown = mergeLogs(
        log,
        events.filter(({ sessionId }) => sessionId === id),
      );
      this.known.set(id, { id, plan, log: grown, state: fold(plan, grown) });
    }
  }

  takeUp(view: SessionView): void {
    const log = mergeLogs(view.events);
    this.views.set(view.id, view);
    this.known.set(view.id, { id: view.id, plan: view.plan, log, state: fold(view.plan, log) });
  }

  begin(view: SessionView): void {
    this.takeUp(view);
    this.runtime.note(view.id, [{ type: 'session-started', runner: this.name }], view.openedAtMs);
  }

  tick(): void {
    if (this.api.clock.nowMs >= this.awayUntilMs) this.runtime.tick();
  }

  act(id: string, intent: Parameters<SessionRuntime<KnownSession>['act']>[1]): void {
    this.runtime.act(this.session(id), intent);
  }

  /** Batches overlap and come out of order, as after a lost answer. */
  async send(): Promise<void> {
    if (!this.isOnline || this.unsent.length === 0) return;
    for (const id of new Set(this.unsent.map(({ sessionId }) => sessionId))) {
      const batch = this.unsent.filter(({ sessionId }) => sessionId === id);
      const sentBefore = this.session(id).log.slice(-3);
      await this.api.post(`/sessions/${id}/events`, {
        events: shuffled([...batch, ...sentBefore], this.random),
      });
    }
    this.unsent = [];
  }

  /** The page goes and comes back: it knows what the server has and what its outbox kept. */
  async crash(): Promise<void> {
    for (const { id } of this.views.values()) this.takeUp(await this.api.get<SessionView>(`/sessions/${id}`));
    this.hear(this.unsent);
    this.runtime = this.page();
    this.awayUntilMs = this.api.clock.nowMs + 3_000;
  }
}

/** A person who trains: a cuff on a limb, and an operator with slow hands at the tablet. */
class Lane {
  readonly limb = new TrueLimb();
  worstDriftMs = 0;
  private actsAtMs: number | null = null;

  constructor(
    readonly view: SessionView,
    public tablet: Tablet,
    private readonly random: Random,
  ) {}

  get isOver(): boolean {
    return this.tablet.session(this.view.id).state.finishedAtMs !== null;
  }

  /** Does the next expected thing, two to six seconds after it was asked for. */
  operate(nowMs: number): void {
    if (nowMs < this.tablet.awayUntilMs) return;
    const { plan, state } = this.tablet.session(this.view.id);
    const [clock] = limbClocks(plan, state, nowMs);
    if (clock && !this.limb.isAboutToRestart(nowMs))
      this.worstDriftMs = Math.max(this.worstDriftMs, Math.abs(clock.clockMs - this.limb.clockMs(nowMs)));
    const step = nextStep(plan, state, nowMs);
    const isResting = step.do === 'start-set' && (restLeftMs(state, nowMs) ?? 0) > 0;
    if (openSet(state) || step.do === 'wait' || step.do === 'nothing' || isResting) {
      this.actsAtMs = null;
      return;
    }
    this.actsAtMs ??= nowMs + 2_000 + 4_000 * this.random();
    if (nowMs < this.actsAtMs) return;
    this.actsAtMs = null;
    if (step.do === 'inflate') this.limb.inflate(nowMs);
    if (step.do === 'release') this.limb.release(nowMs);
    this.tablet.act(this.view.id, { do: 'next' });
  }
}

/** A person whose plan is signed, and who may train today. */
async function signFor(api: Api, place: number): Promise<{ clientId: string; prescriptionId: string }> {
  const client: ClientRecord = await measuredClient(api);
  const one = exerciseFor(client, { restMs: 30_000, tempoId: place % 2 === 0 ? '1-0-1' : '2-0-2' });
  const exercises = Array.from({ length: place % 2 === 0 ? 4 : 3 }, () => one);
  const { facts } = await api.post(`/clients/${client.id}/prescriptions`, {
    ...prescriptionFor(client),
    exercises,
  });
  return { clientId: client.id, prescriptionId: facts.prescriptions[0]?.id ?? '' };
}

async function openFor(
  api: Api,
  { clientId, prescriptionId }: { clientId: string; prescriptionId: string },
): Promise<SessionView> {
  await api.post(`/clients/${clientId}/day-checks`, WELL);
  return api.post<SessionView>('/sessions', { id: newId(), prescriptionId });
}

const shuffled = <T>(list: readonly T[], random: Random): T[] =>
  list
    .map((value) => ({ value, key: random() }))
    .sort((a, b) => a.key - b.key)
    .map(({ value }) => value);

/** What goes wrong on the floor, and at which minute. */
const TROUBLE: readonly { minute: number; does: 'restart' | 'drop' | 'back' | 'crash'; tablet?: number }[] = [
  { minute: 4, does: 'drop', tablet: 0 },
  { minute: 6, does: 'crash', tablet: 1 },
  { minute: 9, does: 'crash', tablet: 0 },
  { minute: 11, does: 'back', tablet: 0 },
  { minute: 15, does: 'restart' },
  { minute: 18, does: 'drop', tablet: 2 },
  { minute: 18.5, does: 'restart' },
  { minute: 21, does: 'back', tablet: 2 },
  { minute: 33, does: 'crash', tablet: 1 },
  { minute: 40, does: 'drop', tablet: 1 },
  { minute: 41, does: 'crash', tablet: 1 },
  { minute: 44, does: 'back', tablet: 1 },
];
/** The third tablet breaks for good here, and the first takes over all its people. */
const BREAKS_AT_MS = 28 * 60_000;

it('keeps an hour of thirty people on three tablets true to the limb through drops, crashes and restarts, and loses nothing', async () => {
  const api = await startApi();
  const random = seededRandom(30);
  const tablets = [-40, 0, 40].map((offMs, place) => new Tablet(`tablet ${place + 1}`, offMs, api, random));
  const [first, , third] = tablets as [Tablet, Tablet, Tablet];
  const signed: { clientId: string; prescriptionId: string }[] = [];
  for (let place = 0; place < PEOPLE; place += 1) signed.push(await signFor(api, place));
  const lanes: Lane[] = [];
  const trouble = [...TROUBLE];
  let isBroken = false;
  // A page is looked at every 200 to 500 ms, as a busy one is.
  let atMs = 0;
  while (atMs < LASTS_MS && (lanes.length < PEOPLE || lanes.some(({ isOver }) => !isOver))) {
    atMs += 200 + 300 * random();
    api.clock.nowMs = Math.ceil(NOON_MS + atMs);
    const { nowMs } = api.clock;
    for (let next = trouble[0]; next && next.minute * 60_000 <= atMs; next = trouble[0]) {
      trouble.shift();
      const tablet = tablets[next.tablet ?? 0] as Tablet;
      if (next.does === 'restart') await api.restart();
      else if (next.does === 'crash') await tablet.crash();
      else tablet.isOnline = next.does === 'back';
    }
    if (!isBroken && atMs >= BREAKS_AT_MS) {
      isBroken = true;
      await third.send();
      for (const lane of lanes.filter(({ tablet }) => tablet === third)) {
        first.takeUp(await api.get<SessionView>(`/sessions/${lane.view.id}`));
        first.act(lane.view.id, { do: 'take-over', runner: first.name, practitionerId: null });
        lane.tablet = first;
      }
    }
    if (lanes.length < PEOPLE && atMs >= lanes.length * ARRIVES_EVERY_MS) {
      const turn = tablets[lanes.length % tablets.length] as Tablet;
      const tablet = isBroken && turn === third ? first : turn;
      const view = await openFor(api, signed[lanes.length] as (typeof signed)[number]);
      tablet.begin(view);
      lanes.push(new Lane(view, tablet, random));
    }
    for (const tablet of tablets) if (!isBroken || tablet !== third) tablet.tick();
    for (const lane of lanes) if (!lane.isOver) lane.operate(nowMs);
    for (const tablet of tablets) await tablet.send();
  }
  for (const { view, tablet, limb, isOver, worstDriftMs } of lanes) {
    expect(isOver).toBe(true);
    expect(worstDriftMs).toBeLessThanOrEqual(DRIFT_MS);
    const { plan, log, state } = tablet.session(view.id);
    const stored = await api.get<SessionView>(`/sessions/${view.id}`);
    expect(fold(plan, mergeLogs(stored.events))).toEqual(state);
    expect(stored.events.map(({ id }) => id).sort()).toEqual(log.map(({ id }) => id).sort());
    // Every set that was planned was done once, by the pace, in the session of the person who did it.
    const planned = plan.exercises.flatMap(({ sets }, exerciseIndex) =>
      sets.map(({ work }, setIndex) => ({
        exerciseIndex,
        setIndex,
        countedReps: work.kind === 'reps' ? work.reps : 0,
      })),
    );
    expect(state.sets).toMatchObject(planned);
    expect(state.sets).toHaveLength(planned.length);
    const dose = doseOf(liveTimeline(plan, state, api.clock.nowMs));
    expect(Math.abs(dose.occludedMs - limb.totalMs(api.clock.nowMs))).toBeLessThanOrEqual(10 * DRIFT_MS);
  }
  expect(lanes).toHaveLength(PEOPLE);
});
