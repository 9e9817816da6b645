import { unparse } from 'papaparse';
import type { LoggedSession } from '#core/outcomes';
import { LIMB_NAMES } from '#core/quantity';
import { SIGNS } from '#core/session';
import { inEnglish } from '#language/render';

/** A row for each set, with what its session gave in all: units in the heads, a point for decimals. Loads in kg. */
export function logCsv(sessions: readonly LoggedSession[], planName: (id: string) => string): string {
  return unparse(
    sessions.flatMap(({ startedAtMs, coursePlanId, line }) =>
      line.exercises.flatMap(({ label, limbs, sets }) =>
        sets.map((set) => ({
          date: new Date(startedAtMs).toISOString(),
          plan: planName(coursePlanId),
          exercise: inEnglish(label),
          limbs: limbs.map(({ limb }) => inEnglish(LIMB_NAMES[limb])).join(' + '),
          set: set.setIndex + 1,
          repetitions: set.reps,
          planned: set.plannedReps ?? '',
          load_kg: set.loadKg ?? '',
          rest_after_s: set.restMs === null ? '' : Math.round(set.restMs / 1000),
          effort_0_10: set.effort ?? '',
          joint_pain_0_10: set.jointPain ?? '',
          session_occluded_s: Math.round(line.occludedMs / 1000),
          session_longest_s: Math.round(
            Math.max(0, ...line.limbs.map((one) => one.longestContinuousMs)) / 1000,
          ),
          session_volume_kg_reps: line.volumeKgReps,
          signs: line.signs.map((sign) => inEnglish(SIGNS[sign].label)).join('; '),
          entered_later: line.isEnteredLater ? 'yes' : '',
        })),
      ),
    ),
    // A name that begins with = + - or @ is no formula of a spreadsheet.
    { escapeFormulae: true },
  );
}
