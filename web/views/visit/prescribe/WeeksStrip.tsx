import { t } from '@lingui/core/macro';
import { format } from 'date-fns';
import { useId } from 'react';
import type { DayAhead } from '#core/course';
import { type Movement, type PlannedExercise, plannedKg } from '#core/plan';
import { useWidth } from '../../../parts/base/use-width';
import { Hatch } from '../../../parts/drawing/Hatch';
import { plain } from '../../../words/format';
import { noonOf } from '../../../words/noon';
import { useUnits } from '../../../words/units';

const TOP = 14;
const BASE = 96;
const HEIGHT = 100;
const LEFT = 56;
const RIGHT = 72;
const MOST_PERCENT = 100;
const NEAREST_PX = 14;

/**
 * The weeks of a course: a session is one block, its height the share of LOP of the chosen exercise; beneath, what it comes to. A
 * line is the bound that is signed, to drag or to move by the arrow keys (rules CRS-1, CRS-2).
 */
export function WeeksStrip({
  rows,
  place,
  top,
  bound,
  onBound,
}: {
  rows: readonly DayAhead[];
  /** Of the chosen exercise. */
  place: number;
  /** The school's top, in %LOP; null where it has none. */
  top: number | null;
  /** How its pressure moves, where that is a share of LOP. */
  bound: Movement | undefined;
  onBound: (to: number) => void;
}) {
  const { ref, width } = useWidth<HTMLDivElement>(640);
  const { mass } = useUnits();
  const hatch = useId();
  const shown = rows.flatMap((row) => {
    const exercise = row.plan.exercises[place];
    return exercise ? [{ ...row, exercise }] : [];
  });
  const [first] = shown;
  if (!first) return null;
  const slotPx = (width - LEFT - RIGHT) / shown.length;
  const barPx = Math.min(26, slotPx * 0.55);
  const y = (percent: number) => BASE - (percent / MOST_PERCENT) * (BASE - TOP);
  const x = (at: number) => LEFT + at * slotPx;
  // One label where a figure changes, as far as there is room for it.
  const lines = linesOf(shown, (kg) => mass.show(kg), mass.unit);
  return (
    <div ref={ref} className="relative min-w-0 select-none">
      <svg width={width} height={HEIGHT} aria-hidden="true" className="block">
        <Hatch id={hatch} />
        {[40, 60, 80].map((percent) => (
          <text
            key={percent}
            x={0}
            y={y(percent) + 4}
            fontSize="13"
            fill="var(--color-quiet)"
            className="figures"
          >{`${percent} %`}</text>
        ))}
        {top !== null && (
          <>
            <line
              x1={LEFT}
              x2={width - RIGHT}
              y1={y(top)}
              y2={y(top)}
              stroke="var(--color-quiet)"
              strokeDasharray="2 3"
            />
            <text x={width - RIGHT + 4} y={y(top) + 4} fontSize="13" fill="var(--color-quiet)">{t`top`}</text>
          </>
        )}
        {shown.map(({ day, exercise, of }, at) => {
          const percent = percentOfFirst(exercise);
          const height = percent === null ? 30 : BASE - y(percent);
          const wide = barPx * (of.deloadPercent === null ? 1 : of.deloadPercent / 100);
          return (
            <rect
              key={day}
              x={x(at)}
              y={BASE - height}
              width={wide}
              height={height}
              fill={`url(#${hatch})`}
              stroke="var(--color-plum)"
            />
          );
        })}
        <line x1={LEFT} x2={width - RIGHT} y1={BASE} y2={BASE} stroke="var(--color-ink)" opacity="0.5" />
        {bound && (
          <line
            x1={LEFT}
            x2={width - RIGHT + 4}
            y1={y(bound.to)}
            y2={y(bound.to)}
            stroke="var(--color-plum)"
            strokeDasharray="6 4"
          />
        )}
      </svg>
      {bound && <BoundHandle bound={bound} topPx={y(bound.to)} onBound={onBound} />}
      <table className="w-full border-collapse text-left">
        <caption className="sr-only">{t`The weeks in figures`}</caption>
        <tbody>
          {lines.map(({ name, values }) => (
            <tr key={name}>
              <th
                scope="row"
                className="align-top text-[13px] font-normal text-quiet"
                style={{ width: LEFT }}
              >
                {name}
              </th>
              <td className="relative h-5">
                {labelled(values, slotPx).map(({ at, text }) => (
                  <span
                    key={at}
                    className="figures absolute top-0 text-[14px] whitespace-nowrap"
                    style={{ left: at * slotPx }}
                  >
                    {text}
                  </span>
                ))}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

type Shown = DayAhead & { exercise: PlannedExercise };

const percentOfFirst = ({ limbs: [target] }: PlannedExercise): number | null =>
  target?.kind === 'measured' ? target.percentLop : null;

/** The lines under the strip: a figure of each day, those that the exercise has. */
function linesOf(shown: readonly Shown[], kgWords: (kg: number) => string, unit: string) {
  const pressure = (exercise: PlannedExercise): string | null => {
    const [target] = exercise.limbs;
    if (!target) return null;
    return target.kind === 'by-feel' ? plain(target.mark) : plain(target.pressure.value);
  };
  const isFelt = shown[0]?.exercise.limbs[0]?.kind === 'by-feel';
  const kg = ({ load }: PlannedExercise) => {
    const made = plannedKg(load);
    return made === null ? null : kgWords(made);
  };
  const watts = ({ intensity }: PlannedExercise) =>
    intensity?.by === 'watts' ? plain(intensity.watts) : null;
  const sets = ({ sets: all }: PlannedExercise) => {
    const [one] = all;
    if (one?.work.kind !== 'timed') return `${all.length}`;
    return `${all.length > 1 ? `${all.length} × ` : ''}${plain(one.work.workMs / 60_000)}`;
  };
  const isTimed = shown[0]?.exercise.sets[0]?.work.kind === 'timed';
  return [
    { name: isFelt ? t`mark` : 'mmHg', read: pressure },
    { name: unit, read: kg },
    { name: 'W', read: watts },
    { name: isTimed ? 'min' : t`sets`, read: sets },
  ]
    .map(({ name, read }) => ({ name, values: shown.map(({ exercise }) => read(exercise)) }))
    .filter(({ values }) => values.some((value) => value !== null))
    .concat({ name: t`day`, values: shown.map(({ day }) => format(noonOf(day), t`d MMM`)) });
}

/** Where a figure changes it is said, as far as there is room since the last. */
function labelled(values: readonly (string | null)[], slotPx: number): { at: number; text: string }[] {
  const said: { at: number; text: string }[] = [];
  values.forEach((text, at) => {
    const last = said.at(-1);
    if (text === null || last?.text === text) return;
    const freeFrom = last ? last.at * slotPx + last.text.length * 9 + NEAREST_PX : 0;
    if (at * slotPx >= freeFrom) said.push({ at, text });
  });
  return said;
}

/** The end of the bound's line: dragged up and down, or moved by the arrow keys. */
function BoundHandle({
  bound: { to },
  topPx,
  onBound,
}: {
  bound: Movement;
  topPx: number;
  onBound: (to: number) => void;
}) {
  const move = (next: number) => onBound(Math.min(80, Math.max(10, Math.round(next))));
  return (
    <div
      role="slider"
      tabIndex={0}
      aria-label={t`Bound of the pressure`}
      aria-orientation="vertical"
      aria-valuemin={10}
      aria-valuemax={80}
      aria-valuenow={to}
      aria-valuetext={t`${to} % of LOP`}
      className="absolute right-0 flex h-8 w-16 cursor-ns-resize touch-none items-center gap-1 text-[13px] text-plum"
      style={{ top: topPx - 16 }}
      onKeyDown={(event) => {
        const by = { ArrowUp: 1, ArrowDown: -1, PageUp: 5, PageDown: -5 }[event.key];
        if (by === undefined) return;
        event.preventDefault();
        move(to + by);
      }}
      onPointerDown={(event) => event.currentTarget.setPointerCapture(event.pointerId)}
      onPointerMove={(event) => {
        if (!event.currentTarget.hasPointerCapture(event.pointerId)) return;
        const box = event.currentTarget.parentElement?.getBoundingClientRect();
        if (box) move(((BASE - (event.clientY - box.top)) / (BASE - TOP)) * MOST_PERCENT);
      }}
    >
      <span className="h-4 w-4 rounded-full border-2 border-plum bg-paper" />
      <span className="figures">{to} %</span>
    </div>
  );
}
