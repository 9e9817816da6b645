import { t } from '@lingui/core/macro';
import { Volume2, VolumeX } from 'lucide-react';
import type { ComponentProps } from 'react';
import { muted } from '../sound/mute';

/** Whether this device sounds, and the way to what it sounds. */
export function SoundButton(props: ComponentProps<'button'>) {
  const silent = muted.use() === 'yes';
  return (
    <button
      type="button"
      {...props}
      aria-label={silent ? t`Sound is off: settings` : t`Sound is on: settings`}
      className="rounded-sm p-2 hover:bg-tint"
    >
      {silent ? <VolumeX size={20} aria-hidden /> : <Volume2 size={20} aria-hidden />}
    </button>
  );
}
