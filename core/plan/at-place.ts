import type { Cuff } from '../cuff/cuff';
import type { Strap } from '../kit/strap';
import { LIMB_WEIGHT, type WeightKit } from '../load/weight-kit';
import { type Message, msg } from '../message/message';
import { LIMB_LABELS } from '../quantity/limb';
import { isAt, type Place, type Somewhere } from '../quantity/place';
import type { Basis } from './basis';
import type { ExerciseChoice, SessionChoice } from './choices';
import { composeSession } from './compose';
import type { Plan } from './plan';
import { planChanges } from './plan-changes';
import { wornLabel } from './target';
import { fitTemplate } from './template';

type Kit = { cuffs: readonly Cuff[]; weightKits: readonly WeightKit[]; straps: readonly Strap[] };

/** A session worked out again with the kit of a place. */
export type AtPlace = {
  /** `null` where nothing of it can be done there. */
  session: SessionChoice | null;
  /** From what to what the place changes the plan, in words. */
  changes: Message[];
  /** What is not there, or no longer holds there. */
  missing: Message[];
};

/** What is on record as far as the kit of a place goes: what was measured and tightened with pieces that are there. */
export function basisAt(basis: Basis, kit: Kit, place: Place): Basis {
  const there = <T extends Somewhere & { id: string }>(items: readonly T[]) =>
    items.filter((item) => isAt(item, place));
  const cuffs = there(kit.cuffs);
  const has = (items: readonly { id: string }[], id: string) => items.some((item) => item.id === id);
  const straps = there(kit.straps);
  return {
    ...basis,
    cuffs,
    weightKits: there(kit.weightKits),
    occlusions: basis.occlusions.filter(({ cuffId }) => has(cuffs, cuffId)),
    tightness: basis.tightness.filter(({ strapId }) => has(straps, strapId)),
    fits: basis.fits.filter((fit) =>
      fit.kind === 'cuff' ? has(cuffs, fit.cuffId) : has(straps, fit.strapId),
    ),
  };
}

/**
 * The same session at another place: loads made from what is there, cuffs as they were measured there, and what of it is stale or
 * missing named (rules LOAD-4, FIT-3, LOP-6). A pressure never goes from one cuff to another.
 */
export function atPlace(session: SessionChoice, plan: Plan, basis: Basis, kit: Kit, place: Place): AtPlace {
  const there = basisAt(basis, kit, place);
  const solved = fitTemplate(session, there);
  const missing = [...solved.notes];
  if (!solved.session) return { session: null, changes: [], missing };
  const exercises = solved.session.exercises.map((choice) => {
    if (choice.load.kind === 'unweighed') return choice;
    const { weightKitId } = choice.load;
    if (there.weightKits.some(({ id }) => id === weightKitId)) return choice;
    const label = basis.library[choice.exerciseId]?.label ?? choice.exerciseId;
    missing.push(
      msg('{label}: nothing {place} makes its load; it goes by the limb alone.', {
        label,
        place: place.label,
      }),
    );
    return { ...choice, load: { kind: 'unweighed' as const, with: LIMB_WEIGHT } };
  });
  const now: SessionChoice = { ...solved.session, exercises, place: place.id };
  // That it is done there is not a change it brings.
  const after = { ...composeSession(now, there).plan, place: plan.place };
  missing.push(...stale(exercises, there));
  return { session: now, changes: [...planChanges(plan, after), ...wornChanges(plan, after)], missing };
}

/** Measured pressures of the session that no longer hold (rule LOP-6). */
const stale = (exercises: readonly ExerciseChoice[], { due, occlusions }: Basis): Message[] =>
  [
    ...new Set(
      exercises.flatMap(({ limbs }) =>
        limbs.flatMap((limb) => (limb.kind === 'measured' ? [limb.occlusionId] : [])),
      ),
    ),
  ].flatMap((id) => {
    const [why, fact] = [due.get(id), occlusions.find((occlusion) => occlusion.id === id)];
    return why && fact
      ? [
          msg('{limb}, {cuffLabel}: measure again. {why}', {
            limb: LIMB_LABELS[fact.limb],
            cuffLabel: fact.cuffLabel,
            why,
          }),
        ]
      : [];
  });

/** Limbs that wear something else there. */
function wornChanges(before: Plan, after: Plan): Message[] {
  const worn = ({ exercises }: Plan) =>
    new Map(
      exercises.flatMap(({ limbs }) => limbs.map((target) => [target.limb, wornLabel(target)] as const)),
    );
  const was = worn(before);
  return [...worn(after)].flatMap(([limb, label]) => {
    const old = was.get(limb);
    return old && old !== label
      ? [msg('{limb}: {old} → {now}.', { limb: LIMB_LABELS[limb], old, now: label })]
      : [];
  });
}
