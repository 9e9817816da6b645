import { lastHeldMs, type MeasuredWith, reasonDue } from '../occlusion-pressure/shelf-life';
import { LIMB_LABELS, type Limb, type Position } from '../quantity/limb';
import { lengthWords, MS_PER_DAY, massWords } from '../quantity/units';
import { hardFindings } from '../rules/finding';
import { LIMITS } from '../rules/limits';
import { DAY_CHECK_HOLDS_MS, type DayCheck, judgeDayCheck } from '../screening/day-check';
import { DECISION_WORDS, judgeScreening } from '../screening/decide';
import { screeningIsDue } from '../screening/screening';
import { RED_SIGN_LOCK_MS, SIGNS } from '../session/signs';
import { ageWords, agoWords } from './age-words';
import { followUpThatHolds, sessionToAskAbout } from './day-after';
import {
  type ClientFacts,
  exerciseLabel,
  newest,
  type OcclusionFact,
  type PrescriptionFact,
  type StrengthFact,
  shelfLifeOf,
} from './facts';
import type { Link, LinkState } from './link';

/** The prescription that counts: the newest one. */
export const currentPrescription = (facts: ClientFacts): PrescriptionFact | undefined =>
  newest(facts.prescriptions);

/** The limb the chain speaks of: the prescribed one, else the last one measured or fitted. */
export function limbInHand(facts: ClientFacts): Limb | undefined {
  const fresh = newest([...facts.occlusions, ...facts.fits]);
  const prescription = currentPrescription(facts);
  return prescription?.plan.exercises[0]?.limbs[0]?.limb ?? fresh?.limb;
}

/** A limb under a cuff in a position, as a session needs it measured. */
type Use = { limb: Limb; position: Position | undefined };

/** Every limb and position the current prescription uses, or the limb in hand when there is none. */
function usesOf(facts: ClientFacts): Use[] {
  const uses = (currentPrescription(facts)?.plan.exercises ?? []).flatMap(({ limbs, position }) =>
    limbs.map(({ limb }) => ({ limb, position })),
  );
  const seen = new Set<string>();
  const once = uses.filter(({ limb, position }) => {
    const key = `${limb} ${position}`;
    return !seen.has(key) && seen.add(key);
  });
  const limb = limbInHand(facts);
  return once.length === 0 && limb ? [{ limb, position: undefined }] : once;
}

const WORST_FIRST: readonly LinkState[] = ['held', 'missing', 'due', 'good'];

/** A link that must hold for several limbs or exercises is as good as the worst of them. */
const worstOf = (links: readonly Link[]): Link | undefined =>
  WORST_FIRST.map((state) => links.find((link) => link.state === state)).find((link) => link !== undefined);

/** The six links for one person at `nowMs`, each judged for all the prescription needs (chapter 0 of the practice). */
export function chainOf(facts: ClientFacts, nowMs: number): Link[] {
  return [
    screenLink(facts, nowMs),
    fitLink(facts, nowMs),
    measureLink(facts, nowMs),
    loadLink(facts, nowMs),
    prescribeLink(facts, nowMs),
    runLink(facts, nowMs),
  ];
}

/** Links that keep the current prescription from being run now; empty when a session can start. */
export function linksThatHold(facts: ClientFacts, nowMs: number): Link[] {
  return chainOf(facts, nowMs).filter((link) => link.id !== 'run' && link.state !== 'good');
}

