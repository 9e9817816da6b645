import type { CoursePlan } from '../course/course-plan';
import { testCuff, testKit, testOcclusion, testPlan, testStrength } from '../plan/plan.fixture';
import { isoOf } from '../quantity/days';
import type { SessionSummary } from '../review/summary';
import { conditionsOfScreening } from '../screening/condition';
import { CONSENT_VERSION, type Consent } from '../screening/consent';
import { SCREEN_VERSION, type Screening } from '../screening/screening';
import type { BlockFact, ClientFacts, KitInUse, PrescriptionFact, SessionFact } from './facts';

// A person for tests who is ready to run, as of NOW_MS.

export const NOW_MS = 1_800_000_000_000;
const DAY_MS = 86_400_000;
export const daysAgo = (days: number): number => NOW_MS - days * DAY_MS;

export const testKitInUse: KitInUse = { cuffs: [testCuff], weightKits: [testKit] };

export const testScreening = (changes: Partial<Screening> = {}): Screening => ({
  atMs: daysAgo(20),
  version: SCREEN_VERSION,
  yes: [],
  bloodPressures: [
    { systolicMmHg: 122, diastolicMmHg: 76 },
    { systolicMmHg: 122, diastolicMmHg: 76 },
  ],
  note: '',
  by: 'clinician',
  ...changes,
});

/** Screenings with the conditions that they begin. */
export const screenedAs = (...screenings: Screening[]): Pick<ClientFacts, 'screenings' | 'conditions'> => ({
  screenings,
  conditions: screenings.flatMap((screening, place) =>
    conditionsOfScreening(`s${place}`, screening, screening.atMs).map((begun) => ({
      ...begun,
      id: begun.cause,
      ended: null,
    })),
  ),
});

export const testConsent = (changes: Partial<Consent> = {}): Consent => ({
  atMs: daysAgo(12),
  version: CONSENT_VERSION,
  decision: 'agreed',
  read: 'on-screen',
  guardian: null,
  ...changes,
});

/** A person with an empty record. */
export const strangerFacts: ClientFacts = {
  shelfLife: '4-weeks',
  limbShelfLives: [],
  units: { mass: 'kg', length: 'cm' },
  zoneOffsetMs: 0,
  stricter: [],
  arbitraryUpToMmHg: null,
  rungSessions: {},
  places: [],
  ownExercises: {},
  ownMeasures: {},
  comparisons: [],
  bornOn: null,
  followed: [],
  fitness: [],
  screenings: [],
  conditions: [],
  clearances: [],
  consents: [],
  holds: [],
  dayChecks: [],
  fits: [],
  tightness: [],
  occlusions: [],
  strengthTests: [],
  coursePlans: [],
  prescriptions: [],
  formerVersions: [],
  blocks: [],
  rungChecks: [],
  heavyWork: [],
  sessions: [],
  sessionsFinished: 0,
};

const KNEE_DONE: SessionSummary = {
  worked: [{ exerciseId: 'knee-extension', limbs: ['left-thigh'], mode: 'resistance' }],
  tolerated: true,
  stepsDown: [],
  reviewed: true,
  answered: [],
  given: [{ limb: 'left-thigh', occludedMs: 335_000, percentLop: 58.6 }],
  exercises: [],
  painBefore: null,
  followUp: { soreness: 2, bruising: 'none', pinpointBleeding: false, numbness: false },
};

export const testSessionFact = (startedDaysAgo: number, changes: Partial<SessionFact> = {}): SessionFact => ({
  id: `session ${startedDaysAgo}`,
  prescriptionId: 'rx',
  coursePlanId: 'lower',
  startedAtMs: daysAgo(startedDaysAgo),
  finishedAtMs: daysAgo(startedDaysAgo) + 900_000,
  ...KNEE_DONE,
  ...changes,
});

export const testCoursePlan = (changes: Partial<CoursePlan> = {}): CoursePlan => ({
  id: 'lower',
  name: 'Lower day',
  ownName: null,
  occasion: { kind: 'any-day' },
  state: 'in-force',
  untilMs: null,
  ...changes,
});

export const testPrescription = (changes: Partial<PrescriptionFact> = {}): PrescriptionFact => ({
  id: 'rx',
  coursePlanId: 'lower',
  versions: [changes.id ?? 'rx'],
  changes: [],
  atMs: daysAgo(1),
  signedBy: 'clara',
  role: 'clinician',
  guards: [],
  overrideReason: null,
  plan: testPlan().plan,
  ...changes,
});

/** A block of the lower days that began so many days ago, on any weekday; its sessions by days from today. */
export const testBlock = (
  startsDaysAgo: number,
  changes: Partial<BlockFact['wish']> = {},
  sessionsAhead: readonly number[] = [],
): BlockFact => ({
  id: 'block',
  atMs: daysAgo(40),
  wish: {
    startsOn: dayAhead(-startsDaysAgo),
    weeks: 8,
    lines: [
      {
        coursePlanId: 'lower',
        perWeek: 2,
        timesADay: 1,
        available: [0, 1, 2, 3, 4, 5, 6],
        onHeavyDays: 'either',
      },
    ],
    heavy: [],
    deload: null,
    season: [],
    atTime: '17:30',
    ...changes,
  },
  sessions: sessionsAhead.map((days) => ({ day: dayAhead(days), coursePlanId: 'lower' })),
});

const dayAhead = (days: number): string => isoOf(Math.floor(NOW_MS / DAY_MS) + days);

export const testFacts = (changes: Partial<ClientFacts> = {}): ClientFacts => {
  const facts = { ...TRAINED, ...(changes.screenings && screenedAs(...changes.screenings)), ...changes };
  const finished = facts.sessions.filter(({ finishedAtMs }) => finishedAtMs !== null);
  return { ...facts, sessionsFinished: finished.length };
};

const TRAINED: ClientFacts = {
  ...strangerFacts,
  screenings: [testScreening()],
  consents: [testConsent()],
  fits: [
    {
      kind: 'cuff',
      limb: 'left-thigh',
      atMs: daysAgo(12),
      girthCm: 54,
      widthCm: 11.5,
      label: 'L thigh',
      cuffId: 'cuff-l',
    },
  ],
  occlusions: [testOcclusion({ atMs: daysAgo(12), trialsUsed: 3 })],
  strengthTests: [testStrength({ atMs: daysAgo(10) })],
  coursePlans: [testCoursePlan()],
  prescriptions: [testPrescription()],
  // Five weeks, two a week, the last five days ago: the ramp is over.
  sessions: [5, 8, 12, 15, 19, 22, 26, 29, 33, 36].map((days) => testSessionFact(days)),
};
