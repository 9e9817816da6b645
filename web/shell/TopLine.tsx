import { Command, Maximize, Moon, Sun } from 'lucide-react';
import { lazy, Suspense, useEffect, useState } from 'react';
import { workingPractitioner } from '../data/practitioner';
import { usePractice } from '../data/queries';
import { KeyHint } from '../parts/Button';
import { toggleFullScreen } from '../parts/full-screen';
import { theme, toggleTheme } from '../theme/theme';
import { SaveLine } from './SaveLine';
import { SoundButton } from './SoundButton';

// It brings the popover with it, which is fetched when somebody asks for it.
const SoundSettings = lazy(() =>
  import('./SoundSettings').then((module) => ({ default: module.SoundSettings })),
);

/** Who works, whether all is saved, and the switches that hold in every view. */
export function TopLine({ openPalette }: { openPalette: () => void }) {
  const dark = theme.use() === 'floor';
  const [settingSound, setSettingSound] = useState(false);
  return (
    <header className="flex min-h-11 flex-wrap items-center gap-x-4 border-b border-rule px-4 print:hidden">
      <SaveLine />
      <div className="ml-auto flex items-center gap-1">
        <Who />
        {settingSound ? (
          <Suspense fallback={<SoundButton />}>
            <SoundSettings />
          </Suspense>
        ) : (
          <SoundButton onClick={() => setSettingSound(true)} />
        )}
        <Switch label="Full screen" onClick={toggleFullScreen}>
          <Maximize size={20} aria-hidden />
        </Switch>
        <Switch label={dark ? 'Paper theme' : 'Dark floor theme'} onClick={toggleTheme}>
          {dark ? <Sun size={20} aria-hidden /> : <Moon size={20} aria-hidden />}
        </Switch>
        <button
          type="button"
          onClick={openPalette}
          className="flex items-center gap-2 rounded-sm px-2 py-2 text-[14px] hover:bg-tint"
        >
          <Command size={18} aria-hidden /> Find <KeyHint>Ctrl K</KeyHint>
        </button>
      </div>
    </header>
  );
}

function Who() {
  const { data: practice } = usePractice();
  const id = workingPractitioner.use();
  const working = practice?.practitioners.filter(({ elsewhere }) => !elsewhere) ?? [];
  const known = working.some((practitioner) => practitioner.id === id);
  const first = working[0];
  useEffect(() => {
    if (first && !known) workingPractitioner.set(first.id);
  }, [first, known]);
  return (
    <label className="flex items-center gap-2 text-[14px]">
      <span className="text-quiet">Working</span>
      <select
        value={id}
        onChange={(event) => workingPractitioner.set(event.target.value)}
        className="min-h-9 rounded-sm border border-ink/40 bg-paper px-2"
      >
        {working.map(({ id: value, name, role }) => (
          <option key={value} value={value}>
            {name}, {role}
          </option>
        ))}
      </select>
    </label>
  );
}

function Switch({
  label,
  onClick,
  children,
}: {
  label: string;
  onClick: () => void;
  children: React.ReactNode;
}) {
  return (
    <button
      type="button"
      aria-label={label}
      title={label}
      onClick={onClick}
      className="rounded-sm p-2 hover:bg-tint"
    >
      {children}
    </button>
  );
}
