import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Line } from 'react-chartjs-2';
import { axisLook, themeColour } from '../../../parts/drawing/chart';
import { theme } from '../../../theme/theme';
import { plain } from '../../../words/format';
import { usePracticeBench, useSessionAttempts } from './use-bench';

const HEADS = { measuring: t`Measuring`, 'a session': t`Sessions` };

/** Points of the last attempts of the practitioner at this device. */
export function AttemptCurve({ of }: { of: keyof typeof HEADS }) {
  theme.use();
  const { data: bench } = usePracticeBench();
  const { data: sessions = [] } = useSessionAttempts();
  const points = (of === 'measuring' ? (bench?.attempts ?? []) : sessions).map((attempt) => attempt.points);
  const newest = bench?.attempts.at(-1);
  if (points.length === 0) {
    return of === 'measuring' ? <p className="text-quiet">{t`Your attempts will be drawn here.`}</p> : null;
  }
  return (
    <figure className="min-w-0">
      <figcaption>
        <Trans>
          <strong>{HEADS[of]}</strong>: your last {points.length}{' '}
          {points.length === 1 ? t`attempt` : t`attempts`}, in points. The newest:{' '}
          <span className="figures">{points.at(-1)}</span>
          {of === 'measuring' && newest && t`, ${plain(Math.abs(newest.errorMmHg))} mmHg off`}.
        </Trans>
      </figcaption>
      <div className="relative h-52">
        <Line
          role="img"
          aria-label={t`Points: ${points.join(', ')}`}
          options={{
            animation: false,
            maintainAspectRatio: false,
            scales: {
              x: { type: 'linear', min: 1, max: Math.max(5, points.length), ...axisLook() },
              y: { min: 0, max: 100, ...axisLook() },
            },
          }}
          data={{
            datasets: [
              {
                data: points.map((y, place) => ({ x: place + 1, y })),
                borderColor: themeColour('plum'),
                backgroundColor: themeColour('plum'),
                pointRadius: 4,
                // A full score lies on the edge.
                clip: 8,
                borderWidth: 2,
              },
            ],
          }}
        />
      </div>
    </figure>
  );
}
