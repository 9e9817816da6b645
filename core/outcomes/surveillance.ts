import { type Message, msg, type Text } from '../message/message';
import { SCHOOLS } from '../protocol/data/schools';
import type { SchoolId } from '../protocol/schools';
import { LIMB_KIND_NAMES, type LimbKind, limbKind } from '../quantity/limb';
import { MS_PER_MINUTE } from '../quantity/units';
import type { FollowUp } from '../session/events';
import { SIGNS, type SignId } from '../session/signs';
import { type Rate, ratePer } from './rate';
import type { LineInflation, SessionLine } from './session-line';

/** What was seen the day after, that is counted. */
export type DayAfterId =
  | 'small-bruise'
  | 'wide-bruise'
  | 'pinpoint-bleeding'
  | 'numb-day-after'
  | 'abrasion'
  | 'referred';

/** Something that is counted against inflations: a sign of a session, or an answer of the day after. */
export type SeenId = Exclude<SignId, ExpectedId> | DayAfterId;
type ExpectedId =
  | 'tightness'
  | 'burn'
  | 'redness'
  | 'bulging-veins'
  | 'swelling'
  | 'breathing-hard'
  | 'nothing-felt';

const DAY_AFTER: Record<DayAfterId, { label: Message; is: (answers: FollowUp) => boolean }> = {
  'small-bruise': { label: msg('Small bruise the day after'), is: ({ bruising }) => bruising === 'small' },
  'wide-bruise': { label: msg('Wide bruising the day after'), is: ({ bruising }) => bruising === 'wide' },
  'pinpoint-bleeding': {
    label: msg('Pinpoint bleeding the day after'),
    is: ({ pinpointBleeding }) => pinpointBleeding,
  },
  'numb-day-after': { label: msg('Numbness the day after'), is: ({ numbness }) => numbness },
  abrasion: { label: msg('Skin abrasion the day after'), is: ({ skinAbrasion }) => skinAbrasion === true },
  referred: { label: msg('Referred urgently the day after'), is: ({ urgent }) => (urgent?.length ?? 0) > 0 },
};

/** Everything that is counted, in words, what matters most first. */
export const SEEN_LABELS: Record<SeenId, Message> = {
  ...(Object.fromEntries(
    Object.entries(SIGNS)
      .filter(([, { level }]) => level !== 'expected')
      .map(([id, { label }]) => [id, label]),
  ) as Record<Exclude<SignId, ExpectedId>, Message>),
  ...(Object.fromEntries(Object.entries(DAY_AFTER).map(([id, { label }]) => [id, label])) as Record<
    DayAfterId,
    Message
  >),
};
export const SEEN_IDS = Object.keys(SEEN_LABELS) as SeenId[];

/** By what inflations are grouped (rule OUT-7); never by who worked. */
export type Cell = {
  limb: LimbKind;
  percentBand: PercentBand;
  minutesBand: MinutesBand;
  schoolId: SchoolId;
  cuff: string;
};

/** Inflations of one kind, and how often each thing was seen with them. */
export type Tally = Cell & { inflations: number; seen: Partial<Record<SeenId, number | undefined>> };

const PERCENT_BANDS = {
  'by-feel': { from: Number.NaN, label: msg('by feel') },
  'under-40': { from: 0, label: msg('under 40 %') },
  '40-49': { from: 40, label: msg('40–49 %') },
  '50-59': { from: 50, label: msg('50–59 %') },
  '60-69': { from: 60, label: msg('60–69 %') },
  '70-79': { from: 70, label: msg('70–79 %') },
  '80-up': { from: 80, label: msg('80 % and over') },
} as const;
/** A span of %LOP. */
export type PercentBand = keyof typeof PERCENT_BANDS;

