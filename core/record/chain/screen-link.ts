import { list, type Message, msg } from '../../message/message';
import { newest } from '../../quantity/newest';
import { DECISION_NAMES, DECISION_WORDS, judgeScreening, keepsBack } from '../../screening/decide';
import { hasNewQuestions, screeningIsDue } from '../../screening/screening';
import { ageWords } from '../age-words';
import type { ClientFacts } from '../facts';
import type { Hold, HoldEnd } from '../holds';
import { answeredInForce, holdsInForce, isPlaceOfSurgeryUnknown } from '../in-force';
import type { Link } from '../link';
import { limbsOf, type Prescribed } from './uses';

export function screenLink(facts: ClientFacts, nowMs: number, prescribed: Prescribed): Link {
  const common = { id: 'screen', rules: ['SCR-1', 'SCR-2'] } satisfies Partial<Link>;
  const screening = newest(facts.screenings);
  if (!screening)
    return {
      ...common,
      state: 'missing',
      figure: msg('not screened'),
      reason: msg('No screening on record.'),
    };
  const age = ageWords(screening.atMs, nowMs);
  const hold = holdsInForce(facts, nowMs).find(
    ({ limb }) => limb === null || limbsOf(prescribed).includes(limb),
  );
  const { decision, reasons } = judgeScreening(
    answeredInForce(facts, nowMs),
    facts.clearances,
    facts.stricter,
    nowMs,
  );
  const figure = DECISION_NAMES[decision];
  if (hold) return holdLink(hold, decision === 'do-not-start' ? figure : msg('on hold'));
  if (decision === 'do-not-start' || decision === 'needs-clearance') {
    const open = reasons.filter(keepsBack).map(({ words }) => words);
    return {
      ...common,
      state: 'held',
      figure,
      reason: msg('{decision}: {reasons}.', {
        decision: DECISION_WORDS[decision],
        reasons: list(open, '; '),
      }),
    };
  }
  if (isPlaceOfSurgeryUnknown(facts, nowMs)) {
    return {
      ...common,
      state: 'due',
      figure: msg('operated where?'),
      reason: msg(
        'An operation is on record without its limb: screen again, and say which, or none of them.',
      ),
    };
  }
  if (screeningIsDue(screening, nowMs)) {
    return {
      ...common,
      state: 'due',
      figure: msg('screen again'),
      reason: msg('Screening is {age}; it holds 12 weeks.', { age }),
    };
  }
  if (hasNewQuestions(screening)) {
    return {
      ...common,
      state: 'due',
      figure: msg('screen again'),
      reason: msg('Questions were added since: ask them once.'),
    };
  }
  return {
    ...common,
    state: 'good',
    figure,
    reason: msg('{decision}, screening {age}.', { decision: DECISION_WORDS[decision], age }),
  };
}

const ENDS_WORDS: Record<HoldEnd['by'], Message> = {
  time: msg('not today'),
  review: msg('not before tomorrow, and not before its review is answered'),
  screening: msg('until a clinician screens again, or lifts it with a reason'),
  clinician: msg('until a clinician lifts it, with a reason, or screens again'),
};

/** What the link says in short where it is not what the screening came to. */
const HELD_FIGURES: Partial<Record<HoldEnd['by'], Message>> = {
  time: msg('not today'),
  screening: msg('screen again'),
};

const holdLink = ({ words, rule, ends }: Hold, figure: Message): Link => ({
  id: 'screen',
  rules: [rule, 'SCR-5'],
  state: 'held',
  figure: HELD_FIGURES[ends.by] ?? figure,
  reason: msg('{hold}: {ends}.', { hold: words, ends: ENDS_WORDS[ends.by] }),
});
