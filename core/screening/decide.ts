import { capital, list, type Message, msg } from '../message/message';
import { type Rung, rungSchema } from '../protocol/exercise';
import { workModeSchema } from '../protocol/work-mode';
import { LIMBS, type Limb, limbsWords } from '../quantity/limb';
import type { RuleId } from '../rules/catalogue';
import { RULES } from '../rules/catalogue';
import { bloodPressureLevel, bloodPressureWords, meanBloodPressure } from './blood-pressure';
import { type Clearance, type FoundSubject, hasLimits, isInForce, speaksOf } from './clearance';
import type { Answered } from './condition';
import { type ItemId, type ItemLevel, levelOf, SCREEN_ITEMS, type Stricter } from './items';

export type Decision = 'clear-to-start' | 'start-with-limits' | 'needs-clearance' | 'do-not-start';

/** A decision as it is within a sentence. */
export const DECISION_NAMES: Record<Decision, Message> = {
  'clear-to-start': msg('clear to start'),
  'start-with-limits': msg('start with limits'),
  'needs-clearance': msg('needs clearance'),
  'do-not-start': msg('do not start'),
};

export const DECISION_WORDS: Record<Decision, Message> = {
  'clear-to-start': capital(DECISION_NAMES['clear-to-start']),
  'start-with-limits': capital(DECISION_NAMES['start-with-limits']),
  'needs-clearance': capital(DECISION_NAMES['needs-clearance']),
  'do-not-start': capital(DECISION_NAMES['do-not-start']),
};

/** Why a screening came out as it did: one item, what it means, and what clears it, if anything does. */
export type Reason = {
  subject: FoundSubject;
  level: ItemLevel;
  words: Message;
  /** The clearance that answers it, in words; null while none does. */
  clearedBy: Message | null;
  /** Limbs that it does not keep from being trained. */
  clearedFor: Limb[];
  rule: RuleId;
};

/** Whether it keeps any limb from being trained. */
export const keepsBack = ({ clearedFor }: Pick<Reason, 'clearedFor'>): boolean =>
  clearedFor.length < LIMBS.length;

export type Judgement = {
  decision: Decision;
  reasons: Reason[];
  /** Limbs that may be trained: none of the reasons keeps them from it. */
  limbs: Limb[];
};

/**
 * Decision on starting, with every reason, and the limbs that may be trained (rules SCR-1, SCR-2): what was found keeps the whole
 * person from it until a clearance answers it, and then the limbs that the clearance does not speak of, but for those that an item
 * in other limbs has nothing to do with.
 * A stop item is answered only by a physician's clearance with limits; some, and a blood pressure that stops, by none.
 */
export function judgeScreening(
  answered: Answered,
  clearances: readonly Clearance[],
  stricter: Stricter,
  nowMs: number,
): Judgement {
  const inForce = clearances.filter((clearance) => isInForce(clearance, nowMs));
  const found = [...itemReasons(answered, stricter), ...bloodPressureReasons(answered)];
  const reasons = found.map((reason) => ({ ...reason, ...clearing(reason, answered, inForce) }));
  const limbs = LIMBS.filter((limb) => reasons.every(({ clearedFor }) => clearedFor.includes(limb)));
  // Where no limb is left, what keeps any from being trained counts.
  const open = (level: ItemLevel) =>
    limbs.length === 0 && reasons.some((reason) => reason.level === level && keepsBack(reason));
  const limited = limbs.length < LIMBS.length || inForce.some(hasLimits);
  const decision: Decision = open('stop')
    ? 'do-not-start'
    : open('clear')
      ? 'needs-clearance'
      : limited
        ? 'start-with-limits'
        : 'clear-to-start';
  return { decision, reasons, limbs };
}

type Found = Omit<Reason, 'clearedBy' | 'clearedFor'>;

/**
 * Whether an item that is noted alone comes with one that makes it weigh more; what the blood pressure found counts as
 * one (rule SCR-1).
 */
function weighsMore(subject: ItemId, answered: Answered): boolean {
  const others = answered.yes.filter((other) => other !== subject && !SCREEN_ITEMS[other].apart);
  switch (SCREEN_ITEMS[subject].clearWith) {
    case 'any-item':
      return others.length > 0 || bloodPressureReasons(answered).length > 0;
    case 'clots':
      return others.some((other) => SCREEN_ITEMS[other].clots);
    default:
      return false;
  }
}

