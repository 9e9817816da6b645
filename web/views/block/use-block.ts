import { useQuery } from '@tanstack/react-query';
import { format } from 'date-fns';
import { useState } from 'react';
import type { ClientRecord } from '#contract/client';
import type { PracticeView } from '#contract/practice';
import { dayOf, isoOf } from '#core/course/days';
import type { Constraints } from '#core/course/place-sessions';
import {
  constraintsOf,
  missedDays,
  type Programme,
  type ProgrammeWish,
  programmeSchema,
  programmeWishSchema,
} from '#core/course/programme';
import { rampLevel } from '#core/pressure/ramp';
import { limbKind } from '#core/quantity/limb';
import { newest } from '#core/quantity/newest';
import { sessionsDone } from '#core/record/basis';
import { limbInHand } from '#core/record/chain';
import { nextPlan } from '#core/record/plans-in-force';
import { planningWorker } from '../../workers/planning';

const isoDay = (atMs: number): string => format(atMs, 'yyyy-MM-dd');

/** The wish a new block begins with: two sessions a week on working days, from today. */
function firstWish(client: ClientRecord, practice: PracticeView): ProgrammeWish {
  const prescribed = nextPlan(client.facts, client.judgedAtMs)?.prescription;
  const plan = prescribed?.plan;
  return {
    goal: plan?.goal ?? 'size',
    schoolId: plan?.schoolId ?? practice.settings.schoolId,
    limb: limbInHand(client.facts, prescribed) ?? 'left-thigh',
    startsOn: isoDay(client.judgedAtMs),
    weeks: 8,
    perWeek: 2,
    available: [0, 1, 2, 3, 4],
    heavy: [],
    besideHeavy: 'apart',
    deloadEvery: null,
    daysOff: [],
    atTime: '17:30',
  };
}

/** Whether two blocks say the same; the schema puts their fields in one order. */
const isSame = (a: Programme, b: Programme): boolean => {
  const [one, other] = [programmeSchema.safeParse(a), programmeSchema.safeParse(b)];
  return one.success && other.success && JSON.stringify(one.data) === JSON.stringify(other.data);
};

/** A block as it is being planned: the wish, the days placed for it, and what was moved by hand. */
export function useBlock(client: ClientRecord, practice: PracticeView) {
  const kept = newest(client.facts.programmes);
  const today = dayOf(isoDay(client.judgedAtMs));
  const done = client.facts.sessions
    .filter(({ finishedAtMs }) => finishedAtMs !== null)
    .map(({ startedAtMs }) => dayOf(isoDay(startedAtMs)));
  const [wish, setWish] = useState(() => kept?.wish ?? firstWish(client, practice));
  // Days fixed by hand or as they were kept; null lets the solver place them.
  const [byHand, setByHand] = useState<string[] | null>(kept?.days ?? null);
  const [again, setAgain] = useState<Partial<Constraints>>({});
  const problem = programmeWishSchema.safeParse(wish).error;
  const constraints = problem ? null : { ...constraintsOf(wish), ...again };
  const { data: placed } = useQuery({
    queryKey: ['block', constraints],
    queryFn: () => (constraints ? planningWorker().placeSessions(constraints) : null),
    enabled: constraints !== null,
    placeholderData: (before) => before,
    staleTime: Number.POSITIVE_INFINITY,
  });
  const days = byHand ?? placed?.days.map(isoOf) ?? [];
  const programme: Programme = { wish, days };
  const missed = kept ? missedDays(kept, done, today) : [];
  return {
    wish,
    problem,
    programme,
    unmet: byHand ? [] : (placed?.unmet ?? []),
    isPlaced: byHand !== null || placed !== undefined,
    done,
    today,
    missed,
    isKept: kept !== undefined && isSame(programme, kept),
    levelPercentLop: rampLevel(
      sessionsDone(client.facts),
      limbKind(wish.limb),
      wish.schoolId,
      client.judgedAtMs,
    ).percentLop,
    change: (part: Partial<ProgrammeWish>) => {
      setWish((old) => ({ ...old, ...part }));
      setByHand(null);
      setAgain({});
    },
    toggle: (day: string) =>
      setByHand(days.includes(day) ? days.filter((other) => other !== day) : [...days, day].sort()),
    /** What is done stays and counts; the rest is placed anew from today, near where it was. */
    planAgain: () => {
      setAgain({ done, fromDay: today, kept: days.map(dayOf) });
      setByHand(null);
    },
  };
}

export type BlockState = ReturnType<typeof useBlock>;
