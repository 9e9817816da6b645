import { describe, expect, it } from 'vitest';
import { testPlan } from '../plan/plan.fixture';
import { runsOut } from './runs-out';
import { foldAll, logOf, START_MS, WHOLE_SESSION } from './session.fixture';

const { plan } = testPlan();
/** So many events of the whole session have happened, so many seconds after its start. */
const at = (known: number, seconds: number) =>
  runsOut(plan, foldAll(plan, logOf(WHOLE_SESSION.slice(0, known))), START_MS + seconds * 1_000);

describe('what runs out', () => {
  it('is nothing before the cuff is up, nor after it is down', () => {
    expect(at(1, 30)).toBeNull();
    expect(at(WHOLE_SESSION.length, 400)).toBeNull();
  });

  it('is the limit while the cuff is up and nothing else runs: ten minutes from second 5', () => {
    expect(at(2, 15)).toEqual({ what: 'limit', leftMs: 590_000, limb: 'left-thigh' });
  });

  it('is the set, and never below nothing', () => {
    expect(at(4, 37)).toEqual({ what: 'set', leftMs: 48_000 });
    expect(at(4, 90)).toEqual({ what: 'set', leftMs: 0 });
  });

  it('is the rest, and the limit again once it is over', () => {
    expect(at(6, 95)).toEqual({ what: 'rest', leftMs: 20_000 });
    expect(at(6, 120)).toMatchObject({ what: 'limit' });
  });

  it('is a limit that is passed before all else', () => {
    expect(at(4, 625)).toMatchObject({ what: 'limit', leftMs: -20_000 });
  });
});
