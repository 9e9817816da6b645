import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import type { TightnessFact } from '../cuff/fact';
import { hardFindings } from '../findings/finding';
import { boutsOf } from '../forecast/bouts';
import { primingMarks } from '../pressure/priming';
import { pacedReps } from '../protocol/set-work';
import { chainOf } from '../record/chain/chain';
import type { ClientFacts } from '../record/facts';
import { strangerFacts, testCoursePlan, testKitInUse, testPrescription } from '../record/record.fixture';
import { recommend } from '../review/review';
import { CONTEXT } from '../review/review.fixture';
import { limited } from '../screening/clearance.fixture';
import type { EventBody } from '../session/events';
import { inHand } from '../session/in-hand';
import { liveTimeline } from '../session/live-timeline';
import { nextStep } from '../session/next-step';
import { foldAll as fold, logOf, START_MS } from '../session/session.fixture';
import { sessionChoiceSchema } from './choices';
import { choicesOf } from './choices-of';
import { compile } from './compile';
import { composeSession } from './compose';
import { doseOf } from './dose';
import { draftSession } from './draft/draft-session';
import { testWish } from './draft/draft-wish.fixture';
import type { Plan } from './plan';
import { testBasis, testExercise, testOcclusion } from './plan.fixture';
import { plannedMark, plannedWords } from './planned-set';
import { isPlan } from './versions/plan-schema';

const felt: TightnessFact = {
  limb: 'left-thigh',
  atMs: START_MS,
  strapId: 'strap',
  strapLabel: 'Marked strap',
  mark: 6,
  felt: 7,
};
const basis = testBasis({ occlusions: [], tightness: [felt] });
const strapped = testExercise({}, { limbs: [{ kind: 'by-feel', limb: 'left-thigh', strapId: 'strap' }] });
const session = { goal: 'size', schoolId: 'research-consensus', exercises: [strapped] } as const;
const compose = (over = basis, exercise = strapped) =>
  composeSession({ ...session, exercises: [exercise] }, over);
const { plan } = compose();

describe('a session under a strap, by feel (TIGHT)', () => {
  it('carries the mark and no pressure, and says that it is not known', () => {
    const { findings } = compose();
    expect(englishOf(plan.exercises[0]?.limbs[0])).toEqual({
      kind: 'by-feel',
      limb: 'left-thigh',
      strapId: 'strap',
      strapLabel: 'Marked strap',
      mark: 6,
      felt: 7,
    });
    expect(englishOf(findings)).toMatchObject([{ rule: 'TIGHT', level: 'note' }]);
    expect(sessionChoiceSchema.safeParse({ ...session, exercises: [strapped] }).success).toBe(true);
  });

  it('is refused where a cap must be kept, where work is passive, and before it was tightened', () => {
    const capped = testBasis({
      ...basis,
      limits: limited({ maxPercentLop: 50, capFrom: 'Dr Test' }),
    });
    expect(englishOf(hardFindings(compose(capped).findings))).toMatchObject([{ rule: 'SCR-2' }]);
    const passive = { ...strapped, exerciseId: 'passive-cuff-leg', protocolId: 'passive-recovery' as const };
    expect(hardFindings(compose(basis, passive).findings).map(({ rule }) => rule)).toContain('TIGHT');
    expect(() => compose(testBasis({ occlusions: [] }))).toThrow(/not tightened/);
  });

  it('is drafted where nothing was measured, and never where something was', () => {
    const wish = {
      goal: 'recovery',
      schoolId: 'research-consensus',
      limbs: ['left-thigh'],
      together: false,
      rung: 'unloaded',
      newcomer: false,
      isolatedOnly: false,
      carried: [],
      lowered: new Map(),
    } as const;
    const draft = (over = basis) => draftSession({ ...wish, limbs: [...wish.limbs] }, over).session;
    expect(draft()?.exercises[0]?.limbs[0]).toMatchObject({ strapId: 'strap' });
    const measured = testBasis({ occlusions: [testOcclusion()], tightness: [felt] });
    expect(draft(measured)?.exercises[0]?.limbs[0]).toMatchObject({ occlusionId: 'lop' });
    expect(
      englishOf(draftSession({ ...wish, goal: 'passive', limbs: ['left-thigh'] }, basis).notes[0]),
    ).toContain('TIGHT');
  });

  it('asks for colour and feeling after every set before it goes on', () => {
    const log: [number, EventBody][] = [
      [0, { type: 'session-started' }],
      [5, { type: 'cuff-inflated', limb: 'left-thigh', pressureMmHg: 0 }],
      [10, { type: 'set-started', exerciseIndex: 0, setIndex: 0 }],
      [70, { type: 'set-ended', exerciseIndex: 0, setIndex: 0, reps: 30, reason: 'done' }],
    ];
    const stepAt = (entries: typeof log) => nextStep(plan, fold(plan, logOf(entries)), START_MS + 80_000).do;
    expect(stepAt(log.slice(0, 2))).toBe('start-set');
    expect(stepAt(log)).toBe('check-colour');
    const looked: typeof log = [
      ...log,
      [72, { type: 'colour-checked', exerciseIndex: 0, setIndex: 0, good: true }],
    ];
    expect(stepAt(looked)).toBe('start-set');
    const dose = doseOf(liveTimeline(plan, fold(plan, logOf(looked)), START_MS + 80_000));
    expect(dose.limbs[0]).toMatchObject({
      totalOcclusionMs: 75_000,
      pressureTimeMmHgMin: null,
      relativePressureTimePercentLopMin: null,
    });
  });

  it('is neither forecast nor changed by points of pressure', () => {
    const [exercise] = plan.exercises;
    expect(boutsOf(plan, compile(plan), basis.library)).toEqual([]);
    const entries: [number, EventBody][] = [[0, { type: 'session-started' }]];
    exercise?.sets.forEach(({ work }, setIndex) => {
      const reps = pacedReps(work) ?? 0;
      const place = { exerciseIndex: 0, setIndex };
      entries.push([90 * setIndex + 10, { type: 'set-started', ...place }]);
      entries.push([90 * setIndex + 60, { type: 'set-ended', ...place, reps, reason: 'done' }]);
      entries.push([90 * setIndex + 62, { type: 'set-noted', ...place, effort: 4 }]);
    });
    const easy = { plan, state: fold(plan, logOf(entries)) };
    expect(recommend(easy, 0, CONTEXT)?.change).toEqual({ loadSteps: 1 });
    const stopped = fold(plan, logOf([...entries, [500, { type: 'sign-noted', sign: 'dizzy' }]]));
    expect(englishOf(recommend({ plan, state: stopped }, 0, CONTEXT))).toMatchObject({
      rule: 'REV-1',
      change: {},
    });
  });

  it('may be run once a person has prescribed it', () => {
    const facts = (prescribed: boolean): ClientFacts => ({
      ...strangerFacts,
      fits: [
        { kind: 'strap', strapId: 'strap', limb: 'left-thigh', atMs: 1, girthCm: 52, widthCm: 7, label: 'S' },
      ],
      tightness: [felt],
      coursePlans: [testCoursePlan()],
      prescriptions: prescribed ? [testPrescription({ plan })] : [],
    });
    const measure = (prescribed: boolean) =>
      chainOf(facts(prescribed), testKitInUse, START_MS).find(({ id }) => id === 'measure');
    expect(englishOf(measure(false))).toMatchObject({ state: 'due', figure: 'felt 7 of 10' });
    expect(englishOf(measure(true))).toMatchObject({ state: 'good', figure: 'felt 7 of 10' });
    const prescribed = chainOf(facts(true), testKitInUse, START_MS).find(({ id }) => id === 'prescribe');
    expect(englishOf(prescribed?.figure)).toBe('mark 6');
    expect(englishOf(prescribed?.reason)).not.toContain('mmHg');
  });
});

