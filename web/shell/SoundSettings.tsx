import { Popover } from 'radix-ui';
import { muted, paced } from '../sound/mute';
import { spoken } from '../sound/voice';
import type { Store } from '../state/store';
import { SoundButton } from './SoundButton';

const SETTINGS: { value: Store<string>; on: string; off: string; label: string }[] = [
  { value: muted, on: 'no', off: 'yes', label: 'Sound, alarms too' },
  { value: paced, on: 'yes', off: 'no', label: 'Pace tones and ticks' },
  { value: spoken, on: 'yes', off: 'no', label: 'Spoken cues' },
];

/** What this device sounds. The eye always has the same message. */
export function SoundSettings() {
  return (
    <Popover.Root defaultOpen>
      <Popover.Trigger asChild>
        <SoundButton />
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          sideOffset={6}
          collisionPadding={12}
          aria-label="Sound on this device"
          className="z-40 rounded-sm border border-ink/40 bg-paper p-4"
        >
          {SETTINGS.map((setting) => (
            <Tick key={setting.label} {...setting} />
          ))}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

function Tick({ value, on, off, label }: (typeof SETTINGS)[number]) {
  return (
    <label className="flex min-h-11 items-center gap-2">
      <input
        type="checkbox"
        className="size-5 accent-plum"
        checked={value.use() === on}
        onChange={(event) => value.set(event.target.checked ? on : off)}
      />
      {label}
    </label>
  );
}
