import { t } from '@lingui/core/macro';
import { useQueries, useQueryClient } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { v4 as newId } from 'uuid';
import type { ClientRecord, ClientSummary } from '#contract/client';
import { shortOf } from '#core/plan';
import { type GroupOpening, groupOpening, standingOf, WELL_TODAY } from '#core/record';
import { DAY_SIGNS, type DaySign } from '#core/screening';
import { openSession } from '../../../act/runtime';
import { api, failureWords, read } from '../../../data/api';
import { serverNow } from '../../../data/clock';
import { useOpenViews } from '../../../data/open-sessions';
import { useTodaysPeople } from '../../../data/people';
import { clientQuery, usePractice } from '../../../data/queries';
import { inSentence, translate } from '../../../language/translate';
import { Button } from '../../../parts/base/Button';
import { Panel } from '../../../parts/base/Panel';

/**
 * Several people are asked and opened on one screen: one answer each that they are well and without pain, nothing filled in before, and
 * one key for all. Who needs more says so in their line, and is opened by themselves.
 */
export function OpenGroup({ open, onOpenChange }: { open: boolean; onOpenChange: (open: boolean) => void }) {
  return (
    <Panel open={open} onOpenChange={onOpenChange} title={t`Open several`} width="w-[960px]">
      {open && <Group close={() => onOpenChange(false)} />}
    </Panel>
  );
}

function Group({ close }: { close: () => void }) {
  const queries = useQueryClient();
  const { data: practice } = usePractice();
  const running = useOpenViews();
  const { people = [] } = useTodaysPeople();
  const here = people.filter(({ id }) => !running.some(({ clientId }) => clientId === id));
  const isReady = (person: ClientSummary) => ['ready', 'later'].includes(standingOf(person).standing);
  const ready = here.filter(isReady);
  // Each plan is worked out again for today: once for a record, and not with every answer or when another's record changes.
  const lineOf = useMemo(
    () =>
      practice &&
      ((record: ClientRecord) => ({ record, opening: groupOpening(record, practice, serverNow()) })),
    [practice],
  );
  const lines = useQueries({
    queries: lineOf ? ready.map(({ id }) => ({ ...clientQuery(id), select: lineOf })) : [],
    combine: thatAreRead,
  });
  // In the order in which they answered.
  const [well, setWell] = useState<readonly string[]>([]);
  const [failures, setFailures] = useState<ReadonlyMap<string, string>>(new Map());
  const [isOpening, setOpening] = useState(false);
  if (!practice) return null;
  const asked = askedOfAll(lines.map(({ opening }) => opening));
  const plansOf = (ids: readonly string[]) =>
    lines.flatMap(({ record, opening }) =>
      ids.includes(record.id) && opening.can === 'open' ? [opening.plan] : [],
    );
  const worn = running.map(({ plan }) => plan);
  const shortWith = (id: string) => shortOf(practice, [...worn, ...plansOf([...well, id])]);
  const openAll = async () => {
    setOpening(true);
    const refused = new Map<string, string>();
    for (const id of well) {
      const line = lines.find(({ record }) => record.id === id);
      if (line?.opening.can !== 'open') continue;
      const { inHand, asks } = line.opening;
      try {
        if (asks !== 'nothing') await sayWell(id);
        await openSession(queries, newId(), inHand.prescription.id, {});
      } catch (error) {
        refused.set(id, failureWords(error));
      }
    }
    setOpening(false);
    setFailures(refused);
    setWell(well.filter((id) => refused.has(id)));
    if (refused.size === 0) close();
  };
  return (
    <div className="space-y-4">
      {ready.length === 0 && <p>{t`No one is ready now.`}</p>}
      {asked.length > 0 && <p>{t`Ask each: ${signWords(asked)}.`}</p>}
      <ul className="border-t border-ink/40">
        {lines.map(({ record, opening }) => {
          const isWell = well.includes(record.id);
          const short = isWell || opening.can === 'not' ? [] : shortWith(record.id);
          return (
            <li
              key={record.id}
              className="grid grid-cols-[1fr_auto] items-center gap-x-4 gap-y-1 border-b border-rule py-1.5 sm:grid-cols-[14rem_1fr_auto]"
            >
              <span className="text-lg leading-tight font-semibold">{record.name}</span>
              <span className="text-[15px] leading-tight max-sm:col-span-2 max-sm:row-start-2">
                {opening.can === 'not' ? translate(opening.why) : <Asked line={opening} askedOfAll={asked} />}
                {short.map((words) => (
                  <span key={translate(words)} className="notched block text-ochre">
                    {translate(words)}
                  </span>
                ))}
                {failures.has(record.id) && (
                  <span role="alert" className="block text-vermilion">
                    {failures.get(record.id)}
                  </span>
                )}
              </span>
              {opening.can === 'not' ? (
                <OneByOne id={record.id} link={opening.link} name={record.name} />
              ) : (
                <span className="flex gap-1.5">
                  <Button
                    kind={isWell ? 'main' : 'plain'}
                    aria-pressed={isWell}
                    disabled={short.length > 0 || isOpening}
                    onClick={() =>
                      setWell(isWell ? well.filter((id) => id !== record.id) : [...well, record.id])
                    }
                  >
                    {opening.asks === 'nothing' ? t`Comes` : t`Well, pain 0`}
                    <span className="sr-only"> {record.name}</span>
                  </Button>
                  <OneByOne id={record.id} link="run" name={record.name} />
                </span>
              )}
            </li>
          );
        })}
      </ul>
      <Others people={here.filter((person) => !isReady(person))} />
      <div className="sticky -bottom-5 -mx-5 flex flex-wrap items-center gap-x-4 border-t border-ink/40 bg-paper px-5 py-3">
        <Button
          kind="main"
          className="min-h-14 text-xl"
          disabled={well.length === 0 || isOpening}
          onClick={() => void openAll()}
        >
          {well.length === 1 ? t`Open one session` : t`Open ${well.length} sessions`}
        </Button>
        <p className="text-[15px] text-quiet">{t`Only who said so is well: nothing is filled in before.`}</p>
      </div>
    </div>
  );
}

