import type { Finding, Fix } from '../findings/finding';
import { msg } from '../message/message';
import type { Rung } from '../protocol/exercise';
import type { Basis } from './basis';
import type { ExerciseChoice, SessionChoice } from './choices';
import { basisOnRung, type Composed, composeSession, workOfRung } from './compose';
import type { FigureId } from './figure-ids';
import { figureValue, withFigure } from './figures';
import { RUNG_NAMES } from './goals';
import { changeEveryRung, ofOneRung } from './rungs';

/** Every figure at the end of its movement, none moving any more: the most that is signed (rule CRS-1). */
export const atBounds = (session: SessionChoice): SessionChoice => ({
  ...session,
  exercises: session.exercises.map(({ movements = [], ...choice }) =>
    movements.reduce<ExerciseChoice>(
      (made, { figure, to }) => withFigure(made, figure, (value) => Math.max(value, to)),
      choice,
    ),
  ),
});

/**
 * A course as it is signed: its first session with what the rules find of it, and what they would find at its bounds (rules CRS-1,
 * CRS-4). The ramp is left out there, since it will have gone on.
 * @throws UnknownChoice as `composeSession`
 */
export function composeCourse(chosen: SessionChoice, basis: Basis): Composed {
  const session = withRoom(chosen);
  const composed = composeSession(session, basis);
  const isNew = (finding: Finding) => !composed.findings.some((one) => isAlike(one, finding));
  return {
    ...composed,
    findings: [
      ...composed.findings,
      ...foundAtBounds(session, basis).filter(isNew).map(atItsBound),
      ...foundOnRungs(session, basis, (finding) => finding.exerciseIndex !== undefined || isNew(finding)),
    ],
  };
}

function foundAtBounds(session: SessionChoice, basis: Basis): Finding[] {
  if (session.exercises.every(({ movements }) => !movements?.length)) return [];
  return composeSession(atBounds(ofOneRung(session)), basis).findings.filter(
    ({ level, rule }) => level !== 'note' && rule !== 'PRS-4',
  );
}

/**
 * What is found of the work of other rungs, once the limb is on them. It is hard: a guard of it is passed when that rung is reached,
 * by what is known then. @param isNew whether it is not found of the session that the course begins with, too
 */
function foundOnRungs(session: SessionChoice, basis: Basis, isNew: (finding: Finding) => boolean): Finding[] {
  const { rungs } = session;
  if (!rungs) return [];
  return rungs.others.flatMap((other) =>
    composeCourse(workOfRung(session, other), basisOnRung(basis, rungs.limb, other.rung))
      .findings.filter((finding) => finding.level !== 'note' && isNew(finding))
      .map((finding) => ofRung(finding, other.rung)),
  );
}

const ofRung = ({ rule, message }: Finding, rung: Rung): Finding => ({
  rule,
  level: 'hard',
  subject: 'rungs',
  message: msg('On the rung {rung}: {found}', { rung: RUNG_NAMES[rung], found: message }),
  remedy: msg('Sign that rung when it is reached.'),
  fix: { set: 'rung', to: 'leave-out', rung },
});

const isAlike = (one: Finding, other: Finding): boolean =>
  one.rule === other.rule && one.subject === other.subject && one.exerciseIndex === other.exerciseIndex;

/** Without movements of figures that an exercise does not have, and those that have no room above what it begins at. */
export const withRoom = (session: SessionChoice): SessionChoice =>
  changeEveryRung(session, ({ movements = [], ...choice }: ExerciseChoice) => {
    const left = movements.filter(({ figure, to }) => to > (figureValue(choice, figure) ?? to));
    return left.length > 0 ? { ...choice, movements: left } : choice;
  });

const FIXED: { [Set in Fix['set']]?: FigureId } = {
  percentLop: 'percent-lop',
  pressureMmHg: 'mmHg',
  percentOneRepMax: 'percent-1rm',
};

function atItsBound({ fix, ...finding }: Finding): Finding {
  const figure = fix && FIXED[fix.set];
  return {
    ...finding,
    subject: 'movements',
    message: msg('At its bound: {found}', { found: finding.message }),
    ...(figure && 'to' in fix && typeof fix.to === 'number'
      ? { fix: { set: 'bound', figure, to: fix.to } as const }
      : {}),
  };
}
