import { HOUSE, type Rule } from './rule';

export const protocolRules = {
  PRO: {
    title: 'Schemes and their order',
    text: 'One to three exercises per limb and muscle plus one functional; compound before isolated, larger before smaller. A pair may share an inflation if PRO-1 holds. Every scheme is an editable copy.',
    level: 'note',
    source: HOUSE,
  },
  'PRO-1': {
    title: 'Continuous occlusion',
    text: 'Per limb, never past 15 min on an arm or 20 min on a leg. Guard: 10 min per exercise, 15 on any limb. The clock starts again only after 60 s of free flow.',
    level: 'hard',
    source: HOUSE,
  },
  'PRO-2': {
    title: 'Never four limbs',
    text: 'A pair of arms or a pair of legs at once, never all four.',
    level: 'hard',
    source: HOUSE,
  },
  'PRO-3': {
    title: 'How often',
    text: 'Two to three sessions a week per muscle group, at least 24 h apart; over three is a guard. Passive work may be daily. Blocks last 4–12 weeks.',
    level: 'guard',
    source: HOUSE,
  },
  'PRO-4': {
    title: 'Beside heavy training',
    text: 'A finisher after main lifts, a deload week, one heavy and two BFR days, or the bridge when heavy is not possible. Maximal strength needs heavy work.',
    level: 'note',
    source: HOUSE,
  },
  'PRO-5': {
    title: 'Rehabilitation ladder',
    text: 'Passive, isometric, unloaded, loaded isolation, functional, heavy without cuff. Each rung has entry criteria: pain, swelling, range, days since surgery, the clinician’s word.',
    level: 'guard',
    source: HOUSE,
  },
  'PRO-6': {
    title: 'First month',
    text: 'Isolated exercises, start pressures, two sessions a week, gradual.',
    level: 'note',
    source: HOUSE,
  },
} as const satisfies Record<string, Rule>;
