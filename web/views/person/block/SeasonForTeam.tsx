import { t } from '@lingui/core/macro';
import { useQueries, useQueryClient } from '@tanstack/react-query';
import { Popover } from 'radix-ui';
import { useState } from 'react';
import type { ClientRecord } from '#contract/client';
import { checkBlock, type Rescheduled, type SeasonDay, withSeason } from '#core/course';
import { guardFindings, hardFindings } from '#core/findings';
import { dayAt, isoOf, newest } from '#core/quantity';
import { blockPlansOf } from '#core/record';
import { api, failureWords, read } from '../../../data/api';
import { KEYS } from '../../../data/keys';
import { clientQuery } from '../../../data/queries';
import { translate } from '../../../language/translate';
import { Button } from '../../../parts/base/Button';
import { Only } from '../../../parts/base/Only';
import { type ChosenPerson, PeopleTicks } from '../../../parts/record/PeopleTicks';
import { isoWords } from '../../../words/noon';

/** The calendar of one person for a team: what moves for each of them is said before it is kept (rule CRS-5). */
export function SeasonForTeam({ clientId, season }: { clientId: string; season: readonly SeasonDay[] }) {
  const [chosen, setChosen] = useState<ChosenPerson[]>([]);
  if (season.length === 0) return null;
  return (
    <Popover.Root>
      <Popover.Trigger className="min-h-11 text-[15px] underline underline-offset-4">
        {t`The same calendar for a team`}
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          aria-label={t`The same calendar for a team`}
          align="start"
          sideOffset={4}
          collisionPadding={12}
          className="z-40 max-h-[70vh] w-[34rem] max-w-[92vw] space-y-3 overflow-y-auto rounded-sm border border-ink bg-paper p-3"
        >
          <PeopleTicks chosen={chosen} setChosen={setChosen} notId={clientId} />
          {chosen.length > 0 && <Team chosen={chosen} season={season} />}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

/** What differs for each of them, and one press for all whose block can be kept so. */
function Team({ chosen, season }: { chosen: ChosenPerson[]; season: readonly SeasonDay[] }) {
  const queries = useQueryClient();
  const [said, setSaid] = useState<ReadonlyMap<string, string>>(new Map());
  const [isKeeping, setKeeping] = useState(false);
  const records = useQueries({ queries: chosen.map(({ id }) => clientQuery(id)) });
  const made = records.flatMap(({ data }) => (data ? [forOne(data, season)] : []));
  const ready = made.filter(({ id, block }) => block !== null && !said.has(id));
  const keep = async () => {
    setKeeping(true);
    for (const { id, block } of ready) {
      if (!block) continue;
      const words = await read(api.clients[':id'].blocks.$post({ param: { id }, json: block }))
        .then(() => t`Kept.`)
        .catch(failureWords);
      setSaid((before) => new Map([...before, [id, words]]));
      void queries.invalidateQueries({ queryKey: KEYS.client(id) });
    }
    setKeeping(false);
  };
  return (
    <>
      <ul className="border-t border-rule">
        {made.map(({ id, name, moved, notes }) => (
          <li key={id} className="border-b border-rule py-1 text-[15px]">
            <p>
              <span className="font-semibold">{name}</span> <span className="text-quiet">{said.get(id)}</span>
            </p>
            {moved.map((words) => (
              <p key={words}>{words}</p>
            ))}
            {notes.map((words) => (
              <p key={words} className="notched text-[14px] text-ochre">
                {words}
              </p>
            ))}
          </li>
        ))}
      </ul>
      <Only permission="sign">
        <Button kind="main" disabled={ready.length === 0 || isKeeping} onClick={() => void keep()}>
          {t`Keep for ${ready.length}`}
        </Button>
      </Only>
    </>
  );
}

/** The block of one of them with the calendar; null where there is none, or where a rule asks for a reason. */
function forOne({ id, name, facts, judgedAtMs }: ClientRecord, season: readonly SeasonDay[]) {
  const kept = newest(facts.blocks);
  if (!kept) return { id, name, block: null, moved: [], notes: [t`No block is kept.`] };
  const plans = blockPlansOf(facts);
  const made = withSeason(
    { wish: kept.wish, sessions: kept.sessions },
    season,
    plans,
    dayAt(judgedAtMs, facts.zoneOffsetMs),
  );
  if (!made) return { id, name, block: null, moved: [], notes: [t`None of the days lies in their block.`] };
  const found = checkBlock(made.block, plans);
  const against = [...hardFindings(found), ...guardFindings(found)];
  const words = ({ coursePlanId, from, to, why }: Rescheduled) =>
    `${plans.find((plan) => plan.id === coursePlanId)?.name ?? t`A plan that has ended`}: ${isoWords(isoOf(from))} → ${isoWords(isoOf(to))} (${translate(why)})`;
  return {
    id,
    name,
    block: against.length === 0 ? made.block : null,
    moved: made.moved.length > 0 ? made.moved.map(words) : [t`No session moves.`],
    notes: [...against, ...made.unmet].map(({ message }) => translate(message)),
  };
}
