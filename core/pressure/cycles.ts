import type { Finding } from '../findings/finding';
import { type Message, msg } from '../message/message';
import { LIMB_LABELS, type Limb } from '../quantity/limb';
import { roundDownToDivision, tidy } from '../quantity/rounding';
import { MS_PER_MINUTE } from '../quantity/units';
import { RULES } from '../rules/catalogue';

const { guardOnMsADay } = RULES['PRS-9'].figures;

/**
 * The pressure of one set in mmHg: the target, or the share of it that the set is done at, rounded down to the gauge.
 * @param ofTarget in %; undefined at the target itself
 * @example shareOfTarget(104, 60, 2) //=> 62
 */
export const shareOfTarget = (
  targetMmHg: number,
  ofTarget: number | undefined,
  gaugeDivisionMmHg: number,
): number =>
  ofTarget === undefined
    ? targetMmHg
    : roundDownToDivision(tidy((targetMmHg * ofTarget) / 100), gaugeDivisionMmHg);

/** How long a cuff is up on a limb in one day: what is on record, and what is planned, in ms. */
export type DailyExposure = { limb: Limb; doneMs: number; plannedMs: number };

/** Cycles done several times a day add up; over an hour on one limb needs a clinician's reason (rule PRS-9). */
export const checkDailyExposure = (exposures: readonly DailyExposure[]): Finding[] =>
  exposures
    .filter(({ doneMs, plannedMs }) => doneMs + plannedMs > guardOnMsADay)
    .map(({ limb, doneMs, plannedMs }) => ({
      rule: 'PRS-9',
      level: 'guard',
      subject: 'dailyExposure',
      message: msg(
        '{limb}: {done} min under the cuff today, {all} min with this; over {most} min a day needs a clinician’s reason.',
        {
          limb: LIMB_LABELS[limb],
          done: minutes(doneMs),
          all: minutes(doneMs + plannedMs),
          most: minutes(guardOnMsADay),
        },
      ),
      remedy: msg('Fewer cycles, or tomorrow.'),
    }));

/** @example exposureWords({ limb: 'left-arm', doneMs: 240_000, plannedMs: 240_000 }) //=> 'Left arm: 4 min under the cuff today, 8 of 60 min with this' */
export const exposureWords = ({ limb, doneMs, plannedMs }: DailyExposure): Message =>
  msg('{limb}: {done} min under the cuff today, {all} of {most} min with this', {
    limb: LIMB_LABELS[limb],
    done: minutes(doneMs),
    all: minutes(doneMs + plannedMs),
    most: minutes(guardOnMsADay),
  });

const minutes = (ms: number): number => Math.ceil(tidy(ms / MS_PER_MINUTE));