const MINUTES_BANDS = {
  'under-2': { from: 0, label: msg('under 2 min') },
  '2-5': { from: 2, label: msg('2–5 min') },
  '5-10': { from: 5, label: msg('5–10 min') },
  '10-up': { from: 10, label: msg('10 min and over') },
} as const;
/** A span of time under the cuff. */
export type MinutesBand = keyof typeof MINUTES_BANDS;

/** The last span that begins at or under a value. */
const bandOf = <Id extends string>(bands: Record<Id, { from: number }>, value: number): Id =>
  (Object.keys(bands) as Id[]).findLast((id) => value >= bands[id].from) as Id;

/** @example percentBand(49.9) //=> '40-49' */
export const percentBand = (percentLop: number | null): PercentBand =>
  percentLop === null ? 'by-feel' : bandOf(PERCENT_BANDS, percentLop);

/** @example minutesBand(120_000) //=> '2-5' */
export const minutesBand = (occludedMs: number): MinutesBand =>
  bandOf(MINUTES_BANDS, occludedMs / MS_PER_MINUTE);

/** What a row of the table is called, by its group; a cuff by the name the practice gave it. */
export function cellText(by: Dimension, name: string): Text {
  switch (by) {
    case 'percentBand':
      return PERCENT_BANDS[name as PercentBand].label;
    case 'minutesBand':
      return MINUTES_BANDS[name as MinutesBand].label;
    case 'limb':
      return LIMB_KIND_NAMES[name as LimbKind];
    case 'schoolId':
      return SCHOOLS[name as SchoolId].label;
    case 'cuff':
      return name;
  }
}

/**
 * What a session adds to the count: each inflation with what was noted from it on; the day after belongs to the last inflation
 * of each limb (rule OUT-7).
 */
export function talliesOf(line: SessionLine): Tally[] {
  const { followUp } = line;
  const next = followUp
    ? (Object.keys(DAY_AFTER) as DayAfterId[]).filter((id) => DAY_AFTER[id].is(followUp))
    : [];
  return line.inflations.map((inflation, place) => {
    const isLast = !line.inflations.slice(place + 1).some(({ limb }) => limb === inflation.limb);
    const seen: SeenId[] = [...inflation.signs.filter(isCounted), ...(isLast ? next : [])];
    return {
      ...cellOf(inflation, line.schoolId),
      inflations: 1,
      seen: Object.fromEntries(seen.map((id) => [id, 1])),
    };
  });
}

const isCounted = (sign: SignId): sign is Exclude<SignId, ExpectedId> => SIGNS[sign].level !== 'expected';

const cellOf = ({ limb, percentLop, occludedMs, cuff }: LineInflation, schoolId: SchoolId): Cell => ({
  limb: limbKind(limb),
  percentBand: percentBand(percentLop),
  minutesBand: minutesBand(occludedMs),
  schoolId,
  cuff,
});

/** What a table is grouped by; one row for everything without it. */
export type Dimension = keyof Cell;

/** A row of the table: `name` is one of its dimension; `null` for all together. */
export type RateRow = {
  name: string | null;
  inflations: number;
  any: Rate;
  seen: { id: SeenId; rate: Rate }[];
};

/** Rates of everything that is counted, a row for each kind of inflation and one for all (rule OUT-7). */
export function rateRows(tallies: readonly Tally[], by: Dimension | null): RateRow[] {
  const names = by === null ? [] : [...new Set(tallies.map((tally): string => tally[by]))].sort();
  return [null, ...names].map((name) => {
    const own = name === null ? tallies : tallies.filter((tally) => by !== null && tally[by] === name);
    const inflations = own.reduce((sum, tally) => sum + tally.inflations, 0);
    const count = (id: SeenId) => own.reduce((sum, tally) => sum + (tally.seen[id] ?? 0), 0);
    return {
      name,
      inflations,
      any: ratePer(
        SEEN_IDS.reduce((sum, id) => sum + count(id), 0),
        inflations,
      ),
      seen: SEEN_IDS.map((id) => ({ id, rate: ratePer(count(id), inflations) })),
    };
  });
}
