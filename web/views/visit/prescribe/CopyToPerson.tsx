import { t } from '@lingui/core/macro';
import { Popover } from 'radix-ui';
import { useState } from 'react';
import { usePeople } from '../../../data/people';
import { SearchField } from '../../../parts/fields/SearchField';

const MOST = 6;

/** Finds the person a plan is copied to; theirs are the pressures and tests it then goes by. */
export function CopyToPerson({ className, take }: { className: string; take: (clientId: string) => void }) {
  const [search, setSearch] = useState('');
  const { upTo, total, isSettled } = usePeople(search.trim(), { first: 0, last: MOST - 1 });
  const people = upTo(MOST);
  const [first] = people;
  return (
    <Popover.Root>
      <Popover.Trigger className={className}>{t`Copy to another person`}</Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          aria-label={t`Copy to another person`}
          align="start"
          sideOffset={4}
          className="z-40 w-80 rounded-sm border border-ink bg-paper p-3"
        >
          <SearchField
            label={t`Find the person`}
            value={search}
            onChange={setSearch}
            first={{ isSettled, take: first ? () => take(first.id) : null }}
          />
          {total === 0 && <p className="mt-2">{t`No name or story begins so.`}</p>}
          <ul className="mt-2">
            {people.map((person) => (
              <li key={person.id}>
                <button
                  type="button"
                  onClick={() => take(person.id)}
                  className="min-h-11 w-full px-2 text-left hover:bg-tint"
                >
                  {person.name}
                </button>
              </li>
            ))}
          </ul>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
