import { type Inflation, type Lane, pressuresHeld } from '#core/plan';

/** The highest pressure of a lane in mmHg; 0 under a strap, which has none. */
export const highestMmHg = (lane: Lane | undefined): number =>
  Math.max(
    0,
    ...(lane?.inflations ?? []).flatMap(({ steps }) => steps.map(({ pressureMmHg }) => pressureMmHg ?? 0)),
  );

const FELT_SHARE = 0.5;

/** Inflations of a lane as blocks: height is pressure as a share of the limb's LOP. */
export function Blocks({
  lane,
  x,
  fill,
  height,
}: {
  lane: Lane | undefined;
  x: (atMs: number) => number;
  fill: string;
  height: number;
}) {
  const highest = highestMmHg(lane);
  return lane?.inflations.map((inflation) => (
    <path key={inflation.fromMs} d={outline(inflation, highest, x, height)} fill={fill} />
  ));
}

/** A block follows the pressure step by step; the fall is steep but not instant, as a cuff deflates. */
function outline(inflation: Inflation, highest: number, x: (atMs: number) => number, height: number): string {
  const { fromMs, toMs, occlusionMmHg } = inflation;
  // Without a LOP it is not known how near full occlusion it is: the highest block is half as high as the lane, a strap's always.
  const share = (mmHg: number | null) => {
    if (mmHg === null || highest === 0) return FELT_SHARE;
    return occlusionMmHg === null ? (FELT_SHARE * mmHg) / highest : Math.min(1.05, mmHg / occlusionMmHg);
  };
  const y = (mmHg: number | null) => height * (1 - share(mmHg));
  const points = pressuresHeld(inflation).flatMap((held) => [
    `L${x(held.fromMs)} ${y(held.pressureMmHg)}`,
    `L${x(held.toMs)} ${y(held.pressureMmHg)}`,
  ]);
  return `M${x(fromMs)} ${height} ${points.join(' ')} L${x(toMs) + 5} ${height} Z`;
}
