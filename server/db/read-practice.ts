import type { Kit } from '#contract/practice';
import type { Role } from '#core/access';
import { MS_PER_MINUTE } from '#core/quantity';
import type { ClientFacts } from '#core/record';
import { ownExercisesInUse } from '../record/exercise';
import { kitInUse } from '../record/kit';
import { ownMeasures } from '../record/measure';
import type { Prepare } from './dialect/connection';

/** What the practice itself says about everyone: its units and exercises, its kit, who works in which role. */
export type PracticeFacts = Pick<
  ClientFacts,
  'units' | 'stricter' | 'arbitraryUpToMmHg' | 'ownExercises' | 'ownMeasures' | 'zoneOffsetMs'
> & {
  kit: Kit;
  roles: ReadonlyMap<string, Role>;
};

type SettingsRow = {
  massUnit: 'kg' | 'lb';
  lengthUnit: 'cm' | 'in';
  stricter: string;
  arbitraryUpToMmHg: number | null;
};

export function readPracticeFacts(prepare: Prepare, nowMs: number): PracticeFacts {
  const settings = prepare(
    'select mass_unit as "massUnit", length_unit as "lengthUnit", stricter, arbitrary_up_to_mm_hg as "arbitraryUpToMmHg" from practice',
  ).get() as SettingsRow | undefined;
  const people = prepare('select id, role from person').all() as { id: string; role: Role }[];
  return {
    units: { mass: settings?.massUnit ?? 'kg', length: settings?.lengthUnit ?? 'cm' },
    stricter: settings ? JSON.parse(settings.stricter) : [],
    arbitraryUpToMmHg: settings?.arbitraryUpToMmHg ?? null,
    ownExercises: ownExercisesInUse(prepare),
    ownMeasures: ownMeasures(prepare),
    zoneOffsetMs: -new Date(nowMs).getTimezoneOffset() * MS_PER_MINUTE,
    kit: kitInUse(prepare),
    roles: new Map(people.map(({ id, role }) => [id, role])),
  };
}
