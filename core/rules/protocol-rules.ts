import { HOUSE, minutes, NO_FIGURES, rule, seconds } from './rule';

export const protocolRules = {
  PRO: rule({
    title: 'Schemes and their order',
    level: 'note',
    source: HOUSE,
    by: 'plan/check-session.ts checkSession',
    figures: { mostPerMuscle: 3, mostPercentVo2max: 50 },
    words: ({ mostPerMuscle, mostPercentVo2max }) =>
      `At most ${mostPerMuscle} exercises per limb and muscle, plus one functional; compound before isolated, larger before smaller. A pair may share an inflation if the limits of continuous occlusion hold. Every scheme is an editable copy. Aerobic work stays below ${mostPercentVo2max} % of VO2max, or at talking pace.`,
  }),
  'PRO-1': rule({
    title: 'Continuous occlusion',
    level: 'hard',
    source: HOUSE,
    by: 'plan/occlusion-clock.ts occlusionClockMs',
    figures: {
      continuousOcclusionMs: {
        hard: { arm: 900_000, leg: 1_200_000 },
        /** Without a clinician's reason: one exercise; a leg in aerobic work or under a shared inflation. */
        guardPerExercise: 600_000,
        guardLongLeg: 900_000,
        /** In all, in one session. */
        guardInAll: { arm: 1_200_000, leg: 1_800_000 },
        freeFlowToRestart: 60_000,
      },
    },
    words: ({ continuousOcclusionMs: ms }) =>
      `Per limb, never past ${minutes(ms.hard.arm)} min on an arm or ${minutes(ms.hard.leg)} min on a leg. Guard: ${minutes(ms.guardPerExercise)} min per exercise, ${minutes(ms.guardLongLeg)} on a leg in aerobic work or under a shared inflation; in one session ${minutes(ms.guardInAll.arm)} min an arm, ${minutes(ms.guardInAll.leg)} a leg in all. The clock starts again only after ${seconds(ms.freeFlowToRestart)} s of free flow. Exactly at a limit is within it.`,
  }),
  'PRO-2': rule({
    title: 'Never four limbs',
    level: 'hard',
    source: HOUSE,
    by: 'plan/check-timeline.ts checkTimeline',
    figures: NO_FIGURES,
    words: () => 'A pair of arms or a pair of legs at once, never all four.',
  }),
  'PRO-3': rule({
    title: 'How often',
    level: 'guard',
    source: HOUSE,
    by: 'record/how-often.ts checkHowOften',
    figures: { leastPerWeek: 2, mostPerWeek: 3, apartDays: 1 },
    words: ({ leastPerWeek, mostPerWeek, apartDays }) =>
      `${leastPerWeek} to ${mostPerWeek} sessions a week per muscle group, at least ${24 * apartDays} h apart for the same limbs; more is a guard, judged from opening to opening when a session opens. Passive work may be daily. Blocks last four to twelve weeks.`,
  }),
  'PRO-4': rule({
    title: 'Beside heavy training',
    level: 'note',
    source: HOUSE,
    by: 'course/place-sessions.ts placeSessions',
    figures: NO_FIGURES,
    words: () =>
      'A finisher after main lifts, a deload week, one heavy and two BFR days, or the bridge when heavy is not possible. Maximal strength needs heavy work.',
  }),
  'PRO-5': rule({
    title: 'Rehabilitation ladder',
    level: 'guard',
    source: HOUSE,
    by: 'record/ladder-in-force.ts checkRungEntry',
    figures: NO_FIGURES,
    words: () =>
      'Passive, isometric, unloaded, loaded isolation, functional, heavy without cuff; a rung is of exercise and load. A rung is entered from the one below it, after two tolerated sessions there, the last among them, by pain, swelling, range, days since surgery and the clinician’s word; the last also by a retest with the sides compared. Down goes by itself, after pain or a sign to stop for in a session, or swelling that rose. Work above the rung reached is a guard for as long as the ladder stands: it ends by done with the cuff, not by age.',
  }),
  'PRO-6': rule({
    title: 'First month',
    level: 'note',
    source: HOUSE,
    by: 'course/block-starts.ts BLOCK_STARTS',
    figures: NO_FIGURES,
    words: () => 'Isolated exercises, start pressures, two sessions a week, gradual.',
  }),
} as const;
