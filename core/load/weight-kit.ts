import { z } from 'zod';
import { issue } from '../message/issue';
import { list, type Message, mass, msg, only, type Text } from '../message/message';
import type { Equipment } from '../protocol/exercise';
import { byName } from '../quantity/by-name';
import { placesSchema } from '../quantity/place';
import { tidy } from '../quantity/rounding';
import { massIn } from '../quantity/units';
import { RULES } from '../rules/catalogue';

/** No exercise has more loads than this to choose from (rule LOAD-4). */
export const MOST_LOADS = RULES['LOAD-4'].figures.mostLoads;

const massKg = z.number().positive().max(500);
const label = z.string().trim().min(1, msg('Give it a name.')).max(60, msg('At most 60 characters.'));

const kinds = z.discriminatedUnion('kind', [
  z.object({
    kind: z.literal('single-masses'),
    id: z.string().max(80),
    label,
    places: placesSchema,
    massesKg: z.array(massKg).min(1, msg('Enter at least one weight.')).max(200, msg('At most 200 weights.')),
  }),
  z.object({
    kind: z.literal('stack'),
    id: z.string().max(80),
    label,
    places: placesSchema,
    lightestKg: massKg,
    stepKg: massKg,
    heaviestKg: massKg,
  }),
  z.object({
    kind: z.literal('bar-and-plates'),
    id: z.string().max(80),
    label,
    places: placesSchema,
    barKg: massKg,
    /** Plates as pairs: one goes on each end. `markedIn` is the unit printed on them, where it is not the practice's. */
    pairs: z
      .array(
        z.object({
          plateKg: massKg,
          pairs: z.number().int().positive().max(20),
          markedIn: z.enum(['kg', 'lb']).optional(),
        }),
      )
      .max(20, msg('At most 20 kinds of plate.')),
  }),
  // Bands have names, not kilograms: they never enter a computed load.
  z.object({
    kind: z.literal('bands'),
    id: z.string().max(80),
    label,
    places: placesSchema,
    names: z.array(z.string().trim().min(1).max(40)).min(1).max(40, msg('At most 40 bands.')),
  }),
]);
export type WeightKit = z.infer<typeof kinds>;

/** Weights a practice owns, in kg; steps too fine to choose from are refused (rule LOAD-4). */
export const weightKitSchema = kinds.superRefine((kit, context) => {
  const refuse = (path: string, message: Message) => context.addIssue(issue(message, path));
  if (kit.kind === 'stack' && kit.heaviestKg < kit.lightestKg) {
    refuse('heaviestKg', msg('The heaviest pin is lighter than the lightest: swap them.'));
  } else if (kit.kind === 'stack' && stackSteps(kit) >= MOST_LOADS) {
    refuse(
      'stepKg',
      msg('That makes more than {mostLoads} loads: enter the step from pin to pin in kg.', {
        mostLoads: MOST_LOADS,
      }),
    );
  } else if (kit.kind === 'bar-and-plates' && barLoads(kit).length >= MOST_LOADS) {
    refuse(
      'pairs',
      msg('These plates make {mostLoads} loads or more: leave out those that are not used.', {
        mostLoads: MOST_LOADS,
      }),
    );
  }
});

/** A load the kit can make, in kg, and how to make it. */
export type MakeableLoad = { loadKg: number; recipe: Message };

/**
 * Every load in kg the kit can make, lightest first, each with the fewest plates; none for bands (rule LOAD-4).
 * At most 2,000, the lightest of them, for kit that was kept before there was a bound.
 */
export function makeableLoads(kit: WeightKit): readonly MakeableLoad[] {
  const known = made.get(kit);
  if (known) return known;
  const loads = loadsOf(kit);
  made.set(kit, loads);
  return loads;
}

/** The masses alone, in kg, lightest first. */
export function makeableKg(kit: WeightKit): readonly number[] {
  const known = masses.get(kit);
  if (known) return known;
  const kg = makeableLoads(kit).map(({ loadKg }) => loadKg);
  masses.set(kit, kg);
  return kg;
}

// A piece of kit is never changed where it is, so what it makes is worked out once.
const made = new WeakMap<WeightKit, readonly MakeableLoad[]>();
const masses = new WeakMap<WeightKit, readonly number[]>();

function loadsOf(kit: WeightKit): MakeableLoad[] {
  switch (kit.kind) {
    case 'single-masses':
      return [...new Set(kit.massesKg)]
        .sort((a, b) => a - b)
        .map((loadKg) => ({ loadKg, recipe: only(mass(loadKg)) }));
    case 'stack':
      return stackLoads(kit);
    case 'bar-and-plates':
      return barLoads(kit);
    case 'bands':
      return [];
  }
}

