import { markWords } from '../../cuff/mark-words';
import { msg } from '../../message/message';
import { measuredWith } from '../../occlusion-pressure/in-force';
import { lastHeldMs } from '../../occlusion-pressure/shelf-life';
import { type LimbTarget, targetWords } from '../../plan/target';
import { LIMB_LABELS, LIMB_NAMES, type Limb, POSITION_NAMES } from '../../quantity/limb';
import { newest } from '../../quantity/newest';
import { ageWords, agoWords } from '../age-words';
import type { ClientFacts } from '../facts';
import { fitInForce, pressureInForce, shelfLifeInForce, whyDue } from '../in-force';
import type { Link } from '../link';
import { type Prescribed, type Use, usesOf, worstOf } from './uses';

export function measureLink(facts: ClientFacts, nowMs: number, prescribed: Prescribed): Link {
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