function screenLink(facts: ClientFacts, nowMs: number): Link {
  const common = { id: 'screen', rules: ['SCR-1', 'SCR-2'] } satisfies Partial<Link>;
  const screening = newest(facts.screenings);
  if (!screening)
    return { ...common, state: 'missing', figure: 'not screened', reason: 'No screening on record.' };
  const age = ageWords(screening.atMs, nowMs);
  const { decision, reasons } = judgeScreening(screening, facts.clearances, facts.stricter, nowMs);
  const figure = DECISION_WORDS[decision].toLowerCase();
  if (decision === 'do-not-start' || decision === 'needs-clearance') {
    const open = reasons.filter(({ clearedBy }) => !clearedBy).map(({ words }) => words);
    return { ...common, state: 'held', figure, reason: `${DECISION_WORDS[decision]}: ${open.join('; ')}.` };
  }
  if (screeningIsDue(screening, nowMs)) {
    return {
      ...common,
      state: 'due',
      figure: 'screen again',
      reason: `Screening is ${age}; it holds 12 weeks.`,
    };
  }
  const red = newest(facts.sessions.flatMap(({ redSigns }) => redSigns));
  if (red && nowMs - red.atMs < RED_SIGN_LOCK_MS) {
    return {
      id: 'screen',
      rules: ['RUN-3'],
      state: 'held',
      figure: 'not today',
      reason: `Not today. ${SIGNS[red.sign].label} in the last session: no restart within a day; screen again first.`,
    };
  }
  const after = followUpThatHolds(facts, nowMs);
  if (after) {
    return {
      id: 'screen',
      rules: ['RUN-6'],
      state: 'held',
      figure: 'look first',
      reason: `${after} after the last session: no restart before a new screening.`,
    };
  }
  const today = dayCheckToday(facts, nowMs);
  const held = today && hardFindings(judgeDayCheck(today))[0];
  if (held)
    return {
      id: 'screen',
      rules: ['SCR-3'],
      state: 'held',
      figure: 'not today',
      reason: `Not today. ${held.message}`,
    };
  return { ...common, state: 'good', figure, reason: `${DECISION_WORDS[decision]}, screening ${age}.` };
}

/** The check made today, if there is one (rule SCR-3). */
export function dayCheckToday(facts: ClientFacts, nowMs: number): DayCheck | undefined {
  const last = newest(facts.dayChecks);
  return last && nowMs - last.atMs < DAY_CHECK_HOLDS_MS ? last : undefined;
}

function fitLink(facts: ClientFacts, nowMs: number): Link {
  const common = { id: 'fit', rules: ['FIT-1', 'FIT-2'] } satisfies Partial<Link>;
  const links = usesOf(facts).map(({ limb }): Link => {
    const fit = newest(facts.fits.filter((fact) => fact.limb === limb));
    if (!fit) {
      return {
        ...common,
        state: 'missing',
        figure: 'no girth',
        reason: `${LIMB_LABELS[limb]}: no girth yet.`,
      };
    }
    const girth = lengthWords(fit.girthCm, facts.units.length);
    return {
      ...common,
      state: 'good',
      figure: girth,
      reason: `${LIMB_LABELS[limb]}: ${girth}, ${fit.label}, ${ageWords(fit.atMs, nowMs)}.`,
    };
  });
  return (
    worstOf(links) ?? {
      ...common,
      state: 'missing',
      figure: 'no girth',
      reason: 'No limb has a girth and a cuff yet.',
    }
  );
}

function measureLink(facts: ClientFacts, nowMs: number): Link {
  return (
    worstOf(usesOf(facts).map((use) => measureLinkFor(facts, use, nowMs))) ?? {
      id: 'measure',
      rules: ['LOP-3', 'LOP-6'],
      state: 'missing',
      figure: 'no LOP',
      reason: 'No occlusion pressure measured yet.',
    }
  );
}

