import { type Message, msg, only } from '../message/message';
import type { Measure } from './measure';
import type { Judged, Verdict, VerdictKind } from './verdict';

const KINDS: Record<VerdictKind, Message> = {
  'real-gain': msg('Real gain'),
  'probably-gain': msg('Probably a gain'),
  'within-noise': msg('Within noise'),
  'probably-loss': msg('Probably a loss'),
  'real-loss': msg('Real loss'),
  'too-early': msg('Too early to say'),
};

/** Where neither way is better, a change is a rise or a fall. */
const NEITHER: Partial<Record<VerdictKind, Message>> = {
  'real-gain': msg('Really risen'),
  'probably-gain': msg('Probably risen'),
  'probably-loss': msg('Probably fallen'),
  'real-loss': msg('Really fallen'),
};

/** The verdict in words. @example verdictWords('real-gain', 'higher') //=> 'Real gain' */
export const verdictWords = (kind: VerdictKind, better: Measure['better']): Message =>
  (better === 'neither' ? NEITHER[kind] : undefined) ?? KINDS[kind];

/** Its chance in words: "98 in 100 that it is better"; of what is too early, why (rule OUT-2). */
export function chanceWords(
  { kind, chance }: Pick<Verdict, 'kind' | 'chance'>,
  better: Measure['better'],
): Message {
  if (kind === 'too-early') return msg('Size shows from about the third week.');
  const isUp = chance >= 0.5;
  const values = { inHundred: Math.min(99, Math.max(50, Math.round(100 * (isUp ? chance : 1 - chance)))) };
  if (better === 'neither')
    return isUp
      ? msg('{inHundred} in 100 that it has risen', values)
      : msg('{inHundred} in 100 that it has fallen', values);
  return isUp
    ? msg('{inHundred} in 100 that it is better', values)
    : msg('{inHundred} in 100 that it is worse', values);
}

/** The change with its interval in the measure's unit. @example '+1.5 cm (+0.1 to +2.9)' */
export function changeFigure(
  { change, interval }: Pick<Verdict, 'change' | 'interval'>,
  { unit, decimals }: Pick<Measure, 'unit' | 'decimals'>,
): Message {
  const places = Math.max(1, decimals);
  const signed = (value: number): Message => {
    const figure = { figure: Math.abs(value), decimals: places };
    if (value === 0) return only(figure);
    return value > 0 ? msg('+{figure}', { figure }) : msg('−{figure}', { figure });
  };
  return msg('{change} {unit} ({low} to {high})', {
    change: signed(change),
    unit,
    low: signed(interval.low),
    high: signed(interval.high),
  });
}

/**
 * A difference of gains, with the cuff against without, in words.
 * @example differenceWords('probably-gain', 'lower') //=> 'Probably better with the cuff'
 */
export function differenceWords(kind: Judged['kind'], better: Measure['better']): Message {
  if (kind === 'within-noise') return msg('No difference to be seen');
  return (better === 'neither' ? CUFF_HIGHER : CUFF_BETTER)[kind];
}

const CUFF_BETTER: Record<Exclude<Judged['kind'], 'within-noise'>, Message> = {
  'real-gain': msg('Really better with the cuff'),
  'probably-gain': msg('Probably better with the cuff'),
  'probably-loss': msg('Probably worse with the cuff'),
  'real-loss': msg('Really worse with the cuff'),
};

const CUFF_HIGHER: typeof CUFF_BETTER = {
  'real-gain': msg('Really higher with the cuff'),
  'probably-gain': msg('Probably higher with the cuff'),
  'probably-loss': msg('Probably lower with the cuff'),
  'real-loss': msg('Really lower with the cuff'),
};
