import { t } from '@lingui/core/macro';
import { type ReactNode, useId } from 'react';
import { fenceMs, type Lane, laneLimitMs, type Plan, type Timeline, type TimelineSet } from '#core/plan';
import { repMs } from '#core/protocol';
import { LIMB_LABELS, type Limb } from '#core/quantity';
import { translate } from '../../language/translate';
import { clock, plain } from '../../words/format';
import { useWidth } from '../base/use-width';
import { Hatch } from './Hatch';
import { Blocks, highestMmHg } from './StripBlocks';
import { StripTable } from './StripTable';

const USUAL_LANE_HEIGHT = 92;
const LEFT = 96;
const RIGHT = 16;
const TOP = 22;
/** A lane lower than this has no room for two labels over each other: the second is written beneath it. */
const LOW = 34;
const MINUTE_MS = 60_000;

/** Between which times a line stands, in minutes, and how wide the longest of them is written, in px. */
const LINES_EVERY = [1, 2, 5, 10, 30, 60];
const TIME_PX = 56;

/** Time between two lines, so that no two times are written over each other. @param widthPx room of the whole strip */
const timesEvery = (endMs: number, widthPx: number): number => {
  const fits = LINES_EVERY.find((minutes) => (minutes * MINUTE_MS * widthPx) / endMs >= TIME_PX);
  return (fits ?? 60) * MINUTE_MS;
};

/** Where a time is on the strip, for what is laid over it. */
export type StripScale = { x: (atMs: number) => number; msPerPx: number; left: number };

/**
 * The occlusion strip: time runs right, one lane a limb, height is pressure as a share of that limb's LOP.
 * @param planned drawn faint with a hatch @param done drawn solid, over it @param nowMs draws the now-line
 * @param plan whose exercises are named where each begins when there are several, and whose limit is drawn
 * @param handles to edit it by
 */
export function OcclusionStrip({
  planned,
  done,
  nowMs,
  plan,
  laneHeight = USUAL_LANE_HEIGHT,
  handles,
}: {
  planned?: Timeline;
  done?: Timeline;
  nowMs?: number;
  plan: Plan;
  laneHeight?: number;
  handles?: (scale: StripScale) => ReactNode;
}) {
  const { ref, width } = useWidth<HTMLDivElement>(900);
  const names = plan.exercises.map(({ label }) => translate(label));
  const hatch = useId();
  const limbs = [
    ...new Set([planned, done].flatMap((timeline) => timeline?.lanes.map(({ limb }) => limb) ?? [])),
  ];
  const endMs = Math.max(planned?.endMs ?? 0, done?.endMs ?? 0, nowMs ?? 0, MINUTE_MS) * 1.04;
  const x = (atMs: number) => LEFT + (atMs / endMs) * (width - LEFT - RIGHT);
  const height = TOP + limbs.length * (laneHeight + 26) + 4;
  const everyMs = timesEvery(endMs, width - LEFT - RIGHT);
  return (
    <div ref={ref} className="relative">
      <svg width={width} height={height} aria-hidden="true" className="block">
        <Hatch id={hatch} />
        {Array.from({ length: Math.floor(endMs / everyMs) + 1 }, (_, i) => i * everyMs).map((atMs) => (
          <g key={atMs}>
            <line x1={x(atMs)} x2={x(atMs)} y1={TOP} y2={height - 4} stroke="var(--color-rule)" />
            <text
              x={x(atMs)}
              y={14}
              fontSize="13"
              textAnchor="middle"
              fill="var(--color-quiet)"
              className="figures"
            >
              {clock(atMs)}
            </text>
          </g>
        ))}
        {limbs.map((limb, place) => {
          const lane = (timeline?: Timeline) => timeline?.lanes.find((candidate) => candidate.limb === limb);
          const known = lane(done) ?? lane(planned);
          return (
            <g key={limb} transform={`translate(0 ${TOP + place * (laneHeight + 26)})`}>
              <LaneFrame
                limb={translate(LIMB_LABELS[limb])}
                edge={edgeWords(known)}
                width={width}
                height={laneHeight}
              />
              {lane(planned) && (
                <Blocks lane={lane(planned)} x={x} fill={`url(#${hatch})`} height={laneHeight} />
              )}
              {lane(done) && <Blocks lane={lane(done)} x={x} fill="var(--color-plum)" height={laneHeight} />}
              <Sets
                sets={[
                  ...(done?.sets ?? []).map((set) => ({ set, solid: true })),
                  ...(planned?.sets ?? [])
                    .filter((set) => !isDone(done, set))
                    .map((set) => ({ set, solid: false })),
                ].filter(({ set }) => set.limbs.includes(limb))}
                x={x}
                height={laneHeight}
              />
              {names.length > 1 && (laneHeight >= LOW || place === 0) && (
                <Names names={names} timeline={planned ?? done} limb={limb} x={x} />
              )}
              {known && (
                <Fence
                  lane={known}
                  limitMs={laneLimitMs(plan, known, { sets: (lane(done) ? done : planned)?.sets ?? [] })}
                  belowNames={names.length > 1}
                  x={x}
                  endMs={endMs}
                  width={width}
                  height={laneHeight}
                />
              )}
            </g>
          );
        })}
        {nowMs !== undefined && (
          <line
            x1={x(nowMs)}
            x2={x(nowMs)}
            y1={TOP - 4}
            y2={height}
            stroke="var(--color-ink)"
            strokeWidth="2"
          />
        )}
      </svg>
      {handles?.({ x, msPerPx: endMs / (width - LEFT - RIGHT), left: LEFT })}
      <StripTable {...(planned ? { planned } : {})} {...(done ? { done } : {})} />
    </div>
  );
}

