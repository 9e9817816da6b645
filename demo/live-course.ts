import { v5 as uuidFrom } from 'uuid';
import type { ClientRecord } from '#contract/client';
import type { SessionView } from '#contract/session';
import { type BlockWish, placeBlock, scheduledOn, simulatedSession } from '#core/course';
import type { Trainee } from '#core/forecast';
import { limbsFor, measureBook, measureOf, type Taken } from '#core/outcomes';
import { draftSession } from '#core/plan';
import { EXERCISES, type LadderRung, type Library, type Rung } from '#core/protocol';
import { dayAt, isoOf, type Limb, limbKind, limbSide, otherSide } from '#core/quantity';
import { adviseRung, basisOf, blockPlansOf, nextPlan, planOfDay, recheck, rungInForce } from '#core/record';
import { fold, mergeLogs, type SessionEvent } from '#core/session';
import { normal, type Random, seededRandom, seedOf } from '#core/simulation';
import { inEnglish } from '#language/render';
import { AGREED } from './agreed';
import type { Course } from './courses';
import { CUFFS, MEASURES, PRACTICE, WEIGHT_KITS } from './practice';
import type { Reviews } from './reviews';

const NAMESPACE = 'b8a1c3de-64f0-4a3b-8e0f-6f2f8f0f7a10';
const BOOK = measureBook(Object.fromEntries(MEASURES.map(({ id, measure }) => [id, measure])));
const DAY_MS = 86_400_000;
const MINUTE_MS = 60_000;
const MEASURE_AGAIN_DAYS = 26;
const TEST_AGAIN_DAYS = 40;

/** The server's own routes, with its clock set to when something was done. */
export type World = {
  clock: { nowMs: number };
  get: <T>(path: string) => Promise<T>;
  post: <T>(path: string, body: unknown) => Promise<T>;
  reviews: Reviews;
};

/** How a person does after some weeks: they gain what their course says, less on bad days. */
class Person {
  constructor(
    private readonly course: Course,
    private readonly random: Random,
  ) {}

  trainees(week: number): ReadonlyMap<Limb, Trainee> {
    const { endurance } = this.course.gains;
    const today = Math.exp(0.06 * normal(this.random));
    const factor = 1.15 * (1 + (endurance / 100) * week) * today;
    return new Map(this.course.limbs.map((limb) => [limb, { endurance: factor, recovery: 1 }]));
  }

  misses = (): boolean => this.random() < this.course.misses;

  eightRepsKg(week: number): number {
    const { eightRepsKg, gains } = this.course;
    const kg = (eightRepsKg ?? 0) * (1 + (gains.strength / 100) * week) * (1 + 0.012 * normal(this.random));
    return Math.max(0.5, Math.round(2 * kg) / 2);
  }

  lopMmHg = (): number => 2 * Math.round((this.course.lopMmHg + 4 * normal(this.random)) / 2);

  jointPain(week: number): number {
    const { pain } = this.course;
    if (!pain) return this.random() < 0.3 ? 1 : 0;
    return Math.max(
      0,
      Math.min(3, Math.round(pain.start * 0.5 - pain.fallsBy * week + 0.4 * normal(this.random))),
    );
  }

  /** What is measured of them on a day: girths of both sides, pain, and what is their own. */
  measures(week: number): Taken[] {
    const { limbs, gains, girthCm, pain, own } = this.course;
    const [limb] = limbs;
    if (!limb) return [];
    const girth = limbKind(limb) === 'leg' ? 'girth-mid-thigh' : 'girth-mid-arm';
    const taken = (
      measureId: Taken['measureId'],
      of: Limb | null,
      value: number,
      repeats: number,
      setting = '',
    ): Taken => {
      const measure = measureOf(BOOK, measureId);
      const noise =
        measure.error.kind === 'percent' ? (measure.error.value * value) / 100 : measure.error.value;
      const factor = 10 ** measure.decimals;
      const figures = Array.from({ length: repeats }, () => {
        const read = value + 0.6 * noise * normal(this.random);
        return Math.round(Math.min(measure.highest, Math.max(measure.lowest, read)) * factor) / factor;
      });
      return { measureId, limb: of, repeats: figures, setting, note: '' };
    };
    const sides = [limb, otherSide(limb)];
    return [
      ...sides.map((side) =>
        taken(
          girth,
          side,
          girthCm - 4 + (limbs.includes(side) ? gains.sizeCm * Math.max(0, week - 2) : 0.4),
          2,
        ),
      ),
      ...(pain
        ? [taken('pain-on-test', limb, Math.max(0, pain.start - pain.fallsBy * week), 1, 'Single-leg squat')]
        : []),
      ...(own
        ? [
            taken(
              own.measureId,
              own.perLimb
                ? (limbsFor(measureOf(BOOK, own.measureId)).find((one) => one === limb) ?? null)
                : null,
              own.first + own.perWeek * week,
              1,
              own.setting,
            ),
          ]
        : []),
    ];
  }
}

