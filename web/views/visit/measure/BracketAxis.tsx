import { t } from '@lingui/core/macro';
import { bracket, type Estimate, type Trial } from '#core/occlusion-pressure';
import { useWidth } from '../../../parts/base/use-width';
import { plain } from '../../../words/format';

const ROW = 30;

/** Every trial's two brackets on one pressure axis, so that the overlap is seen (rule LOP-2). */
export function BracketAxis({
  trials,
  estimate,
  expectedMmHg,
}: {
  trials: readonly Trial[];
  estimate: Estimate | null;
  /** What girth and width let expect; a check only (rule LOP-7). */
  expectedMmHg: number;
}) {
  const { ref, width } = useWidth<HTMLDivElement>(400);
  const ranges = trials.map(bracket);
  const edges = ranges.flatMap(({ rising, falling }) => [rising.low, rising.high, falling.low, falling.high]);
  const lowMmHg = Math.floor((Math.min(...edges) - 6) / 10) * 10;
  const highMmHg = Math.ceil((Math.max(...edges) + 6) / 10) * 10;
  const expectedInView = lowMmHg <= expectedMmHg && expectedMmHg <= highMmHg;
  const x = (mmHg: number) => 64 + ((mmHg - lowMmHg) / (highMmHg - lowMmHg)) * (width - 88);
  const height = ROW * (ranges.length + 1) + 26;
  const every = highMmHg - lowMmHg > 80 ? 20 : 10;
  const ticks = Array.from(
    { length: Math.floor((highMmHg - lowMmHg) / every) + 1 },
    (_, i) => lowMmHg + i * every,
  );
  return (
    <div ref={ref} className="max-w-[640px]">
      <svg
        width={width}
        height={height}
        className="block"
        role="img"
        aria-label={t`Brackets of ${trials.length} trials in mmHg${estimate ? t`, estimate ${plain(estimate.pressure.value)} ± ${plain(estimate.uncertaintyMmHg)}` : ''}`}
      >
        {ticks.map((mmHg) => (
          <g key={mmHg}>
            <line x1={x(mmHg)} x2={x(mmHg)} y1={0} y2={height - 22} stroke="var(--color-rule)" />
            <text
              x={x(mmHg)}
              y={height - 6}
              textAnchor="middle"
              fontSize="13"
              fill="var(--color-quiet)"
              className="figures"
            >
              {mmHg}
            </text>
          </g>
        ))}
        {expectedInView && (
          <path d={`M${x(expectedMmHg)} ${height - 20} l-5 8 h10 z`} fill="none" stroke="var(--color-quiet)">
            <title>{t`expected for this girth and cuff, as a check only`}</title>
          </path>
        )}
        {ranges.map((range, place) => {
          const y = place * ROW + 6;
          return (
            // biome-ignore lint/suspicious/noArrayIndexKey: trials have no identity but their place
            <g key={place}>
              <text x={0} y={y + 15} fontSize="13" fill="var(--color-ink)">
                {t`Trial ${place + 1}`}
              </text>
              <Bar from={x(range.rising.low)} to={x(range.rising.high)} y={y} label={t`up`} />
              <Bar from={x(range.falling.low)} to={x(range.falling.high)} y={y + 12} label={t`down`} />
              {range.consistent ? (
                <rect
                  x={x(range.bracket.low)}
                  width={Math.max(2, x(range.bracket.high) - x(range.bracket.low))}
                  y={y}
                  height={22}
                  fill="var(--color-plum)"
                />
              ) : (
                <text
                  x={x(Math.max(range.rising.high, range.falling.high)) - 4}
                  y={y + 16}
                  textAnchor="end"
                  fontSize="13"
                  fill="var(--color-ochre)"
                >
                  {t`inconsistent, not used`}
                </text>
              )}
            </g>
          );
        })}
        {estimate?.pressure.interval && (
          <g transform={`translate(0 ${ranges.length * ROW + 16})`} stroke="var(--color-ink)" strokeWidth="2">
            <text x={0} y={5} fontSize="13" stroke="none" fill="var(--color-ink)">
              LOP
            </text>
            <line
              x1={x(estimate.pressure.interval.low)}
              x2={x(estimate.pressure.interval.high)}
              y1={0}
              y2={0}
            />
            <line
              x1={x(estimate.pressure.interval.low)}
              x2={x(estimate.pressure.interval.low)}
              y1={-6}
              y2={6}
            />
            <line
              x1={x(estimate.pressure.interval.high)}
              x2={x(estimate.pressure.interval.high)}
              y1={-6}
              y2={6}
            />
            <circle cx={x(estimate.pressure.value)} cy={0} r={5} fill="var(--color-paper)" />
          </g>
        )}
      </svg>
    </div>
  );
}

function Bar({ from, to, y, label }: { from: number; to: number; y: number; label: string }) {
  return (
    <rect
      x={from}
      width={Math.max(2, to - from)}
      y={y}
      height={10}
      fill="none"
      stroke="var(--color-plum)"
      strokeDasharray="3 2"
    >
      <title>{label}</title>
    </rect>
  );
}
