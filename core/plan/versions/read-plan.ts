import { resistanceText } from '../../load/weight-kit';
import { intensityWords } from '../../protocol/intensity';
import { type SessionChoice, sessionChoiceSchema } from '../choices';
import { PLAN_VERSION, type Plan } from '../plan';
import { choiceFromVersion2, fromVersion2, type PlanVersion2 } from './version-2';

/**
 * A plan as it was stored, in the shape of now: each version has a reader of its own, and nothing that was signed is ever
 * rewritten where it is kept.
 * @throws RangeError for a version this app does not know, as after going back to an older release
 */
export function readPlan(stored: unknown): Plan {
  const version = versionOf(stored);
  if (version === PLAN_VERSION) return withResistances(stored as Plan);
  // A plan of version 3 has no movements: it is steady (rule CRS-2).
  if (version === 3) return withResistances({ ...(stored as Plan), version: PLAN_VERSION });
  if (version === 2) return withResistances(fromVersion2(stored as PlanVersion2));
  throw new RangeError(`A plan of version ${version} was made by a newer release: update this one.`);
}

/** What resists without kilograms stood in words in plans of earlier releases; the words were its id. */
const withResistances = (plan: Plan): Plan => ({
  ...plan,
  exercises: plan.exercises.map((exercise) => {
    const { load, intensity } = exercise;
    if (load.kind === 'weighed' || typeof load.recipe !== 'string') return exercise;
    const recipe = intensity ? intensityWords(intensity) : resistanceText(load.recipe);
    return { ...exercise, load: { ...load, recipe, with: load.recipe } };
  }),
});

// Plans carry a version since the third.
const versionOf = (stored: unknown): unknown =>
  typeof stored === 'object' && stored !== null && 'version' in stored ? stored.version : 2;

/** A kept session (a template, a draft on a device) in the shape of now; `null` when nothing can be made of it. */
export function readSessionChoice(stored: unknown): SessionChoice | null {
  const now = sessionChoiceSchema.safeParse(stored);
  if (now.success) return now.data;
  try {
    const old = sessionChoiceSchema.safeParse(choiceFromVersion2(stored as never));
    return old.success ? old.data : null;
  } catch {
    return null;
  }
}
