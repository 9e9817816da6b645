import { hardFindings } from '../../findings/finding';
import { mass, msg, sentences } from '../../message/message';
import { targetWords } from '../../plan/target';
import type { RuleId } from '../../rules/catalogue';
import { agoWords } from '../age-words';
import { whatReviewAsks } from '../binding-review';
import type { ClientFacts, KitInUse } from '../facts';
import type { Link } from '../link';
import { recheck } from '../recheck';
import type { Prescribed } from './uses';

/** What other links say already: a pressure or a test that is due, and a cuff it was not measured with. */
const SAID_BY_OTHERS: readonly RuleId[] = ['LOP-6', 'LOAD-2', 'FIT-3', 'FIT-5'];

export function prescribeLink(
  facts: ClientFacts,
  kit: KitInUse,
  nowMs: number,
  prescribed: Prescribed,
): Link {
  const common = { id: 'prescribe', rules: ['PRS-1', 'LOAD-3'] } satisfies Partial<Link>;
  const again = prescribed && recheck(prescribed, facts, kit, nowMs);
  const [exercise, ...others] = (again?.plan ?? prescribed?.plan)?.exercises ?? [];
  const target = exercise?.limbs[0];
  if (!prescribed || !again || !exercise || !target) {
    return { ...common, state: 'missing', figure: msg('no plan'), reason: msg('Nothing prescribed yet.') };
  }
  const figure = targetWords(target);
  const said = {
    exercise: exercise.label,
    figure,
    load: exercise.load.kind === 'weighed' ? mass(exercise.load.load.value) : exercise.load.recipe,
    protocol: exercise.protocolLabel,
  };
  const planned =
    others.length > 0
      ? msg('{exercise}: {figure}, {load}, {protocol}, and {more} more', { ...said, more: others.length })
      : msg('{exercise}: {figure}, {load}, {protocol}', said);
  const asks = whatReviewAsks(prescribed, facts, kit, prescribed.role, nowMs);
  if (asks) {
    const ago = agoWords(asks.session.startedAtMs, nowMs);
    return {
      ...common,
      rules: ['REV-10'],
      state: 'due',
      figure: msg('review'),
      reason:
        asks.kind === 'answer'
          ? msg('Answer the review of the session {ago}: accept, edit or decline.', { ago })
          : sentences(
              msg('The answered review of the session {ago} changes the plan, and that is not signed.', {
                ago,
              }),
              ...asks.changes,
            ),
    };
  }
  const found = hardFindings(again.findings);
  const stands = found.find(({ rule }) => !SAID_BY_OTHERS.includes(rule));
  if (stands)
    return {
      ...common,
      rules: [stands.rule, 'START-1'],
      state: 'due',
      figure,
      reason: sentences(stands.message, stands.remedy),
    };
  return {
    ...common,
    state: 'good',
    figure,
    reason: msg('{planned}, signed {ago}.', { planned, ago: agoWords(prescribed.atMs, nowMs) }),
  };
}