const isDone = (done: Timeline | undefined, set: TimelineSet): boolean =>
  done?.sets.some((other) => other.exerciseIndex === set.exerciseIndex && other.setIndex === set.setIndex) ??
  false;

/** The name of each exercise where it begins on a lane, as far as there is room before the next. */
function Names({
  names,
  timeline,
  limb,
  x,
}: {
  names: readonly string[];
  timeline: Timeline | undefined;
  limb: Limb;
  x: ToX;
}) {
  const firsts = (timeline?.sets ?? []).filter((set) => set.setIndex === 0 && set.limbs.includes(limb));
  return firsts.map((set, place) => {
    const next = firsts[place + 1];
    const room = (next ? x(next.fromMs) : x(timeline?.endMs ?? 0)) - x(set.fromMs);
    const name = names[set.exerciseIndex] ?? '';
    const letters = Math.max(1, Math.floor(room / 7.5) - 1);
    return (
      <text
        key={set.exerciseIndex}
        x={x(set.fromMs)}
        y={14}
        fontSize="13"
        fill="var(--color-ink)"
        stroke="var(--color-paper)"
        strokeWidth="4"
        paintOrder="stroke"
      >
        {name.length > letters ? `${name.slice(0, letters)}…` : name}
      </text>
    );
  });
}

/** The pressures that stop the flow in this limb, one for each position it is used in. */
const lopsOf = (lane: Lane | undefined): number[] =>
  [...new Set(lane?.inflations.map(({ occlusionMmHg }) => occlusionMmHg))].filter((mmHg) => mmHg !== null);

/** What the upper edge of a lane is: full occlusion, where it was measured. */
function edgeWords(lane: Lane | undefined): string {
  const lops = lopsOf(lane);
  if (lops.length > 0) return `LOP ${lops.map((mmHg) => plain(mmHg)).join(', ')}`;
  return highestMmHg(lane) === 0 ? t`by feel` : t`no LOP`;
}

function LaneFrame({
  limb,
  edge,
  width,
  height,
}: {
  limb: string;
  edge: string;
  width: number;
  height: number;
}) {
  // In some languages a limb is longer than the room before the strip.
  const lines = limb.length > 12 ? limb.split(' ') : [limb];
  const isLow = height < LOW;
  const letter = lines.length > 1 && height < 48 ? 13 : 15;
  return (
    <>
      <line x1={LEFT} x2={width - RIGHT} y1={0} y2={0} stroke="var(--color-ink)" strokeDasharray="1 3" />
      <line x1={LEFT} x2={width - RIGHT} y1={height} y2={height} stroke="var(--color-ink)" />
      <text x={0} y={isLow ? height + 17 : 13} fontSize="13" fill="var(--color-quiet)" className="figures">
        {edge}
      </text>
      {lines.map((line, place) => (
        <text
          key={line}
          x={0}
          y={(isLow ? Math.max(13, height) : height) - (lines.length - 1 - place) * letter}
          fontSize={letter}
          fill="var(--color-ink)"
        >
          {line}
        </text>
      ))}
    </>
  );
}