/**
 * Plays a course through the server's own routes: screened, fitted, measured, tested, signed, and then session by session, each
 * reviewed and its review accepted; measured again before it is due. The same course gives the same months, ending now.
 */
export async function liveCourse(
  course: Course,
  nowMs: number,
  { clock, get, post, reviews }: World,
): Promise<void> {
  const random = seededRandom(seedOf(course.name));
  const person = new Person(course, random);
  const startMs = nowMs - (course.weeks * 7 + 2) * DAY_MS;
  const idOf = (what: string) => uuidFrom(`${course.name} ${what}`, NAMESPACE);
  clock.nowMs = startMs;
  let record = await post<ClientRecord>('/clients', { name: course.name, story: course.story });
  const base = `/clients/${record.id}`;
  const tell = async (what: string, body: unknown) => {
    clock.nowMs += MINUTE_MS;
    record = await post<ClientRecord>(`${base}/${what}`, body);
  };
  const measureLimbs = async () => {
    for (const limb of course.limbs) {
      if (course.strap) {
        const felt = { felt: 7, colourGood: true, noTingling: true };
        await tell('tightness', { limb, ...course.strap, ...felt });
        continue;
      }
      const lop = person.lopMmHg();
      const trial = (gone: number) => ({ goneMmHg: gone + 6, upMmHg: 10, backMmHg: gone - 4, downMmHg: 4 });
      for (const position of course.operated ? (['lying', 'sitting'] as const) : (['sitting'] as const)) {
        const above = position === 'lying' ? 0 : course.operated ? 14 : 0;
        await tell('occlusion-pressures', {
          limb,
          position,
          method: 'doppler',
          site: limbKind(limb) === 'leg' ? 'posterior-tibial' : 'radial',
          pumpId: 'hand-pump',
          readingSchool: 'bracket',
          trials: [trial(lop + above), trial(lop + above + 2)],
        });
      }
    }
  };
  const testStrength = (week: number) =>
    tell('strength-tests', {
      exerciseId: course.exerciseId,
      side: course.limbs.length > 1 ? 'both' : limbSide(course.limbs[0] ?? 'left-thigh'),
      loadKg: person.eightRepsKg(week),
      reps: 8,
    });
  const takeMeasures = async (week: number) => {
    for (const taken of person.measures(week)) {
      clock.nowMs += MINUTE_MS;
      await post(`${base}/outcomes`, {
        ...taken,
        id: idOf(`${week} ${taken.measureId} ${taken.limb}`),
        atMs: clock.nowMs,
      });
    }
  };
  const calm = { systolicMmHg: 124, diastolicMmHg: 78 };
  await tell('screenings', {
    yes: [...(course.operated ? ['recent-surgery'] : []), ...(course.from65 ? ['over-65'] : [])],
    bloodPressures: [calm, calm],
    note: '',
    ...operationOf(course, startMs),
  });
  await tell('consents', AGREED);
  if (course.operated) await tell('clearances', clearanceFor(startMs));
  for (const limb of course.limbs) {
    if (course.strap) {
      const { strapId } = course.strap;
      await tell('fits', { kind: 'strap', limb, girthCm: course.girthCm, strapId });
      continue;
    }
    const cuff = CUFFS.filter(
      ({ limbKind: kind, girthLowCm, girthHighCm }) =>
        kind === limbKind(limb) && girthLowCm <= course.girthCm && girthHighCm >= course.girthCm,
    ).at(-1);
    await tell('fits', { kind: 'cuff', limb, girthCm: course.girthCm, cuffId: cuff?.id });
  }
  await measureLimbs();
  await takeMeasures(0);
  if (course.compared) {
    const wish = {
      kind: 'limbs',
      measureId: 'girth-mid-thigh',
      setting: '',
      startsOn: isoOf(dayAt(clock.nowMs, record.facts.zoneOffsetMs)),
      limbs: 'leg',
      weeks: course.compared.weeks,
    };
    await post(`${base}/comparisons`, { id: idOf('comparison'), wish });
  }
  if (course.eightRepsKg !== null) await testStrength(0);
  const [firstLimb] = course.limbs;
  const rungNow = (): Rung => {
    const stood = firstLimb && rungInForce(record.facts, firstLimb)?.rung;
    return stood === undefined || stood === 'done' ? 'passive' : stood;
  };
  const enterRung = async (rung: LadderRung) => {
    const answers = { pain: 1, swellingDown: true, rangeGood: true, clinicianAgrees: true };
    await tell('rung-checks', { limb: firstLimb, answers, rung });
  };
  if (course.operated) await enterRung('passive');
  const sign = async (changes: object) => {
    const { session, notes } = draftSession(
      {
        goal: course.goal,
        schoolId: PRACTICE.schoolId,
        limbs: course.limbs,
        together: course.limbs.length > 1,
        rung: rungNow(),
        newcomer: false,
        isolatedOnly: false,
        carried: [],
        lowered: new Map(),
      },
      basisOf(record.facts, KIT, 'clinician', clock.nowMs),
    );
    if (!session) throw new Error(`No draft for ${course.name}: ${notes.map(inEnglish).join(' ')}`);
    await tell('prescriptions', { ...session, signedFor: changes });
  };
  await sign({ kind: 'new-plan', name: null, occasion: { kind: 'any-day' }, untilMs: null });
  // Measured much higher than before: it is taken by one key (rule PRS-8).
  const retarget = async () => {
    const [signed] = record.facts.prescriptions;
    if (signed && recheck(signed, record.facts, KIT, clock.nowMs).retargetable)
      await tell(`prescriptions/${signed.id}/retarget`, {});
  };
  const begins = blockStarts(course);
  const gapDays = 7 / course.perWeek;
  let [measuredMs, testedMs] = [clock.nowMs, clock.nowMs];
  for (let place = 0; place < course.weeks * course.perWeek; place += 1) {
    const week = place / course.perWeek;
    clock.nowMs = startMs + Math.round((1 + place * gapDays) * DAY_MS);
    if (place > 0 && place % (4 * course.perWeek) === 0) await takeMeasures(Math.round(week));
    if (begins.includes(place)) await tell('blocks', blockOf(course, record, clock.nowMs));
    if (course.operated) {
      // Measured for every session, and a rung higher after every so many: its work was signed with the first.
      await measureLimbs();
      await retarget();
      const isTime = place > 0 && place % Math.ceil((course.weeks * course.perWeek) / RUNGS) === 0;
      const advice = firstLimb && adviseRung(record.facts, firstLimb, clock.nowMs);
      if (isTime && advice?.move === 'up' && advice.to !== 'done') await enterRung(advice.to);
    } else if (clock.nowMs - measuredMs > MEASURE_AGAIN_DAYS * DAY_MS) {
      await measureLimbs();
      measuredMs = clock.nowMs;
      await retarget();
    }
    if (course.eightRepsKg !== null && clock.nowMs - testedMs > TEST_AGAIN_DAYS * DAY_MS) {
      await testStrength(week);
      testedMs = clock.nowMs;
      await sign({ kind: 'next-version', coursePlanId: record.facts.coursePlans[0]?.id });
    }
    if (person.misses()) continue;
    record = await doSession(course, person, random, place, record, { clock, get, post, reviews }, idOf);
  }
}

