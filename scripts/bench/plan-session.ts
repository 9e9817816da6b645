import { readdirSync } from 'node:fs';
import { chromium } from '@playwright/test';
import { rehearse } from '#core/course';
import { boutsOf } from '#core/forecast';
import { compile, composeSession, draftSession, type ExerciseChoice, goalIdSchema } from '#core/plan';
import { testWish } from '#core/plan/draft/draft-wish.fixture';
import { testBasis, testExercise, testOcclusion } from '#core/plan/plan.fixture';
import { dayOf, LIMBS, POSITIONS } from '#core/quantity';
import { CHROMIUM_LAUNCH } from '../../tests/chromium';
import { startDemoServer } from './demo-server';
import { percentiles, report } from './report';
import { signedIn } from './signed-in';

// A session of six exercises composed, compiled and checked, and first drafts; then, in the page's worker, a forecast of 10,000 runs and
// the placing of a block of twelve weeks, with the longest task of the page's own thread meanwhile.

const session = {
  goal: 'size',
  schoolId: 'research-consensus',
  exercises: Array.from({ length: 6 }, (_, i) =>
    testExercise({ limb: i % 2 === 0 ? 'left-thigh' : 'right-thigh' }),
  ),
} as const;
/** A course that the review moves. */
const moving = (choice: ExerciseChoice): ExerciseChoice => ({
  ...choice,
  movements: [
    { by: 'review', figure: 'percent-lop', to: 60 },
    { by: 'review', figure: 'percent-1rm', to: 40 },
  ],
});
const choices = { ...session, exercises: [...session.exercises] };
const basis = testBasis();
const recordOfCourse = { basis, opened: [], advices: [], trainedDays: [], deload: null, passed: [] };
const composing = Array.from({ length: 200 }, () => {
  const startMs = performance.now();
  composeSession(choices, basis);
  return performance.now() - startMs;
});
report('Compose, compile and check 6 exercises', percentiles(composing));

const everywhere = testBasis({
  occlusions: LIMBS.flatMap((limb) =>
    POSITIONS.map((position) => testOcclusion({ id: `${limb} ${position}`, limb, position })),
  ),
});
const drafting = goalIdSchema.options.flatMap((goal) =>
  Array.from({ length: 10 }, () => {
    const startMs = performance.now();
    draftSession(testWish({ goal, limbs: ['left-thigh', 'right-thigh'] }), everywhere);
    return performance.now() - startMs;
  }),
);
report('A draft with two other ways, every goal, both thighs', percentiles(drafting), '≤ 50 ms p95');

const { plan } = composeSession(choices, basis);
const course = composeSession(
  { ...session, exercises: [testExercise(), testExercise({ limb: 'right-thigh' })].map(moving) },
  basis,
).plan;
const rehearsing = Array.from({ length: 5 }, (_, seed) => {
  const startMs = performance.now();
  rehearse({
    sessions: Array.from({ length: 36 }, (_, place) => ({
      day: Math.floor((7 * place) / 3),
      coursePlanId: 'course',
    })),
    courses: [{ id: 'course', plan: course, record: recordOfCourse }],
    seen: [],
    runs: 200,
    seed,
  });
  return performance.now() - startMs;
});
report('Rehearsal of 12 weeks of three sessions, 200 runs', percentiles(rehearsing), '≤ 1 s');

const question = { bouts: boutsOf(plan, compile(plan), basis.library), past: [], runs: 10_000, seed: 1 };
const constraints = {
  startDay: dayOf('2026-05-04'),
  weeks: 12,
  perWeek: 3,
  available: [0, 1, 2, 3, 4, 5, 6],
  heavy: [1],
  onHeavyDays: 'apart',
  daysOff: [],
  done: [],
  kept: [],
  fromDay: dayOf('2026-05-04'),
};
const server = await startDemoServer();
const browser = await chromium.launch(CHROMIUM_LAUNCH);
const page = await (await signedIn(browser, server.address)).newPage();
// The runner names functions by a helper of its own, which the page does not have.
await page.addInitScript('globalThis.__name = (named) => named');
await page.goto(server.address);
const file = readdirSync('dist/web/assets').find((name) => name.startsWith('planning.worker'));
const measured = await page.evaluate(
  async ([url, asked, limits]) => {
    const worker = new Worker(url, { type: 'module' });
    // The worker's own protocol: one message names a function and its arguments, one answers.
    const call = (path: string, value: unknown) =>
      new Promise<void>((done) => {
        const id = crypto.randomUUID();
        const listen = ({ data }: MessageEvent) => {
          if (data.id !== id) return;
          worker.removeEventListener('message', listen);
          done();
        };
        worker.addEventListener('message', listen);
        worker.postMessage({ id, type: 'APPLY', path: [path], argumentList: [{ type: 'RAW', value }] });
      });
    const timesOf = async (path: string, value: unknown, count: number) => {
      const timesMs: number[] = [];
      for (let i = 0; i < count; i += 1) {
        const startMs = performance.now();
        await call(path, value);
        timesMs.push(performance.now() - startMs);
      }
      return timesMs;
    };
    await call('placeSessions', limits);
    let longestMs = 0;
    let last = performance.now();
    // The gap between two timer ticks is the longest that anything held the thread.
    const ticking = setInterval(() => {
      longestMs = Math.max(longestMs, performance.now() - last - 4);
      last = performance.now();
    }, 4);
    const forecast = await timesOf('forecast', asked, 20);
    const solve = await timesOf('placeSessions', limits, 20);
    clearInterval(ticking);
    return { forecast, solve, longestMs };
  },
  [`/assets/${file}`, question, constraints] as const,
);
report('Forecast of 10,000 runs in the worker, 6 exercises', percentiles(measured.forecast));
report('Placing 36 sessions in 12 weeks in the worker', percentiles(measured.solve));
report('Longest hold of the page’s thread meanwhile', `${measured.longestMs.toFixed(1)} ms`);
await browser.close();
server.stop();
