import { useQuery } from '@tanstack/react-query';
import { Line } from 'react-chartjs-2';
import { api, read } from '../../data/api';
import { KEYS } from '../../data/keys';
import { axisLook, themeColour } from '../../parts/chart';
import { theme } from '../../theme/theme';

/** Points of the last attempts of whoever works at this device. */
export function AttemptCurve() {
  theme.use();
  const { data: attempts = [] } = useQuery({
    queryKey: KEYS.practiceAttempts,
    queryFn: () => read(api['practice-attempts'].$get()),
  });
  if (attempts.length === 0) return <p className="text-quiet">Your attempts will be drawn here.</p>;
  const last = attempts.at(-1);
  return (
    <figure className="min-w-0">
      <figcaption>
        Your last {attempts.length} {attempts.length === 1 ? 'attempt' : 'attempts'}, in points. The newest:{' '}
        <span className="figures">{last?.points}</span>, {Math.abs(last?.errorMmHg ?? 0)} mmHg off.
      </figcaption>
      <div className="relative h-64">
        <Line
          role="img"
          aria-label={`Points: ${attempts.map(({ points }) => points).join(', ')}`}
          options={{
            animation: false,
            maintainAspectRatio: false,
            scales: {
              x: { type: 'linear', ...axisLook() },
              y: { min: 0, max: 100, ...axisLook() },
            },
          }}
          data={{
            datasets: [
              {
                data: attempts.map(({ points }, place) => ({ x: place + 1, y: points })),
                borderColor: themeColour('plum'),
                backgroundColor: themeColour('plum'),
                pointRadius: 4,
                borderWidth: 2,
              },
            ],
          }}
        />
      </div>
    </figure>
  );
}
