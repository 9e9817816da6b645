import { t } from '@lingui/core/macro';
import { format } from 'date-fns';
import { useId } from 'react';
import { useNavigate } from 'react-router';
import { RUNG_NAMES } from '#core/plan';
import { type LadderRung, rungHeight } from '#core/protocol';
import { type Day, LIMB_LABELS, type Limb, weekdayOf } from '#core/quantity';
import type { CourseStrip as Course, CourseBar } from '#core/record';
import { translate } from '../../language/translate';
import { plain } from '../../words/format';
import { noonOf } from '../../words/noon';
import { useWidth } from '../base/use-width';
import { Hatch } from './Hatch';

const HEIGHT = 64;
const BASE = 48;
const FULL_DAY_MINUTES = 25;
const LEAST_PX = 3;
/** Of a limb's rungs. */
const LADDER_HEIGHT = 18;
/** Narrower than this a rung says its name beneath the pointer alone. */
const LEAST_WORD_PX = 64;

/**
 * The occlusion strip from afar: a session is one block on its day, its height the share of LOP, its width the minutes
 * occluded. Hatched is to come, an outline was missed, ticks below the line are heavy days, the stair is the ramp; beneath it are
 * the rungs of a limb that is on a ladder.
 */
export function CourseStrip({ course }: { course: Course }) {
  const { ref, width } = useWidth<HTMLDivElement>(700);
  const navigate = useNavigate();
  const hatch = useId();
  const { fromDay, toDay, today, bars } = course;
  const dayPx = width / (toDay - fromDay + 1);
  const x = (day: Day) => (day - fromDay) * dayPx;
  const y = (percent: number) => BASE - (percent / 100) * (BASE - 4);
  const mondays = Array.from({ length: toDay - fromDay + 1 }, (_, i) => fromDay + i).filter(
    (day) => weekdayOf(day) === 0,
  );
  const widthOf = ({ minutes }: CourseBar) => Math.max(LEAST_PX, (minutes / FULL_DAY_MINUTES) * dayPx);
  const height = HEIGHT + course.ladders.length * LADDER_HEIGHT;
  return (
    <div ref={ref} className="relative min-w-0 overflow-hidden">
      <svg width={width} height={height} aria-hidden="true" className="block">
        <Hatch id={hatch} size={5} />
        {mondays.map((day, place) => (
          <g key={day}>
            <line x1={x(day)} x2={x(day)} y1={4} y2={BASE} stroke="var(--color-rule)" />
            {place % 2 === 0 && x(day) < width - 40 && (
              <text x={x(day) + 2} y={HEIGHT - 4} fontSize="13" fill="var(--color-quiet)" className="figures">
                {format(noonOf(day), t`d MMM`)}
              </text>
            )}
          </g>
        ))}
        {course.holds.map(({ fromDay: from, words }) => (
          <rect
            key={`${from} ${translate(words)}`}
            x={x(from)}
            y={2}
            width={Math.max(dayPx, x(today + 1) - x(from))}
            height={BASE - 2}
            fill="var(--color-ochre)"
            opacity="0.18"
          />
        ))}
        {course.ceiling.map(({ fromDay: from, percentLop }) => (
          <line
            key={from}
            x1={Math.max(x(from), x(today))}
            x2={x(from + 7)}
            y1={y(percentLop)}
            y2={y(percentLop)}
            stroke="var(--color-plum)"
            strokeDasharray="2 3"
          />
        ))}
        {bars.map((bar, place) => {
          const top = y(bar.percentLop ?? 50);
          const look =
            bar.state === 'done'
              ? { fill: 'var(--color-plum)' }
              : bar.state === 'missed'
                ? { fill: 'none', stroke: 'var(--color-quiet)' }
                : { fill: `url(#${hatch})`, stroke: 'var(--color-plum)' };
          return (
            // biome-ignore lint/a11y/noStaticElementInteractions: the table beneath holds the same as links
            <rect
              // biome-ignore lint/suspicious/noArrayIndexKey: two plans may share a day
              key={place}
              x={x(bar.day)}
              y={top}
              width={widthOf(bar)}
              height={BASE - top}
              {...look}
              className={bar.state === 'done' ? 'cursor-pointer' : undefined}
              onClick={() => bar.state === 'done' && navigate(`/sessions/${bar.sessionId}`)}
            >
              <title>{wordsOf(bar)}</title>
            </rect>
          );
        })}
        <line x1={0} x2={width} y1={BASE} y2={BASE} stroke="var(--color-ink)" opacity="0.5" />
        {course.heavyDays.map((day) => (
          <line
            key={day}
            x1={x(day) + dayPx / 2}
            x2={x(day) + dayPx / 2}
            y1={BASE}
            y2={BASE + 5}
            stroke="var(--color-ink)"
            strokeWidth="3"
          />
        ))}
        {course.tests.map(({ day, words }) => (
          <circle
            key={`${day} ${translate(words)}`}
            cx={x(day) + dayPx / 2}
            cy={4}
            r={3}
            fill="var(--color-paper)"
            stroke="var(--color-ink)"
          >
            <title>{translate(words)}</title>
          </circle>
        ))}
        {course.ladders.map(({ limb, steps }, row) =>
          steps.map(({ fromDay: from, rung }, place) => {
            const to = steps[place + 1]?.fromDay ?? today + 1;
            const top = HEIGHT + row * LADDER_HEIGHT;
            const [left, right] = [x(from), Math.max(x(to), x(from) + dayPx)];
            return (
              <g key={`${limb} ${from}`}>
                <title>{rungWords(limb, rung, from)}</title>
                <rect
                  x={left}
                  y={top}
                  width={right - left - 1}
                  height={LADDER_HEIGHT - 2}
                  fill="var(--color-plum)"
                  opacity={0.1 + 0.05 * rungHeight(rung)}
                />
                {right - left > LEAST_WORD_PX && (
                  <text x={left + 3} y={top + 12} fontSize="12" fill="var(--color-ink)">
                    {translate(RUNG_NAMES[rung])}
                  </text>
                )}
              </g>
            );
          }),
        )}
        <line x1={x(today)} x2={x(today)} y1={0} y2={BASE + 4} stroke="var(--color-ink)" strokeWidth="2" />
      </svg>
      <ul aria-label={t`Course`} className="sr-only">
        {bars.map((bar, place) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: two plans may share a day
          <li key={place}>{wordsOf(bar)}</li>
        ))}
        {course.ladders.flatMap(({ limb, steps }) =>
          steps.map(({ fromDay: from, rung }) => (
            <li key={`${limb} ${from}`}>{rungWords(limb, rung, from)}</li>
          )),
        )}
      </ul>
    </div>
  );
}

const rungWords = (limb: Limb, rung: LadderRung, from: Day): string =>
  t`${translate(LIMB_LABELS[limb])}, from ${format(noonOf(from), t`EEE d MMM`)}: ${translate(RUNG_NAMES[rung])}`;

const STATES = { done: t`done`, missed: t`missed`, 'to-come': t`to come` } as const;

const wordsOf = ({ day, name, state, percentLop, minutes }: CourseBar): string =>
  [
    `${format(noonOf(day), t`EEE d MMM`)}: ${translate(name)}, ${STATES[state]}`,
    percentLop !== null && t`${plain(percentLop, 0)} % of LOP`,
    state !== 'missed' && t`${plain(minutes, 0)} min occluded`,
  ]
    .filter(Boolean)
    .join(', ');
