import { describe, expect, it } from 'vitest';
import type { ClientRecord } from '#contract/client';
import type { PracticeView } from '#contract/practice';
import { type DraftWish, draftSession, GOALS, type GoalId } from '#core/plan';
import { rungSchema, SCHOOLS, type SchoolId } from '#core/protocol';
import type { Limb } from '#core/quantity';
import { basisOf } from '#core/record';
import { type Api, CLEAR, DAY_MS, NEW_PLAN, NOON_MS, startApi, TRIAL } from './api.fixture';
import { clearance } from './forbidden.fixture';

// Every goal, school, pair of limbs and rung, drafted as the interface does it, for people of many kinds: what the app
// proposes, its own server signs without a reason given.

const THIGHS: Limb[] = ['left-thigh', 'right-thigh'];
const ARMS: Limb[] = ['left-arm', 'right-arm'];
const LIMBS: Limb[][] = [['left-thigh'], ['right-arm'], THIGHS, ARMS];
const GIRTH_CM = { 'left-thigh': 55, 'right-thigh': 56, 'left-arm': 31, 'right-arm': 32 };

/** A person measured on all limbs, lying and (thighs) sitting, and tested on one side, both or the other. */
async function measuredAllOver(api: Api): Promise<string> {
  const { id } = await api.post('/clients', { name: 'Test Person' });
  await api.post(`/clients/${id}/screenings`, CLEAR);
  for (const limb of [...THIGHS, ...ARMS]) {
    const leg = THIGHS.includes(limb);
    const cuffId = leg ? 'thigh-large' : 'arm-one';
    await api.post(`/clients/${id}/fits`, { kind: 'cuff', limb, girthCm: GIRTH_CM[limb], cuffId });
    for (const position of leg ? ['lying', 'sitting'] : ['sitting']) {
      await api.post(`/clients/${id}/occlusion-pressures`, {
        limb,
        position,
        method: 'doppler',
        site: leg ? 'posterior-tibial' : 'radial',
        pumpId: 'pump',
        readingSchool: 'bracket',
        trials: limb === 'right-thigh' ? [TRIAL] : [TRIAL, TRIAL],
      });
    }
  }
  for (const [exerciseId, side, loadKg] of [
    ['knee-extension', 'left', 30],
    ['leg-press', 'both', 60],
    ['elbow-flexion', 'right', 9],
    ['elbow-flexion', 'both', 16],
  ]) {
    await api.post(`/clients/${id}/strength-tests`, { exerciseId, side, loadKg, reps: 8 });
  }
  return id;
}

const operated = (limb: Limb, daysAgo: number) => ({
  ...CLEAR,
  yes: ['recent-surgery'],
  procedures: [{ limb, atMs: NOON_MS - daysAgo * DAY_MS, what: 'tendon repair' }],
});

const PEOPLE: { who: string; by: 'clara' | 'colin'; happens?: (api: Api, id: string) => Promise<unknown> }[] =
  [
    { who: 'a newcomer', by: 'clara' },
    { who: 'a newcomer, by a coach', by: 'colin' },
    {
      who: 'a person cleared up to 45 %',
      by: 'clara',
      happens: (api, id) =>
        api.post(`/clients/${id}/clearances`, clearance(api.clock.nowMs, { maxPercentLop: 45 })),
    },
    {
      who: 'a person cleared up to 35 %, by a coach',
      by: 'colin',
      happens: (api, id) =>
        api.post(`/clients/${id}/clearances`, clearance(api.clock.nowMs, { maxPercentLop: 35 })),
    },
    {
      who: 'a person cleared for the left side, no passive work',
      by: 'clara',
      happens: (api, id) =>
        api.post(
          `/clients/${id}/clearances`,
          clearance(api.clock.nowMs, {
            limbs: ['left-thigh', 'left-arm'],
            modes: ['resistance', 'aerobic', 'activation', 'recovery'],
          }),
        ),
    },
    {
      who: 'a person operated on the left thigh three weeks ago',
      by: 'clara',
      happens: (api, id) => api.post(`/clients/${id}/screenings`, operated('left-thigh', 21)),
    },
    {
      who: 'a person operated on the right arm, by a coach',
      by: 'colin',
      happens: (api, id) => api.post(`/clients/${id}/screenings`, operated('right-arm', 40)),
    },
    {
      who: 'a person measured five weeks ago',
      by: 'clara',
      happens: async (api) => {
        api.clock.nowMs += 35 * DAY_MS;
      },
    },
    {
      who: 'a person whose thigh has grown into a smaller range',
      by: 'clara',
      happens: (api, id) =>
        api.post(`/clients/${id}/fits`, {
          kind: 'cuff',
          limb: 'left-thigh',
          girthCm: 49,
          cuffId: 'thigh-small',
        }),
    },
  ];

describe('whatever is drafted can be signed', () => {
  it.each(PEOPLE)('for $who', async ({ by, happens }) => {
    const api = await startApi();
    const id = await measuredAllOver(api);
    await happens?.(api, id);
    const client = await api.get<ClientRecord>(`/clients/${id}`);
    const practice = await api.get<PracticeView>('/practice');
    const basis = basisOf(client.facts, practice, by === 'clara' ? 'clinician' : 'coach', client.judgedAtMs);
    let drafted = 0;
    for (const [place, wish] of wishes().entries()) {
      const { session } = draftSession(wish, basis);
      if (!session) continue;
      drafted += 1;
      const { status, body } = await api.call(
        'POST',
        `/clients/${id}/prescriptions`,
        { ...session, signedFor: NEW_PLAN },
        by,
      );
      expect([place, wish.goal, wish.schoolId, wish.limbs, status, status < 300 || body]).toEqual([
        place,
        wish.goal,
        wish.schoolId,
        wish.limbs,
        201,
        true,
      ]);
    }
    expect(drafted).toBeGreaterThan(10);
  });
});

/** Each goal with each pair of limbs; schools, rungs and a pair at once or one after the other taken in turn. */
function wishes(): DraftWish[] {
  const schools = Object.keys(SCHOOLS) as SchoolId[];
  const rungs = rungSchema.options;
  return (Object.keys(GOALS) as GoalId[]).flatMap((goal, g) =>
    LIMBS.map((limbs, l): DraftWish => {
      const place = LIMBS.length * g + l;
      return {
        goal,
        schoolId: schools[place % schools.length] ?? 'research-consensus',
        limbs,
        together: (g + l) % 2 === 1,
        rung: rungs[place % rungs.length] ?? 'loaded',
        newcomer: true,
        isolatedOnly: place % 3 === 0,
        carried: [],
        lowered: new Map(),
      };
    }),
  );
}
