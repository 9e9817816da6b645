import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { chanceWords, changeFigure, type Series, verdictWords } from '#core/outcomes';
import { translate } from '../../../language/translate';
import { day, plain } from '../../../words/format';

const LOOKS = {
  'real-gain': 'font-semibold',
  'probably-gain': '',
  'within-noise': 'text-quiet',
  'probably-loss': 'notched text-ochre',
  'real-loss': 'notched font-semibold text-ochre',
  'too-early': 'text-quiet',
} as const;

/** One thing that is followed: the verdict in words first, the figure second; the chart of the chosen one is below. */
export function SeriesLine({
  series: { measureId, measure, label, points, verdict, error },
  isChosen,
  choose,
}: {
  series: Series;
  isChosen: boolean;
  choose: () => void;
}) {
  const [first, last] = [points[0], points.at(-1)];
  if (!first || !last) return null;
  return (
    <li className="border-b border-rule">
      <button
        type="button"
        aria-pressed={isChosen}
        onClick={choose}
        className="grid min-h-14 w-full grid-cols-[1fr_auto] items-center gap-x-6 border-l-4 border-transparent py-1.5 pl-3 text-left hover:bg-tint aria-pressed:border-plum aria-pressed:bg-tint"
      >
        <span>
          {verdict && (
            <span className={`mr-3 text-lg ${LOOKS[verdict.kind]}`}>
              {translate(verdictWords(verdict.kind, measure.better))}
            </span>
          )}{' '}
          {translate(label)}
          <span className="block text-[14px] text-quiet">
            {verdict ? (
              <Trans>
                {translate(chanceWords(verdict, measure.better))};{' '}
                <span className="figures">{translate(changeFigure(verdict, measure))}</span>; real from{' '}
                <span className="figures">{plain(verdict.smallestReal)}</span>
              </Trans>
            ) : (
              t`Taken once, ${day(first.atMs)}. Again later, and it can be judged.`
            )}
          </span>
        </span>
        <span className="text-right">
          <span className="figures text-lg">
            {points.length > 1 && `${plain(first.value)} → `}
            {plain(last.value)}
          </span>{' '}
          <span className="text-quiet">{translate(measure.unit)}</span>
          <span className="block text-[13px] text-quiet">
            {t`${points.length} ${points.length === 1 ? t`time` : t`times`}, error ${
              measureId === 'lop'
                ? t`its own U`
                : `${plain(error.value)} ${error.kind === 'percent' ? '%' : translate(measure.unit)}, ${error.from === 'own-repeats' ? t`${error.pairs} repeats here` : t`assumed`}`
            }`}
          </span>
        </span>
      </button>
    </li>
  );
}
