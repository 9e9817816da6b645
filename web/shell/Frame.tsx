import { lazy, type ReactNode, Suspense, useEffect, useState } from 'react';
import { Outlet, useNavigate } from 'react-router';
import { lock } from '../data/lock';
import { useOpenKnown, useOpenViews } from '../data/open-sessions';
import { lockState } from '../data/practitioner';
import { useConnected } from '../devices/connected';
import { ReadingSilently } from '../parts/base/Reading';
import { useAction } from '../parts/keys/use-action';
import { useAfterG } from '../parts/keys/use-after-g';
import { allowSound } from '../sound/tones';
import { cuffsUp } from '../state/cuffs-up';
import { dockRoomPx, keepDockRoom } from '../state/dock-room';
import { notices } from '../state/notices';
import { PLACES } from '../state/places';
import { useIsViewAwaited } from '../state/view-awaited';
import { toggleTheme } from '../theme/theme';
import { EmergencyBar } from './EmergencyBar';
import { Gated } from './Gated';
import { NoCuff } from './NoCuff';
import { Roster } from './Roster';
import { TopLine } from './TopLine';
import { useIdleLock } from './use-idle-lock';

// What runs sessions is fetched with the first that is open.
const LiveShell = lazy(() => import('./LiveShell').then(({ LiveShell }) => ({ default: LiveShell })));
const ReopenQuestion = lazy(() =>
  import('./ReopenQuestion').then(({ ReopenQuestion }) => ({ default: ReopenQuestion })),
);
const Notices = lazy(() => import('./Notices').then(({ Notices }) => ({ default: Notices })));
const Palette = lazy(() => import('./Palette').then(({ Palette }) => ({ default: Palette })));
const KeysHelp = lazy(() => import('./KeysHelp').then(({ KeysHelp }) => ({ default: KeysHelp })));

const LETTERS = PLACES.flatMap(({ letter }) => letter ?? []);

/** The page of the guide that goes with an address: that of the link whose bench is open. */
const guideFor = (path: string): string => {
  if (path.startsWith('/sessions/') || path === '/floor') return '/guide/run';
  const bench = /^\/people\/[^/]+\/(screen|fit|measure|load|prescribe|run)$/.exec(path)?.[1];
  return bench ? `/guide/${bench}` : '/guide';
};

/** Leaves the form that is being typed in as it was, where it can be left. */
const leaveForm = () =>
  document.activeElement?.closest('form')?.querySelector<HTMLElement>('[data-leaves]')?.click();

/** Roster, sheet and cuff dock: the frame every view sits in. @param signIn shown in its place while the device is locked */
export function Frame({ signIn }: { signIn: ReactNode }) {
  const [finding, setFinding] = useState(false);
  const [showingKeys, setShowingKeys] = useState(false);
  const navigate = useNavigate();
  const isIn = lockState.use() === 'unlocked';
  useIdleLock();
  const anyOpen = useOpenViews().length > 0;
  const isKnown = useOpenKnown();
  const measuring = useConnected() !== null;
  const isAwaited = useIsViewAwaited();
  useEffect(() => {
    if (isKnown && !anyOpen && !measuring) keepDockRoom(0);
  }, [isKnown, anyOpen, measuring]);
  const [noticed, setNoticed] = useState(false);
  const waiting = notices.use().length > 0;
  if (waiting && !noticed) setNoticed(true);
  useEffect(() => {
    for (const touch of ['pointerdown', 'keydown']) window.addEventListener(touch, allowSound);
    return () => {
      for (const touch of ['pointerdown', 'keydown']) window.removeEventListener(touch, allowSound);
    };
  }, []);
  useAction('find', () => isIn && setFinding(true), { fromFields: true });
  useAction('keys', () => setShowingKeys(true));
  useAfterG(LETTERS, (letter) => {
    const place = PLACES.find((one) => one.letter === letter);
    if (place) navigate(place.to);
  });
  useAction('lock', () => {
    if (isIn && !cuffsUp.get()) void lock();
  });
  useAction('theme', toggleTheme);
  useAction('leave', leaveForm, { fromFields: true });
  useAction('guide', () => navigate(guideFor(window.location.pathname)), { fromFields: true });
  return (
    <div className="flex h-full flex-col print:block print:h-auto">
      <Gated signIn={signIn} className="relative flex min-h-0 flex-1 print:block">
        <Roster />
        <div className="flex min-w-0 flex-1 flex-col">
          <TopLine openPalette={() => setFinding(true)} />
          <EmergencyBar />
          <Suspense>{anyOpen && <ReopenQuestion />}</Suspense>
          {/* Positioned, so that what is only for screen readers scrolls with it and never makes the document itself scroll. */}
          <main
            data-scroller
            aria-busy={isAwaited}
            className="relative min-h-0 flex-1 overflow-y-auto print:overflow-visible"
          >
            <Suspense fallback={<ReadingSilently />}>
              <Outlet />
            </Suspense>
          </main>
        </div>
      </Gated>
      <Suspense fallback={<NoCuff roomPx={dockRoomPx()} />}>
        {anyOpen || measuring ? <LiveShell /> : <NoCuff roomPx={isKnown ? 0 : dockRoomPx()} />}
      </Suspense>
      <Suspense>
        {noticed && <Notices />}
        {finding && isIn && <Palette open onOpenChange={setFinding} />}
        {showingKeys && isIn && <KeysHelp open onOpenChange={setShowingKeys} />}
      </Suspense>
    </div>
  );
}
