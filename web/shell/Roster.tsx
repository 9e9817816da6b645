import { t } from '@lingui/core/macro';
import { PanelLeftClose, PanelLeftOpen } from 'lucide-react';
import { memo } from 'react';
import { NavLink, useNavigate } from 'react-router';
import type { ClientSummary } from '#contract/client';
import { BY_NEED, LINK_LABELS, standingOf } from '#core/record';
import { useOpenViews } from '../data/open-sessions';
import { usePeopleList, useTodaysPeople } from '../data/people';
import { usePractice } from '../data/queries';
import { translate } from '../language/translate';
import { IconButton } from '../parts/base/IconButton';
import { LongList } from '../parts/base/LongList';
import { Pip } from '../parts/base/Pip';
import { SearchField } from '../parts/fields/SearchField';
import { PLACES } from '../state/places';
import { isPhone, rosterOpen } from '../state/roster-open';

/** The people of the practice, six pips each; drawn again only by what it follows itself. */
export const Roster = memo(function Roster() {
  const open = rosterOpen.use();
  const { data: practice } = usePractice();
  if (!open) {
    return (
      <nav aria-label={t`People`} className="border-r border-rule p-2 max-sm:hidden print:hidden">
        <IconButton label={t`Show people`} onClick={() => rosterOpen.set(true)}>
          <PanelLeftOpen size={20} aria-hidden />
        </IconButton>
      </nav>
    );
  }
  return (
    <nav
      aria-label={t`People`}
      className="flex w-60 shrink-0 flex-col border-r border-rule max-sm:absolute max-sm:inset-x-0 max-sm:top-11 max-sm:bottom-0 max-sm:z-30 max-sm:w-auto max-sm:border-t max-sm:border-ink max-sm:bg-paper print:hidden"
      onClickCapture={({ target }) => {
        const followed = target instanceof Element && target.closest('a') !== null;
        if (followed && isPhone()) rosterOpen.set(false);
      }}
    >
      <div className="flex items-center justify-between border-b border-rule px-3 py-2">
        <NavLink to="/" className="font-semibold">
          {practice?.settings.name ?? 'Nervato'}
        </NavLink>
        <IconButton label={t`Hide people`} onClick={() => rosterOpen.set(false)}>
          <PanelLeftClose size={20} aria-hidden />
        </IconButton>
      </div>
      <PeopleList />
      <ul className="mt-auto border-t border-rule max-sm:grid max-sm:grid-cols-2">
        {PLACES.map(
          ({ to, label, Icon }) =>
            Icon && (
              <li key={to}>
                <NavLink
                  to={to}
                  className="flex min-h-11 items-center gap-2 px-3 hover:bg-tint aria-[current=page]:bg-tint"
                >
                  <Icon size={18} aria-hidden /> {label}
                </NavLink>
              </li>
            ),
        )}
      </ul>
    </nav>
  );
});

const LINE_PX = 60;

function PeopleList() {
  const { search, setSearch, setInView, total, at, isSearched, isSettled, isError } = usePeopleList();
  const navigate = useNavigate();
  const found = at(0);
  const open = (id: string) => {
    navigate(`/people/${id}`);
    if (isPhone()) rosterOpen.set(false);
  };
  const { people, isMany } = useTodaysPeople();
  const training = useOpenViews().map(({ clientId }) => clientId);
  // Of many the rail shows who is concerned today; the search finds the others.
  const concerned = isMany && search === '' ? byNeed(people ?? [], training) : undefined;
  return (
    <>
      {isError && (
        <p className="notched m-3 text-[14px] text-ochre">{t`The list of people cannot be read just now.`}</p>
      )}
      {isSearched && (
        <SearchField
          label={isMany ? t`Find a person of ${total}` : t`Find a person`}
          value={search}
          onChange={setSearch}
          first={{ isSettled, take: found ? () => open(found.id) : null }}
          className="border-b border-rule p-2"
        />
      )}
      <div data-scroller className="relative min-h-0 flex-1 overflow-y-auto">
        {search && total === 0 && (
          <p className="p-3 text-[14px] text-quiet">{t`No name or story begins so.`}</p>
        )}
        <LongList count={concerned?.length ?? total} lineHeightPx={LINE_PX} onInView={setInView}>
          {(place) => <PersonLine person={concerned ? concerned[place] : at(place)} />}
        </LongList>
      </div>
    </>
  );
}

/** Who trains first, then as the day asks; who has another day is left out. */
function byNeed(people: readonly ClientSummary[], training: readonly string[]): ClientSummary[] {
  const ranks = people.map((person) => ({
    person,
    rank: training.includes(person.id) ? -1 : BY_NEED.indexOf(standingOf(person).standing),
  }));
  return ranks
    .filter(({ rank }) => rank < BY_NEED.indexOf('later'))
    .sort((a, b) => a.rank - b.rank)
    .map(({ person }) => person);
}

function PersonLine({ person }: { person: ClientSummary | undefined }) {
  if (!person) return <span className="block px-3 py-2 text-quiet">…</span>;
  return (
    <NavLink
      to={`/people/${person.id}`}
      className="block px-3 py-2 hover:bg-tint aria-[current=page]:border-l-4 aria-[current=page]:border-plum aria-[current=page]:bg-tint"
    >
      <span className="block truncate font-semibold">{person.name}</span>
      <Pips person={person} />
    </NavLink>
  );
}

function Pips({ person }: { person: ClientSummary }) {
  return (
    <span className="mt-1 flex gap-2">
      {person.chain.map((link) => (
        <span key={link.id} title={`${translate(LINK_LABELS[link.id])}: ${translate(link.reason)}`}>
          <span className="sr-only">{translate(LINK_LABELS[link.id])} </span>
          <Pip state={link.state} />
        </span>
      ))}
    </span>
  );
}
