import type { SchoolId } from '../protocol/schools';
import { type LimbKind, limbKind } from '../quantity/limb';
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

const DAY_AFTER: Record<DayAfterId, { label: string; is: (answers: FollowUp) => boolean }> = {
  'small-bruise': { label: 'Small bruise the day after', is: ({ bruising }) => bruising === 'small' },
  'wide-bruise': { label: 'Wide bruising the day after', is: ({ bruising }) => bruising === 'wide' },
  'pinpoint-bleeding': {
    label: 'Pinpoint bleeding the day after',
    is: ({ pinpointBleeding }) => pinpointBleeding,
  },
  'numb-day-after': { label: 'Numbness the day after', is: ({ numbness }) => numbness },
  abrasion: { label: 'Skin abrasion the day after', is: ({ skinAbrasion }) => skinAbrasion === true },
  referred: { label: 'Referred urgently the day after', is: ({ urgent }) => (urgent?.length ?? 0) > 0 },
};

/** Everything that is counted, in words, what matters most first. */
export const SEEN_LABELS: Record<SeenId, string> = {
  ...(Object.fromEntries(
    Object.entries(SIGNS)
      .filter(([, { level }]) => level !== 'expected')
      .map(([id, { label }]) => [id, label]),
  ) as Record<Exclude<SignId, ExpectedId>, string>),
  ...(Object.fromEntries(Object.entries(DAY_AFTER).map(([id, { label }]) => [id, label])) as Record<
    DayAfterId,
    string
  >),
};
export const SEEN_IDS = Object.keys(SEEN_LABELS) as SeenId[];

/** By what the inflations are told apart (rule OUT-7); never by who worked. */
export type Cell = {
  limb: LimbKind;
  percentBand: string;
  minutesBand: string;
  schoolId: SchoolId;
  cuff: string;
};

/** Inflations of one kind, and how often each thing was seen with them. */
export type Tally = Cell & { inflations: number; seen: Partial<Record<SeenId, number | undefined>> };

const PERCENT_BANDS = [40, 50, 60, 70, 80] as const;
const MINUTE_BANDS = [2, 5, 10] as const;

/** "under 40 %", "40–49 %" … "80 % and over", "by feel". */
export function percentBand(percentLop: number | null): string {
  if (percentLop === null) return 'by feel';
  const above = PERCENT_BANDS.findLast((from) => percentLop >= from);
  if (above === undefined) return `under ${PERCENT_BANDS[0]} %`;
  return above === PERCENT_BANDS.at(-1) ? `${above} % and over` : `${above}–${above + 9} %`;
}

/** "under 2 min", "2–5 min" … "10 min and over". */
export function minutesBand(occludedMs: number): string {
  const minutes = occludedMs / MS_PER_MINUTE;
  const place = MINUTE_BANDS.findLastIndex((from) => minutes >= from);
  if (place < 0) return `under ${MINUTE_BANDS[0]} min`;
  const [from, to] = [MINUTE_BANDS[place], MINUTE_BANDS[place + 1]];
  return to === undefined ? `${from} min and over` : `${from}–${to} min`;
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

/** What a table is told apart by; one row for everything without it. */
export type Dimension = keyof Cell;

export type RateRow = { name: string; inflations: number; any: Rate; seen: { id: SeenId; rate: Rate }[] };

/** Rates of everything that is counted, a row for each kind of inflation and one for all (rule OUT-7). */
export function rateRows(tallies: readonly Tally[], by: Dimension | null): RateRow[] {
  const names =
    by === null ? ['All'] : ['All', ...[...new Set(tallies.map((tally) => tally[by] as string))].sort()];
  return names.map((name) => {
    const own = name === 'All' ? tallies : tallies.filter((tally) => by !== null && tally[by] === name);
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
