import { HOUSE, type Rule } from './rule';

export const screenRules = {
  'SCR-1': {
    title: 'Screen before starting',
    text: 'A questionnaire and a resting blood pressure before the first session, after a change in health, and every 12 weeks. Each item means stop, clear or note. A practice may be stricter; a stop item is never removed.',
    level: 'hard',
    source: HOUSE,
  },
  'SCR-2': {
    title: 'Clearance',
    text: 'A clearance says who gave it, when, until when, and what it limits: a cap on %LOP, limbs, modes or an expiry. Every later number obeys the cap; lower is the default when in doubt.',
    level: 'hard',
    source: HOUSE,
  },
  'SCR-3': {
    title: 'On the day',
    text: 'Swelling going down, skin intact, no fever, slept and hydrated, blood pressure if indicated, pain now from 0 to 10. A reading of 160/100 or above holds the session for the day.',
    level: 'hard',
    source: HOUSE,
  },
  'SCR-5': {
    title: 'Holds',
    text: 'A stop is a hold with its own record: its cause, when the server received it, who may lift it. A later answer never erases it: a clinician lifts it with a reason, or a new screening by a clinician does. Coaches cannot.',
    level: 'hard',
    source: HOUSE,
  },
  'SCR-4': {
    title: 'Roles',
    text: 'A clinician may record clearances and override guards. A coach may not, and may not prescribe post-operative or passive work.',
    level: 'hard',
    source: HOUSE,
  },
} as const satisfies Record<string, Rule>;

export const fitRules = {
  'FIT-1': {
    title: 'Where the cuff goes',
    text: 'On the most proximal upper arm or thigh only; never forearm, calf or over a joint. Girth is taken there with the limb relaxed: thigh just below the greater trochanter, arm just below the armpit.',
    level: 'hard',
    source: HOUSE,
  },
  'FIT-2': {
    title: 'Which cuff fits',
    text: 'A cuff fits when the girth is in its range. Where two fit, take the larger, so the ends overlap. Where none fits, the range needed is said.',
    level: 'hard',
    source: HOUSE,
  },
  'FIT-3': {
    title: 'Width matters',
    text: 'Narrow cuffs need more pressure than wide ones. A pressure never carries over between cuffs of different width.',
    level: 'hard',
    source: HOUSE,
  },
  'FIT-4': {
    title: 'Snug before inflating',
    text: 'One finger under the cuff, stem facing the operator, strap secured. A pinch means it sits too low: deflate, move it up, inflate again.',
    level: 'note',
    source: HOUSE,
  },
  'FIT-5': {
    title: 'Kit that cannot be measured',
    text: 'Elastic wraps and straps with printed marks follow the tightness rule instead of a pressure.',
    level: 'note',
    source: HOUSE,
  },
} as const satisfies Record<string, Rule>;
