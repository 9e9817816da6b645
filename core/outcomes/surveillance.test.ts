import { describe, expect, it } from 'vitest';
import type { SessionLine } from './session-line';
import { minutesBand, percentBand, rateRows, SEEN_IDS, type Tally, talliesOf } from './surveillance';

const inflation = (
  changes: Partial<SessionLine['inflations'][number]> = {},
): SessionLine['inflations'][number] => ({
  limb: 'left-thigh',
  occludedMs: 300_000,
  percentLop: 59.9,
  cuff: 'L thigh',
  signs: [],
  ...changes,
});
const lineOf = (inflations: SessionLine['inflations'], followUp: SessionLine['followUp'] = null) =>
  ({ schoolId: 'clinic', inflations, followUp }) as SessionLine;

describe('surveillance (OUT-7)', () => {
  it('has bands that touch, and a place for a strap', () => {
    expect([null, 39.9, 40, 49.9, 79.9, 80, 100].map(percentBand)).toEqual([
      'by-feel',
      'under-40',
      '40-49',
      '40-49',
      '70-79',
      '80-up',
      '80-up',
    ]);
    expect([119_999, 120_000, 299_999, 300_000, 600_000].map(minutesBand)).toEqual([
      'under-2',
      '2-5',
      '2-5',
      '5-10',
      '10-up',
    ]);
  });

  it('counts each inflation with its signs, the day after once a limb, and nothing that is expected', () => {
    const followUp = { soreness: 3, bruising: 'small', pinpointBleeding: true, numbness: false } as const;
    const tallies = talliesOf(
      lineOf(
        [
          inflation({ signs: ['burn', 'numb-or-tingling'] }),
          inflation({ limb: 'right-thigh' }),
          inflation({ percentLop: null }),
        ],
        followUp,
      ),
    );
    expect(tallies.map(({ seen }) => Object.keys(seen).sort())).toEqual([
      ['numb-or-tingling'],
      ['pinpoint-bleeding', 'small-bruise'],
      ['pinpoint-bleeding', 'small-bruise'],
    ]);
    expect(tallies.map(({ limb, percentBand: band }) => [limb, band])).toEqual([
      ['leg', '50-59'],
      ['leg', '50-59'],
      ['leg', 'by-feel'],
    ]);
    expect(SEEN_IDS).not.toContain('burn');
  });

  it('distinguishes what was answered the day after', () => {
    const calm = { soreness: 1, bruising: 'none', pinpointBleeding: false, numbness: false } as const;
    const seen = (followUp: NonNullable<SessionLine['followUp']>) =>
      Object.keys(talliesOf(lineOf([inflation()], followUp))[0]?.seen ?? {});
    expect(seen(calm)).toEqual([]);
    expect(seen({ ...calm, bruising: 'wide' })).toEqual(['wide-bruise']);
    expect(seen({ ...calm, numbness: true })).toEqual(['numb-day-after']);
    expect(seen({ ...calm, skinAbrasion: true })).toEqual(['abrasion']);
    expect(seen({ ...calm, skinAbrasion: false, urgent: [] })).toEqual([]);
    expect(seen({ ...calm, urgent: ['calf-pain'] as never })).toEqual(['referred']);
  });

  it('gives rates with exact intervals, for all and by what one asks', () => {
    const many: Tally[] = [
      {
        limb: 'leg',
        percentBand: '50-59',
        minutesBand: '5-10',
        schoolId: 'clinic',
        cuff: 'L',
        inflations: 300,
        seen: { 'numb-or-tingling': 2 },
      },
      {
        limb: 'arm',
        percentBand: '40-49',
        minutesBand: '5-10',
        schoolId: 'clinic',
        cuff: 'A',
        inflations: 100,
        seen: {},
      },
    ];
    const [all, arm, leg] = rateRows(many, 'limb');
    expect([all?.name, arm?.name, leg?.name]).toEqual([null, 'arm', 'leg']);
    expect(all?.inflations).toBe(400);
    expect(all?.seen.find(({ id }) => id === 'numb-or-tingling')?.rate).toMatchObject({
      count: 2,
      per1000: 5,
    });
    expect(arm?.any).toEqual({ kind: 'none', of: 100, atMostPer1000: 30 });
    expect(leg?.any).toMatchObject({ kind: 'seen', count: 2 });
    expect(rateRows(many, null).map(({ name, inflations }) => [name, inflations])).toEqual([[null, 400]]);
    expect(rateRows([], null)).toMatchObject([{ name: null, any: { kind: 'nothing-counted' } }]);
  });
});
