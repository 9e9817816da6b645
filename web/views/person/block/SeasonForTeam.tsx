import { t } from '@lingui/core/macro';
import type { ClientRecord } from '#contract/client';
import { checkBlock, type Rescheduled, type SeasonDay, withSeason } from '#core/course';
import { guardFindings, hardFindings } from '#core/findings';
import { dayAt, isoOf, newest } from '#core/quantity';
import { blockPlansOf } from '#core/record';
import { api, read } from '../../../data/api';
import { translate } from '../../../language/translate';
import { ForGroup, type ForOne } from '../../../parts/record/ForGroup';
import { isoWords } from '../../../words/noon';

/** The calendar of one person for a team: what moves for each of them is said before it is kept (rule CRS-5). */
export function SeasonForTeam({ clientId, season }: { clientId: string; season: readonly SeasonDay[] }) {
  if (season.length === 0) return null;
  return (
    <ForGroup
      className="min-h-11 text-[15px] underline underline-offset-4"
      label={t`The same calendar for a team`}
      notId={clientId}
      forOne={(record) => withTheirBlock(record, season)}
      keepWords={(count) => t`Keep for ${count}`}
      keptWords={t`Kept.`}
    />
  );
}

/** The block of one of them with the calendar; it is kept where no rule asks for a reason. */
function withTheirBlock({ id, facts, judgedAtMs }: ClientRecord, season: readonly SeasonDay[]): ForOne {
  const kept = newest(facts.blocks);
  if (!kept) return { gets: null, notes: [t`No block is kept.`], keep: null };
  const plans = blockPlansOf(facts);
  const { wish, sessions } = kept;
  const made = withSeason({ wish, sessions }, season, plans, dayAt(judgedAtMs, facts.zoneOffsetMs));
  if (!made) return { gets: null, notes: [t`None of the days lies in their block.`], keep: null };
  const found = checkBlock(made.block, plans);
  const against = [...hardFindings(found), ...guardFindings(found)];
  const words = ({ coursePlanId, from, to, why }: Rescheduled) =>
    `${plans.find((plan) => plan.id === coursePlanId)?.name ?? t`A plan that has ended`}: ${isoWords(isoOf(from))} → ${isoWords(isoOf(to))} (${translate(why)})`;
  const moved = made.moved.length > 0 ? made.moved.map(words) : [t`No session moves.`];
  return {
    gets: moved.map((one) => <p key={one}>{one}</p>),
    notes: [...against, ...made.unmet].map(({ message }) => translate(message)),
    keep:
      against.length === 0
        ? () => read(api.clients[':id'].blocks.$post({ param: { id }, json: made.block }))
        : null,
  };
}
