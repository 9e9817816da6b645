import type { Finding, Fix } from '../findings/finding';
import { msg } from '../message/message';
import type { Basis } from './basis';
import type { ExerciseChoice, SessionChoice } from './choices';
import { type Composed, composeSession } from './compose';
import type { FigureId } from './figure-ids';
import { figureValue, withFigure } from './figures';

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
  if (session.exercises.every(({ movements }) => !movements?.length)) return composed;
  const bounds = composeSession(atBounds(session), basis).findings.filter(
    ({ level, rule }) => level !== 'note' && rule !== 'PRS-4',
  );
  const isNew = (finding: Finding) => !composed.findings.some((one) => isAlike(one, finding));
  return {
    ...composed,
    findings: [...composed.findings, ...bounds.filter(isNew).map(atItsBound)],
  };
}

const isAlike = (one: Finding, other: Finding): boolean =>
  one.rule === other.rule && one.subject === other.subject && one.exerciseIndex === other.exerciseIndex;

/** Without movements of figures that an exercise does not have, and those that have no room above what it begins at. */
export const withRoom = (session: SessionChoice): SessionChoice => ({
  ...session,
  exercises: session.exercises.map(({ movements = [], ...choice }) => {
    const left = movements.filter(({ figure, to }) => to > (figureValue(choice, figure) ?? to));
    return left.length > 0 ? { ...choice, movements: left } : choice;
  }),
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
