import { limbsWords } from '../quantity/limb';
import type { RuleId } from '../rules/catalogue';
import { RULES } from '../rules/catalogue';
import { bloodPressureLevel, bloodPressureWords, meanBloodPressure } from './blood-pressure';
import { type Clearance, type FoundSubject, hasLimits, isInForce } from './clearance';
import type { Answered } from './condition';
import { type ItemId, type ItemLevel, levelOf, SCREEN_ITEMS, type Stricter } from './items';

export type Decision = 'clear-to-start' | 'start-with-limits' | 'needs-clearance' | 'do-not-start';

export const DECISION_WORDS: Record<Decision, string> = {
  'clear-to-start': 'Clear to start',
  'start-with-limits': 'Start with limits',
  'needs-clearance': 'Needs clearance',
  'do-not-start': 'Do not start',
};

/** Why a screening came out as it did: one item, what it means, and what clears it, if anything does. */
export type Reason = {
  subject: FoundSubject;
  level: ItemLevel;
  words: string;
  /** The clearance that answers it, in words; null while none does. */
  clearedBy: string | null;
  rule: RuleId;
};

export type Judgement = { decision: Decision; reasons: Reason[] };

/**
 * Decision on starting, with every reason (rules SCR-1, SCR-2).
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
  const reasons = found.map((reason) => ({ ...reason, clearedBy: clearedBy(reason, inForce) }));
  const open = (level: ItemLevel) => reasons.some((reason) => reason.level === level && !reason.clearedBy);
  const limited = inForce.some(hasLimits);
  const decision: Decision = open('stop')
    ? 'do-not-start'
    : open('clear')
      ? 'needs-clearance'
      : limited
        ? 'start-with-limits'
        : 'clear-to-start';
  return { decision, reasons };
}

type Found = Omit<Reason, 'clearedBy'>;

/**
 * Whether an item that is noted alone stands beside one that makes it weigh more; what the blood pressure found counts as
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
function labelIn(subject: ItemId, { places = [] }: Answered): string {
  const { label } = SCREEN_ITEMS[subject];
  const place = places.find(({ item }) => item === subject);
  return place ? `${label}: ${limbsWords(place.limbs)}` : label;
}

function itemReasons(answered: Answered, stricter: Stricter): Found[] {
  return answered.yes.map((subject) => {
    const alone = levelOf(subject, stricter);
    const withOthers = alone === 'note' && weighsMore(subject, answered);
    const { clearWith } = SCREEN_ITEMS[subject];
    const label = labelIn(subject, answered);
    const beside = clearWith === 'clots' ? 'another item that bears on clots' : 'another item';
    return {
      subject,
      level: withOthers ? 'clear' : alone,
      words: withOthers ? `${label}, together with ${beside}` : label,
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
  const bound =
    mean.systolicMmHg < lowSystolicMmHg
      ? `the upper below ${lowSystolicMmHg}`
      : `at or above ${limit.systolicMmHg} or ${limit.diastolicMmHg}`;
  return [
    {
      subject: 'blood-pressure',
      level,
      words: `Resting blood pressure ${bloodPressureWords(mean)}, ${bound}`,
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

/** Whether a clearance is strong enough for a stop: a physician's, with a cap, and with the limbs or the work named. */
const mayClearStop = ({ byPhysician, maxPercentLop, limbs, modes }: Clearance): boolean =>
  byPhysician && maxPercentLop !== null && (limbs.length > 0 || modes.length > 0);

function clearedBy({ subject, level }: Found, inForce: readonly Clearance[]): string | null {
  if (level === 'note') return 'noted';
  if (level === 'stop' && (subject === 'blood-pressure' || NEVER_CLEARED.includes(subject))) return null;
  const answer = inForce.find(
    (clearance) => clearance.subjects.includes(subject) && (level !== 'stop' || mayClearStop(clearance)),
  );
  return answer ? `cleared by ${answer.givenBy}` : null;
}
