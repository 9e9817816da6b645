import { msg } from '../../message/message';
import { LIMB_LABELS, type Limb } from '../../quantity/limb';
import { roundDownToDivision } from '../../quantity/rounding';
import { RULES } from '../../rules/catalogue';
import type { EventBody } from '../events';
import {
  type CuffedInHand,
  dueMmHg,
  type FeltInHand,
  type InHand,
  inHand,
  type LimbInHand,
} from '../in-hand';
import { lastSet } from '../places';
import { openInflation, openSet, type SessionState } from '../state';
import { type Decision, decided, type Effect, type Intent, refuse, type Situation } from './intent';
import { endSet } from './sets';

type Of<D extends Intent['do']> = Extract<Intent, { do: D }>;

const STEP_MMHG = RULES['RUN-4'].figures.stepMmHg;

const chosen = (hand: InHand, limb: Limb | undefined): LimbInHand[] =>
  hand.limbs.filter((target) => limb === undefined || target.limb === limb);

/** Several limbs at once are decided one by one and done together. */
const together = (decisions: readonly Decision[]): Decision => {
  const events = decisions.flatMap((one) => one.events);
  const [first] = decisions;
  if (events.length === 0) return refuse(first?.refused ?? msg('No cuff of this exercise is meant.'));
  return decided(
    events,
    decisions.flatMap((one) => one.effects),
  );
};

const bring = ({ hands }: Situation, limb: Limb, pressureMmHg: number): Effect[] =>
  hands.pumped.includes(limb) ? [{ do: 'bring', limb, pressureMmHg }] : [];

const read = (
  limb: Limb,
  pressureMmHg: number,
  cause: Extract<EventBody, { type: 'pressure-read' }>['cause'],
): EventBody => ({ type: 'pressure-read', limb, pressureMmHg, cause });

/** Back to the target in hand, never above it, and only between sets (rules RUN-4, RUN-7). */
export function topUp(now: Situation, { limb }: Of<'top-up'>): Decision {
  const hand = inHand(now.plan, now.state);
  if (!hand || now.state.stopped) return refuse(msg('The session is stopped: nothing goes up any more.'));
  if (openSet(now.state)) return refuse(msg('Not in a set: pressure goes up only before one (RUN-4).'));
  return together(
    chosen(hand, limb).map((target) => {
      if (target.kind === 'by-feel') return refuse(msg('A strap has no pressure to top up (TIGHT).'));
      if (target.readMmHg === null) return refuse(msg('The cuff is down: inflate it first.'));
      if (target.readMmHg >= target.targetMmHg) return refuse(msg('It is at its target already.'));
      return decided(
        [read(target.limb, target.targetMmHg, 'top-up')],
        bring(now, target.limb, target.targetMmHg),
      );
    }),
  );
}

/** Looser at any time, in the set too (rules RUN-4, TIGHT). It is kept for the next inflation and the next exercise. */
export function loosen(now: Situation, { limb, byMmHg = STEP_MMHG }: Of<'loosen'>): Decision {
  const hand = inHand(now.plan, now.state);
  if (!hand) return refuse(msg('There is nothing to loosen.'));
  if (byMmHg <= 0) return refuse(msg('Say by how many mmHg to loosen, above 0.'));
  return together(
    chosen(hand, limb).map((target) =>
      target.kind === 'by-feel'
        ? decided([{ type: 'mark-moved', limb: target.limb, byMarks: -1 }])
        : loosenCuff(now, target, byMmHg),
    ),
  );
}

function loosenCuff(now: Situation, target: CuffedInHand, byMmHg: number): Decision {
  const { limb, readMmHg, signed, targetMmHg } = target;
  if (readMmHg === null) {
    if (targetMmHg <= 0) return refuse(msg('{limb} is at nothing already.', { limb: LIMB_LABELS[limb] }));
    return decided([{ type: 'loosened', limb, byMmHg }]);
  }
  const to = roundDownToDivision(Math.max(0, Math.min(readMmHg, targetMmHg) - byMmHg), signed.divisionMmHg);
  return decided([read(limb, to, 'loosened')], bring(now, limb, to));
}

/** One step up before a set, once, and never over what was signed for this exercise and limb (rules RUN-4, RUN-7). */
export function raise(now: Situation, { limb }: Of<'raise'>): Decision {
  const hand = inHand(now.plan, now.state);
  if (!hand || now.state.stopped) return refuse(msg('The session is stopped: nothing goes up any more.'));
  if (openSet(now.state)) return refuse(msg('Not in a set: pressure goes up only before one (RUN-4).'));
  return together(
    chosen(hand, limb).map((target) => {
      if (wasRaised(now.state, target.limb)) return refuse(msg('Once before a set is enough (RUN-4).'));
      return target.kind === 'by-feel' ? tighten(target) : raiseCuff(now, hand, target);
    }),
  );
}

const wasRaised = (state: SessionState, limb: Limb): boolean =>
  (state.raisedAtMs[limb] ?? Number.NEGATIVE_INFINITY) >= (lastSet(state)?.endedAtMs ?? 0);

const tighten = ({ limb }: FeltInHand): Decision => decided([{ type: 'mark-moved', limb, byMarks: 1 }]);

function raiseCuff(now: Situation, hand: InHand, target: CuffedInHand): Decision {
  const { limb, signed, targetMmHg, readMmHg } = target;
  const most = dueMmHg(now.state, hand.exercise, hand.place, signed);
  const to = Math.min(most, targetMmHg + STEP_MMHG);
  if (to <= targetMmHg)
    return refuse(msg('{most} mmHg was signed, and it is there: never above it (RUN-4).', { most }));
  if (readMmHg === null) return decided([{ type: 'loosened', limb, byMmHg: targetMmHg - to }]);
  return decided([read(limb, to, 'raised')], bring(now, limb, to));
}

/** What was read off the gauge. Above the limb's own LOP it is deflated first (rule PRS-3). */
export function readGauge({ plan, state }: Situation, { limb, pressureMmHg }: Of<'read'>): Decision {
  const open = openInflation(state.limbs.find((candidate) => candidate.limb === limb));
  if (!open) return refuse(msg('This cuff is down: nothing to read.'));
  const target = inHand(plan, state)?.limbs.find((candidate) => candidate.limb === limb);
  const lopMmHg = target?.kind === 'measured' ? target.signed.occlusion.value : open.occlusionMmHg;
  if (lopMmHg !== null && pressureMmHg > lopMmHg) {
    return refuse(
      msg(
        '{pressureMmHg} is above this limb’s LOP of {lopMmHg}: let it down, then enter what you read (PRS-3).',
        { pressureMmHg, lopMmHg },
      ),
    );
  }
  return decided([read(limb, pressureMmHg, 'read')]);
}

/** Lets cuffs down; a set does not go on without its cuff, so it ends with them. */
export function release(now: Situation, { limbs }: Of<'release'>): Decision {
  const up = now.state.limbs.filter((limb) => openInflation(limb) !== null).map(({ limb }) => limb);
  const down = up.filter((limb) => limbs === undefined || limbs.includes(limb));
  if (down.length === 0) return refuse(msg('No cuff is up.'));
  const worksThere =
    openSet(now.state) && inHand(now.plan, now.state)?.limbs.some(({ limb }) => down.includes(limb));
  return decided(
    [
      ...(worksThere ? endSet(now, 'operator') : []),
      ...down.map((limb) => ({ type: 'cuff-released', limb }) as const),
    ],
    down.map((limb) => ({ do: 'deflate', limb })),
  );
}
