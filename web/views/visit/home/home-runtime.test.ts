import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { ReportFromHome } from '#contract/home';
import { testPlan } from '#core/plan/plan.fixture';
import { type Intent, inflatedLimbs, STOPPED_BY_KEY } from '#core/session';
import { SESSION_ID, START_MS } from '#core/session/session.fixture';
import type { KeptHome } from './kept-home';

const { plan } = testPlan();

beforeEach(() => {
  vi.useFakeTimers({ now: START_MS, toFake: ['Date'] });
  vi.stubGlobal('localStorage', { getItem: () => null, setItem: () => {} });
});

/** A phone on which a session has begun, as the page keeps it: all of it survives `crash`. */
async function phone() {
  const { homeRuntime, knownAtHome } = await import('./home-runtime');
  const sent: ReportFromHome[] = [];
  let kept: Pick<KeptHome, 'running'> = {
    running: { id: SESSION_ID, prescriptionId: 'rx', plan, events: [] },
  };
  const change = (part: Partial<KeptHome>) => {
    kept = { ...kept, ...part };
  };
  const page = () =>
    homeRuntime({
      newest: () => kept,
      change,
      tell: (report, part = {}) => {
        change(part);
        sent.push(report);
      },
    });
  let runtime = page();
  runtime.note(SESSION_ID, [{ type: 'session-started', byClient: true }]);
  const now = () => kept.running && knownAtHome(kept.running);
  return {
    sent,
    now,
    crash: () => {
      kept = JSON.parse(JSON.stringify(kept));
      runtime = page();
    },
    later: (ms: number) => {
      vi.setSystemTime(Date.now() + ms);
      runtime.tick();
    },
    do: (intent: Intent) => {
      const session = now();
      if (session) runtime.act(session, intent);
    },
  };
}

describe('a session at home', () => {
  it('goes on after the page was closed in it, with every event once', async () => {
    const { do: act, later, crash, now } = await phone();
    act({ do: 'next' });
    act({ do: 'next' });
    later(20_000);
    crash();
    later(45_000);
    expect(now()?.state.sets).toMatchObject([{ countedReps: 30 }]);
    later(1_000);
    const numbers = now()?.log.map(({ deviceId, seq }) => `${deviceId} ${seq}`);
    expect(new Set(numbers).size).toBe(numbers?.length);
  });

  it('sends a red sign at once, before it is over, and stops (RUN-3)', async () => {
    const { do: act, sent, now } = await phone();
    act({ do: 'next' });
    act({ do: 'note-sign', sign: 'burn' });
    expect(sent).toEqual([]);
    act({ do: 'note-sign', sign: 'chest-pain' });
    expect(sent).toMatchObject([{ kind: 'sign', sign: 'chest-pain', sessionId: SESSION_ID }]);
    expect(now()?.state.stopped).not.toBeNull();
  });

  it('is sent whole once it is over, and is no longer on the phone', async () => {
    const { do: act, sent, now } = await phone();
    act({ do: 'next' });
    act({ do: 'stop', why: STOPPED_BY_KEY });
    act({ do: 'next' });
    expect(inflatedLimbs(now()?.state ?? ({ limbs: [] } as never))).toEqual([]);
    act({ do: 'next' });
    expect(now()).toBeNull();
    expect(sent).toMatchObject([{ kind: 'session', prescriptionId: 'rx' }]);
    const [report] = sent;
    expect(report?.kind === 'session' && report.events.map(({ type }) => type)).toEqual([
      'session-started',
      'cuff-inflated',
      'stopped',
      'cuff-released',
      'session-finished',
    ]);
  });
});
