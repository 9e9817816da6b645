import { msg } from '../message/message';
import { HOUSE, NO_FIGURES, rule } from './rule';

export const screenRules = {
  'SCR-1': rule({
    title: msg('Screen before starting'),
    level: 'hard',
    source: HOUSE,
    by: 'screening/decide.ts judgeScreening',
    figures: {
      shelfLifeDays: 84,
      procedureCountsDays: 84,
      faintingCountsDays: 365,
      travelCountsDays: 7,
      stopAt: { systolicMmHg: 180, diastolicMmHg: 110 },
      clearAt: { systolicMmHg: 140, diastolicMmHg: 90 },
      lowSystolicMmHg: 90,
      adultFromYears: 18,
    },
    words: ({ shelfLifeDays, procedureCountsDays, stopAt, clearAt, lowSystolicMmHg, adultFromYears }) =>
      msg(
        'A questionnaire and a resting blood pressure before the first session, after a change in health, and every {shelfLifeDays} weeks. Each item means stop, clear or note. A resting pressure of {stopSystolicMmHg} or {stopDiastolicMmHg} stops, {clearSystolicMmHg} or {clearDiastolicMmHg} needs a clearance, and so does an upper one below {lowSystolicMmHg}. What is only noted alone weighs more beside another item. Under {adultFromYears} a guardian agrees. An operation counts for {procedureCountsDays} days, on its limb. What a person has stays on record until it ends by its term, or a clinician ends it with a reason; a later no does not. A practice may be stricter; a stop item is never removed.',
        {
          shelfLifeDays: shelfLifeDays / 7,
          stopSystolicMmHg: stopAt.systolicMmHg,
          stopDiastolicMmHg: stopAt.diastolicMmHg,
          clearSystolicMmHg: clearAt.systolicMmHg,
          clearDiastolicMmHg: clearAt.diastolicMmHg,
          lowSystolicMmHg,
          adultFromYears,
          procedureCountsDays,
        },
      ),
  }),
  'SCR-2': rule({
    title: msg('Clearance'),
    level: 'hard',
    source: HOUSE,
    by: 'screening/clearance.ts limitsByLimb',
    figures: { stopClearedUnderPercentLop: 100 },
    words: ({ stopClearedUnderPercentLop }) =>
      msg(
        'A clearance says who gave it, when, until when, and what it limits: a cap on %LOP, modes or an expiry, for the limbs that it names or for the whole person. A limb that it does not name is neither limited nor cleared by it. Every later number obeys the cap; lower is the default when in doubt. A stop is cleared by a physician only, with a cap under {stopClearedUnderPercentLop} % and with some of the limbs or of the work. One recorded later binds plans already signed.',
        { stopClearedUnderPercentLop },
      ),
  }),
  'SCR-3': rule({
    title: msg('On the day'),
    level: 'hard',
    source: HOUSE,
    by: 'screening/day-check.ts judgeDayCheck',
    figures: {
      holdAt: { systolicMmHg: 160, diastolicMmHg: 100 },
      painToAskAbout: 5,
      guardFromPain: 6,
      lighterPoints: 10,
      retakeAfterMin: 5,
    },
    words: ({ holdAt, painToAskAbout, guardFromPain, lighterPoints, retakeAfterMin }) =>
      msg(
        'Swelling going down, skin intact, no fever, slept and hydrated, blood pressure if indicated, pain now of ten; of several checks on one day the worst answer counts until a clinician checks again; from {painToAskAbout} it is asked about, from {guardFromPain} a session opens only by a guard. Short of sleep or water, a lighter version for today is offered: {lighterPoints} points less, or a set fewer. A reading of {systolicMmHg} or {diastolicMmHg} and above holds the session for the day; it is taken once more after {retakeAfterMin} minutes, and that one counts.',
        {
          painToAskAbout,
          guardFromPain,
          lighterPoints,
          systolicMmHg: holdAt.systolicMmHg,
          diastolicMmHg: holdAt.diastolicMmHg,
          retakeAfterMin,
        },
      ),
  }),
  'SCR-4': rule({
    title: msg('Roles'),
    level: 'hard',
    source: HOUSE,
    by: 'plan/check-exercise.ts checkExercise',
    figures: NO_FIGURES,
    words: () =>
      msg(
        'A clinician may record clearances, lift holds and override guards. A coach may not, and may not prescribe post-operative or passive work, change cuffs, gauges, standard exercises, shelf lives or the practice.',
      ),
  }),
  'SCR-5': rule({
    title: msg('Holds'),
    level: 'hard',
    source: HOUSE,
    by: 'record/holds.ts holdsInForce',
    figures: NO_FIGURES,
    words: () =>
      msg(
        'A stop is a hold with its own record: its cause, when the server received it, who may lift it. A later answer never erases it: a clinician lifts it with a reason, or a new screening by a clinician does. Coaches cannot.',
      ),
  }),
  'SCR-6': rule({
    title: msg('Consent'),
    level: 'guard',
    source: HOUSE,
    by: 'screening/consent.ts checkConsent',
    figures: { heldDays: 365 },
    words: ({ heldDays }) =>
      msg(
        'What it is, what it will feel like, common and rare effects, and that one may stop at any time are read on screen or on paper, and what the person says is recorded with date and version. It is asked again after {heldDays} days. A session opens without it only by a guard; one that was withdrawn opens nothing.',
        { heldDays },
      ),
  }),
} as const;

export const fitRules = {
  'FIT-1': rule({
    title: msg('Where the cuff goes'),
    level: 'hard',
    source: HOUSE,
    by: 'cuff/fit.ts checkGirth',
    figures: NO_FIGURES,
    words: () =>
      msg(
        'On the most proximal upper arm or thigh only; never forearm, calf or over a joint. Girth is taken there with the limb relaxed: thigh just below the greater trochanter, arm just below the armpit.',
      ),
  }),
  'FIT-2': rule({
    title: msg('Which cuff fits'),
    level: 'hard',
    source: HOUSE,
    by: 'cuff/fit.ts rankCuffs',
    figures: { gaugeCheckDays: 365 },
    words: ({ gaugeCheckDays }) =>
      msg(
        'A cuff fits when the girth is in its range. Where two fit, take the larger, so the ends overlap; of equals, the contoured one. Where none fits, the range needed is said. A gauge is compared with a reference every {gaugeCheckDays} days; the error found enters the uncertainty of what is read from it.',
        { gaugeCheckDays },
      ),
  }),
  'FIT-3': rule({
    title: msg('Width matters'),
    level: 'hard',
    source: HOUSE,
    by: 'plan/check-limb.ts checkLimb',
    figures: NO_FIGURES,
    words: () =>
      msg(
        'Narrow cuffs need more pressure than wide ones. A pressure never carries over between cuffs of different width.',
      ),
  }),
  'FIT-4': rule({
    title: msg('Snug before inflating'),
    level: 'note',
    source: HOUSE,
    by: 'session/decide/sets.ts reFit',
    figures: NO_FIGURES,
    words: () =>
      msg(
        'One finger under the cuff, stem facing the operator, strap secured. A pinch means it sits too low: deflate, move it up, inflate again; the set is done again and does not count.',
      ),
  }),
  'FIT-5': rule({
    title: msg('Kit that cannot be measured'),
    level: 'note',
    source: HOUSE,
    by: 'plan/check-limb.ts checkLimb',
    figures: NO_FIGURES,
    words: () =>
      msg('Elastic wraps and straps with printed marks follow the tightness rule instead of a pressure.'),
  }),
} as const;