const thatAreRead = <T,>(answers: readonly { data: T | undefined }[]): T[] =>
  answers.flatMap(({ data }) => data ?? []);

type CanOpen = Extract<GroupOpening, { can: 'open' }>;

/** What everyone who can be opened is asked. */
function askedOfAll(openings: readonly GroupOpening[]): readonly DaySign[] {
  const [first = [], ...others] = openings.flatMap((opening) =>
    opening.can === 'open' && opening.asks !== 'nothing' ? [opening.asks] : [],
  );
  return first.filter((sign) => others.every((asks) => asks.includes(sign)));
}

const signWords = (signs: readonly DaySign[]): string =>
  signs.map((sign) => inSentence(DAY_SIGNS[sign].ask)).join(' · ');

/** The plan it opens, and what "well" answers for this person beside what all are asked. */
function Asked({
  line: { inHand, asks },
  askedOfAll: common,
}: {
  line: CanOpen;
  askedOfAll: readonly DaySign[];
}) {
  const plan = translate(inHand.coursePlan.name);
  if (asks === 'nothing') return t`${plan}. Checked today.`;
  const own = asks.filter((sign) => !common.includes(sign));
  return own.length > 0 ? t`${plan}. Ask too: ${signWords(own)}` : plan;
}

/** Every other answer is given where there is room for it. */
const OneByOne = ({ id, link, name }: { id: string; link: string; name: string }) => (
  <Link
    to={`/people/${id}/${link}`}
    className="inline-flex min-h-11 items-center px-2 underline underline-offset-4"
  >
    {t`Other`}
    <span className="sr-only"> {name}</span>
  </Link>
);

/** Who cannot train now, and why. */
function Others({ people }: { people: readonly ClientSummary[] }) {
  if (people.length === 0) return null;
  return (
    <details>
      <summary className="min-h-11 cursor-pointer py-2">{t`${people.length} not now`}</summary>
      <ul>
        {people.map((person) => {
          const { link } = standingOf(person);
          return (
            <li key={person.id} className="flex flex-wrap gap-x-4 border-b border-rule py-1">
              <Link
                to={`/people/${person.id}/${link?.id ?? 'screen'}`}
                className="w-56 font-semibold underline underline-offset-4"
              >
                {person.name}
              </Link>
              <span className="text-[15px]">{translate(link?.reason)}</span>
            </li>
          );
        })}
      </ul>
    </details>
  );
}

const sayWell = (id: ClientRecord['id']) =>
  read(api.clients[':id']['day-checks'].$post({ param: { id }, json: WELL_TODAY }));
