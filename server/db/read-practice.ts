import type { Kit } from '#contract/practice';
import type { Role } from '#core/access';
import { MS_PER_MINUTE } from '#core/quantity';
import type { ClientFacts } from '#core/record';
import { ownExercisesInUse } from '../record/exercise';
import { kitInUse } from '../record/kit';
import { ownMeasures } from '../record/measure';
import { practiceRecord } from '../record/practice';
import { practitionerRecord } from '../record/practitioner';
import { findRow, findRows } from '../record/read';
import type { Prepare } from './dialect/connection';

/** What the practice itself says about everyone: its units and exercises, its kit, who works in which role. */
export type PracticeFacts = Pick<
  ClientFacts,
  | 'units'
  | 'stricter'
  | 'arbitraryUpToMmHg'
  | 'rungSessions'
  | 'places'
  | 'ownExercises'
  | 'ownMeasures'
  | 'zoneOffsetMs'
> & {
  kit: Kit;
  roles: ReadonlyMap<string, Role>;
};

export function readPracticeFacts(prepare: Prepare, nowMs: number): PracticeFacts {
  const settings = findRow(prepare, practiceRecord, 'all', [
    'massUnit',
    'lengthUnit',
    'stricter',
    'arbitraryUpToMmHg',
    'rungSessions',
    'places',
  ]);
  const people = findRows(prepare, practitionerRecord, 'all', ['id', 'role']);
  return {
    units: { mass: settings?.massUnit ?? 'kg', length: settings?.lengthUnit ?? 'cm' },
    stricter: settings?.stricter ?? [],
    arbitraryUpToMmHg: settings?.arbitraryUpToMmHg ?? null,
    rungSessions: settings?.rungSessions ?? {},
    places: settings?.places ?? [],
    ownExercises: ownExercisesInUse(prepare),
    ownMeasures: ownMeasures(prepare),
    zoneOffsetMs: -new Date(nowMs).getTimezoneOffset() * MS_PER_MINUTE,
    kit: kitInUse(prepare),
    roles: new Map(people.map(({ id, role }) => [id, role])),
  };
}
