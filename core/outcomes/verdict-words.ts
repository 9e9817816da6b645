import type { Measure } from './measure';
import type { Judged, Verdict, VerdictKind } from './verdict';

const KINDS: Record<VerdictKind, string> = {
  'real-gain': 'Real gain',
  'probably-gain': 'Probably a gain',
  'within-noise': 'Within noise',
  'probably-loss': 'Probably a loss',
  'real-loss': 'Real loss',
  'too-early': 'Too early to say',
};

/** Where neither way is better, a change is a rise or a fall. */
const NEITHER: Partial<Record<VerdictKind, string>> = {
  'real-gain': 'Really risen',
  'probably-gain': 'Probably risen',
  'probably-loss': 'Probably fallen',
  'real-loss': 'Really fallen',
};

/** The verdict in words. @example verdictWords('real-gain', 'higher') //=> 'Real gain' */
export const verdictWords = (kind: VerdictKind, better: Measure['better']): string =>
  (better === 'neither' ? NEITHER[kind] : undefined) ?? KINDS[kind];

/** Its chance in words: "98 in 100 that it is better"; of what is too early, why (rule OUT-2). */
export function chanceWords(
  { kind, chance }: Pick<Verdict, 'kind' | 'chance'>,
  better: Measure['better'],
): string {
  if (kind === 'too-early') return 'Size shows from about the third week.';
  const isUp = chance >= 0.5;
  const inHundred = Math.min(99, Math.max(50, Math.round(100 * (isUp ? chance : 1 - chance))));
  const what =
    better === 'neither' ? (isUp ? 'it has risen' : 'it has fallen') : isUp ? 'it is better' : 'it is worse';
  return `${inHundred} in 100 that ${what}`;
}

/** The change with its interval in the measure's unit. @example '+1.5 cm (+0.1 to +2.9)' */
export function changeFigure(
  { change, interval }: Pick<Verdict, 'change' | 'interval'>,
  { unit, decimals }: Pick<Measure, 'unit' | 'decimals'>,
): string {
  const places = Math.max(1, decimals);
  const signed = (value: number) =>
    `${value > 0 ? '+' : value < 0 ? '−' : ''}${Math.abs(value).toFixed(places)}`;
  return `${signed(change)} ${unit} (${signed(interval.low)} to ${signed(interval.high)})`;
}

/**
 * A difference of gains, with the cuff against without, in words.
 * @example differenceWords('probably-gain', 'lower') //=> 'Probably better with the cuff'
 */
export function differenceWords(kind: Judged['kind'], better: Measure['better']): string {
  if (kind === 'within-noise') return 'No difference to be seen';
  const isGain = kind === 'real-gain' || kind === 'probably-gain';
  const [more, less] = better === 'neither' ? ['higher', 'lower'] : ['better', 'worse'];
  const words = `${isGain ? more : less} with the cuff`;
  const isSure = kind === 'real-gain' || kind === 'real-loss';
  return isSure ? `Really ${words}` : `Probably ${words}`;
}
