import { Line } from 'react-chartjs-2';
import { newest, type OcclusionFact } from '#core/chain/facts';
import { LIMB_LABELS } from '#core/quantity/limb';
import { LIMITS } from '#core/rules/limits';
import { axisLook, faint, themeColour } from '../../parts/chart';
import { day } from '../../parts/format';
import { theme } from '../../theme/theme';

/** Pressures of one limb, position and cuff over time, with the ±10 mmHg within which a change says nothing. */
export function PressureHistory({ facts }: { facts: readonly OcclusionFact[] }) {
  theme.use();
  const inOrder = [...facts].sort((a, b) => a.atMs - b.atMs);
  const last = newest(facts);
  if (!last) return null;
  const plum = themeColour('plum');
  const within = LIMITS.occlusionPressureMmHg.confirmWithin;
  const edge = (mmHg: number) => inOrder.map(({ atMs }) => ({ x: atMs, y: last.pressure.value + mmHg }));
  return (
    <figure className="min-w-0">
      <figcaption className="text-[14px] text-quiet">
        {LIMB_LABELS[last.limb]}, {last.position}, {last.cuffLabel}: mmHg, with ±{within} about the newest
      </figcaption>
      <div className="h-56">
        <Line
          role="img"
          aria-label={`Pressures: ${inOrder.map((fact) => `${day(fact.atMs)} ${fact.pressure.value}`).join(', ')} mmHg`}
          options={{
            animation: false,
            maintainAspectRatio: false,
            scales: {
              x: {
                type: 'time',
                time: { minUnit: 'day', displayFormats: { day: 'd MMM', week: 'd MMM', month: 'MMM' } },
                ...axisLook(),
              },
              y: { grace: 8, ...axisLook() },
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
                data: inOrder.map(({ atMs, pressure }) => ({ x: atMs, y: pressure.value })),
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
