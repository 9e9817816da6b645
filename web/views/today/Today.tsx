import { Link } from 'react-router';
import type { ClientSummary } from '#contract/client';
import { LINK_LABELS } from '#core/record/link';
import { usePeopleList } from '../../data/people';
import { usePractice } from '../../data/queries';
import { LongList } from '../../parts/LongList';
import { Pip } from '../../parts/Pip';
import { SearchField } from '../../parts/SearchField';
import { DemoClock } from './DemoClock';

const LINE_PX = 80;

/** Who can train now, and for everybody else the one thing that is missing. */
export function Today() {
  const { search, setSearch, setInView, total, at, isSearched } = usePeopleList();
  const { data: practice } = usePractice();
  return (
    <div className="max-w-4xl p-6">
      <h1 className="text-3xl font-semibold">{practice?.settings.name}</h1>
      <p className="mt-1 text-quiet">Who can train now, and what is next for everybody else.</p>
      {isSearched && (
        <SearchField
          label="Find in this list"
          value={search}
          onChange={setSearch}
          className="mt-4 max-w-sm"
        />
      )}
      {search && total === 0 && <p className="mt-4">Nobody’s name or story begins so. Try fewer letters.</p>}
      <LongList
        count={total}
        lineHeightPx={LINE_PX}
        className="mt-6 border-t border-ink/40"
        onInView={setInView}
      >
        {(place) => <NextThing person={at(place)} />}
      </LongList>
      <p className="mt-6">
        <Link to="/people/new" className="font-semibold underline underline-offset-4">
          Add a person
        </Link>
      </p>
      <DemoClock />
      <p className="mt-10 max-w-prose text-[14px] text-quiet">
        Nervato is decision support. Follow local policy and licensed practice; the person in front of you
        comes first.
      </p>
    </div>
  );
}

function NextThing({ person }: { person: ClientSummary | undefined }) {
  if (!person) return <p className="py-3 text-quiet">…</p>;
  const broken = person.chain.find((link) => link.id !== 'run' && link.state !== 'good');
  const link = broken ?? person.chain.find(({ id }) => id === 'run');
  if (!link) return null;
  const prescribed = person.chain.find(({ id }) => id === 'prescribe');
  return (
    <Link
      to={`/people/${person.id}/${link.id}`}
      className="grid grid-cols-[1fr_auto] gap-x-4 gap-y-1 py-3 hover:bg-tint sm:grid-cols-[15rem_1fr_auto]"
    >
      <span>
        <span className="block text-xl font-semibold">{person.name}</span>
        <span className="text-[14px] text-quiet">{person.story}</span>
      </span>
      <span className="max-sm:col-span-2 max-sm:row-start-2">
        {person.next && (person.next.plans > 1 || person.next.turn.inDays !== 0) && (
          <span className="block">
            <span className="font-semibold">{person.next.name}:</span> {person.next.turn.why}
          </span>
        )}
        {person.off && <span className="notched block text-[14px] text-ochre">{person.off}</span>}
        {broken ? broken.reason : `Ready. ${prescribed?.reason ?? ''}`}
      </span>
      <span className="flex items-center gap-2 self-start font-semibold">
        <Pip state={link.state} /> {broken ? LINK_LABELS[link.id] : 'Run'}
      </span>
    </Link>
  );
}
