import { markWords } from '../cuff/mark-words';
import { hardFindings } from '../findings/finding';
import { length, list, type Message, mass, msg, only, sentences } from '../message/message';
import { measuredWith } from '../occlusion-pressure/in-force';
import { lastHeldMs } from '../occlusion-pressure/shelf-life';
import { type LimbTarget, targetWords } from '../plan/target';
import { rungHeight } from '../protocol/exercise';
import {
  LIMB_LABELS,
  LIMB_NAMES,
  type Limb,
  POSITION_NAMES,
  type Position,
  SIDE_NAMES,
} from '../quantity/limb';
import { newest, newestBy } from '../quantity/newest';
import type { RuleId } from '../rules/catalogue';
import { RULES } from '../rules/catalogue';
import { DECISION_NAMES, DECISION_WORDS, judgeScreening, keepsBack } from '../screening/decide';
import { hasNewQuestions, screeningIsDue } from '../screening/screening';
import type { StrengthFact } from '../strength/fact';
import { strengthTestIsDue } from '../strength/shelf-life';
import { ageWords, agoWords } from './age-words';
import { whatReviewAsks } from './binding-review';
import { sessionToAskAbout } from './day-after';
import { type ClientFacts, exerciseLabel, type KitInUse, type PrescriptionFact } from './facts';
import type { Hold, HoldEnd } from './holds';
import {
  answeredInForce,
  fitInForce,
  holdsInForce,
  isOperated,
  isPlaceOfSurgeryUnknown,
  nextPlan,
  pressureInForce,
  proceduresInForce,
  shelfLifeInForce,
  testInForce,
  whyDue,
} from './in-force';
import { rungInForce } from './ladder-in-force';
import type { Link, LinkState } from './link';
import { recheck } from './recheck';

/** What is prescribed, as far as there is something. */
type Prescribed = PrescriptionFact | undefined;

/** The limb the chain speaks of: the prescribed one, else the last one measured or fitted. */
export function limbInHand(facts: ClientFacts, prescribed: Prescribed): Limb | undefined {
  const fresh = newest([...facts.occlusions, ...facts.fits]);
  return prescribed?.plan.exercises[0]?.limbs[0]?.limb ?? fresh?.limb;
}

/** A limb under a cuff in a position, as a session needs it measured. */
type Use = { limb: Limb; position: Position | undefined };

/** Every limb and position the prescription uses, or the limb in hand when there is none. */
function usesOf(facts: ClientFacts, prescribed: Prescribed): Use[] {
  const uses = (prescribed?.plan.exercises ?? []).flatMap(({ limbs, position }) =>
    limbs.map(({ limb }) => ({ limb, position })),
  );
  const seen = new Set<string>();
  const once = uses.filter(({ limb, position }) => {
    const key = `${limb} ${position}`;
    return !seen.has(key) && seen.add(key);
  });
  const limb = limbInHand(facts, prescribed);
  return once.length === 0 && limb ? [{ limb, position: undefined }] : once;
}

const WORST_FIRST: readonly LinkState[] = ['held', 'missing', 'due', 'good'];

/** A link that must hold for several limbs or exercises is as good as the worst of them. */
const worstOf = (links: readonly Link[]): Link | undefined =>
  WORST_FIRST.map((state) => links.find((link) => link.state === state)).find((link) => link !== undefined);

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

