import { lazy, Suspense } from 'react';
import { useOutbox } from '../data/outbox';

const SetAsideLine = lazy(() =>
  import('./SetAsideLine').then((module) => ({ default: module.SetAsideLine })),
);

/** One honest line: whether the server has everything that happened here. */
export function SaveLine() {
  const { unsent, unreached, aside } = useOutbox();
  const events = `${unsent} ${unsent === 1 ? 'event' : 'events'}`;
  return (
    <>
      {aside.length > 0 && (
        <Suspense>
          <SetAsideLine />
        </Suspense>
      )}
      {unsent === 0 ? (
        <p className="text-[14px] text-quiet">All saved on the server</p>
      ) : unreached ? (
        <p role="status" className="notched text-[14px] text-ochre">
          {events} kept on this device, not yet on the server. Trying again.
        </p>
      ) : (
        <p className="text-[14px] text-quiet">Saving {events}…</p>
      )}
    </>
  );
}
