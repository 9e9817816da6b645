import { v4 as newId } from 'uuid';
import type { NewClearance } from '#contract/measurements';
import type { RuleId } from '#core/rules';
import { DAY_SIGNS, daySignSchema } from '#core/screening';
import { SIGNS, signIdSchema } from '#core/session';
import {
  AGREED,
  type Api,
  CLEAR,
  DAY_MS,
  FIT,
  nextVersion,
  OCCLUSION,
  prescriptionFor,
  WELL,
} from './api.fixture';

/** A person with every link good, a signed plan and a check of today. */
import {
  answerDayAfter,
  at,
  clearance,
  largeCuff,
  measureAgain,
  ofLevel,
  planOf,
  pressures,
  type Ready,
  reading,
  testAgain,
  train,
  trainToday,
} from './forbidden.fixture';

export type WayToOpen = {
  way: string;
  rule: RuleId | null;
  happens: (api: Api, person: Ready) => Promise<unknown>;
};

export const WAYS_TO_OPEN: WayToOpen[] = [
  ...[...ofLevel('stop'), ...ofLevel('clear')].map(
    (item): WayToOpen => ({
      way: `${item} found by a later screening`,
      rule: null,
      happens: (api, person) => api.post(at(person, 'screenings'), { ...CLEAR, yes: [item] }),
    }),
  ),
  ...ofLevel('stop').map(
    (item): WayToOpen => ({
      way: `${item} found, and answered no by a coach the day after`,
      rule: null,
      happens: async (api, person) => {
        await api.post(at(person, 'screenings'), { ...CLEAR, yes: [item] });
        api.clock.nowMs += DAY_MS;
        await api.post(at(person, 'screenings'), CLEAR, 'colin');
        await api.post(at(person, 'day-checks'), WELL);
      },
    }),
  ),
  ...daySignSchema.options
    .filter((sign) => DAY_SIGNS[sign].holds)
    .flatMap((sign): WayToOpen[] => [
      {
        way: `${sign} in the check of today`,
        rule: 'SCR-3',
        happens: (api, person) => api.post(at(person, 'day-checks'), { ...WELL, notWell: [sign] }),
      },
      {
        way: `${sign} in the check of today, and a good one after it`,
        rule: null,
        happens: async (api, person) => {
          await api.post(at(person, 'day-checks'), { ...WELL, notWell: [sign] });
          api.clock.nowMs += 60_000;
          await api.post(at(person, 'day-checks'), WELL, 'colin');
        },
      },
    ]),
  ...signIdSchema.options
    .filter((sign) => SIGNS[sign].level !== 'expected')
    .flatMap((sign): WayToOpen[] => [
      {
        way: `${sign} in a session of today`,
        rule: null,
        happens: (api, person) => train(api, person, [[90, { type: 'sign-noted', sign }]], 3_600_000),
      },
      {
        way: `${sign} two days ago, the day after asked, a good check today`,
        rule: null,
        happens: async (api, person) => {
          const view = await train(
            api,
            person,
            [[90, { type: 'sign-noted', sign }]],
            2 * DAY_MS,
            'unanswered',
          );
          await answerDayAfter(api, view, {});
          await api.post(at(person, 'day-checks'), WELL);
        },
      },
    ]),
  ...[{ numbness: true }, { bruising: 'wide' }, { urgent: ['dark-urine'] }, { urgent: ['swollen-limb'] }].map(
    (said): WayToOpen => ({
      way: `${JSON.stringify(said)} said the day after`,
      rule: 'RUN-6',
      happens: async (api, person) => {
        const view = await train(api, person, [], 2 * DAY_MS);
        await answerDayAfter(api, view, said);
        await api.post(at(person, 'day-checks'), WELL);
      },
    }),
  ),
  {
    way: 'the day after never asked',
    rule: 'RUN-6',
    happens: async (api, person) => {
      await train(api, person, [], 2 * DAY_MS);
      await api.post(at(person, 'day-checks'), WELL);
    },
  },
  {
    way: 'the same limb twice on one day',
    rule: null,
    happens: trainToday,
  },
  ...[
    [186, 90],
    [150, 112],
    [160, 90],
    [140, 100],
  ].map(
    ([systolicMmHg = 0, diastolicMmHg = 0]): WayToOpen => ({
      way: `a blood pressure of ${systolicMmHg}/${diastolicMmHg} today`,
      rule: 'SCR-3',
      happens: (api, person) =>
        api.post(at(person, 'day-checks'), { ...WELL, bloodPressure: reading(systolicMmHg, diastolicMmHg) }),
    }),
  ),
  {
    way: 'a resting blood pressure of 182/104 in a later screening',
    rule: null,
    happens: (api, person) =>
      api.post(at(person, 'screenings'), { yes: [], bloodPressures: pressures(182, 104) }),
  },
  {
    way: 'a consent that was withdrawn',
    rule: null,
    happens: (api, person) => api.post(at(person, 'consents'), { ...AGREED, decision: 'withdrawn' }),
  },
  {
    way: 'a consent of over a year ago',
    rule: null,
    happens: (api) => api.sql('update consent set at_ms = at_ms - 366 * 86400000'),
  },
  {
    way: 'pain of six today',
    rule: null,
    happens: (api, person) => api.post(at(person, 'day-checks'), { ...WELL, painNow: 6 }),
  },
  {
    way: 'a check of yesterday',
    rule: 'SCR-3',
    happens: async (api) => {
      api.clock.nowMs += DAY_MS;
    },
  },
  {
    way: 'a screening of thirteen weeks ago',
    rule: null,
    happens: async (api, person) => {
      api.clock.nowMs += 92 * DAY_MS;
      await api.post(at(person, 'day-checks'), WELL);
    },
  },
  {
    way: 'a pressure past its shelf life',
    rule: null,
    happens: async (api, person) => {
      api.clock.nowMs += 30 * DAY_MS;
      await api.post(at(person, 'day-checks'), WELL);
    },
  },
  {
    way: 'a strength test of seven weeks ago',
    rule: null,
    happens: async (api, person) => {
      api.clock.nowMs += 43 * DAY_MS;
      await api.post(at(person, 'fits'), FIT);
      await api.post(at(person, 'occlusion-pressures'), OCCLUSION);
      await api.post(at(person, 'day-checks'), WELL);
    },
  },
  // Lower is followed, much higher is asked first (rule PRS-8).
  ...[220, 250].map(
    (goneMmHg): WayToOpen => ({
      way: `a pressure measured since, at ${goneMmHg}`,
      rule: null,
      happens: (api, { client }) => measureAgain(api, client, goneMmHg),
    }),
  ),
  {
    way: 'a quick check further off than 10 mmHg',
    rule: null,
    happens: async (api, person) => {
      api.clock.nowMs += 1_000;
      const occlusionId = person.client.facts.occlusions[0]?.id;
      await api.post(at(person, 'quick-checks'), { occlusionId, goneMmHg: 210, upMmHg: 10 });
    },
  },
  ...[10, 20, 60].map(
    (loadKg): WayToOpen => ({
      way: `a 1RM tested since, with ${loadKg} kg`,
      rule: null,
      happens: (api, { client }) => testAgain(api, client, loadKg),
    }),
  ),
  {
    way: 'a cuff of another width fitted since',
    rule: null,
    happens: async (api, person) => {
      api.clock.nowMs += 1_000;
      await api.post(at(person, 'fits'), { ...FIT, girthCm: 49, cuffId: 'thigh-small' });
    },
  },
  {
    way: 'a strap fitted since',
    rule: null,
    happens: async (api, person) => {
      api.clock.nowMs += 1_000;
      await api.post(at(person, 'fits'), {
        kind: 'strap',
        limb: 'left-thigh',
        girthCm: 55,
        strapId: 'strap',
      });
    },
  },
  {
    way: 'a girth that has grown by more than the cuff allows',
    rule: null,
    happens: async (api, person) => {
      await api.post('/practice/kit', largeCuff({ girthHighCm: 54 }));
      await api.post(at(person, 'day-checks'), WELL);
    },
  },
  {
    way: 'something new in health, though a later check finds all well',
    rule: 'SCR-3',
    happens: async (api, person) => {
      await api.post(at(person, 'day-checks'), { ...WELL, notWell: ['same'] });
      api.clock.nowMs += 13 * 3_600_000;
      await api.post(at(person, 'day-checks'), WELL);
    },
  },
  {
    way: 'a letter recorded later that forbids a range the exercise goes through, without a reason',
    // Who may pass a guard is asked for the reason (SCR-4), the others are answered which one it is (SCR-2).
    rule: null,
    happens: async (api, person) => {
      api.clock.nowMs += 1_000;
      const ranges = [{ joint: 'knee', fromDegrees: 0, toDegrees: 45, isOfLoaded: true }] as const;
      await api.post(at(person, 'clearances'), clearance(api.clock.nowMs, { ranges: [...ranges] }));
    },
  },
  {
    way: 'a cuff that has been retired',
    rule: null,
    happens: (api) => api.post('/practice/kit/retire', { list: 'cuffs', id: 'thigh-large' }),
  },
  {
    way: 'a cuff that cannot occlude any more',
    rule: 'FIT-2',
    happens: (api) => api.post('/practice/kit', largeCuff({ canOcclude: false })),
  },
  {
    way: 'a cuff whose width was corrected',
    rule: null,
    happens: (api) => api.post('/practice/kit', largeCuff({ widthCm: 13 })),
  },
  {
    way: 'a cuff made for arms',
    rule: null,
    happens: (api) => api.post('/practice/kit', largeCuff({ limbKind: 'arm' })),
  },
  {
    way: 'a cuff that holds less than the target',
    rule: 'FIT-2',
    happens: (api) => api.post('/practice/kit', largeCuff({ maxPressureMmHg: 60 })),
  },
  ...(
    [
      ['other limbs', { limbs: ['left-arm'] }],
      ['the other leg', { limbs: ['right-thigh'] }],
      ['passive work only', { modes: ['passive'] }],
      ['aerobic work only', { modes: ['aerobic'] }],
      ['work without a load', { highestRung: 'unloaded', limbs: ['left-thigh'] }],
    ] as const
  ).map(
    ([what, limits]): WayToOpen => ({
      way: `a clearance recorded later, for ${what}`,
      rule: 'SCR-2',
      happens: async (api, person) => {
        api.clock.nowMs += 1_000;
        // A letter that answers what was found clears the limbs that it names, and no other.
        if ('limbs' in limits) await api.post(at(person, 'screenings'), { ...CLEAR, yes: ['diabetes'] });
        await api.post(
          at(person, 'clearances'),
          clearance(api.clock.nowMs, limits as unknown as Partial<NewClearance>),
        );
      },
    }),
  ),
  {
    way: 'a clearance that has run out',
    rule: null,
    happens: async (api, person) => {
      await api.post(at(person, 'screenings'), { ...CLEAR, yes: ['diabetes'] });
      await api.post(
        at(person, 'clearances'),
        clearance(api.clock.nowMs, { untilMs: api.clock.nowMs + DAY_MS }),
      );
      api.clock.nowMs += 2 * DAY_MS;
      await api.post(at(person, 'day-checks'), WELL);
    },
  },
  {
    way: 'a clearance for something else',
    rule: null,
    happens: async (api, person) => {
      await api.post(at(person, 'screenings'), { ...CLEAR, yes: ['anticoagulants'] });
      await api.post(at(person, 'clearances'), clearance(api.clock.nowMs));
    },
  },
  {
    way: 'a plan that a newer one has replaced',
    rule: null,
    happens: async (api, person) => {
      api.clock.nowMs += 1_000;
      await api.post(at(person, 'prescriptions'), {
        ...prescriptionFor(person.client, { percentLop: 38 }),
        signedFor: nextVersion(person.client),
      });
    },
  },
  ...(['paused', 'ended'] as const).map(
    (state): WayToOpen => ({
      way: `a plan that is ${state}`,
      rule: null,
      happens: (api, person) => api.post(at(person, `course-plans/${planOf(person)}`), { state }),
    }),
  ),
  {
    way: 'a plan that was to be run until yesterday',
    rule: null,
    happens: (api, person) =>
      api.post(at(person, `course-plans/${planOf(person)}`), { untilMs: api.clock.nowMs - DAY_MS }),
  },
  {
    way: 'a review after pain that is not answered',
    rule: 'REV-10',
    happens: async (api, person) => {
      const pain = [90, { type: 'set-noted', exerciseIndex: 0, setIndex: 0, jointPain: 7 }] as const;
      const view = await train(api, person, [pain], 2 * DAY_MS, 'unanswered');
      await api.post(at(person, 'day-checks'), WELL);
      await answerDayAfter(api, view, {});
    },
  },
  {
    way: 'while another session is open',
    rule: null,
    happens: (api, person) => api.post('/sessions', { id: newId(), prescriptionId: person.prescriptionId }),
  },
];

/** A way to get a plan signed that must never be, whatever the reason. Add more. */
