import { useId, useMemo } from 'react';
import { compile, type Plan, type Timeline, type TimelineSet } from '#core/plan';
import { liveTimeline, type SessionState } from '#core/session';
import { useWidth } from '../../../parts/base/use-width';
import { Hatch } from '../../../parts/drawing/Hatch';
import { Blocks } from '../../../parts/drawing/StripBlocks';

const HEIGHT = 28;
const SET_PX = 5;

/** A session as one piece of the strip: planned in a hatch, done over it, sets beneath, and the line of now. */
export function LaneStrip({ plan, state, nowMs }: { plan: Plan; state: SessionState; nowMs: number }) {
  const { ref, width } = useWidth<HTMLDivElement>(400);
  const hatch = useId();
  const planned = useMemo(() => compile(plan), [plan]);
  const done = liveTimeline(plan, state, nowMs);
  const sinceMs = nowMs - (state.startedAtMs ?? nowMs);
  const endMs = Math.max(planned.endMs, done.endMs, sinceMs) * 1.03;
  const x = (atMs: number) => (atMs / endMs) * width;
  const lanes = [...new Set([...planned.lanes, ...done.lanes].map(({ limb }) => limb))];
  const height = HEIGHT / Math.max(1, lanes.length);
  const laneOf = (timeline: Timeline, limb: (typeof lanes)[number]) =>
    timeline.lanes.find((lane) => lane.limb === limb);
  return (
    <div ref={ref}>
      <svg width={width} height={HEIGHT + SET_PX + 3} aria-hidden="true" className="block">
        <Hatch id={hatch} />
        {lanes.map((limb, place) => (
          <g key={limb} transform={`translate(0 ${place * height})`}>
            <line x1={0} x2={width} y1={1} y2={1} stroke="var(--color-ink)" strokeDasharray="1 3" />
            <Blocks lane={laneOf(planned, limb)} x={x} fill={`url(#${hatch})`} height={height} />
            <Blocks lane={laneOf(done, limb)} x={x} fill="var(--color-plum)" height={height} />
            <line x1={0} x2={width} y1={height} y2={height} stroke="var(--color-ink)" />
          </g>
        ))}
        <Sets sets={planned.sets} x={x} fill="var(--color-rule)" />
        <Sets sets={done.sets} x={x} fill="var(--color-ink)" />
        <line
          x1={x(sinceMs)}
          x2={x(sinceMs)}
          y1={0}
          y2={HEIGHT + SET_PX + 3}
          stroke="var(--color-ink)"
          strokeWidth={2}
        />
      </svg>
    </div>
  );
}

/** Where the sets lie, as bars beneath. */
const Sets = ({
  sets,
  x,
  fill,
}: {
  sets: readonly TimelineSet[];
  x: (atMs: number) => number;
  fill: string;
}) =>
  sets.map(({ exerciseIndex, setIndex, fromMs, toMs }) => (
    <rect
      key={`${exerciseIndex}.${setIndex}`}
      x={x(fromMs)}
      y={HEIGHT + 2}
      width={Math.max(1, x(toMs) - x(fromMs))}
      height={SET_PX}
      fill={fill}
    />
  ));