function screenLink(facts: ClientFacts, nowMs: number, prescribed: Prescribed): Link {
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

const limbsOf = (prescribed: Prescribed): Limb[] =>
  prescribed?.plan.exercises.flatMap(({ limbs }) => limbs.map(({ limb }) => limb)) ?? [];

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

function fitLink(facts: ClientFacts, nowMs: number, prescribed: Prescribed): Link {
  const common = { id: 'fit', rules: ['FIT-1', 'FIT-2'] } satisfies Partial<Link>;
  const links = usesOf(facts, prescribed).map(({ limb }): Link => {
    const fit = fitInForce(facts.fits, limb);
    if (!fit) {
      return {
        ...common,
        state: 'missing',
        figure: msg('no girth'),
        reason: msg('{limb}: no girth yet.', { limb: LIMB_LABELS[limb] }),
      };
    }
    const girth = length(fit.girthCm);
    return {
      ...common,
      state: 'good',
      figure: only(girth),
      reason: msg('{limb}: {girth}, {worn}, {age}.', {
        limb: LIMB_LABELS[limb],
        girth,
        worn: fit.label,
        age: ageWords(fit.atMs, nowMs),
      }),
    };
  });
  return (
    worstOf(links) ?? {
      ...common,
      state: 'missing',
      figure: msg('no girth'),
      reason: msg('No limb has a girth and a cuff yet.'),
    }
  );
}

function measureLink(facts: ClientFacts, nowMs: number, prescribed: Prescribed): Link {
  return (
    worstOf(usesOf(facts, prescribed).map((use) => measureLinkFor(facts, use, nowMs, prescribed))) ?? {
      id: 'measure',
      rules: ['LOP-3', 'LOP-6'],
      state: 'missing',
      figure: msg('no LOP'),
      reason: msg('No occlusion pressure measured yet.'),
    }
  );
}

function measureLinkFor(
  facts: ClientFacts,
  { limb, position }: Use,
  nowMs: number,
  prescribed: Prescribed,
): Link {
  const common = { id: 'measure', rules: ['LOP-3', 'LOP-6'] } satisfies Partial<Link>;
  const fit = fitInForce(facts.fits, limb);
  if (fit?.kind === 'strap') return strapLink(facts, limb, nowMs, prescribed);
  const occlusion = pressureInForce(facts, limb, position);
  const chosen = occlusion ? undefined : arbitraryIn(prescribed, limb);
  if (chosen) {
    return {
      ...common,
      rules: ['PRS-7'],
      // It was prescribed so, knowingly: then it may be run.
      state: 'good',
      figure: targetWords(chosen),
      reason: msg('{limb}: no LOP was measured. An arbitrary pressure: measure it as soon as you can.', {
        limb: LIMB_LABELS[limb],
      }),
    };
  }
  if (!occlusion) {
    return {
      ...common,
      state: 'missing',
      figure: msg('no LOP'),
      reason: position
        ? msg('No occlusion pressure measured on the {limb}, {position} or more reclined.', {
            limb: LIMB_NAMES[limb],
            position: POSITION_NAMES[position],
          })
        : msg('No occlusion pressure measured on the {limb}.', { limb: LIMB_NAMES[limb] }),
    };
  }
  const figure = msg('{pressure} ± {uncertainty} mmHg', {
    pressure: occlusion.pressure.value,
    uncertainty: occlusion.uncertaintyMmHg,
  });
  const due = whyDue(occlusion, facts, position, shelfLifeInForce(facts, limb, nowMs), nowMs);
  const where = msg('{limb}, {position}: {figure}', {
    limb: LIMB_LABELS[limb],
    position: POSITION_NAMES[occlusion.position],
    figure,
  });
  if (due) return { ...common, state: 'due', figure, reason: msg('{where}, due: {due}.', { where, due }) };
  const trials = msg('{n, plural, one {# trial} other {# trials}}', { n: occlusion.trialsUsed });
  const heldMs = lastHeldMs(measuredWith(occlusion), shelfLifeInForce(facts, limb, nowMs));
  const age =
    heldMs > occlusion.atMs
      ? msg('confirmed {ago}', { ago: agoWords(heldMs, nowMs) })
      : ageWords(occlusion.atMs, nowMs);
  return {
    ...common,
    state: 'good',
    figure,
    reason: occlusion.steady
      ? msg('{where}, {trials}, {age}.', { where, trials, age })
      : msg('{where}, {trials}, {age}, unsteady.', { where, trials, age }),
  };
}

const arbitraryIn = (prescribed: Prescribed, limb: Limb): LimbTarget | undefined =>
  prescribed?.plan.exercises
    .flatMap(({ limbs }) => limbs)
    .find((target) => target.limb === limb && target.kind === 'arbitrary');

/** A strap is second best: it never counts as measured (rule TIGHT). */
function strapLink(facts: ClientFacts, limb: Limb, nowMs: number, prescribed: Prescribed): Link {
  const isPrescribed = prescribed?.plan.exercises.some((exercise) =>
    exercise.limbs.some((target) => target.limb === limb && target.kind === 'by-feel'),
  );
  const common = { id: 'measure', rules: ['TIGHT', 'FIT-5'] } satisfies Partial<Link>;
  const felt = newest(facts.tightness.filter((fact) => fact.limb === limb));
  if (!felt)
    return {
      ...common,
      state: 'missing',
      figure: msg('not felt'),
      reason: msg('The strap has not been tightened by feel yet.'),
    };
  return {
    ...common,
    // It was prescribed by feel, knowingly: then it may be run.
    state: isPrescribed ? 'good' : 'due',
    figure: msg('felt {felt} of 10', { felt: felt.felt }),
    reason: msg('{limb}: {strapLabel} at {mark}, {ago}. By feel only: a measured cuff is better.', {
      limb: LIMB_LABELS[limb],
      strapLabel: felt.strapLabel,
      mark: markWords(felt),
      ago: agoWords(felt.atMs, nowMs),
    }),
  };
}

function loadLink(facts: ClientFacts, nowMs: number, prescribed: Prescribed): Link {
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

/** What other links say already: a pressure or a test that is due, and a cuff it was not measured with. */
const SAID_BY_OTHERS: readonly RuleId[] = ['LOP-6', 'LOAD-2', 'FIT-3', 'FIT-5'];

function prescribeLink(facts: ClientFacts, kit: KitInUse, nowMs: number, prescribed: Prescribed): Link {
  const common = { id: 'prescribe', rules: ['PRS-1', 'LOAD-3'] } satisfies Partial<Link>;
  const [exercise, ...others] = prescribed?.plan.exercises ?? [];
  const target = exercise?.limbs[0];
  if (!prescribed || !exercise || !target) {
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
  const found = hardFindings(recheck(prescribed, facts, kit, nowMs).findings);
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

function runLink(facts: ClientFacts, nowMs: number): Link {
  const common = { id: 'run', rules: ['RUN-5'] } satisfies Partial<Link>;
  const session = newestBy(facts.sessions, ({ startedAtMs }) => startedAtMs);
  if (!session)
    return { ...common, state: 'missing', figure: msg('not run'), reason: msg('No session yet.') };
  if (session.finishedAtMs === null) {
    return { ...common, state: 'due', figure: msg('open'), reason: msg('A session is open: finish it.') };
  }
  const ask = sessionToAskAbout(facts, nowMs);
  if (ask) {
    return {
      id: 'run',
      rules: ['RUN-6'],
      state: 'due',
      figure: msg('ask'),
      reason: msg('Ask how the session {ago} was: soreness, bruising, numbness.', {
        ago: agoWords(ask.startedAtMs, nowMs),
      }),
    };
  }
  const finished = facts.sessionsFinished;
  return {
    ...common,
    state: 'good',
    figure: msg('{finished} done', { finished }),
    reason: msg('{finished, plural, one {# session} other {# sessions}}, the last {ago}.', {
      finished,
      ago: agoWords(session.startedAtMs, nowMs),
    }),
  };
}
