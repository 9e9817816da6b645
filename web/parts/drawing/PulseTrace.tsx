import { t } from '@lingui/core/macro';
import { useEffect, useRef } from 'react';
import type { DeviceFrame } from '#contract/device';
import { flowShape } from '#core/simulation';
import type { PressureSource } from '../../devices/pressure-source';

const SHOWN_MS = 5_000;
const HEIGHT = 56;

/**
 * What the probe or the oximeter picks up, as a trace that runs: the eye gets what the ear gets.
 * @param volume 0–1, as on the probe; a probe turned down shows nothing
 */
export function PulseTrace({
  source,
  follows,
  volume,
}: {
  source: PressureSource;
  follows: 'probe' | 'oximeter';
  volume: number;
}) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const latestVolume = useRef(volume);
  latestVolume.current = volume;
  useEffect(() => {
    const points: { atMs: number; height: number }[] = [];
    return source.subscribe((frame) => {
      if (!frame?.pulse || !canvas.current) return;
      points.push({ atMs: frame.atMs, height: heightOf(frame, follows, latestVolume.current) });
      while (points[0] && points[0].atMs < frame.atMs - SHOWN_MS) points.shift();
      draw(canvas.current, points, frame.atMs);
    });
  }, [source, follows]);
  return (
    <canvas
      ref={canvas}
      height={HEIGHT}
      className="h-14 w-full border-b border-rule"
      aria-label={t`Pulse trace`}
      role="img"
    />
  );
}

function heightOf(frame: DeviceFrame, follows: 'probe' | 'oximeter', volume: number): number {
  const shape = flowShape(frame.pulse?.phase ?? 1);
  return shape * (follows === 'probe' ? (frame.pulse?.strength ?? 0) * volume : (frame.oximeter ?? 0));
}

function draw(canvas: HTMLCanvasElement, points: readonly { atMs: number; height: number }[], nowMs: number) {
  const pen = canvas.getContext('2d');
  if (!pen) return;
  if (canvas.width !== canvas.clientWidth) canvas.width = canvas.clientWidth;
  pen.clearRect(0, 0, canvas.width, HEIGHT);
  pen.strokeStyle = getComputedStyle(canvas).color;
  pen.lineWidth = 2;
  pen.beginPath();
  for (const { atMs, height } of points) {
    pen.lineTo(canvas.width * (1 - (nowMs - atMs) / SHOWN_MS), HEIGHT - 4 - height * (HEIGHT - 12));
  }
  pen.stroke();
}
