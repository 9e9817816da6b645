import type { Kit, KitItem } from '#contract/practice';
import type { Exercise } from '#core/protocol/exercise';
import type { ClientFacts, Role } from '#core/record/facts';
import type { Prepare } from './sqlite';

/** What the practice itself says about everybody: its units and exercises, its kit, who works in which role. */
export type PracticeFacts = Pick<ClientFacts, 'units' | 'stricter' | 'ownExercises'> & {
  kit: Kit;
  roles: ReadonlyMap<string, Role>;
};

type SettingsRow = { massUnit: 'kg' | 'lb'; lengthUnit: 'cm' | 'in'; stricter: string };

export function readPracticeFacts(prepare: Prepare): PracticeFacts {
  const settings = prepare(
    'select mass_unit as "massUnit", length_unit as "lengthUnit", stricter from practice',
  ).get() as SettingsRow | undefined;
  const exercises = prepare('select id, exercise from exercise where retired_at_ms is null').all() as {
    id: string;
    exercise: string;
  }[];
  const people = prepare('select id, role from person').all() as { id: string; role: Role }[];
  return {
    units: { mass: settings?.massUnit ?? 'kg', length: settings?.lengthUnit ?? 'cm' },
    stricter: settings ? JSON.parse(settings.stricter) : [],
    ownExercises: Object.fromEntries(
      exercises.map(({ id, exercise }) => [id, JSON.parse(exercise) as Exercise]),
    ),
    kit: readKitOf(prepare),
    roles: new Map(people.map(({ id, role }) => [id, role])),
  };
}

/** The kit in use, by list; retired pieces are left out. */
function readKitOf(prepare: Prepare): Kit {
  const rows = prepare('select list, item from kit where retired_at_ms is null').all() as {
    list: KitItem['list'];
    item: string;
  }[];
  const of = <L extends KitItem['list']>(list: L) =>
    rows.filter((row) => row.list === list).map(({ item }) => JSON.parse(item)) as Kit[L];
  return { cuffs: of('cuffs'), pumps: of('pumps'), weightKits: of('weightKits'), straps: of('straps') };
}
