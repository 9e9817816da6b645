import { mass, msg, only } from '../../message/message';
import { rungHeight } from '../../protocol/exercise';
import { SIDE_NAMES } from '../../quantity/limb';
import { newest } from '../../quantity/newest';
import { RULES } from '../../rules/catalogue';
import type { StrengthFact } from '../../strength/fact';
import { strengthTestIsDue } from '../../strength/shelf-life';
import { ageWords } from '../age-words';
import { type ClientFacts, exerciseLabel } from '../facts';
import { isOperated, proceduresInForce, testInForce } from '../in-force';
import { rungInForce } from '../ladder-in-force';
import type { Link } from '../link';
import { limbInHand, type Prescribed, worstOf } from './uses';

export function loadLink(facts: ClientFacts, nowMs: number, prescribed: Prescribed): Link {
  const common = { id: 'load', rules: ['LOAD-1', 'LOAD-2'] } satisfies Partial<Link>;
  const exercises = prescribed?.plan.exercises ?? [];
  const weighed = exercises.filter(({ load }) => load.kind === 'weighed');
  if (exercises.length > 0 && weighed.length === 0) {
    const [first] = exercises;
    return {
      ...common,
      state: 'good',
      figure: first?.load.recipe ?? '',
      reason: msg('Work without kilograms.'),
    };
  }
  if (exercises.length === 0 && facts.strengthTests.length === 0 && beginsWithoutWeight(facts, nowMs)) {
    return {
      ...common,
      rules: ['PRO-5'],
      state: 'good',
      figure: msg('no weight yet'),
      reason: msg('After an operation passive and isometric work come first, and need no strength test.'),
    };
  }
  const links = weighed.map(({ exerciseId, limbs }) =>
    strengthLink(
      facts,
      testInForce(
        { strengthTests: facts.strengthTests, procedures: proceduresInForce(facts, nowMs) },
        exerciseId,
        limbs.map(({ limb }) => limb),
      )?.fact,
      nowMs,
    ),
  );
  return worstOf(links) ?? strengthLink(facts, newest(facts.strengthTests), nowMs);
}

/** Whether the limb in hand was operated on and is on a rung where nothing is lifted yet (rule PRO-5). */
function beginsWithoutWeight(facts: ClientFacts, nowMs: number): boolean {
  const limb = limbInHand(facts, undefined);
  if (!limb || !isOperated(facts, limb, nowMs)) return false;
  const rung = rungInForce(facts, limb)?.rung ?? 'passive';
  return rungHeight(rung) < rungHeight('loaded');
}

function strengthLink(facts: ClientFacts, test: StrengthFact | undefined, nowMs: number): Link {
  const common = { id: 'load', rules: ['LOAD-1', 'LOAD-2'] } satisfies Partial<Link>;
  if (!test)
    return { ...common, state: 'missing', figure: msg('no 1RM'), reason: msg('No strength test on record.') };
  const figure = only(mass(test.oneRepMax.value));
  const tested = msg('{exercise}, {side}: 1RM {figure}, {age}', {
    exercise: exerciseLabel(facts, test.exerciseId),
    side: SIDE_NAMES[test.side],
    figure,
    age: ageWords(test.atMs, nowMs),
  });
  return strengthTestIsDue(test, nowMs)
    ? {
        ...common,
        state: 'due',
        figure,
        reason: msg('{tested}; it holds {weeks} weeks.', {
          tested,
          weeks: RULES['LOAD-2'].figures.shelfLifeDays / 7,
        }),
      }
    : { ...common, state: 'good', figure, reason: msg('{tested}.', { tested }) };
}
