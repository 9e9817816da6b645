import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { BarController, BarElement, Chart } from 'chart.js';
import { useMemo, useState } from 'react';
import { Chart as Mixed } from 'react-chartjs-2';
import type { ClientRecord } from '#contract/client';
import { byPeriod, type LogTotals, type Series, verdict } from '#core/outcomes';
import { libraryOf } from '#core/protocol';
import { RULES } from '#core/rules';
import { useLog } from '../../../data/outcomes';
import { translate } from '../../../language/translate';
import { axisLook, faint, themeColour } from '../../../parts/drawing/chart';
import { Choice } from '../../../parts/fields/Choice';
import { theme } from '../../../theme/theme';
import { day, plain } from '../../../words/format';
import { noonOf } from '../../../words/noon';

Chart.register(BarController, BarElement);

const PAD_MS = 5 * 86_400_000;

/** A time axis with room for a bar at either end. */
const spanOf = (times: readonly number[]) => ({
  min: Math.min(...times) - PAD_MS,
  max: Math.max(...times) + PAD_MS,
});

/** A scale about the measure and its error: what would be nothing on one from zero is to be seen. */
function rangeOf(values: readonly number[]) {
  const [low, high] = [Math.min(...values), Math.max(...values)];
  const room = (high - low) * 0.3 || 1;
  const tidy = high - low > 4 ? 1 : 10;
  return { min: Math.floor((low - room) * tidy) / tidy, max: Math.ceil((high + room) * tidy) / tidy };
}

type Dose = 'minutes' | 'sets' | 'percent' | 'volume' | 'sessions';
const DOSES: Record<Dose, { label: string; unit: string; of: (totals: LogTotals) => number }> = {
  minutes: { label: t`minutes`, unit: t`min occluded`, of: ({ occludedMs }) => occludedMs / 60_000 },
  percent: {
    label: '%LOP·min',
    unit: '%LOP·min',
    of: ({ limbs }) => limbs.reduce((sum, { percentLopMin }) => sum + (percentLopMin ?? 0), 0),
  },
  sets: { label: t`sets`, unit: t`sets`, of: ({ sets }) => sets },
  volume: { label: t`kg·reps`, unit: t`kg·reps`, of: ({ volumeKgReps }) => volumeKgReps },
  sessions: { label: t`sessions`, unit: t`sessions`, of: ({ sessions }) => sessions },
};

/** What was done each week beside what changed, on one time axis: bars for the dose, the measure over it with its error (OUT-6). */
export function DoseAndEffect({ client, series }: { client: ClientRecord; series: Series }) {
  theme.use();
  const { data } = useLog(client.id);
  const [dose, setDose] = useState<Dose>('minutes');
  const library = useMemo(() => libraryOf(client.facts.ownExercises), [client.facts.ownExercises]);
  const weeks = useMemo(
    () => byPeriod(data?.sessions ?? [], 'week', library, client.facts.zoneOffsetMs).reverse(),
    [data, library, client.facts.zoneOffsetMs],
  );
  const { measure } = series;
  const { unit, of } = DOSES[dose];
  const [plum, ink] = [themeColour('plum'), themeColour('ink')];
  const [first] = series.points;
  // A diamond is a real change from the first, a circle is not.
  const marks = series.points.map((point) =>
    first && point !== first && verdict(measure, first, point).kind.startsWith('real') ? 'rectRot' : 'circle',
  );
  const middle = (fromDay: number) => noonOf(fromDay).getTime() + 3 * 86_400_000;
  const edge = (sign: 1 | -1) =>
    series.points.map(({ atMs, value, error }) => ({
      x: atMs,
      y: value + sign * RULES['OUT-2'].figures.z95 * error,
    }));
  return (
    <figure className="min-w-0">
      <figcaption className="flex flex-wrap items-end justify-between gap-x-6 gap-y-2">
        <span className="font-semibold">
          <Trans>
            {translate(series.label)}, beside what was done each week
            <span className="block text-[14px] font-normal text-quiet">
              A tick is a session; ◆ a real change from the first, ● not
            </span>
          </Trans>
        </span>
        <div className="print:hidden">
          <Choice
            label={t`Dose`}
            hideLabel
            value={dose}
            onChange={setDose}
            options={(Object.keys(DOSES) as Dose[]).map((value) => ({
              value,
              label: DOSES[value].label,
            }))}
          />
        </div>
      </figcaption>
      <div className="mt-2 h-64">
        <Mixed
          type="bar"
          role="img"
          aria-label={t`${translate(series.label)}: ${series.points.map(({ atMs, value }) => `${day(atMs)} ${plain(value)}`).join(', ')} ${translate(measure.unit)}. Weeks: ${weeks.map(({ fromDay, totals }) => `${day(middle(fromDay))} ${plain(of(totals), 0)}`).join(', ')} ${unit}`}
          options={{
            animation: false,
            maintainAspectRatio: false,
            scales: {
              x: {
                type: 'time',
                ...spanOf([
                  ...series.points.map(({ atMs }) => atMs),
                  ...weeks.map(({ fromDay }) => middle(fromDay)),
                ]),
                time: { minUnit: 'day', displayFormats: { day: t`d MMM`, week: t`d MMM`, month: 'MMM' } },
                ...axisLook(),
              },
              y: {
                position: 'left',
                ...rangeOf([...edge(1), ...edge(-1)].map(({ y }) => y)),
                title: { display: true, text: translate(measure.unit), color: ink },
                ...axisLook(),
              },
              // The course above it: a tick for each session, on the same axis of time.
              strip: { display: false, min: 0, max: 1 },
              dose: {
                position: 'right',
                beginAtZero: true,
                grace: '60%',
                title: { display: true, text: t`${unit} a week`, color: themeColour('quiet') },
                ...axisLook(),
                grid: { display: false },
              },
            },
            plugins: { tooltip: { displayColors: false } },
          }}
          data={{
            datasets: [
              {
                type: 'line',
                data: edge(1),
                pointRadius: 0,
                borderWidth: 0,
              },
              {
                type: 'line',
                data: edge(-1),
                pointRadius: 0,
                borderWidth: 0,
                fill: '-1',
                backgroundColor: faint(ink, 0.1),
              },
              {
                type: 'line',
                label: translate(measure.unit),
                data: series.points.map(({ atMs, value }) => ({ x: atMs, y: value })),
                borderColor: ink,
                backgroundColor: ink,
                pointRadius: 6,
                pointStyle: marks,
                borderWidth: 2,
              },
              {
                type: 'line',
                label: t`session`,
                yAxisID: 'strip',
                showLine: false,
                data: (data?.sessions ?? []).map(({ startedAtMs }) => ({ x: startedAtMs, y: 0.96 })),
                pointStyle: 'line',
                pointRotation: 90,
                pointRadius: 6,
                pointBorderWidth: 3,
                borderColor: plum,
              },
              {
                type: 'bar',
                label: unit,
                yAxisID: 'dose',
                data: weeks.map(({ fromDay, totals }) => ({ x: middle(fromDay), y: of(totals) })),
                backgroundColor: faint(plum, 0.35),
                barThickness: 'flex',
                maxBarThickness: 14,
              },
            ],
          }}
        />
      </div>
    </figure>
  );
}
