import { t } from '@lingui/core/macro';
import { useState } from 'react';
import { usePeople } from '../../data/people';
import { SearchField } from '../fields/SearchField';
import { Tick } from '../fields/Tick';

const MOST = 8;

export type ChosenPerson = { id: string; name: string };

/** Several people, found by their names and ticked. */
export function PeopleTicks({
  chosen,
  setChosen,
  notId,
}: {
  chosen: ChosenPerson[];
  setChosen: (chosen: ChosenPerson[]) => void;
  notId: string;
}) {
  const [search, setSearch] = useState('');
  const { upTo, isSettled } = usePeople(search.trim(), { first: 0, last: MOST - 1 });
  const found = upTo(MOST).filter(({ id }) => id !== notId);
  const isChosen = (id: string) => chosen.some((one) => one.id === id);
  const toggle = ({ id, name }: ChosenPerson) =>
    setChosen(isChosen(id) ? chosen.filter((one) => one.id !== id) : [...chosen, { id, name }]);
  const [first] = found;
  return (
    <>
      <SearchField
        label={t`Find the people`}
        value={search}
        onChange={setSearch}
        first={{ isSettled, take: first ? () => toggle(first) : null }}
      />
      <div className="grid grid-cols-2 gap-x-4">
        {[...chosen, ...found.filter(({ id }) => !isChosen(id))].map((one) => (
          <Tick key={one.id} checked={isChosen(one.id)} onChange={() => toggle(one)}>
            {one.name}
          </Tick>
        ))}
      </div>
    </>
  );
}
