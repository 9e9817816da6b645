import { useOpenSessions } from '../data/live-session';
import { CuffDock } from './CuffDock';
import { SessionDriver } from './SessionDriver';

/** What open sessions need in every view: their cuffs in sight, and what runs them. */
export function LiveShell() {
  const sessions = useOpenSessions();
  return (
    <>
      <CuffDock sessions={sessions} />
      <SessionDriver sessions={sessions} />
    </>
  );
}
