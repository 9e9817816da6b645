import { type Message, msg } from '../message/message';
import type { Plan } from '../plan/plan';
import { RULES } from '../rules/catalogue';
import { inHand, isCuffedInHand } from './in-hand';
import type { NextStep } from './next-step';
import { openInflation, type SessionState } from './state';

const { mostRounds: MOST_ROUNDS, contractions, contractionMs } = RULES['PRS-5'].figures;

/**
 * What to do before the first set under a fresh inflation: contract, read and top up, until the reading is within one
 * division of the target, three times at most (rule PRS-5). `null` when it is not the moment, or the pressure has settled.
 */
export function settlingWords(plan: Plan, state: SessionState, step: NextStep): Message | null {
  if (step.do !== 'start-set' || step.place.setIndex > 0) return null;
  const limbs = inHand(plan, state)?.limbs ?? [];
  const measured = limbs.filter(isCuffedInHand);
  if (measured.length < limbs.length) return null;
  const steps = measured.map(({ limb, targetMmHg, signed }) => ({
    targetMmHg,
    divisionMmHg: signed.divisionMmHg,
    read: openInflation(state.limbs.find((candidate) => candidate.limb === limb))?.steps ?? [],
  }));
  const rounds = Math.min(...steps.map(({ read }) => read.length - 1));
  if (rounds >= MOST_ROUNDS) return null;
  const off = steps.some(
    ({ targetMmHg, divisionMmHg, read }) =>
      Math.abs((read.at(-1)?.pressureMmHg ?? 0) - targetMmHg) > divisionMmHg,
  );
  if (rounds > 0 && !off) return null;
  return rounds > 0
    ? msg('It fell by more than a division: top up, contract {contractions} times, read again (PRS-5).', {
        contractions,
      })
    : msg('Settle: {contractions} contractions of {contraction} s, read the gauge, top up (PRS-5).', {
        contractions,
        contraction: contractionMs / 1000,
      });
}
