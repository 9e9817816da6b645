import { msg } from '../message/message';
import { HOUSE, NO_FIGURES, rule } from './rule';

export const startRules = {
  'START-1': rule({
    title: msg('Checked again when it opens'),
    level: 'hard',
    source: HOUSE,
    by: 'record/recheck.ts recheck',
    figures: NO_FIGURES,
    words: () =>
      msg(
        'When a session opens, its plan is composed and checked again from what is in force now: holds, clearances, cuff, pressure, test, roles, and how often. A plan signed on a measurement that is no longer in force does not open.',
      ),
  }),
  'START-2': rule({
    title: msg('One answer'),
    level: 'hard',
    source: HOUSE,
    by: 'occlusion-pressure/in-force.ts pressureInForce',
    figures: NO_FIGURES,
    words: () =>
      msg(
        'There is one answer to which pressure, test, plan and hold is in force for a limb, a position and a cuff, and everything asks it.',
      ),
  }),
  'START-3': rule({
    title: msg('Worked out here'),
    level: 'hard',
    source: HOUSE,
    by: 'record/recheck.ts recheck',
    figures: NO_FIGURES,
    words: () =>
      msg(
        'A device, a file or another practice brings what was seen: trials, sets, answers, events. What follows from it is worked out here, and what comes along is compared. Records from a file open nothing before a clinician has looked through them, and a plan that was signed elsewhere is signed here first.',
      ),
  }),
  'START-4': rule({
    title: msg('Time'),
    level: 'hard',
    source: HOUSE,
    by: 'record/in-force.ts dayCheckInForce',
    figures: NO_FIGURES,
    words: () =>
      msg(
        'A record counts from the least of its own time and the receipt of all that came after it; of two with one time the later received counts. So a clock that was ahead gains no priority, and one that is set back loses nothing of a session.',
      ),
  }),
  'START-5': rule({
    title: msg('The last gate'),
    level: 'hard',
    source: HOUSE,
    by: 'plan/last-gate.ts pastBounds',
    figures: NO_FIGURES,
    words: () =>
      msg(
        'What a session freezes is compared with what was signed, exercise by exercise and limb by limb: share of the LOP in force, load, sets, repetitions and minutes never above it, rests not shorter, no limb or exercise that was not signed.',
      ),
  }),
} as const;
