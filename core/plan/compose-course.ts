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
export function composeCourse(session: SessionChoice, basis: Basis): Composed {
  const composed = composeSession(session, basis);
  if (session.exercises.every(({ movements }) => !movements?.length)) return composed;
  const bounds = composeSession(atBounds(session), basis).findings.filter(
    ({ level, rule }) => level !== 'note' && rule !== 'PRS-4',
  );
  const isNew = (finding: Finding) => !composed.findings.some((one) => isAlike(one, finding));
  return {
    ...composed,
    findings: [
      ...composed.findings,
      ...session.exercises.flatMap(endsBelow),
      ...bounds.filter(isNew).map(atItsBound),
    ],
  };
}

const isAlike = (one: Finding, other: Finding): boolean =>
  one.rule === other.rule && one.subject === other.subject && one.exerciseIndex === other.exerciseIndex;

/** A bound under what it begins at is none. */
const endsBelow = (choice: ExerciseChoice, exerciseIndex: number): Finding[] =>
  (choice.movements ?? []).flatMap(({ figure, to }) => {
    const from = figureValue(choice, figure);
    return from !== null && to >= from
      ? []
      : [
          {
            rule: 'CRS-1',
            level: 'hard',
            subject: 'movements',
            exerciseIndex,
            message: msg('It is to move up to {to}, and begins at {from}.', { to, from: from ?? 0 }),
            remedy: msg('Set the bound higher, or let it be steady.'),
            ...(from === null ? {} : { fix: { set: 'bound', figure, to: from } as const }),
          } satisfies Finding,
        ];
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
