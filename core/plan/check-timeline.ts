import type { Finding } from '../findings/finding';
import { msg } from '../message/message';
import { LIMB_LABELS, limbKind } from '../quantity/limb';
import { toDecimals } from '../quantity/rounding';
import { MS_PER_MINUTE } from '../quantity/units';
import { RULES } from '../rules/catalogue';
import { guardLimitMs, occlusionLimitMs, type Stretch, stretchesOf } from './occlusion-clock';
import type { Plan, PlannedExercise } from './plan';
import type { Lane, Timeline } from './timeline';

/** Findings on how long and where a planned timeline occludes (rules PRO-1, PRO-2). */
export const checkTimeline = (timeline: Timeline, plan: Plan): Finding[] => [
  ...timeline.lanes.flatMap((lane) => checkLane(lane, timeline, plan)),
  ...checkLimbsTogether(timeline.lanes),
];

const minutes = (ms: number): number => toDecimals(ms / MS_PER_MINUTE, 1);

function checkLane(lane: Lane, timeline: Timeline, plan: Plan): Finding[] {
  const limb = LIMB_LABELS[lane.limb];
  const limitMs = occlusionLimitMs(lane);
  const common = {
    rule: 'PRO-1',
    subject: 'protocolId',
    remedy: msg('Shorten the rests, use a faster tempo, or release between sets for at least 65 s.'),
    fix: { set: 'release', to: 'each-rest' },
  } as const;
  const stretches = stretchesOf(lane, timeline);
  const over = stretches.find(({ clockMs }) => clockMs > limitMs);
  if (over) {
    return [
      {
        ...common,
        level: 'hard',
        message: msg('{limb} would be occluded {clock} min without free flow; the limit is {limit} min.', {
          limb,
          clock: minutes(over.clockMs),
          limit: minutes(limitMs),
        }),
      },
    ];
  }
  const guarded = stretches
    .map((stretch) => ({ ...stretch, guardMs: guardLimitMs(lane.limb, exercisesOf(stretch, plan)) }))
    .find(({ clockMs, guardMs }) => clockMs > guardMs);
  const inAllMs = lane.inflations.reduce((sum, { fromMs, toMs }) => sum + toMs - fromMs, 0);
  const mostMs = RULES['PRO-1'].figures.continuousOcclusionMs.guardInAll[limbKind(lane.limb)];
  return [
    ...(guarded
      ? [
          {
            ...common,
            level: 'guard' as const,
            message: msg(
              '{limb} would be occluded {clock} min without free flow; over {guard} min needs a clinician’s reason.',
              { limb, clock: minutes(guarded.clockMs), guard: minutes(guarded.guardMs) },
            ),
          },
        ]
      : []),
    ...(inAllMs > mostMs
      ? [
          {
            rule: 'PRO-1' as const,
            level: 'guard' as const,
            subject: 'occludedInAll',
            message: msg(
              '{limb} would be occluded {inAll} min in all; over {most} min in a session needs a clinician’s reason.',
              { limb, inAll: minutes(inAllMs), most: minutes(mostMs) },
            ),
            remedy: msg('Leave out a set or an exercise.'),
          },
        ]
      : []),
  ];
}

const exercisesOf = ({ exerciseIndexes }: Stretch, { exercises }: Plan): PlannedExercise[] =>
  exerciseIndexes.flatMap((index) => exercises[index] ?? []);

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
      message: msg('Arms and legs would be occluded at the same time.'),
      remedy: msg('Occlude a pair of arms or a pair of legs, and release them before the others.'),
    },
  ];
}
