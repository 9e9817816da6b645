import { t } from '@lingui/core/macro';
import { useEffect } from 'react';
import { useNavigate } from 'react-router';
import { translate } from '../language/translate';
import { Button } from '../parts/base/Button';
import { soundAlarm } from '../sound/tones';
import { emergencies } from '../state/emergencies';
import { dayAndTime } from '../words/format';

const AGAIN_MS = 5_000;

/** Who needs to be called at once: over every view, with a sound until it was looked at (rule RUN-6). */
export function EmergencyBar() {
  const waiting = emergencies.use();
  const navigate = useNavigate();
  const isWaiting = waiting.length > 0;
  useEffect(() => {
    if (!isWaiting) return;
    soundAlarm();
    const again = setInterval(soundAlarm, AGAIN_MS);
    return () => clearInterval(again);
  }, [isWaiting]);
  const [first] = waiting;
  if (!first) return null;
  const look = () => {
    emergencies.set(waiting.filter((one) => one !== first));
    navigate(`/people/${first.clientId}/screen`);
  };
  return (
    <section
      role="alertdialog"
      aria-label={t`Call now`}
      className="flex shrink-0 flex-wrap items-center gap-x-4 gap-y-1 border-b-4 border-vermilion bg-tint px-6 py-2"
    >
      <p className="min-w-0 flex-1">
        <strong className="text-vermilion">{t`Call now`}</strong> <strong>{first.name}</strong>:{' '}
        {translate(first.words)}, {dayAndTime(first.atMs)}
        {waiting.length > 1 && <span className="text-quiet"> {t`and ${waiting.length - 1} more`}</span>}
      </p>
      <Button kind="stop" onClick={look}>{t`Look`}</Button>
    </section>
  );
}
