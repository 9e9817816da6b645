import { t } from '@lingui/core/macro';
import { Command, Maximize, Moon, Sun, Users } from 'lucide-react';
import { lazy, Suspense, useState } from 'react';
import { usePractitioner } from '../data/queries';
import { ItsKey } from '../parts/base/Button';
import { IconButton } from '../parts/base/IconButton';
import { toggleFullScreen } from '../parts/keys/full-screen';
import { rosterOpen } from '../state/roster-open';
import { theme, toggleTheme } from '../theme/theme';
import { SaveLine } from './SaveLine';
import { SoundButton } from './SoundButton';
import { WhoButton } from './WhoButton';

// They bring the popover with them, which is fetched on request.
const AccountMenu = lazy(() => import('./AccountMenu').then((module) => ({ default: module.AccountMenu })));
const SoundSettings = lazy(() =>
  import('./SoundSettings').then((module) => ({ default: module.SoundSettings })),
);

/** Who works, whether all is saved, and the switches that hold in every view. */
export function TopLine({ openPalette }: { openPalette: () => void }) {
  const dark = theme.use() === 'floor';
  const peopleShown = rosterOpen.use();
  const practitioner = usePractitioner();
  const [asked, setAsked] = useState(false);
  const [settingSound, setSettingSound] = useState(false);
  return (
    <header className="flex min-h-11 flex-wrap items-center gap-x-4 border-b border-rule px-4 max-sm:flex-nowrap max-sm:gap-x-1 max-sm:px-2 print:hidden">
      <span className="shrink-0 sm:hidden">
        <IconButton
          label={peopleShown ? t`Hide people` : t`Show people`}
          onClick={() => rosterOpen.set(!peopleShown)}
        >
          <Users size={20} aria-hidden />
        </IconButton>
      </span>
      <SaveLine />
      <div className="ml-auto flex min-w-0 items-center gap-1 max-sm:gap-0">
        {asked ? (
          <Suspense fallback={<WhoButton practitioner={practitioner} />}>
            <AccountMenu />
          </Suspense>
        ) : (
          <WhoButton practitioner={practitioner} onClick={() => setAsked(true)} />
        )}
        {settingSound ? (
          <Suspense fallback={<SoundButton />}>
            <SoundSettings />
          </Suspense>
        ) : (
          <SoundButton onClick={() => setSettingSound(true)} />
        )}
        <span className="max-sm:hidden">
          <IconButton label={t`Full screen`} onClick={toggleFullScreen}>
            <Maximize size={20} aria-hidden />
          </IconButton>
        </span>
        <IconButton label={dark ? t`Paper theme` : t`Dark floor theme`} onClick={toggleTheme}>
          {dark ? <Sun size={20} aria-hidden /> : <Moon size={20} aria-hidden />}
        </IconButton>
        <button
          type="button"
          onClick={openPalette}
          className="flex items-center gap-2 rounded-sm px-2 py-2 text-[14px] hover:bg-tint"
        >
          <Command size={18} aria-hidden /> <span className="max-sm:sr-only">{t`Find`}</span>{' '}
          <span className="max-sm:hidden">
            <ItsKey of="find" />
          </span>
        </button>
      </div>
    </header>
  );
}
