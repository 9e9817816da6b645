import { t } from '@lingui/core/macro';
import type { SessionCase, SessionRun } from '#core/learning';

const WIDTH = 640;
const HEIGHT = 150;
const AHEAD_MS = 360_000;
const EVERY_MS = 1_000;

/** What was so at one second of the session. */
export type TracePoint = { atMs: number; mmHg: number; works: boolean };

/** The trace with what is so now, once a second. */
export function traced(trace: readonly TracePoint[], run: SessionRun): readonly TracePoint[] {
  const newest = trace.at(-1);
  if (newest && run.atMs - newest.atMs < EVERY_MS) return trace;
  return [...trace, { atMs: run.atMs, mmHg: run.pump.pressureMmHg, works: run.set !== null }];
}

/** The pressure as it was held so far, what the plan asks for, and what was cleared; work lies as a band beneath. */
export function SessionTrace({
  session,
  run,
  trace,
}: {
  session: SessionCase;
  run: SessionRun;
  trace: readonly TracePoint[];
}) {
  const endMs = Math.max(AHEAD_MS, run.atMs);
  const topMmHg = 1.25 * Math.max(session.targetMmHg, session.capMmHg, run.highestMmHg);
  const x = (atMs: number) => (WIDTH * atMs) / endMs;
  const y = (mmHg: number) => HEIGHT - (HEIGHT * mmHg) / topMmHg;
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT + 8}`}
      className="w-full max-w-2xl border-b border-rule"
      role="img"
      aria-label={t`Pressure so far; the plan asks for ${session.targetMmHg} mmHg, ${session.capMmHg} mmHg are cleared`}
    >
      <line
        x1={0}
        x2={WIDTH}
        y1={y(session.targetMmHg)}
        y2={y(session.targetMmHg)}
        className="stroke-plum"
        strokeDasharray="2 4"
      />
      <text x={WIDTH / 2} y={y(session.targetMmHg) - 4} className="fill-plum text-[13px]">
        {t`plan ${session.targetMmHg}`}
      </text>
      <line x1={0} x2={WIDTH} y1={y(session.capMmHg)} y2={y(session.capMmHg)} className="stroke-vermilion" />
      <text x={WIDTH} y={y(session.capMmHg) - 4} textAnchor="end" className="fill-vermilion text-[13px]">
        {t`cleared ${session.capMmHg}`}
      </text>
      {trace
        .filter(({ works }) => works)
        .map(({ atMs }) => (
          <rect
            key={atMs}
            x={x(atMs)}
            y={HEIGHT + 2}
            width={x(EVERY_MS) + 0.5}
            height={6}
            className="fill-ink"
          />
        ))}
      <polyline
        points={trace.map(({ atMs, mmHg }) => `${x(atMs)},${y(mmHg)}`).join(' ')}
        className="fill-none stroke-ink"
        strokeWidth={2}
      />
    </svg>
  );
}
