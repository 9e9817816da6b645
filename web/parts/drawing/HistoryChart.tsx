import { t } from '@lingui/core/macro';
import { Line } from 'react-chartjs-2';
import { figure } from '../../language/translate';
import { theme } from '../../theme/theme';
import { day } from '../../words/format';
import { axisLook, faint, themeColour } from './chart';

/** A figure over time, with the band about its newest value within which a change says nothing. */
export function HistoryChart({
  caption,
  unit,
  points,
  within,
}: {
  caption: string;
  unit: string;
  points: readonly { atMs: number; value: number }[];
  /** Half the width of the band, in the figure's unit. */
  within: number;
}) {
  theme.use();
  const inOrder = [...points].sort((a, b) => a.atMs - b.atMs);
  const last = inOrder.at(-1);
  if (!last) return null;
  const plum = themeColour('plum');
  const edge = (by: number) => inOrder.map(({ atMs }) => ({ x: atMs, y: last.value + by }));
  return (
    <figure className="min-w-0">
      <figcaption className="text-[14px] text-quiet">{caption}</figcaption>
      <div className="relative h-56">
        <Line
          role="img"
          aria-label={t`History: ${inOrder.map(({ atMs, value }) => `${day(atMs)} ${figure(value)}`).join(', ')} ${unit}`}
          options={{
            animation: false,
            maintainAspectRatio: false,
            scales: {
              x: {
                type: 'time',
                time: { minUnit: 'day', displayFormats: { day: t`d MMM`, week: t`d MMM`, month: 'MMM' } },
                ...axisLook(),
              },
              y: { grace: '10%', ...axisLook() },
            },
            plugins: { tooltip: { displayColors: false } },
          }}
          data={{
            datasets: [
              { data: edge(within), pointRadius: 0, borderWidth: 0 },
              {
                data: edge(-within),
                pointRadius: 0,
                borderWidth: 0,
                fill: '-1',
                backgroundColor: faint(plum, 0.15),
              },
              {
                data: inOrder.map(({ atMs, value }) => ({ x: atMs, y: value })),
                borderColor: plum,
                backgroundColor: plum,
                pointRadius: 5,
                borderWidth: 2,
              },
            ],
          }}
        />
      </div>
    </figure>
  );
}
