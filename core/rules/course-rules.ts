import { msg } from '../message/message';
import { HOUSE, NO_FIGURES, rule } from './rule';

/** A plan is a rule for every day (chapter 6b). */
export const courseRules = {
  'CRS-1': rule({
    title: msg('What is signed'),
    level: 'method',
    source: HOUSE,
    by: 'plan/movement.ts movementSchema',
    figures: NO_FIGURES,
    words: () =>
      msg(
        'A signature covers the session a plan begins with and how it moves: by what, per session, day, week or review, on which condition, from where to where. Its bounds are signed with it; a figure without a movement is steady.',
      ),
  }),
  'CRS-2': rule({
    title: msg('The session of a day'),
    level: 'method',
    source: HOUSE,
    by: 'course/session-on.ts sessionOn',
    figures: NO_FIGURES,
    words: () =>
      msg(
        'One answer says what is to be done on a day, wherever it is shown, printed, scheduled or opened. Days to come assume that every session is tolerated; what moves by review stays at today’s value. The past shows what was meant then.',
      ),
  }),
  'CRS-3': rule({
    title: msg('Moving without a signature'),
    level: 'method',
    source: HOUSE,
    by: 'course/session-on.ts sessionOn',
    figures: NO_FIGURES,
    words: () =>
      msg(
        'Inside its bounds a plan moves by itself, and the session says what moved, from where and why. A rise can be kept back, a fall cannot. Of pressure, load and volume of an exercise one rises in a session, the one that has waited longest; one bad session lowers one. At home nothing rises until a practitioner has seen the last session. Outside its bounds it is a new version.',
      ),
  }),
  'CRS-4': rule({
    title: msg('What binds'),
    level: 'method',
    source: HOUSE,
    by: 'course/figure-bounds.ts boundOf',
    figures: NO_FIGURES,
    words: () =>
      msg(
        'The least of the signed bound, the school’s top, the ramp, a cap and the hard limits binds, and the working says which. A guard that was passed when it was signed stands for the limit it passed. A rise is one step from what was last opened.',
      ),
  }),
  'CRS-5': rule({
    title: msg('Missed, bad and rest days'),
    level: 'method',
    source: HOUSE,
    by: 'course/next-figure.ts nextFigure',
    figures: { stepsBack: 2 },
    words: ({ stepsBack }) =>
      msg(
        'A missed or bad session makes a course wait or step back, never jump. A lay-off takes pressure back as the ramp does, and load, minutes and watts by {stepsBack} steps, after the longer one (PRS-4) to the start. Deload weeks count weeks trained; their sets are floored and nothing rises in them. Sessions keep away from games, journeys and sore days as is wished; what finds no free day is dropped and said.',
        { stepsBack },
      ),
  }),
  'CRS-6': rule({
    title: msg('The end of a block'),
    level: 'method',
    source: HOUSE,
    by: 'record/block-end.ts blockEnd',
    figures: NO_FIGURES,
    words: () =>
      msg(
        'At its end a block says what it did: planned against done, its dose, and what came of the measure at its planned test. It proposes what may follow: go on, change one thing, a deload, the bridge to heavy work, or stop (OUT-5). One key drafts it; it counts once it is kept.',
      ),
  }),
} as const;