function measureLinkFor(facts: ClientFacts, { limb, position }: Use, nowMs: number): Link {
  const common = { id: 'measure', rules: ['LOP-3', 'LOP-6'] } satisfies Partial<Link>;
  const fit = newest(facts.fits.filter((fact) => fact.limb === limb));
  if (fit?.kind === 'strap') return strapLink(facts, limb, nowMs);
  const occlusion = bestOcclusion(facts, limb, position);
  if (!occlusion) {
    return {
      ...common,
      state: 'missing',
      figure: 'no LOP',
      reason: `No occlusion pressure measured on the ${LIMB_LABELS[limb].toLowerCase()}.`,
    };
  }
  const figure = `${occlusion.pressure.value} ± ${occlusion.uncertaintyMmHg} mmHg`;
  const due = reasonDue(
    measuredWith(occlusion),
    { widthCm: fit?.widthCm ?? occlusion.widthCm, girthCm: fit?.girthCm ?? occlusion.girthCm, position },
    shelfLifeOf(facts),
    nowMs,
  );
  const where = `${LIMB_LABELS[limb]}, ${occlusion.position}: ${figure}`;
  if (due) return { ...common, state: 'due', figure, reason: `${where}, due: ${due}.` };
  const trials = `${occlusion.trialsUsed} ${occlusion.trialsUsed === 1 ? 'trial' : 'trials'}`;
  const heldMs = lastHeldMs(measuredWith(occlusion));
  const age =
    heldMs > occlusion.atMs ? `confirmed ${agoWords(heldMs, nowMs)}` : ageWords(occlusion.atMs, nowMs);
  return {
    ...common,
    state: 'good',
    figure,
    reason: `${where}, ${trials}, ${age}${occlusion.steady ? '' : ', unsteady'}.`,
  };
}

/** A strap is second best: it never counts as measured (rule TIGHT). */
function strapLink(facts: ClientFacts, limb: Limb, nowMs: number): Link {
  const prescribed = currentPrescription(facts)?.plan.exercises.some((exercise) =>
    exercise.limbs.some((target) => target.limb === limb && target.kind === 'by-feel'),
  );
  const common = { id: 'measure', rules: ['TIGHT', 'FIT-5'] } satisfies Partial<Link>;
  const felt = newest(facts.tightness.filter((fact) => fact.limb === limb));
  if (!felt)
    return {
      ...common,
      state: 'missing',
      figure: 'not felt',
      reason: 'The strap has not been tightened by feel yet.',
    };
  return {
    ...common,
    // Somebody prescribed it by feel, knowing what it is: then it may be run.
    state: prescribed ? 'good' : 'due',
    figure: `felt ${felt.felt} of 10`,
    reason: `${LIMB_LABELS[limb]}: ${felt.strapLabel} at mark ${felt.mark}, ${agoWords(felt.atMs, nowMs)}. By feel only: a measured cuff is better.`,
  };
}

/** What rule LOP-6 asks of a stored pressure. */
export const measuredWith = (fact: OcclusionFact): MeasuredWith => ({
  measuredAtMs: fact.atMs,
  widthCm: fact.widthCm,
  girthCm: fact.girthCm,
  position: fact.position,
  pressureMmHg: fact.pressure.value,
  quickChecks: fact.quickChecks,
});

/** The pressure to go by on a limb: the newest in the position it will be used in, else the newest (rule LOP-5). */
function bestOcclusion(
  facts: ClientFacts,
  limb: Limb,
  position: Position | undefined,
): OcclusionFact | undefined {
  const onLimb = facts.occlusions.filter((fact) => fact.limb === limb);
  return newest(onLimb.filter((fact) => fact.position === position)) ?? newest(onLimb);
}

function loadLink(facts: ClientFacts, nowMs: number): Link {
  const common = { id: 'load', rules: ['LOAD-1', 'LOAD-2'] } satisfies Partial<Link>;
  const exercises = currentPrescription(facts)?.plan.exercises ?? [];
  const weighed = exercises.flatMap(({ exerciseId, load }) =>
    load.kind === 'weighed' ? [{ exerciseId, load }] : [],
  );
  if (exercises.length > 0 && weighed.length === 0) {
    const [first] = exercises;
    return { ...common, state: 'good', figure: first?.load.recipe ?? '', reason: 'Work without kilograms.' };
  }
  const links = weighed.map(({ exerciseId, load }) =>
    strengthLink(
      facts,
      newest(
        facts.strengthTests.filter((fact) => fact.exerciseId === exerciseId && fact.side === load.testedSide),
      ),
      nowMs,
    ),
  );
  return worstOf(links) ?? strengthLink(facts, newest(facts.strengthTests), nowMs);
}

