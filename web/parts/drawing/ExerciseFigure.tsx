import { memo } from 'react';
import {
  type Figure,
  figureOf,
  type Joint,
  type Joints,
  jointsOf,
  type Point,
  type Prop,
} from '#core/protocol';

/** A body with room around it, in the units of `jointsOf`. */
const SIZE = 124;
const HEAD_RADIUS = 6;

/** The start and the end of an exercise as lines, with the cuff on; nothing for one the practice has added itself. */
export const ExerciseFigure = memo(function ExerciseFigure({
  id,
  className = 'h-16',
}: {
  id: string;
  className?: string;
}) {
  const figure = figureOf(id);
  if (!figure) return null;
  const frame = frameOf(figure);
  const isStill = JSON.stringify(figure.start) === JSON.stringify(figure.end);
  return (
    <span className={`inline-flex ${className}`}>
      {(isStill ? [figure.start] : [figure.start, figure.end]).map((limbs, place) => (
        <svg
          // biome-ignore lint/suspicious/noArrayIndexKey: the start and the end
          key={place}
          aria-hidden="true"
          viewBox={`${frame.x} ${frame.y} ${SIZE} ${SIZE}`}
          className="h-full w-auto"
          fill="none"
          stroke="currentColor"
          strokeWidth={3.5}
          strokeLinecap="round"
          strokeLinejoin="round"
        >
          <Body joints={jointsOf(limbs, figure.held)} figure={figure} />
        </svg>
      ))}
    </span>
  );
});

/** Both drawings share one frame, so that what moves is seen to move. */
function frameOf({ start, end, held }: Figure): Point {
  const points = [start, end].flatMap((limbs) => Object.values(jointsOf(limbs, held)));
  const middle = (of: (point: Point) => number) =>
    (Math.min(...points.map(of)) + Math.max(...points.map(of))) / 2;
  return { x: middle(({ x }) => x) - SIZE / 2, y: middle(({ y }) => y) - SIZE / 2 };
}

const path = (...points: Point[]): string =>
  `M${points.map(({ x, y }) => `${x.toFixed(1)} ${y.toFixed(1)}`).join('L')}`;
const between = (a: Point, b: Point, share: number): Point => ({
  x: a.x + share * (b.x - a.x),
  y: a.y + share * (b.y - a.y),
});

function Body({ joints, figure }: { joints: Joints; figure: Figure }) {
  const { hip, neck, head, elbow, wrist, knee, ankle, toe } = joints;
  const [root, next] = figure.cuffOn === 'arm' ? [neck, elbow] : [hip, knee];
  return (
    <>
      <Around figure={figure} joints={joints} />
      <g className="text-quiet" strokeWidth={2.5}>
        <path d={path(hip, joints.farKnee, joints.farAnkle, joints.farToe)} />
        <path d={path(neck, joints.farElbow, joints.farWrist)} />
      </g>
      <path d={path(neck, hip)} />
      <circle cx={head.x} cy={head.y} r={HEAD_RADIUS} />
      <path d={path(hip, knee, ankle, toe)} />
      <path d={path(neck, elbow, wrist)} />
      <path
        d={path(between(root, next, 0.22), between(root, next, 0.5))}
        className="stroke-plum"
        strokeWidth={9}
        strokeLinecap="butt"
      />
      {figure.load && <circle {...centre(joints[figure.load])} r={5} fill="currentColor" />}
    </>
  );
}

const centre = ({ x, y }: Point) => ({ cx: x, cy: y });
const LOWEST: readonly Joint[] = ['hip', 'knee', 'ankle', 'toe', 'wrist', 'neck'];

/** What the body stands, sits or lies on, and what pulls at it. */
function Around({ figure: { start, end, held, props, band }, joints }: { figure: Figure; joints: Joints }) {
  const atStart = jointsOf(start, held);
  const floorY = Math.max(...LOWEST.map((joint) => atStart[joint].y), atStart.farAnkle.y) + 3;
  const atEnd = jointsOf(end, held);
  // A box is as high as who sits on it.
  const seated = atEnd.hip.y > atStart.hip.y ? { ...atStart, hip: atEnd.hip } : atStart;
  const pulled = band && joints[band.at];
  const radians = band ? (band.towards * Math.PI) / 180 : 0;
  return (
    <g className="text-quiet" strokeWidth={1.5}>
      {!props.includes('bed') && !props.includes('seat') && <path d={`M-62 ${floorY}H62`} />}
      {props.map((prop) => (
        <path key={prop} d={PROPS[prop](seated, floorY)} />
      ))}
      {band && pulled && (
        <path
          d={path(pulled, { x: pulled.x + 44 * Math.sin(radians), y: pulled.y + 44 * Math.cos(radians) })}
          strokeDasharray="3 4"
        />
      )}
    </g>
  );
}

/** Each as a path, from where the body is at the start, in the same units. */
const PROPS: Record<Prop, (at: Joints, floorY: number) => string> = {
  seat: ({ hip }, floorY) => `M${hip.x - 14} ${hip.y + 5}h26M${hip.x - 10} ${hip.y + 5}V${floorY}`,
  bed: ({ hip }) => `M-62 ${hip.y + 6}H62`,
  bench: ({ neck }) => `M${neck.x - 16} ${neck.y + 5}h24v24`,
  step: ({ ankle }, floorY) =>
    `M${ankle.x - 8} ${ankle.y + 4}h28V${Math.max(floorY, ankle.y + 16)}M${ankle.x - 8} ${ankle.y + 4}V${Math.max(floorY, ankle.y + 16)}`,
  wall: ({ wrist, neck, toe }, floorY) => {
    const x = wrist.x > neck.x + 12 ? Math.max(wrist.x, toe.x) + 4 : neck.x - 7;
    return `M${x} ${floorY}V${floorY - 96}`;
  },
  table: ({ wrist }, floorY) => `M${wrist.x - 18} ${wrist.y + 4}h34M${wrist.x + 12} ${wrist.y + 4}V${floorY}`,
  roll: ({ knee }) => `M${knee.x - 6} ${knee.y + 9}a6 6 0 1 0 12 0a6 6 0 1 0 -12 0`,
  wheel: ({ ankle, wrist }) => {
    const at = ankle.y > wrist.y + 30 ? ankle : wrist;
    return `M${at.x - 12} ${at.y}a12 12 0 1 0 24 0a12 12 0 1 0 -24 0`;
  },
};
