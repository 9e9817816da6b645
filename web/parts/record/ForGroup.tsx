import { useQueries, useQueryClient } from '@tanstack/react-query';
import { Popover } from 'radix-ui';
import { type ReactNode, useState } from 'react';
import type { ClientRecord } from '#contract/client';
import { failureWords } from '../../data/api';
import { KEYS } from '../../data/keys';
import { clientQuery } from '../../data/queries';
import { Button } from '../base/Button';
import { Only } from '../base/Only';
import { type ChosenPerson, PeopleTicks } from './PeopleTicks';

/** What one of a group gets, what is against it, and how it is kept; null where it cannot be. */
export type ForOne = { gets: ReactNode; notes: readonly string[]; keep: (() => Promise<unknown>) | null };

type Props = {
  label: string;
  className: string;
  /** Whose it is already. */
  notId: string;
  forOne: (record: ClientRecord) => ForOne;
  /** What the button says for so many of them. */
  keepWords: (count: number) => string;
  keptWords: string;
};

/** Something of one person given to several: what each of them gets is said first, and one press keeps it for all that can have it. */
export function ForGroup({ label, className, notId, ...group }: Props) {
  const [chosen, setChosen] = useState<ChosenPerson[]>([]);
  return (
    <Popover.Root>
      <Popover.Trigger className={className}>{label}</Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          aria-label={label}
          align="start"
          sideOffset={4}
          collisionPadding={12}
          className="z-40 max-h-[70vh] w-[34rem] max-w-[92vw] space-y-3 overflow-y-auto rounded-sm border border-ink bg-paper p-3"
        >
          <PeopleTicks chosen={chosen} setChosen={setChosen} notId={notId} />
          {chosen.length > 0 && <Group chosen={chosen} {...group} />}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

function Group({
  chosen,
  forOne,
  keepWords,
  keptWords,
}: { chosen: ChosenPerson[] } & Pick<Props, 'forOne' | 'keepWords' | 'keptWords'>) {
  const queries = useQueryClient();
  const [said, setSaid] = useState<ReadonlyMap<string, string>>(new Map());
  const [isKeeping, setKeeping] = useState(false);
  const records = useQueries({ queries: chosen.map(({ id }) => clientQuery(id)) });
  const made = records.flatMap(({ data }) =>
    data ? [{ id: data.id, name: data.name, ...forOne(data) }] : [],
  );
  const ready = made.filter(({ id, keep }) => keep !== null && !said.has(id));
  const keepAll = async () => {
    setKeeping(true);
    for (const { id, keep } of ready) {
      const words = await keep?.().then(() => keptWords, failureWords);
      setSaid((before) => new Map([...before, [id, words ?? '']]));
      void queries.invalidateQueries({ queryKey: KEYS.client(id) });
    }
    setKeeping(false);
  };
  return (
    <>
      <ul className="border-t border-rule">
        {made.map(({ id, name, gets, notes }) => (
          <li key={id} className="border-b border-rule py-1 text-[15px]">
            <p>
              <span className="font-semibold">{name}</span> <span className="text-quiet">{said.get(id)}</span>
            </p>
            {gets}
            {notes.map((words) => (
              <p key={words} className="notched text-[14px] text-ochre">
                {words}
              </p>
            ))}
          </li>
        ))}
      </ul>
      <Only permission="sign">
        <Button kind="main" disabled={ready.length === 0 || isKeeping} onClick={() => void keepAll()}>
          {keepWords(ready.length)}
        </Button>
      </Only>
    </>
  );
}
