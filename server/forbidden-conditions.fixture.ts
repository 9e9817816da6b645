import { CLEAR, DAY_MS, WELL } from './api.fixture';
import { at, clearance, ofLevel, pressures, reading, train } from './forbidden.fixture';
import { WAYS_TO_OPEN, type WayToOpen } from './forbidden-to-open.fixture';

const operation = (nowMs: number) => ({
  yes: ['recent-surgery'],
  procedures: [{ limb: 'left-thigh', atMs: nowMs - 10 * DAY_MS, what: 'Meniscus repair' }],
});

/** What a person has, and who tried to take it back without being the one who may (rules SCR-1, SCR-3, SCR-5). */
const WAYS_PAST_CONDITIONS: WayToOpen[] = [
  ...ofLevel('clear').flatMap((item): WayToOpen[] =>
    (['aske', 'colin', 'clara'] as const).map((who) => ({
      way: `${item} recorded by a clinician, and answered no the day after to ${who}`,
      rule: null,
      happens: async (api, person) => {
        const found = item === 'recent-surgery' ? operation(api.clock.nowMs) : { yes: [item] };
        await api.post(at(person, 'screenings'), { ...CLEAR, ...found });
        api.clock.nowMs += DAY_MS;
        await api.post(at(person, 'screenings'), CLEAR, who);
        await api.post(at(person, 'day-checks'), { ...WELL, bloodPressure: reading(120, 80) });
      },
    })),
  ),
  {
    way: 'a resting 150/92 recorded by a clinician, and 120/78 taken by an assistant the day after',
    rule: null,
    happens: async (api, person) => {
      await api.post(at(person, 'screenings'), { ...CLEAR, bloodPressures: pressures(150, 92) });
      api.clock.nowMs += DAY_MS;
      await api.post(at(person, 'screenings'), { ...CLEAR, bloodPressures: pressures(120, 78) }, 'aske');
      await api.post(at(person, 'day-checks'), { ...WELL, bloodPressure: reading(120, 80) });
    },
  },
  {
    way: 'an operation of ten days ago in a duplicate of theirs, and a newer screening here',
    rule: null,
    happens: async (api, person) => {
      const twin = await api.post('/clients', { name: 'The same, once more' });
      await api.post(`/clients/${twin.id}/screenings`, { ...CLEAR, ...operation(api.clock.nowMs) });
      api.clock.nowMs += 60_000;
      await api.post(at(person, 'screenings'), CLEAR);
      await api.post(at(person, 'merge'), { otherId: twin.id, reason: 'The same person' });
      await api.post(at(person, 'day-checks'), WELL);
    },
  },
  {
    way: 'something new in health, screened again by a coach',
    rule: 'SCR-3',
    happens: async (api, person) => {
      await api.post(at(person, 'day-checks'), { ...WELL, notWell: ['same'] });
      api.clock.nowMs += DAY_MS;
      await api.post(at(person, 'screenings'), CLEAR, 'colin');
      await api.post(at(person, 'day-checks'), WELL, 'colin');
    },
  },
  {
    way: 'pain 8 today, asked again by an assistant: 0',
    rule: null,
    happens: async (api, person) => {
      await api.post(at(person, 'day-checks'), { ...WELL, painNow: 8 });
      api.clock.nowMs += 60_000;
      await api.post(at(person, 'day-checks'), { ...WELL, painNow: 0 }, 'aske');
    },
  },
  {
    way: 'treated hypertension recorded and cleared after the check of today, which asked no blood pressure',
    rule: 'SCR-3',
    happens: async (api, person) => {
      await api.post(at(person, 'day-checks'), { ...WELL, bloodPressure: null });
      api.clock.nowMs += 60_000;
      await api.post(at(person, 'screenings'), { ...CLEAR, yes: ['hypertension-treated'] });
      await api.post(
        at(person, 'clearances'),
        clearance(api.clock.nowMs, { subjects: ['hypertension-treated'] }),
      );
    },
  },
  {
    way: 'a blood pressure of 225/100 in the last rest an hour ago',
    rule: 'RUN-8',
    happens: (api, person) => {
      const noted = {
        type: 'blood-pressure-noted',
        moment: 'last-rest',
        reading: reading(225, 100),
      } as const;
      return train(api, person, [[150, noted]], 3_600_000);
    },
  },
  {
    way: 'an operation without its limb, cleared',
    rule: null,
    happens: async (api, person) => {
      await api.post(at(person, 'screenings'), { ...CLEAR, yes: ['recent-surgery'] });
      await api.post(at(person, 'clearances'), clearance(api.clock.nowMs, { subjects: ['recent-surgery'] }));
    },
  },
];

/** Every way to get a session opened that must stay shut. */
export const ALL_WAYS: readonly WayToOpen[] = [...WAYS_TO_OPEN, ...WAYS_PAST_CONDITIONS];
