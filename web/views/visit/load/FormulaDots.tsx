import { t } from '@lingui/core/macro';
import type { Derived } from '#core/derivation';
import type { Text } from '#core/message';
import { translate } from '../../../language/translate';
import { useWidth } from '../../../parts/base/use-width';
import { useUnits } from '../../../words/units';

const ROW = 24;
const LEFT = 88;

/** The seven estimates as dots on one line of mass, with their median through them (rule LOAD-1). */
export function FormulaDots({ oneRepMax }: { oneRepMax: Derived }) {
  const { ref, width } = useWidth<HTMLDivElement>(420);
  const { mass } = useUnits();
  const estimates = oneRepMax.working.slice(1, -1).flatMap(({ label, detail }) => {
    const kg = massOf(detail);
    return kg === null ? [] : [{ label, kg }];
  });
  if (!oneRepMax.interval || estimates.length === 0) return null;
  const { low, high } = oneRepMax.interval;
  const margin = Math.max(0.5, (high - low) * 0.15);
  const x = (kg: number) => LEFT + ((kg - low + margin) / (high - low + 2 * margin)) * (width - LEFT - 64);
  const height = ROW * estimates.length + 24;
  return (
    <div ref={ref} className="mt-4 max-w-xl">
      <svg
        width={width}
        height={height}
        role="img"
        aria-label={t`Seven estimates from ${mass.words(low)} to ${mass.words(high)}, median ${mass.words(oneRepMax.value)}`}
      >
        <line
          x1={x(oneRepMax.value)}
          x2={x(oneRepMax.value)}
          y1={0}
          y2={height - 20}
          stroke="var(--color-plum)"
          strokeWidth="2"
        />
        <text
          x={x(oneRepMax.value)}
          y={height - 4}
          textAnchor="middle"
          fontSize="13"
          fill="var(--color-plum)"
        >
          {t`median`}
        </text>
        {estimates.map(({ label, kg }, place) => (
          <g key={translate(label)} transform={`translate(0 ${place * ROW + 12})`}>
            <text x={0} y={5} fontSize="15" fill="var(--color-ink)">
              {translate(label)}
            </text>
            <line x1={LEFT} x2={width - 60} y1={0} y2={0} stroke="var(--color-rule)" />
            <circle cx={x(kg)} cy={0} r={5} fill="var(--color-ink)" />
            <text x={width} y={5} textAnchor="end" fontSize="14" fill="var(--color-ink)" className="figures">
              {mass.show(kg)}
            </text>
          </g>
        ))}
      </svg>
    </div>
  );
}

/** The figure of a line of the working; older ones were kept as text. */
function massOf(detail: Text): number | null {
  if (typeof detail === 'string') return Number.parseFloat(detail);
  const { value } = detail.values ?? {};
  return typeof value === 'object' && value !== null && 'massKg' in value ? Number(value.massKg) : null;
}
