import { v5 as idFrom, v4 as newId } from 'uuid';
import { expect, it } from 'vitest';
import type { ClientRecord } from '#contract/client';
import type { SessionView } from '#contract/session';
import { doseOf, type Plan } from '#core/plan';
import {
  dueEvents,
  type EventBody,
  limbClocks,
  liveTimeline,
  nextStep,
  openSet,
  restLeftMs,
  type SessionEvent,
  type SessionState,
} from '#core/session';
import { foldAll as fold } from '#core/session/session.fixture';
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

const PEOPLE = 8;
const LASTS_MS = 20 * 60_000;
const DRIFT_MS = 100;
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

/** One simulated session: a trainee, a cuff, and an operator with slow hands, all on one virtual clock. */
class SimulatedSession {
  readonly log: SessionEvent[] = [];
  readonly limb = new TrueLimb();
  reps = 0;
  worstDriftMs = 0;
  private state: SessionState;
  private seq = 0;
  private actsAtMs: number | null = null;
  private readonly plan: Plan;

  constructor(
    private readonly view: SessionView,
    private readonly random: Random,
  ) {
    this.plan = view.plan;
    this.state = fold(view.plan, []);
  }

  get over(): boolean {
    return this.state.finishedAtMs !== null;
  }

  tick(nowMs: number): void {
    for (const { key, atMs, body } of dueEvents(this.plan, this.state, nowMs)) {
      if (body.type === 'set-ended') this.reps += body.reps;
      this.append(body, atMs, idFrom(key, this.view.id));
    }
    this.operate(nowMs);
    const [clock] = limbClocks(this.plan, this.state, nowMs);
    if (clock)
      this.worstDriftMs = Math.max(this.worstDriftMs, Math.abs(clock.clockMs - this.limb.clockMs(nowMs)));
  }

  /** Does the next expected thing, two to six seconds after it was asked for. */
  private operate(nowMs: number): void {
    if (this.state.startedAtMs === null) {
      this.append({ type: 'session-started' }, nowMs);
      return;
    }
    const step = nextStep(this.plan, this.state, nowMs);
    const resting = step.do === 'start-set' && (restLeftMs(this.state, nowMs) ?? 0) > 0;
    if (openSet(this.state) || step.do === 'wait' || step.do === 'nothing' || resting) {
      this.actsAtMs = null;
      return;
    }
    this.actsAtMs ??= nowMs + 2_000 + 4_000 * this.random();
    if (nowMs < this.actsAtMs) return;
    this.actsAtMs = null;
    if (step.do === 'inflate') {
      this.limb.inflate(nowMs);
      for (const cuff of step.cuffs) this.append({ type: 'cuff-inflated', ...cuff }, nowMs);
    } else if (step.do === 'release') {
      this.limb.release(nowMs);
      for (const limb of step.limbs) this.append({ type: 'cuff-released', limb }, nowMs);
    } else if (step.do === 'start-set') this.append({ type: 'set-started', ...step.place }, nowMs);
    else if (step.do === 'finish') this.append({ type: 'session-finished' }, nowMs);
  }

  private append(body: EventBody, atMs: number, id: string = newId()): void {
    this.seq += 1;
    const stamp = { id, sessionId: this.view.id, deviceId: 'floor', seq: this.seq, atMs: Math.round(atMs) };
    this.log.push({ ...body, ...stamp } as SessionEvent);
    this.state = fold(this.plan, this.log);
  }
}

async function openFor(api: Api, place: number): Promise<SessionView> {
  const client: ClientRecord = await measuredClient(api);
  const one = exerciseFor(client, { restMs: 30_000, tempoId: place % 2 === 0 ? '1-0-1' : '2-0-2' });
  const exercises = Array.from({ length: place % 2 === 0 ? 4 : 3 }, () => one);
  const signed = await api.post(`/clients/${client.id}/prescriptions`, {
    ...prescriptionFor(client),
    exercises,
  });
  await api.post(`/clients/${client.id}/day-checks`, WELL);
  return api.post<SessionView>('/sessions', {
    id: newId(),
    prescriptionId: signed.facts.prescriptions[0]?.id,
  });
}

const shuffled = <T>(list: readonly T[], random: Random): T[] =>
  list
    .map((value) => ({ value, key: random() }))
    .sort((a, b) => a.key - b.key)
    .map(({ value }) => value);

it('keeps eight sessions of twenty minutes true to the limb, and loses no event of any', async () => {
  const api = await startApi();
  const random = seededRandom(8);
  const floor: { view: SessionView; simulated: SimulatedSession; sent: number }[] = [];
  for (let place = 0; place < PEOPLE; place += 1) {
    const view = await openFor(api, place);
    floor.push({ view, simulated: new SimulatedSession(view, random), sent: 0 });
  }
  // The page is looked at every 100 to 500 ms, as a busy one is.
  let nowMs = NOON_MS;
  while (nowMs < NOON_MS + 2 * LASTS_MS && floor.some(({ simulated }) => !simulated.over)) {
    nowMs += 100 + 400 * random();
    api.clock.nowMs = Math.ceil(nowMs);
    for (const lane of floor) {
      if (!lane.simulated.over) lane.simulated.tick(nowMs);
      if (lane.simulated.log.length - lane.sent < 12 && !lane.simulated.over) continue;
      if (lane.sent === lane.simulated.log.length) continue;
      // Batches overlap and come out of order, as after a lost answer.
      const batch = lane.simulated.log.slice(Math.max(0, lane.sent - 5));
      lane.sent = lane.simulated.log.length;
      await api.post(`/sessions/${lane.view.id}/events`, {
        events: shuffled([...batch, ...batch.slice(0, 3)], random),
      });
    }
  }
  for (const { view, simulated } of floor) {
    expect(simulated.over).toBe(true);
    expect(simulated.worstDriftMs).toBeLessThanOrEqual(DRIFT_MS);
    const stored = await api.get<SessionView>(`/sessions/${view.id}`);
    expect(new Set(stored.events.map(({ id }) => id))).toEqual(new Set(simulated.log.map(({ id }) => id)));
    const dose = doseOf(liveTimeline(stored.plan, fold(stored.plan, stored.events), nowMs));
    expect(dose.reps).toBe(simulated.reps);
    expect(Math.abs(dose.occludedMs - simulated.limb.totalMs(nowMs))).toBeLessThanOrEqual(DRIFT_MS);
    // Twenty minutes or so: the plan is long enough for the clocks to drift if they could.
    expect((stored.events.at(-1)?.atMs ?? 0) - (stored.events[0]?.atMs ?? 0)).toBeGreaterThan(0.9 * LASTS_MS);
  }
});
