import { lastHeldMs, type MeasuredWith, reasonDue } from '../occlusion-pressure/shelf-life';
import { EXERCISES } from '../protocol/exercises';
import { LIMB_LABELS, type Limb, type Position } from '../quantity/limb';
import { lengthWords, MS_PER_DAY, massWords } from '../quantity/units';
import type { RuleId } from '../rules/catalogue';
import { hardFindings } from '../rules/finding';
import { LIMITS } from '../rules/limits';
import { DAY_CHECK_HOLDS_MS, type DayCheck, judgeDayCheck } from '../screening/day-check';
import { DECISION_WORDS, judgeScreening } from '../screening/decide';
import { screeningIsDue } from '../screening/screening';
import { RED_SIGN_LOCK_MS, SIGNS } from '../session/signs';
import { type ClientFacts, newest, type OcclusionFact, type PrescriptionFact, shelfLifeOf } from './facts';

export const LINK_IDS = ['screen', 'fit', 'measure', 'load', 'prescribe', 'run'] as const;
export type LinkId = (typeof LINK_IDS)[number];

export const LINK_LABELS: Record<LinkId, string> = {
  screen: 'Screen',
  fit: 'Fit',
  measure: 'Measure',
  load: 'Load',
  prescribe: 'Prescribe',
  run: 'Run',
};

/** `missing`: never done. `due`: done, but to be done again. `held`: must not go on. `good`: holds. */
export type LinkState = 'missing' | 'due' | 'held' | 'good';

/** One link of the chain: its state, the one number that matters, and why, in words. */
export type Link = { id: LinkId; state: LinkState; figure: string; reason: string; rules: RuleId[] };

function daysWords(atMs: number, nowMs: number, after: string): string {
  const days = Math.floor((nowMs - atMs) / MS_PER_DAY);
  if (days < 1) return 'today';
  return `${days} ${days === 1 ? 'day' : 'days'} ${after}`;
}

/** "today", "1 day old", "12 days old". */
export const ageWords = (atMs: number, nowMs: number): string => daysWords(atMs, nowMs, 'old');

/** "today", "1 day ago", "12 days ago". */
export const agoWords = (atMs: number, nowMs: number): string => daysWords(atMs, nowMs, 'ago');

/** The prescription that counts: the newest one. */
export const currentPrescription = (facts: ClientFacts): PrescriptionFact | undefined =>
  newest(facts.prescriptions);

/** The limb the chain speaks of: the prescribed one, else the last one measured or fitted. */
export function limbInHand(facts: ClientFacts): Limb | undefined {
  const fresh = newest([...facts.occlusions, ...facts.fits]);
  const prescription = currentPrescription(facts);
  return prescription?.plan.exercises[0]?.limbs[0]?.limb ?? fresh?.limb;
}

/** The six links for one person at `nowMs`, each judged for the limb in hand (chapter 0 of the practice). */
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
  const limb = limbInHand(facts);
  const fit = newest(facts.fits.filter((fact) => fact.limb === limb));
  if (!limb || !fit)
    return { ...common, state: 'missing', figure: 'no girth', reason: 'No limb has a girth and a cuff yet.' };
  return {
    ...common,
    state: 'good',
    figure: lengthWords(fit.girthCm, facts.units.length),
    reason: `${LIMB_LABELS[limb]}: ${lengthWords(fit.girthCm, facts.units.length)}, ${fit.label}, ${ageWords(fit.atMs, nowMs)}.`,
  };
}

function measureLink(facts: ClientFacts, nowMs: number): Link {
  const common = { id: 'measure', rules: ['LOP-3', 'LOP-6'] } satisfies Partial<Link>;
  const limb = limbInHand(facts);
  const fit = newest(facts.fits.filter((fact) => fact.limb === limb));
  if (limb && fit?.kind === 'strap') return strapLink(facts, limb, nowMs);
  const position = currentPrescription(facts)?.plan.exercises[0]?.position;
  const occlusion = limb && bestOcclusion(facts, limb, position);
  if (!limb || !occlusion) {
    return {
      ...common,
      state: 'missing',
      figure: 'no LOP',
      reason: 'No occlusion pressure measured on this limb.',
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
    state: 'due',
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
  const prescribed = currentPrescription(facts);
  const test =
    (prescribed &&
      newest(
        facts.strengthTests.filter(
          (fact) =>
            fact.exerciseId === prescribed.plan.exercises[0]?.exerciseId && fact.side === prescribed.side,
        ),
      )) ??
    newest(facts.strengthTests);
  if (!test) return { ...common, state: 'missing', figure: 'no 1RM', reason: 'No strength test on record.' };
  const figure = massWords(test.oneRepMax.value, facts.units.mass);
  const words = `${EXERCISES[test.exerciseId].label}, ${test.side}: 1RM ${figure}, ${ageWords(test.atMs, nowMs)}`;
  return nowMs - test.atMs > LIMITS.strengthShelfLifeDays * MS_PER_DAY
    ? { ...common, state: 'due', figure, reason: `${words}; it holds 6 weeks.` }
    : { ...common, state: 'good', figure, reason: `${words}.` };
}

function prescribeLink(facts: ClientFacts, nowMs: number): Link {
  const common = { id: 'prescribe', rules: ['PRS-1', 'LOAD-3'] } satisfies Partial<Link>;
  const prescription = currentPrescription(facts);
  const exercise = prescription?.plan.exercises[0];
  const target = exercise?.limbs[0];
  if (!prescription || !exercise || !target) {
    return { ...common, state: 'missing', figure: 'no plan', reason: 'Nothing prescribed yet.' };
  }
  const figure = `${target.pressure.value} mmHg`;
  const words = `${exercise.label}: ${target.pressure.value} mmHg, ${massWords(exercise.load.value, facts.units.mass)}, ${exercise.protocolLabel}`;
  const measuredSince = facts.occlusions.some(
    (fact) => fact.limb === target.limb && fact.atMs > prescription.atMs,
  );
  const testedSince = facts.strengthTests.some(
    (fact) =>
      fact.exerciseId === exercise.exerciseId &&
      fact.side === prescription.side &&
      fact.atMs > prescription.atMs,
  );
  if (measuredSince || testedSince) {
    const what = measuredSince ? 'the occlusion pressure was measured' : 'the strength was tested';
    return { ...common, state: 'due', figure, reason: `${words}; ${what} again since it was signed.` };
  }
  return {
    ...common,
    state: 'good',
    figure,
    reason: `${words}, signed ${agoWords(prescription.atMs, nowMs)}.`,
  };
}

function runLink(facts: ClientFacts, nowMs: number): Link {
  const common = { id: 'run', rules: ['RUN-5'] } satisfies Partial<Link>;
  const session = newest(facts.sessions.map((fact) => ({ ...fact, atMs: fact.startedAtMs })));
  if (!session) return { ...common, state: 'missing', figure: 'not run', reason: 'No session yet.' };
  if (session.finishedAtMs === null) {
    return { ...common, state: 'due', figure: 'open', reason: 'A session is open: finish it.' };
  }
  const finished = facts.sessions.filter((fact) => fact.finishedAtMs !== null).length;
  return {
    ...common,
    state: 'good',
    figure: `${finished} done`,
    reason: `${finished} ${finished === 1 ? 'session' : 'sessions'}, the last ${agoWords(session.atMs, nowMs)}.`,
  };
}
