import { LIMB_LABELS, limbKind } from '../quantity/limb';
import { toDecimals } from '../quantity/rounding';
import { MS_PER_MINUTE } from '../quantity/units';
import type { Finding } from '../rules/finding';
import { LIMITS } from '../rules/limits';
import { clockAtEnds, occlusionLimitMs } from './occlusion-clock';
import type { Lane, Timeline } from './timeline';

/** Findings on how long and where a planned timeline occludes (rules PRO-1, PRO-2). */
export function checkTimeline(timeline: Timeline): Finding[] {
  return [...timeline.lanes.flatMap(checkLane), ...checkLimbsTogether(timeline.lanes)];
}

const minutes = (ms: number): string => `${toDecimals(ms / MS_PER_MINUTE, 1)} min`;

function checkLane(lane: Lane): Finding[] {
  const longestMs = Math.max(0, ...clockAtEnds(lane.inflations));
  const limitMs = occlusionLimitMs(lane);
  const { guardPerExercise, guardAnyLimb } = LIMITS.continuousOcclusionMs;
  const remedy = 'Shorten the rests, use a faster tempo, or release between sets for at least 60 s.';
  const common = {
    rule: 'PRO-1',
    subject: 'protocolId',
    fix: { set: 'release', to: 'each-rest' },
  } as const;
  if (longestMs > limitMs) {
    return [
      {
        ...common,
        level: 'hard',
        message: `${LIMB_LABELS[lane.limb]} would be occluded ${minutes(longestMs)} without free flow; the limit is ${minutes(limitMs)}.`,
        remedy,
      },
    ];
  }
  const guardMs = Math.min(guardPerExercise, guardAnyLimb);
  if (longestMs <= guardMs) return [];
  return [
    {
      ...common,
      level: 'guard',
      message: `${LIMB_LABELS[lane.limb]} would be occluded ${minutes(longestMs)} without free flow; over ${minutes(guardMs)} needs a clinician’s reason.`,
      remedy,
    },
  ];
}

function checkLimbsTogether(lanes: readonly Lane[]): Finding[] {
  const starts = lanes.flatMap((lane) => lane.inflations.map(({ fromMs }) => fromMs));
  const mixed = starts.some((atMs) => {
    const inflated = lanes.filter((lane) =>
      lane.inflations.some(({ fromMs, toMs }) => fromMs <= atMs && atMs < toMs),
    );
    return new Set(inflated.map((lane) => limbKind(lane.limb))).size > 1;
  });
  if (!mixed) return [];
  return [
    {
      rule: 'PRO-2',
      level: 'hard',
      subject: 'limbs',
      message: 'Arms and legs would be occluded at the same time.',
      remedy: 'Occlude a pair of arms or a pair of legs, and release them before the others.',
    },
  ];
}