/** A block of four weeks and one of eight, which still runs, of those who train in blocks; at the places of their first sessions. */
const blockStarts = ({ weeks, perWeek, operated }: Course): number[] =>
  operated || weeks < 8 ? [] : [0, 4 * perWeek];

function blockOf({ name, perWeek }: Course, { facts }: ClientRecord, nowMs: number) {
  const today = dayAt(nowMs, facts.zoneOffsetMs);
  const plans = blockPlansOf(facts);
  const wish: BlockWish = {
    startsOn: isoOf(today),
    weeks: facts.blocks.length === 0 ? 4 : 8,
    lines: plans.map(({ id }) => ({
      coursePlanId: id,
      perWeek,
      timesADay: 1,
      available: perWeek === 3 ? [0, 2, 4] : [0, 1, 2, 3, 4, 5, 6],
      onHeavyDays: 'apart',
    })),
    heavy: [],
    deload: null,
    season: [],
    atTime: AT_TIMES[name.length % AT_TIMES.length] ?? '17:30',
  };
  const { sessions } = placeBlock(wish, plans);
  return { wish, sessions: scheduledOn(sessions) };
}

const AT_TIMES = ['17:30', '08:00', '12:15'];

/** Passive, isometric, unloaded, loaded, functional. */
const RUNGS = 5;

