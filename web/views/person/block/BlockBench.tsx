import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useState } from 'react';
import type { NewBlock } from '#contract/block';
import type { ClientRecord } from '#contract/client';
import type { PracticeView } from '#contract/practice';
import { checkBlock } from '#core/course';
import { isoOf } from '#core/quantity';
import { api, failureWords, read } from '../../../data/api';
import { useRecordWrite } from '../../../data/queries';
import { translate } from '../../../language/translate';
import { Button } from '../../../parts/base/Button';
import { FindingLine } from '../../../parts/base/FindingLine';
import { Only } from '../../../parts/base/Only';
import { Why } from '../../../parts/base/Why';
import { Choice } from '../../../parts/fields/Choice';
import { FieldError } from '../../../parts/fields/Field';
import { FirstDo } from '../../../parts/plan/Bench';
import { useGuards } from '../../../parts/plan/use-guards';
import { isoWords } from '../../../words/noon';
import { BlockEnded } from './BlockEnded';
import { BlockWeeks } from './BlockWeeks';
import { BlockWishForm } from './BlockWishForm';
import { MonthView } from './MonthView';
import { Rehearsal } from './Rehearsal';
import { type BlockState, useBlock } from './use-block';

/** A block of weeks: which plans it schedules left, where they fall right; kept, followed, and handed out. */
export function BlockBench({ client, practice }: { client: ClientRecord; practice: PracticeView }) {
  const block = useBlock(client, practice);
  if (block.plans.length === 0) {
    return (
      <FirstDo clientId={client.id} link="prescribe">
        {t`A block schedules plans, and none is signed yet.`}
      </FirstDo>
    );
  }
  return (
    <div className="grid gap-8 lg:grid-cols-[16rem_1fr]">
      {/* Where there is one column, what falls where comes before what is wished. */}
      <div className="max-lg:order-last">
        <BlockWishForm clientId={client.id} block={block} />
      </div>
      <BlockDays client={client} practice={practice} block={block} />
    </div>
  );
}

function BlockDays({
  client,
  practice,
  block,
}: {
  client: ClientRecord;
  practice: PracticeView;
  block: BlockState;
}) {
  const [view, setView] = useState<'weeks' | 'month'>('weeks');
  const [chosen, setBrush] = useState<string | null>(null);
  const write = useRecordWrite((json: NewBlock) =>
    read(api.clients[':id'].blocks.$post({ param: { id: client.id }, json })),
  );
  const { plans, unmet, moved, problem, entries } = block;
  const { wish, sessions } = block.block;
  const findings = problem ? [] : checkBlock(block.block, plans);
  const { mayPass, reason, asked } = useGuards(findings, write.error);
  const named = plans.filter(({ id }) => wish.lines.some(({ coursePlanId }) => coursePlanId === id));
  const brush = named.find(({ id }) => id === chosen)?.id ?? named[0]?.id ?? '';
  const planned = entries.filter((entry) => entry.state !== 'to-come' || !entry.makesUp);
  const count = (state: (typeof entries)[number]['state']) =>
    planned.filter((entry) => entry.state === state).length;
  // What makes up for a missed one comes beside those that were planned.
  const madeUp = entries.length - planned.length;
  return (
    <div className="min-w-0 space-y-4">
      {block.hasKept && block.isKept && (
        <BlockEnded client={client} practice={practice} draft={block.draft} />
      )}
      <div className="flex flex-wrap items-end justify-between gap-4">
        <p>
          <Trans>
            <span className="figures text-2xl">{sessions.length}</span> sessions in {wish.weeks} weeks
            {block.hasKept &&
              t`: ${count('done')} done, ${count('missed')} missed, ${count('to-come')} to come`}
            {block.hasKept && madeUp > 0 && t`; ${madeUp} of the missed made up`}
          </Trans>
        </p>
        <div className="flex flex-wrap gap-x-6 gap-y-2">
          {named.length > 1 && (
            <Choice
              label={t`A press on a day is for`}
              value={brush}
              onChange={setBrush}
              options={named.map(({ id, name }) => ({ value: id, label: translate(name) }))}
            />
          )}
          <Choice
            label={t`Shown as`}
            value={view}
            onChange={setView}
            options={[
              { value: 'weeks', label: t`the block` },
              { value: 'month', label: t`months` },
            ]}
          />
        </div>
      </div>
      {problem && <FieldError>{problem.issues[0]?.message ?? t`Something is to be filled in.`}</FieldError>}
      {unmet.map(({ message, rule }) => (
        <p key={translate(message)} className="notched py-0.5 text-[15px] text-ochre">
          {translate(message)} <Why rule={rule} />
        </p>
      ))}
      {moved.length > 0 && <MovedSessions moved={moved} plans={plans} />}
      {findings.map((finding) => (
        <FindingLine key={translate(finding.message)} finding={finding} />
      ))}
      {view === 'weeks' ? (
        <BlockWeeks block={block} brush={brush} />
      ) : (
        <MonthView block={block} brush={brush} />
      )}
      <p className="max-w-prose text-[14px] text-quiet">
        {t`Press a day to add or take away a session. What is missed is made up in its week where that fits; a session done on another day fills the nearest missed one. Maximal strength needs heavy work.`}{' '}
        <Why rule="PRO-4" />
      </p>
      {!problem && <Rehearsal client={client} practice={practice} block={block} />}
      <div className="flex flex-wrap items-end gap-4 border-t border-ink/40 pt-4">
        {asked}
        <Only permission="sign">
          <Button
            kind="main"
            disabled={
              problem !== undefined || sessions.length === 0 || !mayPass || block.isKept || write.isPending
            }
            onClick={() => write.mutate({ ...block.block, ...reason })}
          >
            {block.isKept ? t`Kept` : t`Keep the block`}
          </Button>
        </Only>
        {block.hasKept && (
          <a
            href={`/api/clients/${client.id}/block.ics`}
            download
            className="inline-flex min-h-11 items-center underline underline-offset-4"
          >
            {t`Calendar file of the kept block`}
          </a>
        )}
        {write.error && <FieldError>{failureWords(write.error)}</FieldError>}
      </div>
    </div>
  );
}

/** Which sessions go to another day because of the calendar, and why (rule CRS-5). */
function MovedSessions({ moved, plans }: Pick<BlockState, 'moved' | 'plans'>) {
  const nameOf = (id: string) => plans.find((plan) => plan.id === id)?.name ?? t`A plan that has ended`;
  return (
    <ul className="text-[15px]">
      {moved.map(({ coursePlanId, from, to, why }) => (
        <li key={`${coursePlanId} ${from}`} className="border-l-2 border-plum pl-2">
          {translate(nameOf(coursePlanId))}: <span className="figures">{isoWords(isoOf(from))}</span> →{' '}
          <span className="figures">{isoWords(isoOf(to))}</span> ({translate(why)})
        </li>
      ))}
    </ul>
  );
}