function strengthLink(facts: ClientFacts, test: StrengthFact | undefined, nowMs: number): Link {
  const common = { id: 'load', rules: ['LOAD-1', 'LOAD-2'] } satisfies Partial<Link>;
  if (!test) return { ...common, state: 'missing', figure: 'no 1RM', reason: 'No strength test on record.' };
  const figure = massWords(test.oneRepMax.value, facts.units.mass);
  const words = `${exerciseLabel(facts, test.exerciseId)}, ${test.side}: 1RM ${figure}, ${ageWords(test.atMs, nowMs)}`;
  return nowMs - test.atMs > LIMITS.strengthShelfLifeDays * MS_PER_DAY
    ? { ...common, state: 'due', figure, reason: `${words}; it holds 6 weeks.` }
    : { ...common, state: 'good', figure, reason: `${words}.` };
}

function prescribeLink(facts: ClientFacts, nowMs: number): Link {
  const common = { id: 'prescribe', rules: ['PRS-1', 'LOAD-3'] } satisfies Partial<Link>;
  const prescription = currentPrescription(facts);
  const [exercise, ...others] = prescription?.plan.exercises ?? [];
  const target = exercise?.limbs[0];
  if (!prescription || !exercise || !target) {
    return { ...common, state: 'missing', figure: 'no plan', reason: 'Nothing prescribed yet.' };
  }
  const figure = target.kind === 'by-feel' ? `mark ${target.mark}` : `${target.pressure.value} mmHg`;
  const load =
    exercise.load.kind === 'weighed'
      ? massWords(exercise.load.load.value, facts.units.mass)
      : exercise.load.recipe;
  const more = others.length > 0 ? `, and ${others.length} more` : '';
  const words = `${exercise.label}: ${figure}, ${load}, ${exercise.protocolLabel}${more}`;
  const changed = changedSince(facts, prescription);
  if (changed)
    return { ...common, state: 'due', figure, reason: `${words}; ${changed} since it was signed.` };
  return {
    ...common,
    state: 'good',
    figure,
    reason: `${words}, signed ${agoWords(prescription.atMs, nowMs)}.`,
  };
}

/** What was measured again after a prescription that rests on it, in words, or `null`. */
function changedSince(facts: ClientFacts, { plan, atMs }: PrescriptionFact): string | null {
  const limbs = plan.exercises.flatMap((exercise) => exercise.limbs.map(({ limb }) => limb));
  if (facts.occlusions.some((fact) => limbs.includes(fact.limb) && fact.atMs > atMs)) {
    return 'the occlusion pressure was measured again';
  }
  const tested = plan.exercises.some(({ exerciseId, load }) =>
    facts.strengthTests.some(
      (fact) =>
        load.kind === 'weighed' &&
        fact.exerciseId === exerciseId &&
        fact.side === load.testedSide &&
        fact.atMs > atMs,
    ),
  );
  return tested ? 'the strength was tested again' : null;
}

function runLink(facts: ClientFacts, nowMs: number): Link {
  const common = { id: 'run', rules: ['RUN-5'] } satisfies Partial<Link>;
  const session = newest(facts.sessions.map((fact) => ({ ...fact, atMs: fact.startedAtMs })));
  if (!session) return { ...common, state: 'missing', figure: 'not run', reason: 'No session yet.' };
  if (session.finishedAtMs === null) {
    return { ...common, state: 'due', figure: 'open', reason: 'A session is open: finish it.' };
  }
  const ask = sessionToAskAbout(facts, nowMs);
  if (ask) {
    return {
      id: 'run',
      rules: ['RUN-6'],
      state: 'due',
      figure: 'ask',
      reason: `Ask how the session ${agoWords(ask.startedAtMs, nowMs)} was: soreness, bruising, numbness.`,
    };
  }
  const finished = facts.sessions.filter((fact) => fact.finishedAtMs !== null).length;
  return {
    ...common,
    state: 'good',
    figure: `${finished} done`,
    reason: `${finished} ${finished === 1 ? 'session' : 'sessions'}, the last ${agoWords(session.atMs, nowMs)}.`,
  };
}
