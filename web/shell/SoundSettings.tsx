import { t } from '@lingui/core/macro';
import { Popover } from 'radix-ui';
import { Tick } from '../parts/fields/Tick';
import { muted, paced } from '../sound/mute';
import { spoken } from '../sound/voice';
import type { Store } from '../state/store';
import { SoundButton } from './SoundButton';

const SETTINGS: { value: Store<string>; on: string; off: string; label: string }[] = [
  { value: muted, on: 'no', off: 'yes', label: t`Sound, alarms too` },
  { value: paced, on: 'yes', off: 'no', label: t`Pace tones and ticks` },
  { value: spoken, on: 'yes', off: 'no', label: t`Spoken cues` },
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
          aria-label={t`Sound on this device`}
          className="z-40 rounded-sm border border-ink/40 bg-paper p-4"
        >
          {SETTINGS.map((setting) => (
            <Setting key={setting.label} {...setting} />
          ))}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

function Setting({ value, on, off, label }: (typeof SETTINGS)[number]) {
  return (
    <Tick checked={value.use() === on} onChange={(next) => value.set(next ? on : off)}>
      {label}
    </Tick>
  );
}
