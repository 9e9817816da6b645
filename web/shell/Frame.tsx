import { lazy, Suspense, useEffect, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { Outlet, useNavigate } from 'react-router';
import { Toaster } from 'sonner';
import { useOpenSessions } from '../data/live-session';
import { allowSound } from '../sound/tones';
import { toggleTheme } from '../theme/theme';
import { CuffDock } from './CuffDock';
import { PumpDriver } from './PumpDriver';
import { ReopenQuestion } from './ReopenQuestion';
import { Roster } from './Roster';
import { SessionDriver } from './SessionDriver';
import { TopLine } from './TopLine';

const Palette = lazy(() => import('./Palette').then(({ Palette }) => ({ default: Palette })));
const KeysHelp = lazy(() => import('./KeysHelp').then(({ KeysHelp }) => ({ default: KeysHelp })));

/** Roster, sheet and cuff dock: the frame every view sits in. */
export function Frame() {
  const [finding, setFinding] = useState(false);
  const [showingKeys, setShowingKeys] = useState(false);
  const navigate = useNavigate();
  const sessions = useOpenSessions();
  useEffect(() => {
    for (const touch of ['pointerdown', 'keydown']) window.addEventListener(touch, allowSound);
    return () => {
      for (const touch of ['pointerdown', 'keydown']) window.removeEventListener(touch, allowSound);
    };
  }, []);
  useHotkeys('mod+k', () => setFinding(true), { preventDefault: true, enableOnFormTags: true });
  useHotkeys('shift+slash', () => setShowingKeys(true));
  useHotkeys('g>a', () => navigate('/people/new'));
  useHotkeys('g>o', () => navigate('/floor'));
  useHotkeys('g>x', () => navigate('/exercises'));
  useHotkeys('g>k', () => navigate('/kit'));
  useHotkeys('g>e', () => navigate('/practise'));
  useHotkeys('g>d', toggleTheme);
  return (
    <div className="flex h-full flex-col">
      <div className="relative flex min-h-0 flex-1">
        <Roster />
        <div className="flex min-w-0 flex-1 flex-col">
          <TopLine openPalette={() => setFinding(true)} />
          <ReopenQuestion sessions={sessions} />
          <main className="min-h-0 flex-1 overflow-y-auto">
            <Suspense>
              <Outlet />
            </Suspense>
          </main>
        </div>
      </div>
      <CuffDock sessions={sessions} />
      <SessionDriver sessions={sessions} />
      <PumpDriver sessions={sessions} />
      <Suspense>
        {finding && <Palette open onOpenChange={setFinding} showKeys={() => setShowingKeys(true)} />}
        {showingKeys && <KeysHelp open onOpenChange={setShowingKeys} />}
      </Suspense>
      <Toaster
        position="top-center"
        toastOptions={{ className: '!rounded-sm !border !border-ink !bg-paper !text-ink' }}
      />
    </div>
  );
}
