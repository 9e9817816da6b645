import { useOutbox } from '../data/outbox';

/** One honest line: whether the server has everything that happened here. */
export function SaveLine() {
  const { unsent, trouble, words } = useOutbox();
  if (unsent === 0) return <p className="text-[14px] text-quiet">All saved on the server</p>;
  const events = `${unsent} ${unsent === 1 ? 'event' : 'events'}`;
  if (trouble === null) return <p className="text-[14px] text-quiet">Saving {events}…</p>;
  return (
    <p role="status" className="notched text-[14px] text-ochre">
      {trouble === 'unreached'
        ? `${events} kept on this device, not yet on the server. Trying again.`
        : `${events} kept on this device; the server refused: ${words}`}
    </p>
  );
}
