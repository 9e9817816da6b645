import type { BlockWish } from '../course/block';
import { startBlock } from '../course/block-starts';
import { type Message, msg } from '../message/message';
import type { VerdictKind } from '../outcomes/verdict';
import { type Day, dayOf, isoOf } from '../quantity/days';
import { RULES } from '../rules/catalogue';
import { type BlockStanding, blockAsItStands } from './block-in-force';
import { courseDays } from './course-days';
import type { ClientFacts, KitInUse } from './facts';

/** What may follow a block: weeks that are drafted by one key, the plan that is changed, or nothing more. */
export type NextBlock = { id: NextBlockId; label: Message } & (
  | { do: 'draft'; wish: BlockWish }
  | { do: 'change-the-plan' }
  | { do: 'end-the-plan' }
);
export type NextBlockId = 'go-on' | 'change-one' | 'deload' | 'bridge' | 'stop';

/** A block at its end: what it did, and what may follow, what is proposed first with why (rule CRS-6). */
export type BlockEnd = {
  planned: number;
  done: number;
  missed: number;
  sets: number;
  occludedMs: number;
  proposed: NextBlockId;
  why: Message;
  next: NextBlock[];
};

const { fromWeeks, fromShare } = RULES['OUT-5'].figures;
const { mostPerWeek } = RULES['PRO-3'].figures;

/**
 * What the newest block did, and what may follow it; null while a session of it is to come, or where there is no block
 * (rule CRS-6).
 * @param main what came of the measure that counts over the block; null where it was not measured at both ends
 * @example 8 weeks, 15 of 16 sessions, within noise //=> proposed: 'change-one'
 */
export function blockEnd(
  facts: ClientFacts,
  kit: KitInUse,
  main: VerdictKind | null,
  nowMs: number,
): BlockEnd | null {
  const standing = endedBlock(facts, nowMs);
  if (!standing) return null;
  const days = courseDays(standing, facts, kit, nowMs);
  const done = days.filter(({ state }) => state === 'done');
  const planned = standing.entries.length;
  const given = { weeks: standing.block.wish.weeks, share: done.length / Math.max(1, planned) };
  const next = followers(standing);
  return {
    planned,
    done: done.length,
    missed: planned - done.length,
    sets: done.reduce((sum, { sets }) => sum + sets, 0),
    occludedMs: done.reduce((sum, { occludedMs }) => sum + occludedMs, 0),
    ...proposal(main, given),
    next,
  };
}

/** The newest block where none of its sessions is to come; null where it runs, or there is none. */
export function endedBlock(facts: ClientFacts, nowMs: number): BlockStanding | null {
  const standing = blockAsItStands(facts, nowMs);
  return standing?.entries.some(({ state }) => state === 'to-come') ? null : standing;
}

/** What is proposed of them, and why (rules CRS-6, OUT-5). */
function proposal(
  main: VerdictKind | null,
  { weeks, share }: { weeks: number; share: number },
): Pick<BlockEnd, 'proposed' | 'why'> {
  if (main === null || main === 'too-early')
    return {
      proposed: 'go-on',
      why: msg('Nothing was measured at both ends of it. Measure before it goes on.'),
    };
  if (main === 'real-loss' || main === 'probably-loss')
    return { proposed: 'stop', why: msg('It got worse. Find out why before anything goes on.') };
  if (main === 'real-gain' || main === 'probably-gain')
    return { proposed: 'go-on', why: msg('It got better.') };
  const percent = Math.round(100 * share);
  if (weeks < fromWeeks || share < fromShare)
    return {
      proposed: 'go-on',
      why: msg('Too little was done to judge: {weeks} weeks with {percent} % of the sessions.', {
        weeks,
        percent,
      }),
    };
  return {
    proposed: 'change-one',
    why: msg('No real gain after {weeks} weeks with {percent} % of the sessions.', { weeks, percent }),
  };
}

function followers(standing: BlockStanding): NextBlock[] {
  const { block, plans, today } = standing;
  const startsOn = isoOf(Math.max(today, lastDayOf(block.wish) + 1));
  const wish: BlockWish = {
    ...block.wish,
    startsOn,
    lines: block.wish.lines.filter(({ coursePlanId }) => plans.some(({ id }) => id === coursePlanId)),
    season: block.wish.season.filter(({ day, toDay }) => (toDay ?? day) >= startsOn),
  };
  const started = (id: 'deload' | 'one-heavy-two-light'): BlockWish => ({
    ...startBlock(id, plans, wish),
    season: wish.season,
  });
  const isLoaded = plans.some(({ plan }) => plan.exercises.some(({ load }) => load.kind === 'weighed'));
  return [
    { id: 'go-on', label: msg('Go on as before'), do: 'draft', wish },
    oneChange(wish, standing),
    { id: 'deload', label: msg('Four weeks with a deload'), do: 'draft', wish: started('deload') },
    ...(isLoaded
      ? [
          {
            id: 'bridge' as const,
            label: msg('The bridge to heavy work: a heavy day a week'),
            do: 'draft' as const,
            wish: started('one-heavy-two-light'),
          },
        ]
      : []),
    { id: 'stop', label: msg('Stop'), do: 'end-the-plan' },
  ];
}

const lastDayOf = ({ startsOn, weeks }: BlockWish): Day => dayOf(startsOn) + 7 * weeks - 1;

/** Three a week where it was fewer; else it is the plan that is changed. */
function oneChange(wish: BlockWish, { plans }: BlockStanding): NextBlock {
  const isPassive = (coursePlanId: string) => plans.find(({ id }) => id === coursePlanId)?.kinds.length === 0;
  const hasRoom = ({ coursePlanId, perWeek, available }: BlockWish['lines'][number]) =>
    !isPassive(coursePlanId) && perWeek < mostPerWeek && available.length >= mostPerWeek;
  if (!wish.lines.some(hasRoom))
    return {
      id: 'change-one',
      label: msg('Change one thing in the plan: a load step, or the pressure to usual'),
      do: 'change-the-plan',
    };
  return {
    id: 'change-one',
    label: msg('Change one thing: three a week'),
    do: 'draft',
    wish: {
      ...wish,
      lines: wish.lines.map((line) => (hasRoom(line) ? { ...line, perWeek: mostPerWeek } : line)),
    },
  };
}
