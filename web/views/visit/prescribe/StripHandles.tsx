import { t } from '@lingui/core/macro';
import { useRef, useState } from 'react';
import type { SessionChoice, Timeline, TimelineSet } from '#core/plan';
import type { StripScale } from '../../../parts/drawing/OcclusionStrip';
import { changeSet } from './state/choices';

const STEP_MS = 5_000;
const MOST_MS = 600_000;

/** Two rows under the strip: the end of each rest, to drag; and where the cuff comes down, to drag or switch. */
export function StripHandles({
  scale,
  timeline,
  session,
  change,
}: {
  scale: StripScale;
  timeline: Timeline;
  session: SessionChoice;
  change: (next: SessionChoice) => void;
}) {
  const sets = timeline.sets.slice(0, -1);
  const choiceOf = ({ exerciseIndex, setIndex }: TimelineSet) =>
    session.exercises[exerciseIndex]?.sets[setIndex];
  const withSet = (
    next: SessionChoice,
    { exerciseIndex, setIndex }: TimelineSet,
    part: Parameters<typeof changeSet>[2],
  ) => ({
    ...next,
    exercises: next.exercises.map((choice, i) =>
      i === exerciseIndex ? changeSet(choice, setIndex, part) : choice,
    ),
  });
  const nameOf = ({ exerciseIndex, setIndex }: TimelineSet) =>
    session.exercises.length > 1
      ? t`exercise ${exerciseIndex + 1}, set ${setIndex + 1}`
      : t`set ${setIndex + 1}`;
  const moveRelease = (from: TimelineSet, toMs: number) => {
    const to = sets.reduce((near, set) =>
      Math.abs(set.toMs - toMs) < Math.abs(near.toMs - toMs) ? set : near,
    );
    if (to === from) return;
    change(withSet(withSet(session, from, { release: false }), to, { release: true }));
  };
  return (
    <div className="relative h-18 select-none">
      <span className="absolute top-1 left-0 text-[13px] text-quiet">{t`Rest, drag`}</span>
      <span className="absolute top-10 left-0 text-[13px] text-quiet">{t`Cuff down`}</span>
      {sets.map((set) => {
        const choice = choiceOf(set);
        if (!choice) return null;
        const key = `${set.exerciseIndex}.${set.setIndex}`;
        return (
          <div key={key}>
            <RestHandle
              name={nameOf(set)}
              restMs={choice.restMs}
              leftPx={scale.x(set.toMs)}
              msPerPx={scale.msPerPx}
              onRest={(restMs) => change(withSet(session, set, { restMs }))}
            />
            <ReleaseMarker
              name={nameOf(set)}
              released={choice.release}
              leftPx={scale.x(set.toMs)}
              onSwitch={() => change(withSet(session, set, { release: !choice.release }))}
              onMove={(byPx) => choice.release && moveRelease(set, set.toMs + byPx * scale.msPerPx)}
            />
          </div>
        );
      })}
    </div>
  );
}

/** The length of a rest: its end is dragged, or moved by the arrow keys in steps of 5 s. */
function RestHandle({
  name,
  restMs,
  leftPx,
  msPerPx,
  onRest,
}: {
  name: string;
  restMs: number;
  leftPx: number;
  msPerPx: number;
  onRest: (restMs: number) => void;
}) {
  const grabbed = useRef<{ x: number; restMs: number; msPerPx: number } | null>(null);
  const to = (ms: number) => onRest(Math.min(MOST_MS, Math.max(0, Math.round(ms / STEP_MS) * STEP_MS)));
  return (
    <>
      <span
        className="absolute top-3 h-2 border-b-2 border-dotted border-quiet"
        style={{ left: leftPx, width: restMs / msPerPx }}
      />
      <span
        role="slider"
        tabIndex={0}
        aria-label={t`Rest after ${name}`}
        aria-valuemin={0}
        aria-valuemax={MOST_MS / 1000}
        aria-valuenow={restMs / 1000}
        aria-valuetext={`${restMs / 1000} s`}
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture(event.pointerId);
          // The scale changes as the strip grows; the one it was grabbed at stays under the finger.
          grabbed.current = { x: event.clientX, restMs, msPerPx };
        }}
        onPointerMove={(event) => {
          const from = grabbed.current;
          if (from) to(from.restMs + (event.clientX - from.x) * from.msPerPx);
        }}
        onPointerUp={() => {
          grabbed.current = null;
        }}
        onKeyDown={(event) => {
          const by = { ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1 }[event.key];
          if (!by) return;
          event.preventDefault();
          to(restMs + by * STEP_MS);
        }}
        className="absolute top-0 h-8 w-3.5 -translate-x-1/2 cursor-ew-resize touch-none rounded-sm border border-ink/40 bg-paper"
        style={{ left: leftPx + restMs / msPerPx }}
      />
    </>
  );
}

const CLICK_PX = 4;

/** Whether the cuff comes down after a set: pressed to switch, dragged to another set to move it there. */
function ReleaseMarker({
  name,
  released,
  leftPx,
  onSwitch,
  onMove,
}: {
  name: string;
  released: boolean;
  leftPx: number;
  onSwitch: () => void;
  onMove: (byPx: number) => void;
}) {
  const [byPx, setByPx] = useState<number | null>(null);
  const startPx = useRef(0);
  return (
    <button
      type="button"
      aria-pressed={released}
      aria-label={t`Cuff down after ${name}`}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        startPx.current = event.clientX;
        setByPx(0);
      }}
      onPointerMove={(event) => byPx !== null && setByPx(event.clientX - startPx.current)}
      onPointerUp={() => {
        if (byPx !== null && Math.abs(byPx) > CLICK_PX) onMove(byPx);
        setByPx(null);
      }}
      onClick={(event) => {
        // A drag ends with a click of its own, which is not one.
        if (event.detail === 0 || Math.abs(event.clientX - startPx.current) <= CLICK_PX) onSwitch();
      }}
      className="absolute top-9 flex h-7 w-5 -translate-x-1/2 touch-none items-center justify-center"
      style={{ left: leftPx + (released ? (byPx ?? 0) : 0) }}
    >
      <svg width="14" height="14" viewBox="0 0 14 14" aria-hidden="true">
        <path
          d="M1 2 H13 L7 13 Z"
          fill={released ? 'var(--color-plum)' : 'var(--color-paper)'}
          stroke={released ? 'var(--color-plum)' : 'var(--color-quiet)'}
        />
      </svg>
    </button>
  );
}