/** What an item is called, with the limbs it is in. */
function labelIn(subject: ItemId, { places = [] }: Answered): Message {
  const { label } = SCREEN_ITEMS[subject];
  const place = places.find(({ item }) => item === subject);
  return place ? msg('{label}: {limbs}', { label, limbs: limbsWords(place.limbs) }) : label;
}

function itemReasons(answered: Answered, stricter: Stricter): Found[] {
  return answered.yes.map((subject) => {
    const alone = levelOf(subject, stricter);
    const withOthers = alone === 'note' && weighsMore(subject, answered);
    const { clearWith } = SCREEN_ITEMS[subject];
    const label = labelIn(subject, answered);
    return {
      subject,
      level: withOthers ? 'clear' : alone,
      words: !withOthers
        ? label
        : clearWith === 'clots'
          ? msg('{label}, together with another item that bears on clots', { label })
          : msg('{label}, together with another item', { label }),
      rule: 'SCR-1',
    };
  });
}

function bloodPressureReasons({ bloodPressures }: Pick<Answered, 'bloodPressures'>): Found[] {
  if (bloodPressures.length === 0) return [];
  const mean = meanBloodPressure(bloodPressures);
  const level = bloodPressureLevel(mean);
  if (!level) return [];
  const { stopAt, clearAt, lowSystolicMmHg } = RULES['SCR-1'].figures;
  const limit = level === 'stop' ? stopAt : clearAt;
  return [
    {
      subject: 'blood-pressure',
      level,
      words:
        mean.systolicMmHg < lowSystolicMmHg
          ? msg('Resting blood pressure {bloodPressure}, the upper below {lowSystolicMmHg}', {
              bloodPressure: bloodPressureWords(mean),
              lowSystolicMmHg,
            })
          : msg('Resting blood pressure {bloodPressure}, at or above {systolicMmHg} or {diastolicMmHg}', {
              bloodPressure: bloodPressureWords(mean),
              systolicMmHg: limit.systolicMmHg,
              diastolicMmHg: limit.diastolicMmHg,
            }),
      rule: 'SCR-1',
    },
  ];
}

/** Stops that no paper answers (rule SCR-2); a blood pressure at or above 180/110 is another. */
const NEVER_CLEARED: readonly FoundSubject[] = [
  'thrombosis-suspected',
  'compartment-syndrome',
  'infection',
  'open-wound',
];

/**
 * Whether a clearance is strong enough for a stop: a physician's, with a cap, and with the limbs or the work named. One that limits
 * nothing clears none.
 */
const mayClearStop = ({ byPhysician, maxPercentLop, limbs, modes, highestRung }: Clearance): boolean =>
  byPhysician &&
  maxPercentLop !== null &&
  maxPercentLop < RULES['SCR-2'].figures.stopClearedUnderPercentLop &&
  (isPartOf(limbs, LIMBS) || isPartOf(modes, workModeSchema.options) || isUnderTheHighest(highestRung));

const isUnderTheHighest = (rung: Rung | null): boolean => rung !== null && rung !== rungSchema.options.at(-1);

const isPartOf = (named: readonly unknown[], all: readonly unknown[]): boolean =>
  named.length > 0 && named.length < all.length;

function clearing(
  { subject, level }: Found,
  { places = [] }: Answered,
  inForce: readonly Clearance[],
): Pick<Reason, 'clearedBy' | 'clearedFor'> {
  if (level === 'note') return { clearedBy: msg('noted'), clearedFor: [...LIMBS] };
  const answers =
    level === 'stop' && (subject === 'blood-pressure' || NEVER_CLEARED.includes(subject))
      ? []
      : inForce.filter(
          (clearance) =>
            clearance.subjects.includes(subject) && (level !== 'stop' || mayClearStop(clearance)),
        );
  if (answers.length === 0) return { clearedBy: null, clearedFor: [] };
  const isIn = places.find(({ item }) => item === subject)?.limbs ?? LIMBS;
  return {
    clearedBy: msg('cleared by {givers}', {
      givers: list(
        answers.map(({ givenBy }) => givenBy),
        'and',
      ),
    }),
    clearedFor: LIMBS.filter(
      (limb) => !isIn.includes(limb) || answers.some((clearance) => speaksOf(clearance, limb)),
    ),
  };
}
