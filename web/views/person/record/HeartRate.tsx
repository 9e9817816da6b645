import { t } from '@lingui/core/macro';
import { useState } from 'react';
import { Line } from 'react-chartjs-2';
import { type HeartRateFile, type HeartRateTrace, lay, type Placement, placements } from '#core/session';
import type { Act } from '../../../act/act';
import type { LiveSession } from '../../../data/live-session';
import { translate } from '../../../language/translate';
import { axisLook, themeColour } from '../../../parts/drawing/chart';
import { FieldError } from '../../../parts/fields/Field';
import { FileLink } from '../../../parts/fields/FileLink';
import { theme } from '../../../theme/theme';
import { clock } from '../../../words/format';

const MOST_MB = 30;
const linkLook = 'min-h-11 underline underline-offset-4 print:hidden';

/** Heart rate of a session from a strap or a watch: read of a file, laid on the session's clock, shown as a curve (RUN-5). */
export function HeartRate({ session: { state }, act }: { session: LiveSession; act: Act }) {
  const [asked, setAsked] = useState<{ file: HeartRateFile; places: Placement[] } | null>(null);
  const [refused, setRefused] = useState<string | null>(null);
  const put = (file: HeartRateFile, { fromAtMs }: Placement) => {
    const trace = lay(file, fromAtMs, state);
    if (trace) act({ do: 'lay-heart-rate', trace });
    setRefused(trace ? null : t`None of it falls into this session. Choose where it began, or another file.`);
    if (trace) setAsked(null);
  };
  const open = async (chosen: File) => {
    const { readHeartRate } = await import('./read-heart-rate');
    setAsked(null);
    setRefused(null);
    try {
      if (chosen.size > MOST_MB * 1024 * 1024)
        throw new Error(t`At most ${MOST_MB} MB are read here. Cut out the session.`);
      const file = readHeartRate(await chosen.text());
      const places = placements(file, state);
      const [only, another] = places;
      if (only && !another) put(file, only);
      else setAsked({ file, places });
    } catch (error) {
      setRefused(error instanceof Error ? error.message : String(error));
    }
  };
  return (
    <section aria-label={t`Heart rate`}>
      {state.heartRate && (
        <Curve trace={state.heartRate} startMs={state.startedAtMs ?? state.heartRate.fromAtMs} />
      )}
      <FileLink label={t`Heart rate to read`} accept=".tcx,.csv,.txt,.xml" onFile={(file) => void open(file)}>
        {state.heartRate ? t`Heart rate from another file` : t`Heart rate from a file`}
      </FileLink>
      {asked && (
        <div role="status" className="border-l-4 border-ochre pl-3">
          <p>
            {t`The file lasts ${clock(asked.file.samples.at(-1)?.afterMs ?? 0)}${asked.file.startMs === null ? t` and has no clock of its own` : ''}. Where does it belong?`}
          </p>
          <ul>
            {asked.places.map((place) => (
              <li key={translate(place.words)}>
                <button type="button" className={linkLook} onClick={() => put(asked.file, place)}>
                  {translate(place.words)}
                </button>
              </li>
            ))}
          </ul>
        </div>
      )}
      {refused && <FieldError>{refused}</FieldError>}
    </section>
  );
}

const LINE = { borderWidth: 2, pointRadius: 0, spanGaps: false };

function Curve({
  trace: { fromAtMs, everyMs, beatsPerMinute, watts },
  startMs,
}: {
  trace: HeartRateTrace;
  startMs: number;
}) {
  theme.use();
  const known = beatsPerMinute.filter((rate) => rate !== null);
  const [lowest, highest] = [Math.min(...known), Math.max(...known)];
  const plum = themeColour('plum');
  const minuteOf = (step: number) => Math.round((fromAtMs + step * everyMs - startMs) / 6_000) / 10;
  const points = (steps: readonly (number | null)[]) => steps.map((y, step) => ({ x: minuteOf(step), y }));
  return (
    <figure className="max-w-3xl">
      <figcaption className="text-[14px] text-quiet">
        {watts
          ? t`Heart rate, ${lowest} to ${highest} beats a minute, and watts, dashed, over the session’s minutes`
          : t`Heart rate, ${lowest} to ${highest} beats a minute, over the session’s minutes`}
      </figcaption>
      <div className="relative h-40">
        <Line
          role="img"
          aria-label={t`Heart rate from ${lowest} to ${highest} beats a minute`}
          options={{
            animation: false,
            maintainAspectRatio: false,
            scales: {
              x: {
                type: 'linear',
                min: minuteOf(0),
                max: minuteOf(beatsPerMinute.length - 1),
                ...axisLook(),
              },
              y: { grace: '10%', ...axisLook() },
              ...(watts ? { watts: { position: 'right', beginAtZero: true, ...axisLook() } } : {}),
            },
            plugins: { tooltip: { displayColors: false } },
          }}
          data={{
            datasets: [
              { ...LINE, data: points(beatsPerMinute), borderColor: plum },
              ...(watts
                ? [
                    {
                      ...LINE,
                      data: points(watts),
                      yAxisID: 'watts',
                      borderColor: themeColour('ink'),
                      borderDash: [4, 3],
                    },
                  ]
                : []),
            ],
          }}
        />
      </div>
    </figure>
  );
}
