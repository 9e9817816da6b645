import { HOUSE, type Rule } from './rule';

export const startRules = {
  'START-1': {
    title: 'Checked again when it opens',
    text: 'When a session opens, its plan is composed and checked again from what is in force now: holds, clearances, cuff, pressure, test, roles, and how often. A plan signed on a measurement that is no longer in force does not open.',
    level: 'hard',
    source: HOUSE,
  },
  'START-2': {
    title: 'One answer',
    text: 'There is one answer to which pressure, test, plan and hold is in force for a limb, a position and a cuff, and everything asks it.',
    level: 'hard',
    source: HOUSE,
  },
} as const satisfies Record<string, Rule>;
