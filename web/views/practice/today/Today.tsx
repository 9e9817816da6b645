import { t } from '@lingui/core/macro';
import { type ReactNode, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import type { ClientSummary } from '#contract/client';
import { BY_NEED, type Link as ChainLink, LINK_LABELS, type Standing, standingOf } from '#core/record';
import { useOpenViews } from '../../../data/open-sessions';
import { usePeopleList, useTodaysPeople } from '../../../data/people';
import { usePractice } from '../../../data/queries';
import { inSentence, translate } from '../../../language/translate';
import { Button } from '../../../parts/base/Button';
import { LongList } from '../../../parts/base/LongList';
import { SearchField } from '../../../parts/fields/SearchField';
import { HandoverNotes, LeaveNote } from '../../../parts/record/HandoverNotes';
import { dayAndTime } from '../../../words/format';
import { DemoClock } from './DemoClock';
import { FirstPerson } from './FirstPerson';
import { MadeUp } from './MadeUp';

const LINE_PX = 80;

/** Who can train now, and for everyone else the one thing that is missing. */
export function Today() {
  const { search, setSearch, setInView, total, at, isSearched, isSettled, isRead } = usePeopleList();
  const navigate = useNavigate();
  const found = at(0);
  const { people, isMany } = useTodaysPeople();
  const { data: practice } = usePractice();
  const [everyone, setEveryone] = useState(false);
  const byName = (
    <LongList
      count={total}
      lineHeightPx={LINE_PX}
      className="mt-6 border-t border-ink/40"
      onInView={setInView}
    >
      {(place) => <NextThing person={at(place)} />}
    </LongList>
  );
  return (
    <div className="max-w-4xl p-6">
      <div className="flex min-h-19 flex-wrap items-end justify-between gap-x-6 gap-y-2">
        <div>
          <h1 className="min-h-9 text-3xl font-semibold">
            {practice?.settings.name ?? <span className="sr-only">{t`Today`}</span>}
          </h1>
          <p className="mt-1 text-quiet">{t`Who can train now, and what is next for everyone else.`}</p>
        </div>
        {isSearched && (
          <SearchField
            label={isMany ? t`Find among ${total} people` : t`Find in this list`}
            value={search}
            onChange={setSearch}
            first={{ isSettled, take: found ? () => navigate(`/people/${found.id}`) : null }}
            className="w-full max-w-72"
          />
        )}
      </div>
      {search && total === 0 && <p className="mt-4">{t`No name or story begins so. Try fewer letters.`}</p>}
      {people && <Emergencies people={people} />}
      <div className="mt-4">
        <HandoverNotes />
      </div>
      {!isRead || !people ? (
        // What is beneath comes with the list: nothing moves once it is there.
        <p className="mt-4 text-quiet">{t`Reading who is on the list…`}</p>
      ) : search ? (
        byName
      ) : (
        <ByNeed people={people} />
      )}
      {isRead && total === 0 && people?.length === 0 && !search && <FirstPerson />}
      <MadeUp />
      {isRead && people && (
        <>
          {isMany && !search && (
            <section className="mt-8">
              <Button aria-expanded={everyone} onClick={() => setEveryone(!everyone)}>
                {everyone ? t`Only who is concerned today` : t`All ${total} people by name`}
              </Button>
              {everyone && byName}
            </section>
          )}
          {people.length > 0 && (
            <p className="mt-6">
              <Link to="/people/new" className="font-semibold underline underline-offset-4">
                {t`Add a person`}
              </Link>
            </p>
          )}
          <div className="mt-6 max-w-xl">
            <LeaveNote clientId={null} label={t`For the next shift, of the day`} />
          </div>
          <DemoClock />
          <p className="mt-10 max-w-prose text-[14px] text-quiet">
            {t`Nervato is decision support. Follow local policy and licensed practice; the person in front of you comes first.`}
          </p>
        </>
      )}
    </div>
  );
}

/** Who said what the emergency number is for: before anything else, until a clinician lifts it (rule RUN-6). */
function Emergencies({ people }: { people: readonly ClientSummary[] }) {
  const concerned = people.filter(({ emergency }) => emergency !== null);
  if (concerned.length === 0) return null;
  return (
    <section aria-label={t`Call now`} role="alert" className="mt-4 border-l-8 border-vermilion bg-tint p-3">
      <h2 className="text-xl font-semibold text-vermilion">{t`Call now`}</h2>
      <ul>
        {concerned.map(({ id, name, emergency }) => (
          <li key={id}>
            <Link to={`/people/${id}/screen`} className="flex min-h-11 flex-wrap items-baseline gap-x-3 py-2">
              <span className="text-xl font-semibold underline underline-offset-4">{name}</span>
              {emergency && (
                <span>
                  {translate(emergency.words)}, {dayAndTime(emergency.atMs)}
                </span>
              )}
            </Link>
          </li>
        ))}
      </ul>
    </section>
  );
}

const HEADINGS: Record<Standing, string> = {
  ready: t`Ready now`,
  ask: t`How was it?`,
  first: t`One thing first`,
  held: t`Held`,
  later: t`Another day`,
};

/** Who trains now, and everyone else by what they need first. */
function ByNeed({ people }: { people: readonly ClientSummary[] }) {
  const training = useOpenViews();
  const stand = people.filter(({ id }) => !training.some(({ clientId }) => clientId === id));
  const sections = BY_NEED.map((standing) => ({
    standing,
    heading: HEADINGS[standing],
    theirs: stand.filter((person) => standingOf(person).standing === standing),
  })).filter(({ theirs }) => theirs.length > 0);
  return (
    <div className="mt-4 space-y-8">
      <p className="flex flex-wrap gap-x-5 gap-y-1">
        {sections.map(({ standing, heading, theirs }) => (
          <a key={standing} href={`#${standing}`} className="underline underline-offset-4">
            <span className="figures">{theirs.length}</span> {inSentence(heading)}
          </a>
        ))}
      </p>
      {training.length > 0 && (
        <Section id="training" heading={t`Training now`} count={training.length}>
          {training.map(({ id, clientName, plan }) => (
            <li key={id} className="border-b border-rule">
              <Link to={`/sessions/${id}`} className={LINE}>
                <span className="text-xl font-semibold">{clientName}</span>
                <span className="max-sm:col-span-2 max-sm:row-start-2">
                  {plan.exercises.map(({ label }) => translate(label)).join(', ')}
                </span>
                <span className={NEXT_STEP}>{t`Go on`}</span>
              </Link>
            </li>
          ))}
        </Section>
      )}
      {sections.map(({ standing, heading, theirs }) => (
        <Section key={standing} id={standing} heading={heading} count={theirs.length}>
          <Lines people={theirs} />
        </Section>
      ))}
    </div>
  );
}

function Section({
  id,
  heading,
  count,
  children,
}: {
  id: string;
  heading: string;
  count: number;
  children: ReactNode;
}) {
  return (
    <section id={id} className="scroll-mt-4">
      <h2 className="flex items-baseline gap-3 border-b border-ink/40 pb-1 text-xl font-semibold">
        {heading} <span className="figures text-base font-normal text-quiet">{count}</span>
      </h2>
      <ul>{children}</ul>
    </section>
  );
}

/** More than these are not looked over at a glance, and push the next section away. */
const MOST_AT_ONCE = 12;

/** The lines of a section; of a long one the first, and the others once they are asked for. */
function Lines({ people }: { people: readonly ClientSummary[] }) {
  const [all, setAll] = useState(false);
  const shown = all ? people : people.slice(0, MOST_AT_ONCE);
  return (
    <>
      {shown.map((person) => (
        <li key={person.id} className="border-b border-rule">
          <NextThing person={person} />
        </li>
      ))}
      {shown.length < people.length && (
        <li className="py-3">
          <Button onClick={() => setAll(true)}>{t`${people.length - shown.length} more`}</Button>
        </li>
      )}
    </>
  );
}

const LINE =
  'grid grid-cols-[1fr_auto] items-start gap-x-4 gap-y-1 py-3 hover:bg-tint sm:grid-cols-[15rem_1fr_auto]';
const NEXT_STEP = 'min-w-24 rounded-sm border border-ink/40 px-3 py-1.5 text-center font-semibold';

function NextThing({ person }: { person: ClientSummary | undefined }) {
  if (!person) return <p className="py-3 text-quiet">…</p>;
  const { standing, link } = standingOf(person);
  if (!link) return null;
  const prescribed = person.chain.find(({ id }) => id === 'prescribe');
  return (
    <Link to={`/people/${person.id}/${link.id}`} className={LINE}>
      <span>
        <span className="block text-xl font-semibold">{person.name}</span>
        <span className="text-[14px] text-quiet">{person.story}</span>
      </span>
      <span className="max-sm:col-span-2 max-sm:row-start-2">
        {person.next && (person.next.plans > 1 || person.next.turn.inDays !== 0) && (
          <span className="block">
            <span className="font-semibold">{translate(person.next.name)}:</span>{' '}
            {translate(person.next.turn.why)}
          </span>
        )}
        {person.off && <span className="notched block text-[14px] text-ochre">{translate(person.off)}</span>}
        {standing === 'ready' || standing === 'later'
          ? translate(prescribed?.reason)
          : translate(link.reason)}
      </span>
      <span className={standing === 'ready' ? `${NEXT_STEP} bg-plum text-on-plum` : NEXT_STEP}>
        {nextStepOf(standing, link)}
      </span>
    </Link>
  );
}

/** What is to be done, in a word. */
const nextStepOf = (standing: Standing, { id }: ChainLink): string =>
  standing === 'ask' ? t`Ask` : translate(LINK_LABELS[id]);
