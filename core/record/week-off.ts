import { capital, type Message, msg } from '../message/message';
import { libraryOf } from '../protocol/exercises';
import { muscleOf, musclesWorked } from '../protocol/muscles';
import { trains } from '../protocol/work-mode';
import { dayAt } from '../quantity/days';
import { limbKind } from '../quantity/limb';
import { MS_PER_DAY } from '../quantity/units';
import { blockPlansOf } from './block-in-force';
import type { ClientFacts } from './facts';
import type { PlanInForce } from './plans-in-force';
import { whyOff } from './tissue-account';

const WEEK_MS = 7 * MS_PER_DAY;
/** Who was not here for so long is not off: they are away. */
const AWAY_MS = 2 * WEEK_MS;

/**
 * The first muscle of the plans in force whose last seven days are off two or three, in words; null where none is, where
 * a person has trained for less than a week, and where they are away (rule PRO-3).
 * @param plans those in force
 */
export function weekOff(facts: ClientFacts, plans: readonly PlanInForce[], nowMs: number): Message | null {
  const trained = facts.sessions.filter(({ worked }) => worked.some(trains));
  const times = trained.map(({ startedAtMs }) => startedAtMs);
  if (Math.min(...times) > nowMs - WEEK_MS || Math.max(...times) < nowMs - AWAY_MS) return null;
  const library = libraryOf(facts.ownExercises);
  const daysOf = new Map<string, Set<number>>();
  const note = (exerciseId: string, kind: string, atMs: number) => {
    if (atMs < nowMs - WEEK_MS) return;
    for (const muscle of musclesWorked(exerciseId, library)) {
      const key = `${muscle} ${kind}`;
      daysOf.set(key, (daysOf.get(key) ?? new Set()).add(dayAt(atMs, facts.zoneOffsetMs)));
    }
  };
  for (const { worked, startedAtMs } of trained) {
    for (const { exerciseId, limbs } of worked.filter(trains)) {
      const [limb] = limbs;
      if (limb) note(exerciseId, limbKind(limb), startedAtMs);
    }
  }
  for (const { exerciseId, atMs } of facts.heavyWork) {
    note(exerciseId, library[exerciseId]?.limbKind ?? 'leg', atMs);
  }
  // A plan that is new has not had its week yet.
  const hadAWeek = ({ coursePlan, prescription }: PlanInForce) =>
    prescription.atMs <= nowMs - WEEK_MS ||
    trained.some(
      (session) => session.coursePlanId === coursePlan.id && session.startedAtMs <= nowMs - WEEK_MS,
    );
  const inForce = plans.filter(hadAWeek).map(({ coursePlan }) => coursePlan.id);
  const muscles = blockPlansOf(facts)
    .filter(({ id }) => inForce.includes(id))
    .flatMap((plan) => plan.muscles);
  for (const muscle of muscles) {
    const why = whyOff({ days: daysOf.get(muscle)?.size ?? 0 });
    if (why) return msg('{muscle}: {why}.', { muscle: capital(muscleOf(muscle)), why });
  }
  return null;
}
