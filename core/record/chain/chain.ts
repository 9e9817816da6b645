import type { ClientFacts, KitInUse } from '../facts';
import { nextPlan } from '../in-force';
import type { Link } from '../link';
import { fitLink } from './fit-link';
import { loadLink } from './load-link';
import { measureLink } from './measure-link';
import { prescribeLink } from './prescribe-link';
import { runLink } from './run-link';
import { screenLink } from './screen-link';
import type { Prescribed } from './uses';

/**
 * The six links for one person at `nowMs`, each judged for all that a prescription needs (chapter 0 of the practice).
 * @param prescribed what is to be run; unless it is said, the plan that is next
 */
export function chainOf(
  facts: ClientFacts,
  kit: KitInUse,
  nowMs: number,
  prescribed: Prescribed = nextPlan(facts, nowMs)?.prescription,
): Link[] {
  return [
    screenLink(facts, nowMs, prescribed),
    fitLink(facts, nowMs, prescribed),
    measureLink(facts, nowMs, prescribed),
    loadLink(facts, nowMs, prescribed),
    prescribeLink(facts, kit, nowMs, prescribed),
    runLink(facts, nowMs),
  ];
}

/** Links that keep a prescription from being run now; empty when a session can start. */
export function linksThatHold(
  facts: ClientFacts,
  kit: KitInUse,
  nowMs: number,
  prescribed: Prescribed,
): Link[] {
  return chainOf(facts, kit, nowMs, prescribed).filter((link) => link.id !== 'run' && link.state !== 'good');
}