const stackSteps = ({ lightestKg, stepKg, heaviestKg }: Extract<WeightKit, { kind: 'stack' }>): number =>
  Math.max(0, Math.floor(tidy((heaviestKg - lightestKg) / stepKg)));

function stackLoads(kit: Extract<WeightKit, { kind: 'stack' }>): MakeableLoad[] {
  return Array.from({ length: Math.min(MOST_LOADS, stackSteps(kit) + 1) }, (_, step) => {
    const loadKg = tidy(kit.lightestKg + step * kit.stepKg);
    return { loadKg, recipe: msg('pin at {load}', { load: mass(loadKg) }) };
  });
}

function barLoads(kit: Extract<WeightKit, { kind: 'bar-and-plates' }>): MakeableLoad[] {
  let best = new Map<number, Plate[]>([[tidy(kit.barKg), []]]);
  // Lightest plates first, so that what a bound leaves out are the heaviest loads.
  for (const plate of [...kit.pairs].sort((a, b) => a.plateKg - b.plateKg)) {
    if (best.size >= MOST_LOADS) break;
    const grown = new Map(best);
    for (const [loadKg, plates] of best) {
      for (let count = 1; count <= plate.pairs; count += 1) {
        const heavierKg = tidy(loadKg + 2 * plate.plateKg * count);
        const more = [...plates, ...Array<Plate>(count).fill(plate)];
        const known = grown.get(heavierKg);
        if (!known || more.length < known.length) grown.set(heavierKg, more);
      }
    }
    best = grown;
  }
  return [...best]
    .sort(([a], [b]) => a - b)
    .slice(0, MOST_LOADS)
    .map(([loadKg, plates]) => ({ loadKg, recipe: barRecipe(kit.barKg, plates) }));
}

type Plate = Extract<WeightKit, { kind: 'bar-and-plates' }>['pairs'][number];

/** Each plate reads as it is marked, so that it is found when the bar is loaded. */
function barRecipe(barKg: number, plates: readonly Plate[]): Message {
  if (plates.length === 0) return msg('bar {bar} alone', { bar: mass(barKg) });
  const heaviestFirst = [...plates]
    .sort((a, b) => b.plateKg - a.plateKg)
    .map(({ plateKg, markedIn }) =>
      markedIn ? massMarked[markedIn](massIn(plateKg, markedIn)) : mass(plateKg),
    );
  return msg('bar {bar}, each end {plates}', { bar: mass(barKg), plates: list(heaviestFirst, ' + ') });
}

const massMarked = {
  kg: (value: number) => msg('{value} kg', { value }),
  lb: (value: number) => msg('{value} lb', { value }),
};

/** The lightest resistance of all, by its id. */
export const LIMB_WEIGHT = 'limb weight only';
export const BODY_WEIGHT = 'body weight';

/** What resists without kilograms and comes with the app, by the id that is stored: lightest first. */
const RESISTANCES: Readonly<Record<string, Message>> = byName({
  [LIMB_WEIGHT]: msg('limb weight only'),
  'body weight with help': msg('body weight with help'),
  [BODY_WEIGHT]: msg('body weight'),
});
const BODY_WEIGHT_STEPS: readonly string[] = Object.keys(RESISTANCES);

/**
 * What resists, as it is said: a band by the name the practice gave it, which is often a colour alone.
 * @example resistanceText('moss') //=> msg('{name} band', { name: 'moss' })
 * @example resistanceText('Long band') //=> 'Long band'
 */
export const resistanceText = (chosen: string): Text =>
  RESISTANCES[chosen] ?? (/band/i.test(chosen) ? chosen : msg('{name} band', { name: chosen }));

/** What resists without kilograms, lightest first, for one that is chosen: its bands, or the steps of body weight. */
export function unweighedSteps(chosen: string, kits: readonly WeightKit[]): readonly string[] {
  const bands = kits.find((kit) => kit.kind === 'bands' && kit.names.includes(chosen));
  return bands?.kind === 'bands' ? bands.names : BODY_WEIGHT_STEPS;
}

/** The kind of kit that loads an exercise with this equipment; none for what has no kilograms (rule LOAD-4). */
export const EQUIPMENT_KITS: Partial<Record<Equipment, WeightKit['kind']>> = {
  stack: 'stack',
  dumbbells: 'single-masses',
  'ankle-weights': 'single-masses',
  bar: 'bar-and-plates',
};
