import type { ShelfLife } from '../occlusion-pressure/shelf-life';
import { LIMBS, type Limb } from '../quantity/limb';
import { newest } from '../quantity/newest';
import { MS_PER_DAY } from '../quantity/units';
import { RULES } from '../rules/catalogue';
import type { ClientFacts } from './facts';

const PROCEDURE_COUNTS_MS = RULES['SCR-1'].figures.procedureCountsDays * MS_PER_DAY;

/**
 * Operations of the last 12 weeks, by limb (rules SCR-1, SCR-4). A screening that names none but says that there was one
 * counts for every limb.
 */
export function proceduresInForce(
  { screenings }: Pick<ClientFacts, 'screenings'>,
  nowMs: number,
): { limb: Limb; atMs: number }[] {
  const last = newest(screenings);
  if (!last?.yes.includes('recent-surgery')) return [];
  const named = last.procedures ?? [];
  if (named.length === 0) return LIMBS.map((limb) => ({ limb, atMs: last.atMs }));
  return named
    .filter(({ atMs }) => nowMs - atMs <= PROCEDURE_COUNTS_MS)
    .map(({ limb, atMs }) => ({ limb, atMs }));
}

/** Whether a limb was operated on so lately that it counts. */
export const isOperated = (facts: Pick<ClientFacts, 'screenings'>, limb: Limb, nowMs: number): boolean =>
  proceduresInForce(facts, nowMs).some((procedure) => procedure.limb === limb);

/** How long a pressure of a limb holds: every session after an operation on it, else as set for it, else for them (LOP-6). */
export const shelfLifeInForce = (
  facts: Pick<ClientFacts, 'screenings' | 'shelfLife' | 'limbShelfLives'>,
  limb: Limb,
  nowMs: number,
): ShelfLife =>
  isOperated(facts, limb, nowMs)
    ? 'every-session'
    : (facts.limbShelfLives.find((own) => own.limb === limb)?.shelfLife ?? facts.shelfLife);
