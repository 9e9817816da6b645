import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useState } from 'react';
import { LIMB_LABELS } from '#core/quantity/limb';
import { limbClocks } from '#core/session/clocks';
import { inflatedLimbs, openInflation } from '#core/session/state';
import { useAct } from '../act/act';
import { thisDevice } from '../data/device';
import { type LiveSession, useOpenSessions } from '../data/live-session';
import { loadedAtMs } from '../data/loaded-at';
import { told } from '../language/told';
import { Button } from '../parts/Button';
import { clock } from '../parts/format';
import { useNow } from '../parts/use-now';

/** When the cuff that has been up longest went up, wall clock; infinity when none is. */
const upSinceMs = ({ state }: LiveSession): number =>
  Math.min(
    Number.POSITIVE_INFINITY,
    ...inflatedLimbs(state).map((limb) => openInflation(limb)?.fromMs ?? Number.POSITIVE_INFINITY),
  );

/**
 * Asked of the device that ran the session, and of no bystander: whoever answers must see the cuff. One that was kept before
 * sessions named their device is anybody's (rules RUN-1, RUN-9).
 */
const isAskedHere = ({ state }: LiveSession): boolean => state.runner === null || state.runner === thisDevice;

/** After the page was closed with a cuff up, the first thing asked is whether it still is: one bar, a line a person. */
export function ReopenQuestion() {
  const sessions = useOpenSessions();
  const [answered, setAnswered] = useState<readonly string[]>([]);
  const asked = sessions.filter(
    (session) =>
      isAskedHere(session) && upSinceMs(session) < loadedAtMs && !answered.includes(session.view.id),
  );
  if (asked.length === 0) return null;
  return (
    <section
      role="alertdialog"
      aria-label={t`This page was closed with a cuff up`}
      className="max-h-[33dvh] shrink-0 divide-y divide-rule overflow-y-auto border-b-4 border-vermilion bg-tint px-6"
    >
      {asked.map((session) => (
        <Question
          key={session.view.id}
          session={session}
          answered={() => setAnswered((ids) => [...ids, session.view.id])}
        />
      ))}
    </section>
  );
}

function Question({ session: { view, state }, answered }: { session: LiveSession; answered: () => void }) {
  const nowMs = useNow(1_000);
  const act = useAct(view);
  const up = limbClocks(view.plan, state, nowMs).filter(({ inflated }) => inflated);
  const words = up.map(
    ({ limb, clockMs }) => t`${told(LIMB_LABELS[limb].toLowerCase())}, ${clock(clockMs)} occluded`,
  );
  return (
    // biome-ignore lint/a11y/useSemanticElements: a fieldset is for the fields of a form
    <div
      role="group"
      aria-label={t`Is the cuff of ${view.clientName} still up?`}
      className="flex flex-wrap items-center gap-x-4 gap-y-2 py-2"
    >
      <p className="min-w-0 flex-1 basis-72 text-lg leading-snug">
        <Trans>
          <strong>Is the cuff of {view.clientName} still up?</strong> This page was closed:{' '}
          {told(words.join('; '))}.
        </Trans>
      </p>
      <div className="flex shrink-0 gap-4">
        <Button
          kind="stop"
          onClick={() => {
            act({ do: 'release' });
            answered();
          }}
        >
          {t`It is down now`}
        </Button>
        <Button onClick={answered}>{t`Still up, go on`}</Button>
      </div>
    </div>
  );
}
