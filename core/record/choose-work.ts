import { type Message, msg, type Text } from '../message/message';
import type { GoalId } from '../plan/goals';
import { LIMB_NAMES, type Limb } from '../quantity/limb';
import type { RuleId } from '../rules/catalogue';
import { RULES } from '../rules/catalogue';
import type { ClientFacts } from './facts';
import { holdsInForce, isOperated, limitsInForce } from './in-force';
import { isNewcomer } from './sessions-done';

/** Three ways to work a limb: heavy without a cuff, light under one, light without. */
export type WorkKind = 'heavy' | 'cuff' | 'light';
export const WORK_LABELS: Record<WorkKind, Message> = {
  heavy: msg('Heavy, without a cuff'),
  cuff: msg('Light, under a cuff'),
  light: msg('Light, without a cuff'),
};

/** Why, in words, by which rule. */
export type Reason = { words: Message; rule: RuleId };

/** What speaks for and against a way of working, what rules it out for now, and what would change that. */
export type WorkOption = {
  kind: WorkKind;
  speaksFor: Reason[];
  speaksAgainst: Reason[];
  ruledOut: (Reason & { until: Message })[];
};

/** What is asked beside the record: worst pain on the provoking test, 0–10, null where it was not done; and the goal. */
export type Asked = { limb: Limb; goal: GoalId; painProvoked: number | null };

type Seen = Asked & {
  operated: boolean;
  newcomer: boolean;
  held: Text | null;
  cleared: boolean;
};

const PAIN = RULES['REV-2'].figures;
const forStrength = ({ goal }: Seen) => goal === 'strength-bridge';
const forSize = ({ goal }: Seen) => goal === 'size';
const hurts = ({ painProvoked }: Seen) => painProvoked !== null && painProvoked > PAIN.fine;

type Voice = { kind: WorkKind; when: (seen: Seen) => boolean; words: Message; rule: RuleId };

/** What may speak for a way of working. */
const FOR: readonly Voice[] = [
  { kind: 'heavy', when: forStrength, words: msg('Maximal strength needs heavy work.'), rule: 'PRO-4' },
  {
    kind: 'heavy',
    when: (seen) => forSize(seen) && !hurts(seen) && !seen.operated,
    words: msg('Nothing limits the load: heavy work grows as well, and strengthens more.'),
    rule: 'PRO-4',
  },
  {
    kind: 'cuff',
    when: hurts,
    words: msg('The provoking test hurts: a light load under a cuff spares the joint.'),
    rule: 'REV-2',
  },
  {
    kind: 'cuff',
    when: ({ operated }) => operated,
    words: msg('An operated limb bears little load: the cuff makes a light one count.'),
    rule: 'PRO-5',
  },
  {
    kind: 'cuff',
    when: forSize,
    words: msg('Size comes at 20–40 % of 1RM under a cuff, two or three times a week.'),
    rule: 'PRO-3',
  },
  {
    kind: 'light',
    when: ({ newcomer, operated }) => newcomer && !operated,
    words: msg('A newcomer to training gains from anything: light work without a cuff is a beginning.'),
    rule: 'PRO-6',
  },
];

const AGAINST: readonly Voice[] = [
  {
    kind: 'heavy',
    when: ({ newcomer }) => newcomer,
    words: msg('This person has not trained yet: begin with what can be watched.'),
    rule: 'PRO-6',
  },
  {
    kind: 'cuff',
    when: forStrength,
    words: msg('Under a cuff size grows more than maximal strength.'),
    rule: 'PRO-4',
  },
  {
    kind: 'light',
    when: (seen) => forSize(seen) || forStrength(seen),
    words: msg('Light work without a cuff grows only close to failure.'),
    rule: 'PRO-4',
  },
];

const OUT: readonly (Omit<Voice, 'words'> & { words: (seen: Seen) => Message; until: Message })[] = [
  {
    kind: 'heavy',
    when: ({ operated }) => operated,
    words: () =>
      msg('The limb was operated on within twelve weeks: it is not tested, and not loaded heavily.'),
    rule: 'LOAD-2',
    until: msg('the last rung of the ladder is reached'),
  },
  {
    kind: 'heavy',
    when: ({ painProvoked }) => painProvoked !== null && painProvoked > PAIN.most,
    words: () => msg('Pain on the provoking test is above {most}.', { most: PAIN.most }),
    rule: 'REV-2',
    until: msg('it is {fine} or less', { fine: PAIN.fine }),
  },
  {
    kind: 'cuff',
    when: ({ held }) => held !== null,
    words: ({ held }) => msg('On hold: {held}.', { held: held ?? '' }),
    rule: 'SCR-5',
    until: msg('it is lifted'),
  },
  {
    kind: 'cuff',
    when: ({ cleared }) => !cleared,
    words: ({ limb }) => msg('The clearance leaves the {limb} out.', { limb: LIMB_NAMES[limb] }),
    rule: 'SCR-2',
    until: msg('a clearance names it'),
  },
];

/**
 * Heavy, under a cuff, or light without, for a limb of this person now: what speaks for each, and what would change its
 * mind. It informs; the prescriber decides (rules PRO-4, PRO-5, REV-2, LOAD-2).
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