const KIT = { cuffs: CUFFS, weightKits: WEIGHT_KITS };

const operationOf = ({ operated, limbs }: Course, startMs: number) =>
  operated
    ? { procedures: [{ limb: limbs[0], atMs: startMs - operated.daysBefore * DAY_MS, what: operated.what }] }
    : {};

const clearanceFor = (startMs: number) => ({
  subjects: ['recent-surgery'],
  givenBy: 'Dr Imke Sallowby',
  byPhysician: true,
  givenAtMs: startMs,
  untilMs: startMs + 180 * DAY_MS,
  maxPercentLop: 80,
  limbs: [],
  modes: [],
  highestRung: null,
  ranges: [],
  note: '',
});

async function doSession(
  course: Course,
  person: Person,
  random: Random,
  place: number,
  record: ClientRecord,
  { clock, get, post, reviews }: World,
  idOf: (what: string) => string,
): Promise<ClientRecord> {
  const week = place / course.perWeek;
  const next = nextPlan(record.facts, clock.nowMs);
  if (!next) return record;
  const startedAtMs = clock.nowMs + 5 * MINUTE_MS;
  const entered = simulatedSession(
    planOfDay(next.prescription, record.facts, KIT, startedAtMs),
    { library: EXERCISES as Library },
    person.trainees(week),
    random,
    startedAtMs,
  );
  clock.nowMs = startedAtMs + 60 * MINUTE_MS;
  const sign = course.sign?.session === place ? course.sign : undefined;
  const id = idOf(`session ${place}`);
  const view = await post<SessionView>('/sessions/entered', {
    ...entered,
    id,
    coursePlanId: next.coursePlan.id,
    jointPain: person.jointPain(week),
    signs: sign ? [sign.sign] : [],
  });
  const state = fold(view.plan, mergeLogs(view.events));
  const session = { id, plan: view.plan, state };
  const advices = reviews.of(session, next.prescription, record.facts, view.painBefore, clock.nowMs);
  const stamp = { sessionId: id, deviceId: 'plinth-tablet', atMs: clock.nowMs };
  const events: SessionEvent[] = [
    ...advices.flatMap((advice, exerciseIndex): SessionEvent[] =>
      advice
        ? [
            {
              ...stamp,
              type: 'review-answered',
              exerciseIndex,
              rule: advice.rule,
              answer: 'accepted',
              change: advice.change,
              reason: '',
              id: idOf(`answer ${place} ${exerciseIndex}`),
              seq: 100 + exerciseIndex,
            },
          ]
        : [],
    ),
    {
      ...stamp,
      type: 'followed-up',
      soreness: 1 + Math.floor(3 * random()),
      bruising: sign?.adverse ? 'small' : random() < 0.02 ? 'small' : 'none',
      pinpointBleeding: random() < 0.01,
      numbness: false,
      id: idOf(`day after ${place}`),
      seq: 200,
    },
  ];
  await post(`/sessions/${id}/events`, { events });
  if (sign?.adverse) {
    await post(`/clients/${record.id}/adverse-events`, {
      ...sign.adverse,
      id: idOf('adverse'),
      sessionId: id,
      atMs: startedAtMs,
    });
  }
  for (const [at, { words }] of (course.notes ?? []).filter(({ session }) => session === place).entries()) {
    await post(`/clients/${record.id}/notes`, {
      id: idOf(`note ${place} ${at}`),
      atMs: startedAtMs,
      words,
      corrects: null,
    });
  }
  return get<ClientRecord>(`/clients/${record.id}`);
}
