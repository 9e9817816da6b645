import type { GoalId } from '../plan/goals';
import { LIMB_LABELS, type Limb } from '../quantity/limb';
import type { RuleId } from '../rules/catalogue';
import { RULES } from '../rules/catalogue';
import type { ClientFacts } from './facts';
import { holdsInForce, isOperated, limitsInForce } from './in-force';
import { isNewcomer } from './sessions-done';

/** Three ways to work a limb: heavy without a cuff, light under one, light without. */
export type WorkKind = 'heavy' | 'cuff' | 'light';
export const WORK_LABELS: Record<WorkKind, string> = {
  heavy: 'Heavy, without a cuff',
  cuff: 'Light, under a cuff',
  light: 'Light, without a cuff',
};

/** Why, in words, by which rule. */
export type Reason = { words: string; rule: RuleId };

/** What speaks for and against a way of working, what rules it out for now, and what would change that. */
export type WorkOption = {
  kind: WorkKind;
  speaksFor: Reason[];
  speaksAgainst: Reason[];
  ruledOut: (Reason & { until: string })[];
};

/** What is asked beside the record: worst pain on the provoking test, 0–10, null where it was not done; and the goal. */
export type Asked = { limb: Limb; goal: GoalId; painProvoked: number | null };

type Seen = Asked & {
  operated: boolean;
  newcomer: boolean;
  held: string | null;
  cleared: boolean;
};

const PAIN = RULES['REV-2'].figures;
const forStrength = ({ goal }: Seen) => goal === 'strength-bridge';
const forSize = ({ goal }: Seen) => goal === 'size';
const hurts = ({ painProvoked }: Seen) => painProvoked !== null && painProvoked > PAIN.fine;

type Voice = { kind: WorkKind; when: (seen: Seen) => boolean; words: string; rule: RuleId };

/** What may speak for a way of working. */
const FOR: readonly Voice[] = [
  { kind: 'heavy', when: forStrength, words: 'Maximal strength needs heavy work.', rule: 'PRO-4' },
  {
    kind: 'heavy',
    when: (seen) => forSize(seen) && !hurts(seen) && !seen.operated,
    words: 'Nothing limits the load: heavy work grows as well, and strengthens more.',
    rule: 'PRO-4',
  },
  {
    kind: 'cuff',
    when: hurts,
    words: 'The provoking test hurts: a light load under a cuff spares the joint.',
    rule: 'REV-2',
  },
  {
    kind: 'cuff',
    when: ({ operated }) => operated,
    words: 'An operated limb bears little load: the cuff makes a light one count.',
    rule: 'PRO-5',
  },
  {
    kind: 'cuff',
    when: forSize,
    words: 'Size comes at 20–40 % of 1RM under a cuff, two or three times a week.',
    rule: 'PRO-3',
  },
  {
    kind: 'light',
    when: ({ newcomer, operated }) => newcomer && !operated,
    words: 'Somebody new to training gains from anything: light work without a cuff is a beginning.',
    rule: 'PRO-6',
  },
];

const AGAINST: readonly Voice[] = [
  {
    kind: 'heavy',
    when: ({ newcomer }) => newcomer,
    words: 'Nobody has trained with this person yet: begin with what can be watched.',
    rule: 'PRO-6',
  },
  {
    kind: 'cuff',
    when: forStrength,
    words: 'Under a cuff size grows more than maximal strength.',
    rule: 'PRO-4',
  },
  {
    kind: 'light',
    when: (seen) => forSize(seen) || forStrength(seen),
    words: 'Light work without a cuff grows only close to failure.',
    rule: 'PRO-4',
  },
];

const OUT: readonly (Omit<Voice, 'words'> & { words: (seen: Seen) => string; until: string })[] = [
  {
    kind: 'heavy',
    when: ({ operated }) => operated,
    words: () => 'The limb was operated on within twelve weeks: it is not tested, and not loaded heavily.',
    rule: 'LOAD-2',
    until: 'the last rung of the ladder is reached',
  },
  {
    kind: 'heavy',
    when: ({ painProvoked }) => painProvoked !== null && painProvoked > PAIN.most,
    words: () => `Pain on the provoking test is above ${PAIN.most}.`,
    rule: 'REV-2',
    until: `it is ${PAIN.fine} or less`,
  },
  {
    kind: 'cuff',
    when: ({ held }) => held !== null,
    words: ({ held }) => `A hold stands: ${held}.`,
    rule: 'SCR-5',
    until: 'it is lifted',
  },
  {
    kind: 'cuff',
    when: ({ cleared }) => !cleared,
    words: ({ limb }) => `The clearance leaves the ${LIMB_LABELS[limb].toLowerCase()} out.`,
    rule: 'SCR-2',
    until: 'a clearance names it',
  },
];

/**
 * Heavy, under a cuff, or light without, for a limb of this person now: what speaks for each, and what would change its
 * mind. It informs; whoever prescribes decides (rules PRO-4, PRO-5, REV-2, LOAD-2).
 * @returns what is not ruled out first, of those what more speaks for
 */
export function chooseWork(facts: ClientFacts, asked: Asked, nowMs: number): WorkOption[] {
  const seen: Seen = {
    ...asked,
    operated: isOperated(facts, asked.limb, nowMs),
    newcomer: isNewcomer(facts),
    held: holdsInForce(facts, nowMs).find(({ limb }) => limb === null || limb === asked.limb)?.words ?? null,
    cleared: limitsInForce(facts, nowMs)[asked.limb].isCleared,
  };
  const said = (voices: readonly Voice[], kind: WorkKind): Reason[] =>
    voices
      .filter((voice) => voice.kind === kind && voice.when(seen))
      .map(({ words, rule }) => ({ words, rule }));
  const options = (Object.keys(WORK_LABELS) as WorkKind[]).map(
    (kind): WorkOption => ({
      kind,
      speaksFor: said(FOR, kind),
      speaksAgainst: said(AGAINST, kind),
      ruledOut: OUT.filter((voice) => voice.kind === kind && voice.when(seen)).map(
        ({ words, rule, until }) => ({
          words: words(seen),
          rule,
          until,
        }),
      ),
    }),
  );
  return options.sort(
    (a, b) => Number(a.ruledOut.length > 0) - Number(b.ruledOut.length > 0) || weight(b) - weight(a),
  );
}

const weight = ({ speaksFor, speaksAgainst }: WorkOption): number => speaksFor.length - speaksAgainst.length;