describe('priming and cycles under a strap (PRS-6, PRS-9, TIGHT)', () => {
  const primed = { ...strapped, primed: true };
  const markAt = (of: Plan, entries: readonly (readonly [number, EventBody])[]) =>
    inHand(of, fold(of, logOf([[0, { type: 'session-started' }], ...entries])))?.limbs.map((target) =>
      target.kind === 'by-feel' ? target.mark : null,
    );
  const up = (atS: number) =>
    [atS, { type: 'cuff-inflated', limb: 'left-thigh', pressureMmHg: null }] as const;
  const down = (atS: number) => [atS, { type: 'cuff-released', limb: 'left-thigh' }] as const;

  it('begin at the same share of the mark as a cuff does of its target, in whole steps', () => {
    expect([primingMarks(6), primingMarks(12), primingMarks(2), primingMarks(1)]).toEqual([
      [3, 4, 6],
      [7, 9, 12],
      [1, 2],
      [1],
    ]);
  });

  it('go up and down before the first set, each at its own mark, and are on the strip without a pressure', () => {
    const { plan: of } = compose(basis, primed);
    expect(englishOf(of.exercises[0]?.limbs[0])).toMatchObject({ mark: 6, primingMarks: [3, 4, 6] });
    expect(compile(of).lanes[0]?.inflations.slice(0, 3)).toMatchObject([
      { fromMs: 0, toMs: 30_000, steps: [{ pressureMmHg: null }] },
      { fromMs: 40_000, toMs: 70_000 },
      { fromMs: 80_000, toMs: 110_000 },
    ]);
    expect(markAt(of, [])).toEqual([3]);
    expect(markAt(of, [up(5), down(35)])).toEqual([4]);
    expect(markAt(of, [up(5), down(35), up(45), down(75)])).toEqual([6]);
    // Loosened in priming, it stays looser.
    const looser = [40, { type: 'mark-moved', limb: 'left-thigh', byMarks: -1 }] as const;
    expect(markAt(of, [up(5), down(35), looser])).toEqual([3]);
    expect(markAt(of, [up(5), down(35), up(45), down(75), up(85), down(115), up(125)])).toEqual([6]);
    expect(choicesOf(of).exercises[0]?.primed).toBe(true);
    expect(isPlan(JSON.parse(JSON.stringify(of)))).toBe(true);
  });

  it('are drafted as cycles, each at its share of the mark', () => {
    const { session: cycles } = draftSession(testWish({ goal: 'cycles' }), basis);
    if (!cycles) throw new Error('No draft.');
    const { plan: of, findings } = composeSession(cycles, basis);
    expect(hardFindings(findings)).toEqual([]);
    const [exercise] = of.exercises;
    const [target] = exercise?.limbs ?? [];
    if (target?.kind !== 'by-feel') throw new Error('No strap.');
    const marks = exercise?.sets.map((set) => plannedMark(target, set)) ?? [];
    expect(marks).toHaveLength(8);
    expect([marks[0], marks.at(-1)]).toEqual([3, 6]);
    expect(marks).toEqual(marks.toSorted((a, b) => a - b));
    expect(markAt(of, [])).toEqual([3]);
    expect(englishOf(plannedWords(target, exercise?.sets[0]))).toBe('mark 3');
  });
});
