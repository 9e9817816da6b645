import { describe, expect, it } from 'vitest';
import { followUpThatHolds, sessionToAskAbout } from './day-after';
import type { ClientFacts, SessionFact } from './facts';

const HOUR = 3_600_000;
const NOW = 1_800_000_000_000;
const well = { soreness: 2, bruising: 'none', pinpointBleeding: false, numbness: false } as const;

const session = (hoursAgo: number, followUp: SessionFact['followUp'] = null): SessionFact => ({
  id: `${hoursAgo}`,
  prescriptionId: 'rx',
  startedAtMs: NOW - hoursAgo * HOUR - 1,
  finishedAtMs: NOW - hoursAgo * HOUR,
  redSigns: [],
  followUp,
});
const facts = (sessions: SessionFact[], screenedHoursAgo = 1_000) =>
  ({
    sessions,
    screenings: [{ atMs: NOW - screenedHoursAgo * HOUR, version: 1, yes: [], bloodPressures: [], note: '' }],
  }) as Partial<ClientFacts> as ClientFacts;

describe('the day after (RUN-6)', () => {
  it('is asked about from half a day on, for four days, once, and only of the last session', () => {
    expect([11, 12, 95, 96].map((hours) => sessionToAskAbout(facts([session(hours)]), NOW)?.id)).toEqual([
      undefined,
      '12',
      '95',
      undefined,
    ]);
    expect(sessionToAskAbout(facts([session(20, { ...well, atMs: NOW })]), NOW)).toBeUndefined();
    expect(sessionToAskAbout(facts([session(50), session(20)]), NOW)?.id).toBe('20');
    expect(sessionToAskAbout(facts([session(50), session(3)]), NOW)).toBeUndefined();
    expect(sessionToAskAbout(facts([{ ...session(20), finishedAtMs: null }]), NOW)).toBeUndefined();
  });

  it('holds after numbness or wide bruising, until the person is screened again', () => {
    const said = (part: object, screenedHoursAgo?: number) =>
      followUpThatHolds(facts([session(30, { ...well, ...part, atMs: NOW - HOUR })], screenedHoursAgo), NOW);
    expect(said({})).toBeNull();
    expect(said({ bruising: 'small', pinpointBleeding: true, soreness: 9 })).toBeNull();
    expect(said({ numbness: true })).toBe('Numbness');
    expect(said({ bruising: 'wide' })).toBe('Wide bruising');
    expect(said({ numbness: true }, 0.5)).toBeNull();
    expect(followUpThatHolds(facts([]), NOW)).toBeNull();
  });

  it('goes by the newest answer', () => {
    const two = [
      session(60, { ...well, numbness: true, atMs: NOW - 40 * HOUR }),
      session(30, { ...well, atMs: NOW - HOUR }),
    ];
    expect(followUpThatHolds(facts(two), NOW)).toBeNull();
  });
});
