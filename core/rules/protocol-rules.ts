import { msg } from '../message/message';
import { HOUSE, minutes, NO_FIGURES, rule, seconds } from './rule';

export const protocolRules = {
  PRO: rule({
    title: msg('Schemes and their order'),
    level: 'note',
    source: HOUSE,
    by: 'plan/check-session.ts checkSession',
    figures: {
      mostPerMuscle: 3,
      mostPercentVo2max: 50,
      /** Oxygen cost in ml/kg/min: at rest, per W/kg, and per m/min on the level and of climb. */
      oxygen: {
        cyclingUnloaded: 7,
        cyclingPerWattPerKg: 10.8,
        atRest: 3.5,
        walking: { level: 0.1, climb: 1.8 },
        running: { level: 0.2, climb: 0.9 },
      },
      /** Working assumptions: a zone reaches this far either way, in points of VO2max; above this speed a person runs. */
      zonePoints: 5,
      mostWalkingKmPerHour: 6,
    },
    words: ({ mostPerMuscle, mostPercentVo2max, oxygen, zonePoints }) =>
      msg(
        'At most {mostPerMuscle} exercises per limb and muscle, plus one functional; compound before isolated, larger before smaller. A pair may share an inflation if the limits of continuous occlusion hold. Every scheme is an editable copy. Aerobic work stays below {mostPercentVo2max} % of VO2max, or at talking pace. Oxygen cost, ml/kg/min: cycling {perWatt} × W/kg + {unloaded}; walking {level} v + {climb} v·g + {atRest}, v in m/min. A zone of heart rate is {zonePoints} points of VO2max either way, on a straight line from rest to the test.',
        {
          mostPerMuscle,
          mostPercentVo2max,
          perWatt: oxygen.cyclingPerWattPerKg,
          unloaded: oxygen.cyclingUnloaded,
          level: oxygen.walking.level,
          climb: oxygen.walking.climb,
          atRest: oxygen.atRest,
          zonePoints,
        },
      ),
  }),
  'PRO-1': rule({
    title: msg('Continuous occlusion'),
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
      msg(
        'Per limb, never past {arm} min on an arm or {leg} min on a leg. Guard: {guardPerExercise} min per exercise, {guardLongLeg} on a leg in aerobic work or under a shared inflation; in one session {armInAll} min an arm, {legInAll} a leg in all. The clock starts again only after {freeFlowToRestart} s of free flow. Exactly at a limit is within it.',
        {
          arm: minutes(ms.hard.arm),
          leg: minutes(ms.hard.leg),
          guardPerExercise: minutes(ms.guardPerExercise),
          guardLongLeg: minutes(ms.guardLongLeg),
          armInAll: minutes(ms.guardInAll.arm),
          legInAll: minutes(ms.guardInAll.leg),
          freeFlowToRestart: seconds(ms.freeFlowToRestart),
        },
      ),
  }),
  'PRO-2': rule({
    title: msg('Never four limbs'),
    level: 'hard',
    source: HOUSE,
    by: 'plan/check-timeline.ts checkTimeline',
    figures: NO_FIGURES,
    words: () => msg('A pair of arms or a pair of legs at once, never all four.'),
  }),
  'PRO-3': rule({
    title: msg('How often'),
    level: 'guard',
    source: HOUSE,
    by: 'record/how-often.ts checkHowOften',
    figures: { leastPerWeek: 2, mostPerWeek: 3, apartDays: 1 },
    words: ({ leastPerWeek, mostPerWeek, apartDays }) =>
      msg(
        '{leastPerWeek} to {mostPerWeek} sessions a week per muscle group, at least {apartDays} h apart for the same limbs; more is a guard, judged from opening to opening when a session opens. Passive work may be daily. Blocks last four to twelve weeks.',
        { leastPerWeek, mostPerWeek, apartDays: 24 * apartDays },
      ),
  }),
  'PRO-4': rule({
    title: msg('With heavy training'),
    level: 'note',
    source: HOUSE,
    by: 'course/place-sessions.ts placeSessions',
    figures: { mostPercentOfHeavy: 60, meanOfWeeks: 4 },
    words: ({ mostPercentOfHeavy, meanOfWeeks }) =>
      msg(
        'A finisher after main lifts, a deload week (up to {mostPercentOfHeavy} % of the heavy volume of a week, in the mean of the {meanOfWeeks} before), one heavy and two BFR days, or the bridge when heavy is not possible. Maximal strength needs heavy work.',
        { mostPercentOfHeavy, meanOfWeeks },
      ),
  }),
  'PRO-5': rule({
    title: msg('Rehabilitation ladder'),
    level: 'guard',
    source: HOUSE,
    by: 'record/ladder-in-force.ts checkRungEntry',
    figures: NO_FIGURES,
    words: () =>
      msg(
        'Passive, isometric, unloaded, loaded isolation, functional, heavy without cuff; a rung is of exercise and load. A rung is entered from the one below it, after as many tolerated sessions there as the practice asks for, two at least, the last among them, by pain, swelling, range, days since surgery and the clinician’s word; the last also by a retest with the sides compared. Down goes by itself, after pain or a sign to stop for in a session, or swelling that rose. Work above the rung reached is a guard for as long as the ladder lasts: it ends by done with the cuff, not by age.',
      ),
  }),
  'PRO-6': rule({
    title: msg('First month'),
    level: 'note',
    source: HOUSE,
    by: 'plan/draft/bounds.ts boundsOf',
    figures: { firstDays: 14, fromYears: 65, mostReps: 75, mostInflatedMs: 900_000 },
    words: ({ firstDays, fromYears, mostReps, mostInflatedMs }) =>
      msg(
        'Isolated exercises, start pressures, two sessions a week, gradual. In the first {firstDays} days, and from {fromYears} years on, a draft holds at most {mostReps} repetitions for a muscle of a limb, and {minutes} min with a cuff up.',
        { firstDays, fromYears, mostReps, minutes: mostInflatedMs / 60_000 },
      ),
  }),
} as const;