type ToX = (atMs: number) => number;

/** The sets of a lane: done ones solid, the others as planned; their words never run into each other. */
function Sets({
  sets,
  x,
  height,
}: {
  sets: readonly { set: TimelineSet; solid: boolean }[];
  x: ToX;
  height: number;
}) {
  const words = wordsWithRoom(
    sets.map(({ set, solid }) => ({
      centre: (x(set.fromMs) + x(set.toMs)) / 2,
      words: setWords(set, isShort(set, solid), x(set.toMs) - x(set.fromMs)),
    })),
  );
  return sets.map(({ set, solid }, place) => {
    const ticks = Array.from({ length: set.reps }, (_, rep) => set.fromMs + rep * repMs(set.tempo)).filter(
      (atMs) => atMs <= set.toMs,
    );
    return (
      <g key={`${set.exerciseIndex} ${set.setIndex}`}>
        {ticks.map((atMs) => (
          <line
            key={atMs}
            x1={x(atMs)}
            x2={x(atMs)}
            y1={height - 16}
            y2={height - 2}
            stroke={solid ? 'var(--color-on-plum)' : 'var(--color-plum)'}
            strokeWidth="1"
          />
        ))}
        <text
          x={(x(set.fromMs) + x(set.toMs)) / 2}
          y={height + 17}
          textAnchor="middle"
          fontSize="13"
          fill={solid ? 'var(--color-ink)' : 'var(--color-quiet)'}
          className="figures"
        >
          {words[place]}
        </text>
      </g>
    );
  });
}

/** What a letter of a set's words takes, in px. */
const LETTER_PX = 7.7;
/** Below this width a fence out of view is named in few words. */
const ROOMY = 900;

const isShort = ({ plannedReps, reps }: TimelineSet, solid: boolean): boolean =>
  solid && plannedReps !== null && reps < plannedReps;

/** Words about their centres, left to right; one that would run into the word before it is left to the table. */
function wordsWithRoom(all: readonly { centre: number; words: string }[]): string[] {
  let freeFrom = Number.NEGATIVE_INFINITY;
  return all.map(({ centre, words }) => {
    const half = (words.length * LETTER_PX) / 2;
    if (centre - half < freeFrom) return '';
    freeFrom = centre + half + LETTER_PX / 2;
    return words;
  });
}

/** "1 · 30" where there is room, else the repetitions alone; the length for work by the clock. */
function setWords(set: TimelineSet, short: boolean, widthPx: number): string {
  const amount =
    set.plannedReps === null
      ? clock(set.toMs - set.fromMs)
      : short
        ? `${set.reps}/${set.plannedReps}`
        : `${set.reps}`;
  const whole = `${set.setIndex + 1} · ${amount}`;
  return widthPx < whole.length * LETTER_PX ? amount : whole;
}

function Fence({
  lane,
  limitMs,
  belowNames,
  x,
  endMs,
  width,
  height,
}: {
  lane: Lane;
  limitMs: number;
  /** The line above is taken by the names of exercises. */
  belowNames: boolean;
  x: ToX;
  endMs: number;
  width: number;
  height: number;
}) {
  const atMs = fenceMs(lane, limitMs);
  if (atMs === null) return null;
  const inView = atMs <= endMs;
  return (
    <>
      {inView && (
        <line
          x1={x(atMs)}
          x2={x(atMs)}
          y1={-4}
          y2={height}
          stroke="var(--color-vermilion)"
          strokeWidth="2"
          strokeDasharray="6 4"
        />
      )}
      <text
        x={width - RIGHT}
        y={14 + (belowNames && height >= LOW ? 14 : 0)}
        textAnchor="end"
        fontSize="13"
        fill="var(--color-quiet)"
        stroke="var(--color-paper)"
        strokeWidth="4"
        paintOrder="stroke"
      >
        {inView
          ? t`limit`
          : width < ROOMY
            ? t`limit ${clock(limitMs)} →`
            : t`limit ${clock(limitMs)} of occlusion, at ${clock(atMs)} →`}
      </text>
    </>
  );
}
