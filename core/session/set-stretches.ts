import { clip } from '../plan/clip';
import { doseOf, type LimbDose } from '../plan/dose';
import type { Timeline, TimelineSet } from '../plan/timeline';

/** A set with what each of its limbs was given by it: until the limb's next set begins, its first one from the start on. */
export type SetStretch = { set: TimelineSet; limbs: LimbDose[] };

/**
 * A session set by set, in the order they were done. All that a limb was given belongs to one of its own sets, so that it adds
 * up to what the session gave, in a superset and where limbs take turns too: a rest belongs to the set before it (rule RUN-5).
 */
export function setStretches(timeline: Timeline): SetStretch[] {
  const sets = [...timeline.sets].sort((a, b) => a.fromMs - b.fromMs);
  return sets.map((set, place) => ({
    set,
    limbs: set.limbs.flatMap((limb) => {
      const uses = (other: TimelineSet) => other.limbs.includes(limb);
      const fromMs = sets.slice(0, place).some(uses) ? set.fromMs : 0;
      const toMs = sets.slice(place + 1).find(uses)?.fromMs ?? timeline.endMs;
      const lanes = timeline.lanes.filter((lane) => lane.limb === limb);
      return doseOf(clip({ ...timeline, lanes }, fromMs, toMs)).limbs;
    }),
  }));
}
