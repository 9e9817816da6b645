import { useOpenSessions } from '../data/live-session';
import { CuffDock } from './CuffDock';
import { PumpDriver } from './PumpDriver';
import { SessionDriver } from './SessionDriver';
import { StrapDriver } from './StrapDriver';

/** What open sessions need in every view: their cuffs in sight, their clocks, pumps and straps. */
export function LiveShell() {
  const sessions = useOpenSessions();
  return (
    <>
      <CuffDock sessions={sessions} />
      <SessionDriver sessions={sessions} />
      <PumpDriver sessions={sessions} />
      <StrapDriver sessions={sessions} />
    </>
  );
}
