import { useState } from 'react';
import type { ClientRecord } from '#contract/client';
import type { PracticeView } from '#contract/practice';
import type { NewProgramme } from '#contract/programme';
import { checkProgramme, weeksOf } from '#core/course/programme';
import { limitsInForce } from '#core/screening/clearance';
import { api, failureWords, read } from '../../data/api';
import { useRecordWrite } from '../../data/queries';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Choice';
import { FieldError } from '../../parts/Field';
import { FindingLine } from '../../parts/FindingLine';
import { useGuards } from '../../parts/use-guards';
import { BlockWeeks } from './BlockWeeks';
import { BlockWishForm } from './BlockWishForm';
import { MonthView } from './MonthView';
import { useBlock } from './use-block';

/** A block of weeks: the wish left, where the sessions fall right; kept, handed out, and planned again after a miss. */
export function BlockBench({ client, practice }: { client: ClientRecord; practice: PracticeView }) {
  const block = useBlock(client, practice);
  const [view, setView] = useState<'weeks' | 'month'>('weeks');
  const write = useRecordWrite((json: NewProgramme) =>
    read(api.clients[':id'].programmes.$post({ param: { id: client.id }, json })),
  );
  const { programme, unmet, problem, missed } = block;
  const findings = checkProgramme(programme);
  const { mayPass, reason, asked } = useGuards(findings, write.error);
  const cap = limitsInForce(client.facts.clearances, client.judgedAtMs).maxPercentLop;
  const weeks = problem ? [] : weeksOf(programme, block.levelPercentLop, cap);
  return (
    <div className="grid gap-8 lg:grid-cols-[16rem_1fr]">
      <BlockWishForm block={block} />
      <div className="min-w-0 space-y-4">
        {missed.length > 0 && (
          <div className="notched flex flex-wrap items-center gap-4 py-1">
            <p>
              {missed.length === 1 ? 'One planned day was' : `${missed.length} planned days were`} missed.
            </p>
            <Button onClick={block.planAgain}>Plan again from today</Button>
          </div>
        )}
        <div className="flex flex-wrap items-end justify-between gap-4">
          <p>
            <span className="figures text-2xl">{programme.days.length}</span> sessions in{' '}
            {programme.wish.weeks} weeks
          </p>
          <Choice
            label="Shown as"
            value={view}
            onChange={setView}
            options={[
              { value: 'weeks', label: 'the block' },
              { value: 'month', label: 'months' },
            ]}
          />
        </div>
        {problem && <FieldError>{problem.issues[0]?.message ?? 'Something is to be filled in.'}</FieldError>}
        {unmet.map(({ message, rule }) => (
          <p key={message} className="notched py-0.5 text-[15px] text-ochre">
            {message} <span className="text-[13px]">{rule}</span>
          </p>
        ))}
        {findings.map((finding) => (
          <FindingLine key={finding.message} finding={finding} />
        ))}
        {view === 'weeks' ? (
          <BlockWeeks weeks={weeks} block={block} />
        ) : (
          <MonthView weeks={weeks} block={block} />
        )}
        <p className="text-[14px] text-quiet">
          Press a day to add or take away a session. It complements heavy training: maximal strength needs
          heavy work (PRO-4).
        </p>
        <div className="flex flex-wrap items-end gap-4 border-t border-ink/40 pt-4">
          {asked}
          <Button
            kind="main"
            disabled={
              problem !== undefined ||
              programme.days.length === 0 ||
              !mayPass ||
              block.isKept ||
              write.isPending
            }
            onClick={() => write.mutate({ ...programme, ...reason })}
          >
            {block.isKept ? 'Kept' : 'Keep the block'}
          </Button>
          {client.facts.programmes.length > 0 && (
            <a
              href={`/api/clients/${client.id}/programme.ics`}
              download
              className="inline-flex min-h-11 items-center underline underline-offset-4"
            >
              Calendar file of the kept block
            </a>
          )}
          {write.error && <FieldError>{failureWords(write.error)}</FieldError>}
        </div>
      </div>
    </div>
  );
}
